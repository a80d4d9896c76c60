package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.ServerSocket;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import vividroster.testkit.ApiClient;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;
import vividroster.testkit.TestCluster;
import vividroster.testkit.TestCluster.Database;

/** The server is killed while marks stream in: every acknowledged mark is there afterwards, none twice. */
class KilledServerTest {

    private static final int STREAMS = 4;
    private static final int ACKNOWLEDGED_BEFORE_THE_KILL = 120;

    private record Sent(Map<String, Object> body, boolean acknowledged) {}

    @Test
    @Timeout(180)
    void acknowledgedMarksOutliveAKillAndResendingRecordsOnce() throws Exception {
        Database database = TestCluster.shared().newDatabase();
        School school;
        try (RunningServer server = RunningServer.start(database, "no")) {
            school = School.open(server);
        }
        int port = freePort();
        Process first = launch(database, port);
        ConcurrentLinkedQueue<Sent> sent = new ConcurrentLinkedQueue<>();
        try (var threads = Executors.newFixedThreadPool(STREAMS)) {
            awaitUp(port);
            CountDownLatch enough = new CountDownLatch(ACKNOWLEDGED_BEFORE_THE_KILL);
            List<Future<?>> streams = new ArrayList<>();
            for (int i = 0; i < STREAMS; i++) {
                ApiClient client = school.directorAt(address(port));
                streams.add(threads.submit(() -> stream(school, client, sent, enough)));
            }
            assertThat(enough.await(60, TimeUnit.SECONDS)).isTrue();
            first.destroyForcibly().waitFor();
            for (Future<?> stream : streams) {
                stream.get(30, TimeUnit.SECONDS);
            }
        } finally {
            first.destroyForcibly();
        }

        List<UUID> acknowledged = sent.stream()
                .filter(Sent::acknowledged)
                .map(s -> (UUID) s.body().get("id"))
                .toList();
        assertThat(acknowledged).hasSizeGreaterThanOrEqualTo(ACKNOWLEDGED_BEFORE_THE_KILL);
        assertThat(idsIn(database)).containsAll(acknowledged);

        Process second = launch(database, port);
        try {
            awaitUp(port);
            ApiClient client = school.directorAt(address(port));
            for (Sent one : sent) {
                assertThat(client.post("/api/attempts", one.body()).status()).isEqualTo(200);
            }
        } finally {
            second.destroy();
            second.waitFor();
        }
        List<UUID> all = sent.stream().map(s -> (UUID) s.body().get("id")).toList();
        assertThat(idsIn(database)).containsExactlyInAnyOrderElementsOf(all);
    }

    private static void stream(
            School school, ApiClient client, ConcurrentLinkedQueue<Sent> sent, CountDownLatch enough) {
        List<String> students = List.of("Ana Reed", "Bo Lund", "Cy Moor", "Di Vale", "Ed Stone", "Flo Hart");
        for (int i = 0; ; i++) {
            Map<String, Object> mark = school.attempt(students.get(i % 6), "line", i % 3 == 0 ? "PASS" : "NOT_YET");
            try {
                boolean acknowledged = client.post("/api/attempts", mark).status() == 200;
                sent.add(new Sent(mark, acknowledged));
                enough.countDown();
            } catch (UncheckedIOException cutOff) {
                sent.add(new Sent(mark, false));
                return;
            }
        }
    }

    private static List<UUID> idsIn(Database database) throws Exception {
        List<UUID> ids = new ArrayList<>();
        try (var connection = database.connect();
                var rows = connection.createStatement().executeQuery("select id from attempt")) {
            while (rows.next()) {
                ids.add(rows.getObject(1, UUID.class));
            }
        }
        return ids;
    }

    private static Process launch(Database database, int port) throws IOException {
        List<String> command = new ArrayList<>(List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-XX:TieredStopAtLevel=1",
                "-cp",
                System.getProperty("java.class.path"),
                "vividroster.server.VividRosterApplication",
                "--server.port=" + port));
        command.addAll(RunningServer.settings(database));
        return new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .start();
    }

    private static void awaitUp(int port) throws InterruptedException {
        long end = System.nanoTime() + Duration.ofSeconds(60).toNanos();
        while (System.nanoTime() < end) {
            try {
                if (new ApiClient(address(port)).get("/actuator/health").status() == 200) {
                    return;
                }
            } catch (UncheckedIOException notYet) {
                // not listening yet
            }
            Thread.sleep(100);
        }
        throw new AssertionError("the server did not come up on port " + port);
    }

    private static String address(int port) {
        return "http://127.0.0.1:" + port;
    }

    private static int freePort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        }
    }
}
