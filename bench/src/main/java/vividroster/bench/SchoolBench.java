package vividroster.bench;

import java.sql.Connection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import vividroster.testkit.RunningServer;
import vividroster.testkit.TestCluster;

/** The pages of a full school in its fifth year, beside bare SQL for the same rows, with fewer and with a million attempts. */
final class SchoolBench {

    private static final int[] SIZES = {100_000, 1_000_000};
    private static final int WARM_UP = 150;
    private static final int RUNS = 120;

    private SchoolBench() {}

    /** @param most goal at p95 in milliseconds */
    record Page(String name, String address, int most, Timings.Work sql) {}

    private record Measured(Timings http, Timings sql, long statements) {}

    static void run() throws Exception {
        Map<Integer, Map<String, Measured>> bySize = new LinkedHashMap<>();
        List<Page> pages = List.of();
        try (RunningServer server = RunningServer.start(TestCluster.shared().newDatabase(), "no")) {
            FullSchool school = FullSchool.open(server);
            BlockingClient client = school.director();
            try (Connection connection = server.database().connect()) {
                pages = pages(school, new SchoolSql(connection, school));
                for (int size : SIZES) {
                    System.out.printf(Locale.ROOT, "Filling up to %,d attempts ...%n", size);
                    school.fillUpTo(connection, size);
                    bySize.put(size, measure(server, client, pages));
                }
            }
        }
        print(pages, bySize);
    }

    static List<Page> pages(FullSchool school, SchoolSql sql) {
        UUID classId = school.classes.getFirst();
        List<UUID> one = List.of(classId);
        String scope = "classId=" + classId;
        UUID milestone = school.milestones.get((4 * 13 + 30) % FullSchool.MILESTONES);
        UUID student = school.students.getFirst();
        return List.of(
                new Page("podium", "/api/podium", 200, () -> sql.sheet(school.classes)),
                new Page("board of a class of 60", "/api/board?" + scope, 150, () -> sql.sheet(one)),
                new Page("rail", "/api/rail?" + scope, 150, () -> sql.sheet(one)),
                new Page("choices", "/api/hearing/choices?" + scope, 150, () -> sql.sheet(one)),
                new Page("run", "/api/hearing/run/" + milestone + "?" + scope, 150, () -> sql.sheet(one)),
                new Page("folder", "/api/students/" + student + "/folder", 100, () -> sql.folder(student)));
    }

    private static Map<String, Measured> measure(RunningServer server, BlockingClient client, List<Page> pages)
            throws Exception {
        Map<String, Measured> measured = new LinkedHashMap<>();
        for (int runs : new int[] {WARM_UP, RUNS}) {
            for (Page page : pages) {
                measured.put(page.name(), new Measured(new Timings(), new Timings(), 0));
            }
            for (int i = 0; i < runs; i++) {
                for (Page page : pages) {
                    long before = server.statements();
                    Measured one = measured.get(page.name());
                    one.http().time(() -> client.get(page.address()));
                    measured.put(page.name(), new Measured(one.http(), one.sql(), server.statements() - before));
                    one.sql().time(page.sql());
                }
            }
        }
        return measured;
    }

    private static void print(List<Page> pages, Map<Integer, Map<String, Measured>> bySize) {
        System.out.printf(
                Locale.ROOT,
                "%nA school of %d students, %d lines and %d orders a year, in its fifth year%n",
                FullSchool.STUDENTS,
                FullSchool.MILESTONES,
                FullSchool.CLASSES * FullSchool.ORDERS_OF_CLASS);
        System.out.printf(
                "%-26s%12s%12s%12s%12s%12s%14s%n",
                "", "attempts", "HTTP p50", "HTTP p95", "SQL p50", "SQL p95", "statements");
        bySize.forEach((size, measured) -> measured.forEach((name, one) -> System.out.printf(
                Locale.ROOT,
                "%-26s%,12d%9.1f ms%9.1f ms%9.1f ms%9.1f ms%14d%n",
                name,
                size,
                one.http().percentile(50),
                one.http().percentile(95),
                one.sql().percentile(50),
                one.sql().percentile(95),
                one.statements())));
        System.out.println();
        Map<String, Measured> few = bySize.get(SIZES[0]);
        Map<String, Measured> many = bySize.get(SIZES[1]);
        for (Page page : pages) {
            Measured one = many.get(page.name());
            goal(page.name() + " at p95, ms", one.http().percentile(95), page.most());
            goal(
                    page.name() + ", 1 million to 100 thousand at p50",
                    one.http().percentile(50) / few.get(page.name()).http().percentile(50),
                    1.3);
            goal(
                    page.name() + ", 1 million to 100 thousand at p95",
                    one.http().percentile(95) / few.get(page.name()).http().percentile(95),
                    1.3);
        }
        goal("podium, statements", many.get("podium").statements(), 30);
    }

    static void goal(String what, double is, double most) {
        System.out.printf(
                Locale.ROOT, "%-60s %7.2f   goal at most %5.1f   %s%n", what, is, most, is <= most ? "met" : "MISSED");
    }
}
