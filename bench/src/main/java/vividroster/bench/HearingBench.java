package vividroster.bench;

import java.io.IOException;
import java.sql.Connection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import vividroster.bench.SchoolBench.Page;
import vividroster.server.platform.Ids;
import vividroster.testkit.RunningServer;
import vividroster.testkit.TestCluster;

/** The pages of a full school with a million attempts while fifty marks a second come in, beside bare SQL for the same rows. */
final class HearingBench {

    private static final int ATTEMPTS = 1_000_000;
    private static final int MARKS_A_SECOND = 50;
    private static final int LISTENERS = 5;
    private static final int WARM_UP = 60;
    private static final int RUNS = 120;

    /** Milliseconds at p95, by page. */
    private static final Map<String, Integer> GOALS = Map.of("podium", 250, "folder", 150);

    private static final int OTHER_GOAL = 200;

    private HearingBench() {}

    static void run() throws Exception {
        try (RunningServer server = RunningServer.start(TestCluster.shared().newDatabase(), "no")) {
            FullSchool school = FullSchool.open(server);
            try (Connection connection = server.database().connect()) {
                System.out.printf(Locale.ROOT, "Filling up to %,d attempts ...%n", ATTEMPTS);
                school.fillUpTo(connection, ATTEMPTS);
                List<Page> pages = SchoolBench.pages(school, new SchoolSql(connection, school));
                measure(school, pages);
            }
        }
    }

    private static void measure(FullSchool school, List<Page> pages) throws Exception {
        BlockingClient reader = school.director();
        Map<String, Timings> http = new LinkedHashMap<>();
        Map<String, Timings> sql = new LinkedHashMap<>();
        Timings marks = new Timings();
        AtomicInteger sent = new AtomicInteger();
        long begun = System.nanoTime();
        try (ScheduledExecutorService listeners = Executors.newScheduledThreadPool(LISTENERS)) {
            for (int i = 0; i < LISTENERS; i++) {
                BlockingClient listener = school.director();
                Random random = new Random(i);
                long every = 1_000_000L * LISTENERS / MARKS_A_SECOND;
                listeners.scheduleAtFixedRate(
                        () -> {
                            long from = System.nanoTime();
                            mark(listener, school, random);
                            synchronized (marks) {
                                marks.add((System.nanoTime() - from) / 1e6);
                            }
                            sent.incrementAndGet();
                        },
                        i * every / LISTENERS,
                        every,
                        TimeUnit.MICROSECONDS);
            }
            for (int runs : new int[] {WARM_UP, RUNS}) {
                pages.forEach(page -> http.put(page.name(), new Timings()));
                pages.forEach(page -> sql.put(page.name(), new Timings()));
                for (int i = 0; i < runs; i++) {
                    for (Page page : pages) {
                        http.get(page.name()).time(() -> reader.get(page.address()));
                        sql.get(page.name()).time(page.sql());
                    }
                }
            }
            listeners.shutdownNow();
        }
        double seconds = (System.nanoTime() - begun) / 1e9;
        System.out.printf(
                Locale.ROOT,
                "%nWhile %.1f marks a second came in (%d in all), each answered at p50 %.1f ms, p95 %.1f ms%n",
                sent.get() / seconds,
                sent.get(),
                marks.percentile(50),
                marks.percentile(95));
        System.out.printf("%-26s%12s%12s%12s%12s%n", "", "HTTP p50", "HTTP p95", "SQL p50", "SQL p95");
        http.forEach((name, timings) -> System.out.printf(
                Locale.ROOT,
                "%-26s%9.1f ms%9.1f ms%9.1f ms%9.1f ms%n",
                name,
                timings.percentile(50),
                timings.percentile(95),
                sql.get(name).percentile(50),
                sql.get(name).percentile(95)));
        http.forEach((name, timings) -> SchoolBench.goal(
                name + " while marks come in, at p95, ms",
                timings.percentile(95),
                GOALS.getOrDefault(name, OTHER_GOAL)));
    }

    private static void mark(BlockingClient listener, FullSchool school, Random random) {
        UUID student =
                school.students.get(FullSchool.CLASSES * random.nextInt(FullSchool.STUDENTS / FullSchool.CLASSES));
        Map<String, Object> body = new LinkedHashMap<>();
        body.put("id", Ids.next());
        body.put("studentId", student);
        body.put("milestoneId", school.milestones.get(random.nextInt(school.milestones.size())));
        body.put("classId", school.classes.getFirst());
        body.put("outcome", random.nextInt(3) == 0 ? "NOT_YET" : "PASS");
        try {
            listener.post("/api/attempts", body);
        } catch (IOException | RuntimeException e) {
            System.err.println("A mark was not recorded: " + e.getMessage());
        }
    }
}
