package vividroster.bench;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/** Milliseconds of repeated runs. */
final class Timings {

    private final List<Double> millis = new ArrayList<>();

    /** Something that is timed. */
    interface Work {
        void run() throws Exception;
    }

    void time(Work work) throws Exception {
        long begun = System.nanoTime();
        work.run();
        millis.add((System.nanoTime() - begun) / 1e6);
    }

    void add(double measuredMillis) {
        millis.add(measuredMillis);
    }

    /** @param percent in 1..100; the nearest rank, so always a value that was measured */
    double percentile(int percent) {
        List<Double> sorted = new ArrayList<>(millis);
        Collections.sort(sorted);
        return sorted.get(Math.max(0, (int) Math.ceil(percent / 100.0 * sorted.size()) - 1));
    }

    @Override
    public String toString() {
        return String.format(java.util.Locale.ROOT, "p50 %.0f ms, p95 %.0f ms", percentile(50), percentile(95));
    }
}
