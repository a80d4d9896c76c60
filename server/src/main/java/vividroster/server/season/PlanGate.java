package vividroster.server.season;

import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;
import vividroster.server.platform.Problem;

/** Planning takes a whole processor; whoever comes while all are at it waits a little. */
@Component
class PlanGate {

    private final Semaphore processors = new Semaphore(Runtime.getRuntime().availableProcessors());

    /** @throws Problem where there is no room for ten seconds */
    <T> T whileThereIsRoom(Supplier<T> work) {
        try {
            if (!processors.tryAcquire(10, TimeUnit.SECONDS)) {
                throw Problem.busy("Too many plans are being made at once; try again in a moment.");
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw Problem.busy("The server is closing; try again in a moment.");
        }
        try {
            return work.get();
        } finally {
            processors.release();
        }
    }
}
