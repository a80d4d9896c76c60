package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import vividroster.testkit.ApiClient;
import vividroster.testkit.ApiClient.Answer;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

/** Own passwords, forgotten ones, roles, and who may no longer sign in. */
class PeopleTest {

    private static final String ANOTHER = "six ferries before noon";

    private final RunningServer server = RunningServer.shared();
    private final School school = School.open(server);
    private final ApiClient director = school.director();

    private String idOf(String role) {
        for (JsonNode person : director.get("/api/people").json()) {
            if (person.path("role").asString().equals(role)) {
                return person.path("id").asString();
            }
        }
        throw new AssertionError(role);
    }

    private Answer change(String id, String name, String role, boolean disabled) {
        return director.put("/api/people/" + id, Map.of("displayName", name, "role", role, "disabled", disabled));
    }

    @Test
    void aNewPasswordCountsHereAndSignsOutEverywhereElse() {
        ApiClient elsewhere = school.director();
        Answer wrong = director.post("/api/session/password", Map.of("current", "not this one", "password", ANOTHER));
        assertThat(wrong.status()).isEqualTo(422);
        assertThat(wrong.field()).isEqualTo("current");
        assertThat(wrong.sentence()).isEqualTo("This is not your present password.");
        Answer easy =
                director.post("/api/session/password", Map.of("current", School.PASSWORD, "password", "password2026"));
        assertThat(easy.status()).isEqualTo(422);
        assertThat(easy.field()).isEqualTo("password");
        assertThat(elsewhere.get("/api/session").status()).isEqualTo(200);

        assertThat(director.post("/api/session/password", Map.of("current", School.PASSWORD, "password", ANOTHER))
                        .status())
                .isEqualTo(204);
        assertThat(director.get("/api/session").status()).as("here one stays").isEqualTo(200);
        assertThat(elsewhere.get("/api/session").status()).isEqualTo(401);
        assertThat(server.visitor()
                        .trySignIn(school.directorName(), School.PASSWORD)
                        .status())
                .isEqualTo(401);
        assertThat(server.visitor().trySignIn(school.directorName(), ANOTHER).status())
                .isEqualTo(200);
        assertThat(director.post("/api/season/orders", school.order(java.util.List.of(school.tutti()), "line"))
                        .status())
                .as("the token goes with the session")
                .isEqualTo(201);
    }

    @Test
    void signingOutElsewhereLeavesThisOne() {
        ApiClient elsewhere = school.director();
        assertThat(director.delete("/api/session/elsewhere").status()).isEqualTo(204);
        assertThat(director.get("/api/session").status()).isEqualTo(200);
        assertThat(elsewhere.get("/api/session").status()).isEqualTo(401);
    }

    @Test
    void aForgottenPasswordIsGivenAnewByADirector() {
        ApiClient assistant = school.assistant();
        String id = idOf("ASSISTANT");
        assertThat(assistant
                        .post("/api/people/" + id + "/password", Map.of("password", ANOTHER))
                        .status())
                .isEqualTo(403);
        assertThat(director.post("/api/people/" + id + "/password", Map.of("password", "short"))
                        .sentence())
                .contains("at least 10 letters");
        assertThat(director.post("/api/people/" + id + "/password", Map.of("password", ANOTHER))
                        .status())
                .isEqualTo(204);
        assertThat(assistant.get("/api/session").status()).isEqualTo(401);
    }

    @Test
    void whoIsDisabledIsOutAtOnceAndCanBeLetInAgain() {
        ApiClient assistant = school.assistant();
        String id = idOf("ASSISTANT");
        assertThat(change(id, "Bram Low", "ASSISTANT", true).status()).isEqualTo(204);
        assertThat(assistant.get("/api/session").status()).isEqualTo(401);
        assertThat(director.get("/api/people").text())
                .contains("\"disabled\":true")
                .contains("Bram Low");
        assertThat(change(id, "Bram Low", "ASSISTANT", false).status()).isEqualTo(204);
        assertThat(school.assistant().get("/api/session").status()).isEqualTo(200);
        assertThat(assistant.get("/api/session").status())
                .as("a session from before stays ended")
                .isEqualTo(401);
    }

    @Test
    void aNewNameLeavesSessionsAndANewRoleEndsThem() {
        ApiClient assistant = school.assistant();
        String id = idOf("ASSISTANT");
        assertThat(change(id, "Bram Vale", "ASSISTANT", false).status()).isEqualTo(204);
        assertThat(assistant.get("/api/session").text()).contains("Bram Vale");
        assertThat(change(id, "Bram Vale", "DIRECTOR", false).status()).isEqualTo(204);
        assertThat(assistant.get("/api/session").status()).isEqualTo(401);
        assertThat(school.assistant().get("/api/session").text()).contains("\"DIRECTOR\"");
    }

    @Test
    void aDirectorWhoCanSignInIsAlwaysLeft() {
        String id = idOf("DIRECTOR");
        Answer alone = change(id, "Odile Rook", "ASSISTANT", false);
        assertThat(alone.status()).isEqualTo(409);
        assertThat(alone.sentence())
                .isEqualTo("A programme needs a director who can sign in; make somebody else one first.");
        assertThat(change(id, "Odile Rook", "DIRECTOR", true).status()).isEqualTo(409);
        school.assistant();
        assertThat(change(idOf("ASSISTANT"), "Bram Vale", "DIRECTOR", false).status())
                .isEqualTo(204);
        assertThat(change(id, "Odile Rook", "ASSISTANT", false).status()).isEqualTo(204);
        assertThat(director.get("/api/people").status()).isEqualTo(401);
    }

    @Test
    void nobodyOfAnotherProgrammeIsFound() {
        School other = School.open(server);
        String id = other.director().get("/api/people").json().get(0).path("id").asString();
        assertThat(change(id, "Nobody", "DIRECTOR", false).status()).isEqualTo(404);
        assertThat(director.post("/api/people/" + id + "/password", Map.of("password", ANOTHER))
                        .status())
                .isEqualTo(404);
    }
}
