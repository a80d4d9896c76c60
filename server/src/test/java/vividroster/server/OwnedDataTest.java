package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.sql.Connection;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import vividroster.server.erasing.Erasing;
import vividroster.server.platform.Ids;
import vividroster.testkit.ApiClient;
import vividroster.testkit.ApiClient.Answer;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

/** What the database itself keeps, whatever the application does; who looked; and how a person is taken out of it. */
class OwnedDataTest {

    /** Tables with a student whose rows hold no words, or whose words are taken by the owner's function. */
    private static final List<String> STAY = List.of("attempt", "attempt_trail", "seat");

    private static final List<String> GO = List.of(
            "pain_report",
            "student_variant",
            "student_fit",
            "remedy_helped",
            "measurement",
            "absence",
            "belt_hand_over",
            "habit_look",
            "placing_trial",
            "placing_decision",
            "two_ways");

    private final RunningServer server = RunningServer.shared();
    private final School school = School.open(server);
    private final ApiClient director = school.director();

    private List<String> rows(String sql) throws SQLException {
        List<String> found = new ArrayList<>();
        try (Connection connection = server.database().connect();
                var row = connection.createStatement().executeQuery(sql)) {
            while (row.next()) {
                found.add(row.getString(1));
            }
        }
        return found;
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "update attempt set outcome = 'PASS'",
                "delete from attempt",
                "truncate attempt",
                "alter table attempt disable trigger attempt_no_change",
                "alter table attempt disable trigger all",
                "drop trigger attempt_no_change on attempt",
                "set session_replication_role = replica",
                "update attempt_trail set steps = ''",
                "insert into attempt_trail values (gen_random_uuid(), gen_random_uuid(), gen_random_uuid(), '{}', '', now())",
                "select rebuild_attempt_trails(gen_random_uuid(), null, null)",
                "update audit set what = 'EXPORTED'",
                "delete from audit",
                "update client_write set content = ''",
                "update milestone_version set pass_rule = 'ONE_GOOD_TRY'",
                "delete from flyway_schema_history",
                "create table mine (id int)",
                "drop table attempt",
                "alter role vividroster_app superuser",
                "copy attempt to program 'cat'",
                "select pg_read_file('/etc/passwd')",
            })
    void theApplicationMayNot(String sql) throws SQLException {
        director.post("/api/attempts", school.attempt("Ana Reed", "line", "PASS"));
        try (Connection connection = server.database().connectAsApplication();
                var statement = connection.createStatement()) {
            assertThatThrownBy(() -> statement.execute(sql))
                    .isInstanceOf(SQLException.class)
                    .hasMessageMatching("(?s).*(permission denied|must be owner|must be superuser).*");
        }
    }

    @Test
    void theRoleIsNobodySpecial() throws SQLException {
        assertThat(rows(
                        "select rolsuper or rolcreatedb or rolcreaterole or rolbypassrls or rolreplication from pg_roles"
                                + " where rolname = 'vividroster_app'"))
                .containsExactly("f");
        assertThat(rows("show data_checksums")).containsExactly("on");
    }

    @Test
    void notEvenTheOwnerChangesWhatWasHeard() throws SQLException {
        director.post("/api/attempts", school.attempt("Ana Reed", "line", "PASS"));
        String set = "select set_config('vividroster.erasing', '" + school.id("Ana Reed") + "', false); ";
        for (String change : List.of(
                "set outcome = 'NOT_YET'",
                "set heard_on = heard_on - 1",
                "set note = 'other words'",
                "set waived = true")) {
            assertThatThrownBy(() -> rows(set + "update attempt " + change + " where student_id = '"
                            + school.id("Ana Reed") + "' returning id"))
                    .as(change)
                    .hasMessageContaining("attempts are never changed");
        }
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                // A second seat in the same class at the same time.
                "insert into seat select program_id, gen_random_uuid(), student_id, class_id, 'oboe', '', starts_on + 9,"
                        + " starts_on + 20 from seat where student_id = ':ana'",
                // A second year over the first.
                "insert into school_year select program_id, gen_random_uuid(), 'Other', first_day + 30, last_day + 30 from"
                        + " school_year where program_id = ':program'",
                // A correction of another student's attempt, and an attempt of a version there is not.
                "insert into attempt (program_id, id, student_id, milestone_id, milestone_version, instrument, class_id,"
                        + " heard_by, heard_on, heard_at, evidence, outcome, reason, corrects_id) select program_id,"
                        + " gen_random_uuid(), ':bo', milestone_id, 1, instrument, class_id, heard_by, heard_on, heard_at,"
                        + " evidence, 'UNDONE', 'x', id from attempt where student_id = ':ana' limit 1",
                "insert into attempt (program_id, id, student_id, milestone_id, milestone_version, instrument, class_id,"
                        + " heard_by, heard_on, heard_at, evidence, outcome) select program_id, gen_random_uuid(), student_id,"
                        + " milestone_id, 77, instrument, class_id, heard_by, heard_on, heard_at, evidence, 'PASS' from"
                        + " attempt where student_id = ':ana' limit 1",
            })
    void whatCannotHoldTogetherIsRefused(String sql) throws SQLException {
        director.post("/api/attempts", school.attempt("Ana Reed", "line", "PASS"));
        String filled = sql.replace(":ana", school.id("Ana Reed").toString())
                .replace(":bo", school.id("Bo Lund").toString())
                .replace(":program", school.programId().toString());
        try (Connection connection = server.database().connect();
                var statement = connection.createStatement()) {
            assertThatThrownBy(() -> statement.execute(filled)).hasMessageMatching("(?s).*(_no_overlap|_fk).*");
        }
    }

    private void fillFolder(String name) {
        UUID student = school.id(name);
        Map<String, Object> excused = school.attempt(name, "line 2", "EXCUSED");
        excused.put("reason", name + " broke an arm");
        Map<String, Object> tried = school.attempt(name, "line", "PASS");
        tried.put("note", name + " plays it by heart");
        assertThat(director.post("/api/attempts", excused).status()).isEqualTo(200);
        assertThat(director.post("/api/attempts", tried).status()).isEqualTo(200);
        Map<String, Object> report = new HashMap<>(Map.of(
                "id",
                Ids.next(),
                "studentId",
                student,
                "classId",
                school.id("Winds"),
                "place",
                "wrist",
                "since",
                "May"));
        assertThat(director.post("/api/pain-reports", report).status()).isLessThan(300);
        director.post("/api/pain-reports/" + report.get("id") + "/follow-up", Map.of("note", "rests a week"));
        Map<String, Object> fit =
                Map.of("id", Ids.next(), "kind", "CHAIR", "measures", Map.of("kneeCm", 41.0), "confirmed", List.of());
        assertThat(director.post("/api/students/" + student + "/fits", fit).status())
                .isLessThan(300);
    }

    @Test
    void erasingTakesEveryWordAndKeepsTheNumbers() throws SQLException {
        fillFolder("Ana Reed");
        fillFolder("Bo Lund");
        UUID ana = school.id("Ana Reed");
        String path = "/api/students/" + ana + "/erase";
        Answer wrongName = director.post(path, Map.of("name", "Ana"));
        assertThat(wrongName.status()).isEqualTo(422);
        assertThat(school.assistant().post(path, Map.of("name", "Ana Reed")).status())
                .isEqualTo(403);
        String trail = rows("select steps::text from attempt_trail where student_id = '" + ana + "' order by 1")
                .toString();

        Answer erased = director.post(path, Map.of("name", "ana reed"));
        assertThat(erased.status()).as(erased.text()).isEqualTo(200);
        String madeUp = erased.json().path("name").asString();
        assertThat(madeUp).matches("Erased [0-9A-F]{6}");

        JsonNode folder = director.get("/api/students/" + ana + "/folder").json();
        assertThat(folder.path("name").asString()).isEqualTo(madeUp);
        assertThat(folder.path("instruments").get(0).path("passed").asInt()).isEqualTo(1);
        assertThat(folder.toString()).doesNotContain("Ana", "heart", "broke");
        assertThat(director.get("/api/students").text())
                .doesNotContain(ana.toString())
                .contains("Bo Lund");
        assertThat(director.get("/api/board?classId=" + school.id("Winds")).text())
                .doesNotContain(ana.toString());
        assertThat(rows("select steps::text from attempt_trail where student_id = '" + ana + "' order by 1"))
                .as("where it stood stands")
                .hasToString(trail);
        assertThat(rows("select reason || note from attempt where student_id = '" + ana + "' order by 1"))
                .containsExactly("", "erased");
        for (String table : GO) {
            assertThat(rows("select student_id from " + table + " where student_id = '" + ana + "'"))
                    .as(table)
                    .isEmpty();
        }
        assertThat(rows("select note from attempt where student_id = '" + school.id("Bo Lund") + "'"))
                .as("nobody else's")
                .contains("Bo Lund plays it by heart");
        assertThat(director.post(path, Map.of("name", madeUp)).status())
                .as("once")
                .isEqualTo(409);
        JsonNode audit = director.get("/api/audit").json();
        assertThat(audit.get(0).path("what").asString()).isEqualTo("ERASED");
        assertThat(audit.get(0).path("about").asString()).isEqualTo(madeUp);
    }

    @Test
    void noTableOfStudentsIsForgotten() throws SQLException {
        List<String> tables = rows("""
                select table_name from information_schema.columns
                where table_schema = 'public' and column_name = 'student_id' order by table_name
                """);
        List<String> told = new ArrayList<>(STAY);
        told.addAll(GO);
        assertThat(tables)
                .as("say in Erasing what becomes of a new table's words")
                .containsExactlyInAnyOrderElementsOf(told);
    }

    @Test
    void theProgrammesRuleErasesWhoLeftLongAgo() throws SQLException {
        Erasing erasing = server.bean(Erasing.class);
        assertThat(erasing.eraseLongGone(school.programId()))
                .as("names are kept")
                .isZero();
        assertThat(director.put("/api/retention", Map.of("keepYears", 0)).status())
                .isEqualTo(422);
        assertThat(director.put("/api/retention", Map.of("keepYears", 2)).status())
                .isEqualTo(204);
        assertThat(director.get("/api/retention").json().path("keepYears").asInt())
                .isEqualTo(2);
        assertThat(erasing.eraseLongGone(school.programId()))
                .as("left last month")
                .isZero();
        rows("update seat set starts_on = starts_on - 900, ends_on = ends_on - 900 where student_id = '"
                + school.id("Gus Pike") + "' returning id");
        assertThat(erasing.eraseLongGone(school.programId())).isEqualTo(1);
        assertThat(director.get("/api/students/" + school.id("Gus Pike") + "/folder")
                        .json()
                        .path("name")
                        .asString())
                .startsWith("Erased ");
        assertThat(director.get("/api/audit").json().get(0).has("by"))
                .as("nobody's doing but the rule's")
                .isFalse();
        assertThat(erasing.eraseLongGone(school.programId())).as("once").isZero();
    }

    @Test
    void theAuditSaysWhoSignedInReadAndTookOut() {
        fillFolder("Flo Hart");
        ApiClient assistant = school.assistant();
        assistant.get("/api/students/" + school.id("Flo Hart") + "/pain-reports");
        assistant.get("/api/students/" + school.id("Flo Hart") + "/pain-reports");
        assistant.get("/api/board.csv?classId=" + school.id("Winds"));
        assertThat(assistant.get("/api/audit").status()).isEqualTo(403);
        List<String> said = new ArrayList<>();
        director.get("/api/audit")
                .json()
                .forEach(entry -> said.add(
                        entry.path("what").asString() + " " + entry.path("by").asString() + " "
                                + entry.path("about").asString()));
        assertThat(said.stream().filter(entry -> entry.startsWith("READ_PAIN_REPORTS Assistant")))
                .hasSize(1)
                .allMatch(entry -> entry.endsWith("Flo Hart"));
        assertThat(said).anyMatch(entry -> entry.startsWith("EXPORTED Assistant") && entry.endsWith("Winds"));
        assertThat(said).anyMatch(entry -> entry.startsWith("SIGNED_IN Assistant"));
    }
}
