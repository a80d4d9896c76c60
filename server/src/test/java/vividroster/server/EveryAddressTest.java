package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import vividroster.testkit.ApiClient;
import vividroster.testkit.ApiClient.Answer;
import vividroster.testkit.HostileRequests;
import vividroster.testkit.HostileRequests.Request;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

/**
 * Every address of the API with everything that may be wrong about what is sent to it: each answers in time, none with an
 * error of the server's own, and afterwards every page that could be read can be read.
 */
class EveryAddressTest {

    private static final Duration LONGEST = Duration.ofSeconds(5);

    private final RunningServer server = RunningServer.shared();
    private final School school = School.open(server);
    private final HostileRequests hostile = new HostileRequests(server, school);

    @Test
    void noneFailsAndNothingPoisonousIsKept() {
        assertThat(hostile.operations()).hasSizeGreaterThan(80);
        Map<String, String> before = hostile.readable();
        assertThat(before.values().stream().filter(status -> status.equals("200")))
                .hasSizeGreaterThan(25);

        List<String> wrong = new ArrayList<>();
        int taken = 0;
        for (Request request : hostile.sample()) {
            long begun = System.nanoTime();
            Answer answer = hostile.send(request);
            Duration took = Duration.ofNanos(System.nanoTime() - begun);
            taken += answer.status() < 300 && !request.operation().method().equals("GET") ? 1 : 0;
            boolean unread = answer.status() >= 400
                    && !answer.text().contains("\"detail\"")
                    && !(answer.status() == 400 && request.what().startsWith("parameter"));
            if (answer.status() >= 500 || took.compareTo(LONGEST) > 0 || unread) {
                wrong.add(request.operation() + " with " + request.what() + " answered " + answer.status() + " in "
                        + took.toMillis() + " ms " + answer.text());
            }
        }
        assertThat(wrong).as("seed %d", HostileRequests.SEED).isEmpty();
        assertThat(taken).as("how much of it was taken and kept").isGreaterThan(150);
        ApiClient director = hostile.signInAgain();
        // A warm-up of fewer parts is one too; the page of its first part is asked of the one that ships.
        director.delete("/api/warm-up?classId=" + hostile.classId());
        for (JsonNode check :
                director.get("/api/partner-checks?classId=" + hostile.classId()).json()) {
            assertThat(director.get("/api/partner-checks/" + check.path("id").asString())
                            .status())
                    .as(check.toString())
                    .isEqualTo(200);
        }
        for (String student : List.of("Ana Reed", "Bo Lund", "Ed Stone")) {
            assertThat(director.get("/api/students/" + school.id(student) + "/folder")
                            .status())
                    .isEqualTo(200);
        }
        Map<String, String> expected = only200(before);
        Map<String, String> after = hostile.readable();
        // A class that was given other days, or other instruments, by a change that was taken, says so in a sentence.
        for (String ofTheClass : List.of("/api/season/first-weeks", "/api/warm-up/part")) {
            assertThat(after.get(ofTheClass)).matches("(?s)200|4\\d\\d .*\"detail\".*");
            expected.remove(ofTheClass);
        }
        assertThat(after).as("what could be read before").containsAllEntriesOf(expected);
    }

    private static Map<String, String> only200(Map<String, String> statuses) {
        Map<String, String> good = new LinkedHashMap<>(statuses);
        good.values().removeIf(status -> !status.equals("200"));
        return good;
    }
}
