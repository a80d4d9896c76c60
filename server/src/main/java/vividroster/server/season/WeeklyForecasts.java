package vividroster.server.season;

import java.util.UUID;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;
import vividroster.server.office.Office;
import vividroster.server.platform.Problem;

/** Keeps every week's forecasts, so that later it can be seen how good they were. */
@Component
class WeeklyForecasts {

    private static final Logger LOG = LoggerFactory.getLogger(WeeklyForecasts.class);

    private final SectionForecasts forecasts;
    private final Office office;

    WeeklyForecasts(SectionForecasts forecasts, Office office) {
        this.forecasts = forecasts;
        this.office = office;
    }

    @Scheduled(initialDelay = 7, fixedDelay = 360, timeUnit = TimeUnit.MINUTES)
    void keep() {
        try {
            for (UUID programId : office.all()) {
                keep(programId);
            }
        } catch (DataAccessException | TransactionException e) {
            LOG.warn("Forecasts could not be kept now: {}", e.getClass().getSimpleName());
        }
    }

    private void keep(UUID programId) {
        try {
            forecasts.keepAll(programId);
        } catch (Problem noYear) {
            LOG.debug("no forecasts for {}: {}", programId, noYear.getMessage());
        }
    }
}
