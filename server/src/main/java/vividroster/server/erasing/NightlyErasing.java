package vividroster.server.erasing;

import java.time.Clock;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.annotation.Configuration;
import org.springframework.dao.DataAccessException;
import org.springframework.scheduling.annotation.EnableScheduling;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.transaction.TransactionException;
import vividroster.core.progress.HeardMoment;
import vividroster.server.office.Office;
import vividroster.server.platform.ClientWrites;

/** Looks several times a day whom the programmes' own rules no longer keep, and what nobody asks for any more. */
@Configuration
@EnableScheduling
class NightlyErasing {

    private static final Logger LOG = LoggerFactory.getLogger(NightlyErasing.class);

    private final Erasing erasing;
    private final Office office;
    private final ClientWrites writes;
    private final Clock clock;

    NightlyErasing(Erasing erasing, Office office, ClientWrites writes, Clock clock) {
        this.erasing = erasing;
        this.office = office;
        this.writes = writes;
        this.clock = clock;
    }

    @Scheduled(initialDelay = 5, fixedDelay = 360, timeUnit = TimeUnit.MINUTES)
    void look() {
        try {
            // A device keeps what it could not send for a month; twice that is enough to know it again.
            writes.forgetBefore(clock.instant().minus(HeardMoment.OLDEST).minus(HeardMoment.OLDEST));
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
