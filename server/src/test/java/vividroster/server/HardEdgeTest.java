package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import vividroster.testkit.ApiClient;
import vividroster.testkit.ApiClient.Answer;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

/** What comes in is bounded before anybody thinks about it, and a sign-in stands against guessing. */
class HardEdgeTest {

    private final RunningServer server = RunningServer.shared();
    private final School school = School.open(server);
    private final ApiClient director = school.director();

    private void execute(String sql) throws SQLException {
        try (Connection connection = server.database().connect();
                var statement = connection.createStatement()) {
            statement.execute(sql);
        }
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "/api/podium?on=-999999999-01-01",
                "/api/podium?on=%2B999999999-12-31",
                "/api/rail?on=1999-12-31",
                "/api/season/due-day?on=2080-01-01",
                "/api/board?on=yesterday"
            })
    void aDayFarOffIsToldAtOnce(String address) {
        long begun = System.nanoTime();
        Answer answer = director.get(address);
        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.sentence()).contains("is no day from 2000-01-01 to 2079-12-31");
        assertThat((System.nanoTime() - begun) / 1e9).isLessThan(2);
    }

    /** In addresses, alone and among the parts of a section, and in bodies. */
    @Test
    void anInstrumentThatIsNoneIsToldWhereverItComesIn() {
        List<Answer> answers = List.of(
                director.get("/api/board?classId=" + school.id("Winds") + "&instrument=Kazoo%20"),
                director.get("/api/checks/starters?instrument=Kazoo"),
                director.get("/api/instruments/Kazoo/parts"),
                director.post("/api/season/orders", school.order(List.of(school.section("Kazoo")), "line")));
        assertThat(answers).allSatisfy(answer -> {
            assertThat(answer.status()).isEqualTo(422);
            assertThat(answer.field()).isEqualTo("instrument");
            assertThat(answer.sentence()).isEqualTo("\"Kazoo\" is not an instrument of the catalog.");
        });
    }

    @Test
    void theFarthestDaysOfTheRangeAreNoWork() {
        for (String day : List.of("2000-01-01", "2079-12-31")) {
            long begun = System.nanoTime();
            assertThat(director.get("/api/podium?on=" + day).status()).isEqualTo(200);
            assertThat((System.nanoTime() - begun) / 1e9).isLessThan(2);
        }
    }

    @Test
    void aBodyHasAMegabyte() {
        Map<String, Object> attempt = school.attempt("Ana Reed", "line", "PASS");
        attempt.put("padding", "a".repeat(1_100_000));
        Answer answer = director.post("/api/attempts", attempt);
        assertThat(answer.status()).isEqualTo(413);
        assertThat(answer.sentence()).isEqualTo("This is larger than 1 MB; nothing was changed.");
    }

    @Test
    void aBodyOfUnknownLengthIsCountedWhileItIsRead() throws Exception {
        HttpRequest request = HttpRequest.newBuilder(URI.create(server.address() + "/api/session"))
                .header("Content-Type", "application/json")
                .header("X-XSRF-TOKEN", "a")
                .header("Cookie", "XSRF-TOKEN=a")
                .POST(HttpRequest.BodyPublishers.ofInputStream(() -> new java.io.ByteArrayInputStream(
                        ("{\"signInName\":\"" + "a".repeat(3_000_000) + "\"}").getBytes(StandardCharsets.UTF_8))))
                .build();
        try (HttpClient http = HttpClient.newHttpClient()) {
            assertThat(http.send(request, HttpResponse.BodyHandlers.ofString()).statusCode())
                    .isEqualTo(413);
        }
    }

    @Test
    void textThatCannotBeKeptIsToldAndTheRestIsMadeNormal() {
        Map<String, Object> report = new HashMap<>(Map.of(
                "id", java.util.UUID.randomUUID(),
                "studentId", school.id("Ana Reed"),
                "classId", school.id("Winds"),
                "place", "wr\u0000ist",
                "since", "Monday"));
        Answer answer = director.post("/api/pain-reports", report);
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.field()).isEqualTo("place");
        assertThat(answer.sentence()).isEqualTo("This text holds a control character; type it anew.");
        report.put("place", "  Zoe\u0308's wrist ");
        assertThat(director.post("/api/pain-reports", report).status()).isLessThan(300);
        assertThat(director.get("/api/students/" + school.id("Ana Reed") + "/pain-reports")
                        .json()
                        .get(0)
                        .path("place")
                        .asString())
                .isEqualTo("Zo\u00EB's wrist");
        assertThat(director.get("/api/board?division=a%00b").status()).isEqualTo(400);
    }

    @ParameterizedTest
    @CsvSource({
        "application/json, {, 400",
        "application/json, '[]', 400",
        "text/plain, hello, 415",
        "multipart/form-data; boundary=x, --x, 415",
        "application/x-www-form-urlencoded, a=b, 415"
    })
    void garbageAtTheDoorIsTheSendersFault(String type, String body, int status) {
        ApiClient visitor = server.visitor();
        visitor.get("/api/session");
        assertThat(visitor.raw("POST", "/api/session", body, type).status()).isEqualTo(status);
    }

    @Test
    void thePageOfErrorsIsNoAddress() {
        assertThat(server.visitor().get("/error").status()).isEqualTo(404);
        assertThat(director.get("/error").sentence()).isEqualTo("There is nothing at this address.");
    }

    @Test
    void everyAnswerSaysWhatABrowserMayDo() throws Exception {
        try (HttpClient http = HttpClient.newHttpClient()) {
            for (String path : List.of("/", "/api/session")) {
                var headers = http.send(
                                HttpRequest.newBuilder(URI.create(server.address() + path))
                                        .build(),
                                HttpResponse.BodyHandlers.discarding())
                        .headers();
                assertThat(headers.firstValue("Referrer-Policy")).contains("same-origin");
                assertThat(headers.firstValue("Permissions-Policy").orElse("")).contains("geolocation=()");
                assertThat(headers.firstValue("X-Content-Type-Options")).contains("nosniff");
                assertThat(headers.firstValue("Content-Security-Policy").orElse(""))
                        .contains("default-src 'self'");
            }
        }
    }

    @Test
    void behindAProxyWithHttpsCookiesAreSecure() throws Exception {
        try (HttpClient http = HttpClient.newHttpClient()) {
            var request = HttpRequest.newBuilder(URI.create(server.address() + "/api/session"));
            var plain = http.send(request.build(), HttpResponse.BodyHandlers.discarding());
            var proxied = http.send(
                    request.header("X-Forwarded-Proto", "https")
                            .header("X-Forwarded-For", "203.0.113.7")
                            .build(),
                    HttpResponse.BodyHandlers.discarding());
            assertThat(plain.headers().allValues("Set-Cookie")).noneMatch(c -> c.contains("Secure"));
            assertThat(proxied.headers().allValues("Set-Cookie")).isNotEmpty().allMatch(c -> c.contains("Secure"));
            assertThat(proxied.headers().firstValue("Strict-Transport-Security"))
                    .isPresent();
        }
    }

    @Test
    void guessingWaitsLongerAndLonger() throws SQLException {
        String name = school.directorName();
        List<Integer> answers = new ArrayList<>();
        for (int i = 0; i < 8; i++) {
            answers.add(server.visitor().trySignIn(name, "wrong-number-" + i).status());
        }
        assertThat(answers).startsWith(401, 401, 401, 401).endsWith(429);
        Answer right = server.visitor().trySignIn(name, School.PASSWORD);
        assertThat(right.status()).as("even the right one waits").isEqualTo(429);
        assertThat(right.sentence()).startsWith("Too many tries did not match. Wait ");
        assertThat(director.get("/api/session").status())
                .as("who is signed in already is not touched")
                .isEqualTo(200);
        execute("update sign_in_failure set last_failed_at = last_failed_at - interval '1 minute'");
        assertThat(server.visitor().trySignIn(name, School.PASSWORD).status())
                .as("after the wait")
                .isEqualTo(200);
        assertThat(server.visitor().trySignIn(name, "wrong again").status())
                .as("and it begins anew")
                .isEqualTo(401);
        execute("delete from sign_in_failure");
    }

    @Test
    void twentyFourWhoGuessAtOnceGetFewTries() throws Exception {
        String name = school.directorName();
        List<Thread> guessers = new ArrayList<>();
        List<Integer> answers = java.util.Collections.synchronizedList(new ArrayList<>());
        for (int i = 0; i < 24; i++) {
            int n = i;
            guessers.add(Thread.ofVirtual()
                    .start(() -> answers.add(server.visitor()
                            .trySignIn(name, "guess number " + n)
                            .status())));
        }
        for (Thread guesser : guessers) {
            guesser.join();
        }
        assertThat(answers).hasSize(24).containsOnly(401, 429);
        assertThat(answers.stream().filter(status -> status == 401)).hasSizeLessThan(8);
        execute("delete from sign_in_failure");
    }

    @ParameterizedTest
    @CsvSource({
        "short, at least 10 letters",
        "password2026, among those guessed first",
        "1234567890, too even",
        "äöüÄÖÜßäöüÄÖÜßäöüÄÖÜßäöüÄÖÜßäöüÄÖÜßäöü, too long",
    })
    void aPasswordThatIsEasyIsTold(String password, String sentence) {
        Answer answer = director.post(
                "/api/people",
                Map.of(
                        "signInName",
                        "rosalind-" + school.programId(),
                        "displayName",
                        "Rosalind",
                        "role",
                        "ASSISTANT",
                        "password",
                        password));
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.field()).isEqualTo("password");
        assertThat(answer.sentence()).contains(sentence);
    }

    @Test
    void aChangedRoleAndADisabledAccountCountAtTheNextRequest() throws SQLException {
        ApiClient assistant = school.assistant();
        assertThat(assistant.get("/api/session").status()).isEqualTo(200);
        String where = " where program_id = '" + school.programId() + "' and role = 'ASSISTANT'";
        execute("update account set version = version + 1" + where);
        assertThat(assistant.get("/api/session").status())
                .as("role or password changed: sign in again")
                .isEqualTo(401);
        ApiClient again = school.assistant();
        execute("update account set disabled_at = now()" + where);
        assertThat(again.get("/api/podium").status()).isEqualTo(401);
        assertThat(server.visitor()
                        .trySignIn(school.directorName().replace("director", "assistant"), School.PASSWORD)
                        .status())
                .isEqualTo(401);
    }

    @Test
    void aSessionThatCannotBeReadIsDroppedAndAskedToSignIn() throws SQLException {
        ApiClient someone = school.director();
        execute("""
                update spring_session_attributes set attribute_bytes = '\\xDEADBEEF'
                where session_primary_id in (select primary_id from spring_session order by creation_time desc limit 1)
                """);
        Answer answer = someone.get("/api/podium");
        assertThat(answer.status()).as(answer.text()).isEqualTo(401);
        assertThat(someone.signIn(school.directorName(), School.PASSWORD)
                        .get("/api/podium")
                        .status())
                .isEqualTo(200);
    }

    @Test
    void aLockedTableIsSaidAndHoldsNobodyElseUp() throws Exception {
        try (Connection holder = server.database().connect();
                var statement = holder.createStatement()) {
            holder.setAutoCommit(false);
            statement.execute("lock table client_write in access exclusive mode");
            Map<String, Object> report = Map.of(
                    "id", java.util.UUID.randomUUID(),
                    "studentId", school.id("Ana Reed"),
                    "classId", school.id("Winds"),
                    "place", "wrist",
                    "since", "Monday");
            long begun = System.nanoTime();
            Answer answer = director.post("/api/pain-reports", report);
            assertThat(answer.status()).isEqualTo(503);
            assertThat(answer.sentence()).startsWith("The database does not answer at the moment.");
            assertThat((System.nanoTime() - begun) / 1e9).as("the lock's limit").isBetween(3.0, 8.0);
            assertThat(director.get("/api/podium").status()).isEqualTo(200);
            holder.rollback();
            assertThat(director.post("/api/pain-reports", report).status()).isLessThan(300);
        }
    }

    @Test
    void aFullPoolSaysSo() throws Exception {
        List<Integer> answers = java.util.Collections.synchronizedList(new ArrayList<>());
        try (Connection holder = server.database().connect();
                var statement = holder.createStatement()) {
            holder.setAutoCommit(false);
            statement.execute("lock table attempt in access exclusive mode");
            List<Thread> waiting = new ArrayList<>();
            for (int i = 0; i < 30; i++) {
                waiting.add(Thread.ofVirtual()
                        .start(() -> answers.add(
                                director.post("/api/attempts", school.attempt("Bo Lund", "line 2", "NOT_YET"))
                                        .status())));
            }
            for (Thread thread : waiting) {
                thread.join();
            }
            holder.rollback();
        }
        assertThat(answers).hasSize(30).containsOnly(503);
        assertThat(director.post("/api/attempts", school.attempt("Bo Lund", "line 2", "PASS"))
                        .status())
                .as("and then it goes on")
                .isEqualTo(200);
    }

    @Test
    void filesAreAnalysedForThoseWhoMayKeepLines() {
        byte[] line = "X:1\nT:a\nM:4/4\nL:1/4\nK:C\nCDEF|\n".getBytes(StandardCharsets.UTF_8);
        assertThat(school.substitute()
                        .upload("/api/lines/analysis", "a.abc", line, Map.of())
                        .status())
                .isEqualTo(403);
        assertThat(director.upload("/api/lines/analysis", "a.abc", line, Map.of())
                        .status())
                .isEqualTo(200);
    }

    @Test
    void metricsAreBehindASetting() {
        assertThat(server.visitor().get("/actuator/prometheus").status()).isEqualTo(401);
        assertThat(director.get("/actuator/prometheus").status()).isEqualTo(403);
    }

    @Test
    void twoHundredAndThirtyWhoDripDoNotStopTheServer() throws Exception {
        URI address = URI.create(server.address());
        List<Socket> dripping = new ArrayList<>();
        try {
            for (int i = 0; i < 230; i++) {
                Socket socket = new Socket(address.getHost(), address.getPort());
                socket.getOutputStream()
                        .write(("POST /api/session HTTP/1.1\r\nHost: x\r\nContent-Type: application/json\r\n"
                                        + "Content-Length: 900\r\nX-XSRF-TOKEN: a\r\nCookie: XSRF-TOKEN=a\r\n\r\n{\"")
                                .getBytes(StandardCharsets.US_ASCII));
                socket.getOutputStream().flush();
                dripping.add(socket);
            }
            long begun = System.nanoTime();
            for (int i = 0; i < 20; i++) {
                assertThat(director.get("/api/rail?classId=" + school.id("Winds"))
                                .status())
                        .isEqualTo(200);
            }
            assertThat((System.nanoTime() - begun) / 20e9).as("seconds each").isLessThan(1);
        } finally {
            for (Socket socket : dripping) {
                try {
                    socket.close();
                } catch (IOException e) {
                    // gone already
                }
            }
        }
        Thread.sleep(300);
        assertThat(director.post("/api/attempts", school.attempt("Ana Reed", "line", "PASS"))
                        .status())
                .isEqualTo(200);
    }
}
