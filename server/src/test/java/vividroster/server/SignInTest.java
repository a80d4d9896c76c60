package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.json.JsonMapper;
import vividroster.testkit.ApiClient;
import vividroster.testkit.ApiClient.Answer;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;
import vividroster.testkit.TestCluster;

class SignInTest {

    private final RunningServer server = RunningServer.shared();

    @Test
    void directorSignsInAndOut() {
        School school = School.open(server);
        ApiClient director = school.director();
        Answer me = director.get("/api/session");
        assertThat(me.status()).isEqualTo(200);
        assertThat(me.json().path("role").asString()).isEqualTo("DIRECTOR");
        assertThat(me.json().path("today").asString()).isEqualTo("2026-10-07");
        assertThat(director.delete("/api/session").status()).isEqualTo(204);
        assertThat(director.get("/api/session").status()).isEqualTo(401);
    }

    @Test
    void sessionChangesItsIdAtSignInSoThatAPlantedOneIsWorthless() {
        ApiClient visitor = server.visitor();
        visitor.get("/api/session");
        String before = visitor.cookie("VIVID_SESSION");
        visitor.signIn("odalys", "ferry-to-saltgrass");
        assertThat(visitor.cookie("VIVID_SESSION")).isNotEmpty().isNotEqualTo(before);
    }

    @ParameterizedTest
    @CsvSource({"odalys,wrong-password", "nobody,ferry-to-saltgrass", "'  ODALYS  ',nope-nope-nope"})
    void wrongNamesAndPasswordsGetTheSameSentence(String name, String password) {
        Answer answer = server.visitor().trySignIn(name, password);
        assertThat(answer.status()).isEqualTo(401);
        assertThat(answer.sentence())
                .isEqualTo("Sign-in name and password do not match. Nothing was changed; try again.");
    }

    @Test
    void missingNameIsToldWithItsField() {
        ApiClient visitor = server.visitor();
        visitor.get("/api/session");
        Answer answer = visitor.post("/api/session", Map.of("password", "x"));
        assertThat(answer.status()).isEqualTo(422);
        assertThat(answer.field()).isEqualTo("signInName");
        assertThat(answer.contentType()).startsWith("application/problem+json");
    }

    @Test
    void everyEndpointNeedsSignIn() throws IOException {
        ApiClient visitor = server.visitor();
        visitor.get("/api/session");
        List<String> open = new ArrayList<>();
        int asked = 0;
        var paths = JsonMapper.builder()
                .build()
                .readTree(Files.readAllBytes(TestCluster.projectRoot().resolve("docs/openapi.json")))
                .path("paths");
        for (String path : paths.propertyNames()) {
            String filled = path.replaceAll("\\{[^}]*}", UUID.randomUUID().toString());
            for (String method : paths.path(path).propertyNames()) {
                Answer answer = switch (method) {
                    case "get" -> visitor.get(filled);
                    case "post" -> visitor.post(filled, Map.of());
                    case "put" -> visitor.put(filled, Map.of());
                    case "delete" -> visitor.delete(filled);
                    default -> throw new IllegalStateException("teach this test about " + method);
                };
                asked++;
                boolean signIn = method.equals("post")
                        && (path.equals("/api/session") || path.matches("/api/invitations/(look|take)"));
                // The address of a calendar is its own key.
                if (answer.status() != 401 && !signIn && !path.startsWith("/calendar/")) {
                    open.add(method + " " + path + " answered " + answer.status());
                }
            }
        }
        assertThat(asked).isGreaterThan(20);
        assertThat(open).isEmpty();
        assertThat(visitor.get("/v3/api-docs").status()).isEqualTo(401);
        assertThat(visitor.get("/actuator/env").status()).isEqualTo(401);
        assertThat(visitor.get("/actuator/health").json().path("status").asString())
                .isEqualTo("UP");
    }

    @Test
    void forgedRequestsWithoutTheTokenAreRefused() {
        School school = School.open(server);
        Answer answer = school.director().postWithoutToken("/api/attempts", school.attempt("Ana Reed", "line", "PASS"));
        assertThat(answer.status()).isEqualTo(403);
        assertThat(answer.sentence()).isEqualTo("This page is out of date. Load it again; what you marked is kept.");
    }

    @Test
    void assistantsHearAndOrderButDoNotChangeTheProgram() {
        School school = School.open(server);
        ApiClient assistant = school.assistant();
        assertThat(assistant
                        .post("/api/attempts", school.attempt("Ana Reed", "line", "PASS"))
                        .status())
                .isEqualTo(200);
        assertThat(assistant
                        .post("/api/season/orders", school.order(List.of(school.tutti()), "line"))
                        .status())
                .isEqualTo(201);
        Answer people = assistant.get("/api/people");
        assertThat(people.status()).isEqualTo(403);
        assertThat(people.sentence()).isEqualTo("This is not yours to see or change; ask your director.");
        assertThat(assistant
                        .upload("/api/roster-import/preview", "r.csv", "name\n".getBytes(), Map.of())
                        .status())
                .isEqualTo(403);
        Map<String, Object> newClass = School.classOf("Oboe Corner", "08:00");
        String address = "/api/classes/" + UUID.randomUUID();
        assertThat(assistant.put(address, newClass).status()).isEqualTo(403);
        assertThat(school.director().put(address, newClass).status()).isEqualTo(204);
    }

    @Test
    void directorLetsAnAssistantInAndNamesAreTakenOnce() {
        School school = School.open(server);
        ApiClient director = school.director();
        Map<String, Object> person = Map.of(
                "signInName", "Rosalind-" + school.programId(),
                "displayName", "Rosalind Ayre",
                "role", "ASSISTANT",
                "password", "pegs-and-pistons");
        assertThat(director.post("/api/people", person).status()).isEqualTo(201);
        assertThat(server.visitor()
                        .trySignIn("rosalind-" + school.programId(), "pegs-and-pistons")
                        .status())
                .isEqualTo(200);
        Answer again = director.post("/api/people", person);
        assertThat(again.status()).isEqualTo(422);
        assertThat(again.field()).isEqualTo("signInName");
        assertThat(director.get("/api/people").json().size()).isEqualTo(3);
    }
}
