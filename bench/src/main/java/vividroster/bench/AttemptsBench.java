package vividroster.bench;

import java.sql.Connection;
import java.util.Locale;
import java.util.Map;
import vividroster.testkit.RunningServer;
import vividroster.testkit.TestCluster;

/** Recording an attempt and loading a section board, beside the same work as bare SQL, with few and many attempts. */
final class AttemptsBench {

    private static final int[] SIZES = {10_000, 1_000_000};
    private static final int WARM_UP = 6_000;
    private static final int RUNS = 1_200;

    private AttemptsBench() {}

    private record Measured(Timings bare, Timings recordHttp, Timings recordSql, Timings boardHttp, Timings boardSql) {}

    static void run() throws Exception {
        Measured[] measured = new Measured[SIZES.length];
        try (RunningServer server = RunningServer.start(TestCluster.shared().newDatabase(), "no")) {
            BenchSchool school = BenchSchool.open(server);
            BlockingClient client = school.director();
            try (Connection connection = server.database().connect()) {
                for (int i = 0; i < SIZES.length; i++) {
                    System.out.printf(Locale.ROOT, "Filling up to %,d attempts ...%n", SIZES[i]);
                    school.fillUpTo(connection, SIZES[i]);
                    measured[i] = measure(school, client, new BareSql(connection, school));
                }
            }
        }
        print(measured);
    }

    /** One of each in turn, so that whatever else the machine does falls on all alike. */
    private static Measured measure(BenchSchool school, BlockingClient client, BareSql bare) throws Exception {
        Measured measured = null;
        for (int runs : new int[] {WARM_UP, RUNS}) {
            measured = new Measured(new Timings(), new Timings(), new Timings(), new Timings(), new Timings());
            for (int i = 0; i < runs; i++) {
                Map<String, Object> attempt = school.attempt(i);
                measured.bare().time(() -> client.get("/api/session"));
                measured.recordHttp().time(() -> client.post("/api/attempts", attempt));
                int n = i;
                measured.recordSql().time(() -> bare.record(n));
                measured.boardHttp().time(() -> client.get(school.boardAddress()));
                measured.boardSql().time(bare::board);
            }
        }
        return measured;
    }

    private static void print(Measured[] measured) {
        System.out.println();
        System.out.println(
                "                                     attempts   HTTP p50   HTTP p95    SQL p50    SQL p95   ratio p95");
        System.out.printf(
                Locale.ROOT,
                "%-34s %,10d %7.2f ms %7.2f ms   (for comparison: an answer that needs the session alone)%n",
                "who is signed in",
                SIZES[0],
                measured[0].bare().percentile(50),
                measured[0].bare().percentile(95));
        for (int i = 0; i < SIZES.length; i++) {
            line("record one attempt", SIZES[i], measured[i].recordHttp(), measured[i].recordSql());
        }
        for (int i = 0; i < SIZES.length; i++) {
            line("board, 12 students x 40 milestones", SIZES[i], measured[i].boardHttp(), measured[i].boardSql());
        }
        System.out.println();
        goal(
                "recording, HTTP to SQL at p95, 10 thousand",
                ratio(measured[0].recordHttp(), measured[0].recordSql(), 95),
                3);
        goal(
                "recording, HTTP to SQL at p95, 1 million",
                ratio(measured[1].recordHttp(), measured[1].recordSql(), 95),
                3);
        goal("board, HTTP to SQL at p95, 10 thousand", ratio(measured[0].boardHttp(), measured[0].boardSql(), 95), 4);
        goal("board, HTTP to SQL at p95, 1 million", ratio(measured[1].boardHttp(), measured[1].boardSql(), 95), 4);
        for (int percent : new int[] {50, 95}) {
            goal(
                    "recording, 1 million to 10 thousand at p" + percent,
                    measured[1].recordHttp().percentile(percent)
                            / measured[0].recordHttp().percentile(percent),
                    1.3);
            goal(
                    "board, 1 million to 10 thousand at p" + percent,
                    measured[1].boardHttp().percentile(percent)
                            / measured[0].boardHttp().percentile(percent),
                    1.3);
        }
    }

    private static double ratio(Timings over, Timings under, int percent) {
        return over.percentile(percent) / under.percentile(percent);
    }

    private static void line(String what, int size, Timings http, Timings sql) {
        System.out.printf(
                Locale.ROOT,
                "%-34s %,10d %7.2f ms %7.2f ms %7.2f ms %7.2f ms %10.2f%n",
                what,
                size,
                http.percentile(50),
                http.percentile(95),
                sql.percentile(50),
                sql.percentile(95),
                ratio(http, sql, 95));
    }

    private static void goal(String what, double ratio, double most) {
        System.out.printf(
                Locale.ROOT,
                "%-46s %5.2f   goal at most %.1f   %s%n",
                what,
                ratio,
                most,
                ratio <= most ? "met" : "MISSED");
    }
}
