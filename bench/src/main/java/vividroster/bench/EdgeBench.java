package vividroster.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import vividroster.testkit.HostileRequests;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;
import vividroster.testkit.TestCluster;

/**
 * What others notice while 24 guess passwords, which cost what they cost at a school; and the slowest answer to anything
 * wrong that can be sent.
 */
final class EdgeBench {

    private static final int GUESSERS = 24;
    private static final int RUNS = 400;

    private EdgeBench() {}

    static void run() throws Exception {
        System.setProperty("vivid.password-strength", "12");
        try (RunningServer server = RunningServer.start(TestCluster.shared().newDatabase(), "no")) {
            School school = School.open(server);
            BlockingClient client = new BlockingClient(server.address()).signIn(school.directorName(), School.PASSWORD);
            Map<String, Object> order = school.order(List.of(school.tutti()), "line", "check");
            client.postAny("/api/season/orders", order);
            measure(client, school, new Timings(), RUNS);
            Timings quiet = new Timings();
            measure(client, school, quiet, RUNS);
            AtomicBoolean over = new AtomicBoolean();
            AtomicInteger guesses = new AtomicInteger();
            List<Thread> guessers = new ArrayList<>();
            for (int i = 0; i < GUESSERS; i++) {
                int n = i;
                guessers.add(Thread.ofVirtual().start(() -> {
                    while (!over.get()) {
                        // Each another name, so that no wait holds them up.
                        server.visitor().trySignIn("nobody-" + n + "-" + guesses.incrementAndGet(), "a guess of ten");
                    }
                }));
            }
            Timings guessed = new Timings();
            measure(client, school, guessed, RUNS);
            over.set(true);
            for (Thread guesser : guessers) {
                guesser.join();
            }
            System.out.printf(
                    Locale.ROOT,
                    "%nA class's rail, alone: %s; while %d guess (%d sign-ins asked): %s%n",
                    quiet,
                    GUESSERS,
                    guesses.get(),
                    guessed);
            double ratio = guessed.percentile(50) / quiet.percentile(50);
            System.out.printf(
                    Locale.ROOT,
                    "%-46s %5.2f   goal at most %.1f   %s%n",
                    "guessed to alone at p50",
                    ratio,
                    2.0,
                    ratio <= 2 ? "met" : "MISSED");
            hostile(server, school);
        } finally {
            System.clearProperty("vivid.password-strength");
        }
    }

    /** Everything wrong that is sent in the tests, timed. */
    private static void hostile(RunningServer server, School school) throws Exception {
        HostileRequests hostile = new HostileRequests(server, school);
        Timings timings = new Timings();
        double slowest = 0;
        String which = "";
        for (HostileRequests.Request request : hostile.sample()) {
            long begun = System.nanoTime();
            hostile.send(request);
            double took = (System.nanoTime() - begun) / 1e6;
            timings.add(took);
            if (took > slowest) {
                slowest = took;
                which = request.operation() + " with " + request.what();
            }
        }
        System.out.printf(Locale.ROOT, "%nHostile requests: %s; slowest %s%n", timings, which);
        System.out.printf(
                Locale.ROOT,
                "%-46s %5.2f   goal at most %.1f   %s%n",
                "slowest answer to a hostile request, in s",
                slowest / 1000,
                2.0,
                slowest <= 2000 ? "met" : "MISSED");
    }

    private static void measure(BlockingClient client, School school, Timings timings, int runs) throws Exception {
        for (int i = 0; i < runs; i++) {
            timings.time(() -> client.get("/api/rail?classId=" + school.id("Winds")));
        }
    }
}
