package vividroster.server.erasing;

import java.util.UUID;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.annotation.Configuration;
import org.springframework.dao.DataAccessException;
import org.springframework.scheduling.annotation.EnableScheduling;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.transaction.TransactionException;
import vividroster.server.office.Office;

/** Looks several times a day whom the programmes' own rules no longer keep. */
@Configuration
@EnableScheduling
class NightlyErasing {

    private static final Logger LOG = LoggerFactory.getLogger(NightlyErasing.class);

    private final Erasing erasing;
    private final Office office;

    NightlyErasing(Erasing erasing, Office office) {
        this.erasing = erasing;
        this.office = office;
    }

    @Scheduled(initialDelay = 5, fixedDelay = 360, timeUnit = TimeUnit.MINUTES)
    void look() {
        try {
            for (UUID programId : office.all()) {
                int erased = erasing.eraseLongGone(programId);
                if (erased > 0) {
                    LOG.info(
                            "{} students of {} were erased, as the programme keeps names no longer", erased, programId);
                }
            }
        } catch (DataAccessException | TransactionException e) {
            LOG.warn(
                    "Whom to erase could not be looked up now: {}", e.getClass().getSimpleName());
        }
    }
}
