package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.Callable;
import java.util.concurrent.Executors;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import vividroster.core.music.InstrumentCode;
import vividroster.core.roster.SectionScope;
import vividroster.testkit.ApiClient;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

/** Several listeners at once: what one marks the other sees, and nothing is missed when a connection breaks. */
class LiveTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final RunningServer server = RunningServer.shared();
    private final School school = School.open(server);
    private final ApiClient director = school.director();
    private final ApiClient assistant = school.assistant();

    private record Event(String name, long id, JsonNode data) {}

    /** A device that looks on, until it is closed. */
    private static final class Device implements AutoCloseable {
        private final BlockingQueue<Event> events = new LinkedBlockingQueue<>();
        private final HttpClient http = HttpClient.newHttpClient();
        private final Thread reader;

        Device(String address, ApiClient person, Long since) throws Exception {
            String cookie = person.cookies().entrySet().stream()
                    .map(c -> c.getKey() + "=" + c.getValue())
                    .collect(Collectors.joining("; "));
            HttpResponse<InputStream> answer = http.send(
                    HttpRequest.newBuilder(URI.create(address + "/api/live" + (since == null ? "" : "?since=" + since)))
                            .header("Cookie", cookie)
                            .header("Accept", "text/event-stream")
                            .build(),
                    BodyHandlers.ofInputStream());
            assertThat(answer.statusCode()).isEqualTo(200);
            reader = Thread.ofVirtual().start(() -> read(answer));
        }

        private void read(HttpResponse<InputStream> answer) {
            try (var lines = new BufferedReader(new InputStreamReader(answer.body(), StandardCharsets.UTF_8))) {
                Map<String, String> fields = new HashMap<>();
                for (String line = lines.readLine(); line != null; line = lines.readLine()) {
                    if (line.isEmpty()) {
                        if (fields.containsKey("data")) {
                            events.add(new Event(
                                    fields.get("event"),
                                    Long.parseLong(fields.getOrDefault("id", "-1")),
                                    JSON.readTree(fields.get("data"))));
                        }
                        fields.clear();
                    } else if (!line.startsWith(":")) {
                        fields.put(
                                line.substring(0, line.indexOf(':')),
                                line.substring(line.indexOf(':') + 1).strip());
                    }
                }
            } catch (IOException closed) {
                // the test is over
            }
        }

        Event next(String name) throws InterruptedException {
            for (Event event = events.poll(10, TimeUnit.SECONDS);
                    event != null;
                    event = events.poll(10, TimeUnit.SECONDS)) {
                if (event.name().equals(name)) {
                    return event;
                }
            }
            throw new AssertionError("no " + name + " came");
        }

        List<Event> now() {
            List<Event> found = new ArrayList<>();
            events.drainTo(found);
            return found;
        }

        @Override
        public void close() {
            http.shutdownNow();
            reader.interrupt();
        }
    }

    private Device looksOn(ApiClient person) throws Exception {
        Device device = new Device(server.address(), person, null);
        device.next("here");
        return device;
    }

    @Test
    void aMarkIsSeenByOthersWithinASecond() throws Exception {
        try (Device device = looksOn(assistant)) {
            Map<String, Object> mark = school.attempt("Ana Reed", "line", "PASS");
            long before = System.nanoTime();
            director.post("/api/attempts", mark);
            Event event = device.next("mark");
            assertThat(Duration.ofNanos(System.nanoTime() - before)).isLessThan(Duration.ofSeconds(1));
            assertThat(event.data().path("id").asString())
                    .isEqualTo(mark.get("id").toString());
            assertThat(event.data().path("studentId").asString())
                    .isEqualTo(school.id("Ana Reed").toString());
            assertThat(event.data().path("outcome").asString()).isEqualTo("PASS");
            assertThat(event.data().path("hearerName").asString()).startsWith("Director");
        }
    }

    @Test
    void nothingIsMissedAfterABrokenConnection() throws Exception {
        long seen;
        try (Device device = looksOn(assistant)) {
            director.post("/api/attempts", school.attempt("Ana Reed", "line", "PASS"));
            seen = device.next("mark").id();
        }
        Set<String> meanwhile = Set.of("Bo Lund", "Cy Moor", "Di Vale").stream()
                .map(student -> {
                    Map<String, Object> mark = school.attempt(student, "line", "NOT_YET");
                    director.post("/api/attempts", mark);
                    return mark.get("id").toString();
                })
                .collect(Collectors.toSet());
        assertThat(seenIds(seen)).containsAll(meanwhile);
    }

    /** What came before a device was told that it is here. */
    private Set<String> seenIds(long since) throws Exception {
        try (Device device = new Device(server.address(), assistant, since)) {
            Set<String> ids = new HashSet<>();
            for (Event event = device.events.poll(5, TimeUnit.SECONDS);
                    !event.name().equals("here");
                    event = device.events.poll(5, TimeUnit.SECONDS)) {
                ids.add(event.data().path("id").asString());
            }
            return ids;
        }
    }

    /** Fifty at once from several transactions; each comes once, whatever order they end in. */
    @Test
    void everyMarkComesOnceAlsoWhereManyAreRecordedAtOnce() throws Exception {
        try (Device device = looksOn(assistant);
                var threads = Executors.newFixedThreadPool(5)) {
            List<Map<String, Object>> marks = new ArrayList<>();
            for (int i = 0; i < 50; i++) {
                marks.add(school.attempt(
                        List.of("Ana Reed", "Bo Lund", "Cy Moor", "Di Vale", "Flo Hart")
                                .get(i % 5),
                        "sound",
                        "NOT_YET"));
            }
            threads.invokeAll(marks.stream()
                    .map(mark -> (Callable<Integer>)
                            () -> director.post("/api/attempts", mark).status())
                    .toList());
            List<String> seen = new ArrayList<>();
            while (seen.size() < 50) {
                seen.add(device.next("mark").data().path("id").asString());
            }
            assertThat(seen)
                    .containsExactlyInAnyOrderElementsOf(marks.stream()
                            .map(mark -> mark.get("id").toString())
                            .toList());
            Thread.sleep(400);
            assertThat(device.now())
                    .as("none twice")
                    .noneMatch(event -> event.name().equals("mark"));
        }
    }

    @Test
    void marksOfOtherProgrammesAreNotSeen() throws Exception {
        School other = School.open(server);
        try (Device device = looksOn(assistant)) {
            other.director().post("/api/attempts", other.attempt("Ana Reed", "line", "PASS"));
            Map<String, Object> own = school.attempt("Ana Reed", "line", "PASS");
            director.post("/api/attempts", own);
            assertThat(device.next("mark").data().path("id").asString())
                    .isEqualTo(own.get("id").toString());
        }
    }

    @Test
    void whomSomebodyHearsIsSeenByTheOthersAlone() throws Exception {
        Map<String, UUID> desk = Map.of("studentId", school.id("Ana Reed"), "milestoneId", school.id("line"));
        try (Device own = looksOn(director);
                Device other = looksOn(assistant)) {
            assertThat(director.post("/api/live/desk", desk).status()).isEqualTo(204);
            JsonNode seen = other.next("desk").data();
            assertThat(seen.path("hearerName").asString()).startsWith("Director");
            assertThat(seen.path("studentId").asString())
                    .isEqualTo(school.id("Ana Reed").toString());
            try (Device late = new Device(server.address(), assistant, null)) {
                assertThat(late.next("desk").data().path("studentId").asString())
                        .as("who comes later is told who sits where")
                        .isEqualTo(school.id("Ana Reed").toString());
            }
            director.post("/api/live/desk", Map.of());
            assertThat(other.next("desk").data().has("studentId")).isFalse();
            assertThat(own.now()).noneMatch(event -> event.name().equals("desk"));
        }
        assertThat(director.post("/api/live/desk", Map.of("studentId", school.id("Ana Reed")))
                        .status())
                .isEqualTo(422);
    }

    @Test
    void aCoachIsToldThatSomethingWasMarkedAndNotWhat() throws Exception {
        ApiClient coach = school.coach(
                new SectionScope.Section(school.id("Winds"), new InstrumentCode("flute"), Optional.empty()));
        try (Device device = looksOn(coach)) {
            director.post("/api/attempts", school.attempt("Flo Hart", "line", "PASS"));
            assertThat(device.next("mark").data().size()).isZero();
        }
        String positions = "/api/hearing/positions/" + school.id("line") + "?studentIds=" + school.id("Ana Reed") + ","
                + school.id("Flo Hart");
        JsonNode seen = coach.get(positions).json();
        assertThat(seen).hasSize(1);
        assertThat(seen.get(0).path("studentId").asString())
                .isEqualTo(school.id("Ana Reed").toString());
        assertThat(director.get(positions).json()).hasSize(2);
        assertThat(server.visitor().get("/api/live").status()).isEqualTo(401);
    }

    /** A second instance over the same database, as a district may run it. */
    @Test
    void anotherInstanceSeesItToo() throws Exception {
        try (RunningServer second = RunningServer.start(server.database(), "no");
                Device device = new Device(second.address(), school.directorAt(second.address()), null)) {
            device.next("here");
            Map<String, Object> mark = school.attempt("Ana Reed", "line", "PASS");
            director.post("/api/attempts", mark);
            assertThat(device.next("mark").data().path("id").asString())
                    .isEqualTo(mark.get("id").toString());
        }
    }
}
