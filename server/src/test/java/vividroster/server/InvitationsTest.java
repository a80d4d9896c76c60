package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.Connection;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import vividroster.testkit.ApiClient;
import vividroster.testkit.ApiClient.Answer;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

/** Invitations by a one-time link: taken once, in time, and not when taken back. */
class InvitationsTest {

    private static final String WORDS = "four bows to a note";

    private final RunningServer server = RunningServer.shared();
    private final School school = School.open(server);
    private final ApiClient director = school.director();

    private JsonNode invite(String name, String role) {
        Answer made = director.post("/api/invitations", Map.of("displayName", name, "role", role));
        assertThat(made.status()).as(made.text()).isEqualTo(201);
        return made.json();
    }

    private static Answer take(ApiClient visitor, String token, String name, String password) {
        visitor.get("/api/session"); // brings the token of a page that was opened
        return visitor.post("/api/invitations/take", Map.of("token", token, "signInName", name, "password", password));
    }

    private String name(String who) {
        return who + "-" + school.directorName();
    }

    @Test
    void whoTakesItIsSignedInAsWhatTheyWereInvitedAs() {
        String token = invite("Bram Yule", "ASSISTANT").path("token").asString();
        ApiClient visitor = server.visitor();
        visitor.get("/api/session");
        JsonNode invited =
                visitor.post("/api/invitations/look", Map.of("token", token)).json();
        assertThat(invited.path("displayName").asString()).isEqualTo("Bram Yule");
        assertThat(invited.path("role").asString()).isEqualTo("ASSISTANT");
        assertThat(take(visitor, token, name("bram"), "password2026").field())
                .as("too easy, and the link stays good")
                .isEqualTo("password");
        assertThat(take(visitor, token, school.directorName(), WORDS).field()).isEqualTo("signInName");
        assertThat(take(visitor, token, name("bram"), WORDS).status()).isEqualTo(204);
        assertThat(visitor.get("/api/session").json().path("role").asString()).isEqualTo("ASSISTANT");
        assertThat(server.visitor().trySignIn(name("bram"), WORDS).status()).isEqualTo(200);
    }

    @Test
    void takenTwiceItSaysWhen() {
        String token = invite("Bram Yule", "ASSISTANT").path("token").asString();
        take(server.visitor(), token, name("bram"), WORDS);
        Answer again = take(server.visitor(), token, name("other"), WORDS);
        assertThat(again.status()).isEqualTo(409);
        assertThat(again.sentence()).startsWith("This invitation was used on ").endsWith("tell your director.");
    }

    @Test
    void late() throws Exception {
        String token = invite("Bram Yule", "ASSISTANT").path("token").asString();
        try (Connection connection = server.database().connect();
                var statement = connection.createStatement()) {
            statement.execute("update invitation set made_at = made_at - interval '15 days' where program_id = '"
                    + school.programId() + "'");
        }
        Answer answer = take(server.visitor(), token, name("bram"), WORDS);
        assertThat(answer.sentence()).startsWith("This invitation was good until ");
        assertThat(director.get("/api/invitations").json().get(0).path("fault").asString())
                .isEqualTo("LATE");
    }

    @Test
    void takenBack() {
        JsonNode made = invite("Bram Yule", "SUBSTITUTE_TEACHER");
        String address = "/api/invitations/" + made.path("id").asString();
        assertThat(director.delete(address).status()).isEqualTo(204);
        assertThat(take(server.visitor(), made.path("token").asString(), name("bram"), WORDS)
                        .sentence())
                .isEqualTo("This invitation was taken back. Ask your director for another.");
        assertThat(director.delete(address).status()).isEqualTo(409);
        assertThat(School.open(server).director().delete(address).status())
                .as("of another programme")
                .isEqualTo(409);
    }

    @Test
    void nonsenseIsNoInvitation() {
        ApiClient visitor = server.visitor();
        visitor.get("/api/session");
        Answer answer = visitor.post("/api/invitations/look", Map.of("token", "abc"));
        assertThat(answer.status()).isEqualTo(404);
        assertThat(answer.sentence()).startsWith("This link is no invitation");
    }

    @Test
    void theLinkIsKeptNowhere() throws Exception {
        String token = invite("Bram Yule", "ASSISTANT").path("token").asString();
        try (Connection connection = server.database().connect();
                var row = connection
                        .createStatement()
                        .executeQuery(
                                "select count(*) from invitation where invitation::text like '%" + token + "%'")) {
            row.next();
            assertThat(row.getInt(1)).isZero();
        }
        assertThat(director.get("/api/invitations").text()).doesNotContain(token);
    }

    @Test
    void aCoachIsInvitedWithSectionsAndNobodyElse() {
        assertThat(director.post("/api/invitations", Map.of("displayName", "Io", "role", "SECTION_COACH"))
                        .sentence())
                .isEqualTo("Choose the sections the coach sees and hears.");
        Map<String, Object> trumpets = Map.of("classId", school.id("Winds"), "instrument", "trumpet");
        assertThat(director.post(
                                "/api/invitations",
                                Map.of("displayName", "Io", "role", "ASSISTANT", "sections", List.of(trumpets)))
                        .field())
                .isEqualTo("sections");
        String token = director.post(
                        "/api/invitations",
                        Map.of("displayName", "Io", "role", "SECTION_COACH", "sections", List.of(trumpets)))
                .json()
                .path("token")
                .asString();
        ApiClient coach = server.visitor();
        take(coach, token, name("io"), WORDS);
        assertThat(coach.get("/api/rail?classId=" + school.id("Winds")).json().path("sections"))
                .hasSize(1);
        for (JsonNode person : director.get("/api/people").json()) {
            if (person.path("role").asString().equals("SECTION_COACH")) {
                assertThat(person.path("sections").get(0).path("instrument").asString())
                        .isEqualTo("trumpet");
            }
        }
    }
}
