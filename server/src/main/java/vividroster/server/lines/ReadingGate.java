package vividroster.server.lines;

import java.lang.management.ManagementFactory;
import java.lang.management.ThreadMXBean;
import java.time.Duration;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.atomic.AtomicReference;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.stereotype.Component;
import vividroster.core.music.Part;
import vividroster.server.platform.Problem;

/**
 * Stands round the reading of what people send: few at a time, each within a deadline, so that a file made to harm keeps
 * nobody else waiting for long.
 */
@Component
class ReadingGate implements DisposableBean {

    /** Ours: as many as the smallest machine has processors. */
    private static final int AT_ONCE = 2;

    private static final Duration WAIT = Duration.ofSeconds(10);
    /** Work of a processor; ours: a thousand times what a line of a method book takes. */
    private static final Duration DEADLINE = Duration.ofSeconds(2);

    /** On a machine that has other things to do the same work takes so many times longer; ours. */
    private static final int MOST_DELAY = 8;

    private static final ThreadMXBean THREADS = ManagementFactory.getThreadMXBean();

    private final Semaphore places;
    private final Duration wait;
    private final Duration deadline;
    private final ExecutorService readers = Executors.newCachedThreadPool(task -> {
        Thread thread = new Thread(task, "line-reader");
        thread.setDaemon(true);
        return thread;
    });

    ReadingGate() {
        this(AT_ONCE, WAIT, DEADLINE);
    }

    ReadingGate(int atOnce, Duration wait, Duration deadline) {
        this.places = new Semaphore(atOnce, true);
        this.wait = wait;
        this.deadline = deadline;
    }

    /** @throws Problem when there is no place in time, or it takes too long */
    <T> T read(Callable<T> reading) {
        try {
            if (!places.tryAcquire(wait.toMillis(), TimeUnit.MILLISECONDS)) {
                throw Problem.busy("Many files are being read just now; try again in a moment.");
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw Problem.busy("The server is stopping; try again in a moment.");
        }
        // The place is free again when the reading has really ended, not when nobody waits for it any more.
        AtomicReference<Work> work = new AtomicReference<>();
        Future<T> answer;
        try {
            answer = readers.submit(() -> {
                work.set(Work.begun());
                try {
                    return reading.call();
                } finally {
                    places.release();
                }
            });
        } catch (RuntimeException e) {
            places.release();
            throw e;
        }
        try {
            return within(answer, work);
        } catch (TimeoutException e) {
            answer.cancel(true);
            throw Problem.input(
                    "file",
                    "Reading this takes longer than any line of a method book; at most " + Part.MOST_MEASURES
                            + " measures are read. Nothing was kept.");
        } catch (InterruptedException e) {
            answer.cancel(true);
            Thread.currentThread().interrupt();
            throw Problem.busy("The server is stopping; try again in a moment.");
        } catch (ExecutionException e) {
            if (e.getCause() instanceof RuntimeException ours) {
                throw ours;
            }
            throw new IllegalStateException(e.getCause());
        }
    }

    /** Waits while the reader has not worked for longer than its deadline, which a busy machine does not use up. */
    private <T> T within(Future<T> answer, AtomicReference<Work> work)
            throws InterruptedException, ExecutionException, TimeoutException {
        long end = System.nanoTime() + deadline.multipliedBy(MOST_DELAY).toNanos();
        while (true) {
            try {
                return answer.get(deadline.toMillis(), TimeUnit.MILLISECONDS);
            } catch (TimeoutException e) {
                Work begun = work.get();
                if (System.nanoTime() > end || begun != null && begun.sofar().compareTo(deadline) >= 0) {
                    throw e;
                }
            }
        }
    }

    /** @param cpuNanos what the thread had worked before */
    private record Work(long threadId, long cpuNanos) {

        static Work begun() {
            return new Work(Thread.currentThread().threadId(), THREADS.getCurrentThreadCpuTime());
        }

        Duration sofar() {
            return Duration.ofNanos(THREADS.getThreadCpuTime(threadId) - cpuNanos);
        }
    }

    @Override
    public void destroy() {
        readers.shutdownNow();
    }
}
