package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividroster.server.platform.Ids;
import vividroster.testkit.ApiClient;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

/** How many statements each page may send, the session and the account among them, however much lies in the database. */
class PageBudgetTest {

    private static final RunningServer SERVER = RunningServer.shared();
    private static final School SCHOOL = School.open(SERVER);
    private static final ApiClient DIRECTOR = SCHOOL.director();

    @BeforeAll
    static void someWeeks() {
        DIRECTOR.post(
                "/api/season/orders",
                SCHOOL.order(List.of(SCHOOL.tutti()), "line", "line 2", "check", "sound", "test"));
        DIRECTOR.post("/api/season/orders", SCHOOL.order(List.of(SCHOOL.tutti()), "belt"));
        DIRECTOR.post(
                "/api/students/" + SCHOOL.id("Ed Stone") + "/placing/trials",
                Map.of("id", Ids.next(), "instrument", "horn", "mouthpiece", "ALONE", "seen", Map.of("sound", 2)));
        for (String student : List.of("Ana Reed", "Bo Lund", "Ed Stone")) {
            for (String outcome : List.of("NOT_YET", "NOT_YET", "NOT_YET", "PASS")) {
                assertThat(DIRECTOR.post("/api/attempts", SCHOOL.attempt(student, "line", outcome))
                                .status())
                        .isEqualTo(200);
                DIRECTOR.post("/api/attempts", SCHOOL.attempt(student, "sound", outcome));
            }
        }
    }

    private static String filled(String address) {
        return address.replace("{class}", SCHOOL.id("Winds").toString())
                .replace("{student}", SCHOOL.id("Ed Stone").toString())
                .replace("{line}", SCHOOL.id("line").toString())
                .replace("{check}", SCHOOL.id("check").toString());
    }

    private static long statements(String address) {
        DIRECTOR.get(address);
        long before = SERVER.statements();
        assertThat(DIRECTOR.get(address).status()).as(address).isEqualTo(200);
        return SERVER.statements() - before;
    }

    @ParameterizedTest(name = "{0} in at most {1}")
    @CsvSource({
        "/api/session, 5",
        "/api/podium, 30",
        "/api/rail?classId={class}, 14",
        "/api/rail, 8",
        "/api/board?classId={class}, 16",
        "/api/board?classId={class}&instrument=trumpet, 16",
        "/api/hearing/choices?classId={class}, 14",
        "/api/hearing/run/{line}?classId={class}, 30",
        "/api/hearing/run/{check}?classId={class}, 30",
        "/api/students/{student}/folder, 20",
        "/api/students/{student}/folder/done?instrument=trumpet&from=0, 20",
        "/api/students/{student}/milestones/{line}/tries?instrument=trumpet, 10",
        "/api/students/{student}/variants, 8",
        "/api/season/orders?classId={class}, 10",
        "/api/season/sheet?classId={class}, 36",
        "/api/season/plan?classIds={class}, 44",
        "/api/season/plan/proposals?classId={class}, 36",
        "/api/season/forecasts?classId={class}, 60",
        "/api/season/due-day?on=2026-10-07, 8",
        "/api/year, 8",
        "/api/library, 16",
        "/api/checks/{check}/readiness?classId={class}, 24",
        "/api/classes, 8",
        "/api/students, 8",
        "/api/lines/with-notes, 10",
        "/api/schools, 8",
        "/api/people, 8",
        "/api/belts?classId={class}, 24",
        "/api/ladders, 14",
        "/api/attention?classId={class}, 24",
        "/api/fairness?classId={class}, 20",
        "/api/ensembles/{class}/candidates?classId={class}, 24",
        "/api/ensembles/{class}/pieces?lines={line}&by=2026-12-04, 70",
        "/api/students/{student}/placing, 14",
    })
    void aPageStaysWithinItsBudget(String address, int most) {
        String page = filled(address);
        if (DIRECTOR.get(page).status() == 404) {
            throw new AssertionError("no such page: " + page);
        }
        assertThat(statements(page)).as(page).isBetween(1L, (long) most);
    }

    @Test
    void moreOrdersAndMoreTriesSendNoMoreStatements() {
        School larger = School.open(SERVER);
        ApiClient director = larger.director();
        director.post("/api/season/orders", larger.order(List.of(larger.tutti()), "line"));
        String podium = "/api/podium";
        director.get(podium);
        long before = SERVER.statements();
        director.get(podium);
        long few = SERVER.statements() - before;
        director.post("/api/season/orders", larger.order(List.of(larger.tutti()), "line 2", "check", "sound", "test"));
        director.post("/api/season/orders", larger.order(List.of(larger.section("trumpet")), "check", "sound"));
        for (int i = 0; i < 12; i++) {
            Map<String, Object> attempt = larger.attempt("Flo Hart", "sound", "NOT_YET");
            director.post("/api/attempts", attempt);
        }
        director.get(podium);
        before = SERVER.statements();
        director.get(podium);
        assertThat(SERVER.statements() - before)
                .as("a playing test brings the line it is played from")
                .isBetween(few, few + 1);
    }
}
