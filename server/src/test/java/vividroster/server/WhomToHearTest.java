package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import vividroster.core.music.InstrumentCode;
import vividroster.core.roster.SectionScope;
import vividroster.server.platform.Ids;
import vividroster.testkit.ApiClient;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

/** Runs over several classes, and whom a milestone can bring a belt. */
class WhomToHearTest {

    private final RunningServer server = RunningServer.shared();
    private final School school = School.open(server);
    private final ApiClient director = school.director();

    private List<String> players(String address) {
        List<String> names = new ArrayList<>();
        director.get(address)
                .json()
                .path("players")
                .forEach(p -> names.add(p.path("name").asString()));
        return names;
    }

    @Test
    void aRunOverTwoClassesHasEverybodyOnce() {
        director.post("/api/season/orders", school.order(List.of(school.tutti()), "line"));
        Map<String, Object> jazz = school.order(List.of(Map.of("classId", school.id("Jazz"))), "line");
        jazz.put("milestones", List.of(Map.of("orderId", Ids.next(), "milestoneId", school.id("line"))));
        director.post("/api/season/orders", jazz);
        String run = "/api/hearing/run/" + school.id("line") + "?classId=" + school.id("Jazz");
        assertThat(players(run)).containsExactly("Ed Stone");
        assertThat(players(run + "&with=" + school.id("Winds")))
                .containsExactly("Ed Stone", "Bo Lund", "Ana Reed", "Cy Moor", "Di Vale", "Flo Hart");
        assertThat(players(run + "&instrument=trumpet&with=" + school.id("Winds")))
                .containsExactly("Ed Stone", "Flo Hart");
    }

    @Test
    void whoLacksTwoSlotsThatAreSetCanReachTheBelt() {
        director.post("/api/season/orders", school.order(List.of(school.tutti()), "line"));
        director.post("/api/season/orders", school.order(List.of(school.section("trumpet")), "check"));
        director.post("/api/attempts", school.attempt("Flo Hart", "line", "PASS"));
        JsonNode reach = director.get(
                        "/api/hearing/belts-in-reach/" + school.id("line") + "?classId=" + school.id("Winds"))
                .json();
        Map<String, Integer> missing = new HashMap<>();
        reach.forEach(one -> missing.put(
                one.path("studentId").asString(), one.path("missing").size()));
        assertThat(missing)
                .as("Flo has the line, flutes lack the sound that is not set; clarinets have a belt of one slot")
                .containsEntry(school.id("Ed Stone").toString(), 2)
                .doesNotContainKey(school.id("Flo Hart").toString())
                .doesNotContainKey(school.id("Ana Reed").toString())
                .containsEntry(school.id("Cy Moor").toString(), 1);
    }

    @Test
    void aCoachIsToldOfTheOwnSectionOnly() {
        director.post("/api/season/orders", school.order(List.of(school.tutti()), "line", "check"));
        ApiClient coach = school.coach(
                new SectionScope.Section(school.id("Winds"), new InstrumentCode("clarinet"), Optional.empty()));
        JsonNode reach = coach.get(
                        "/api/hearing/belts-in-reach/" + school.id("line") + "?classId=" + school.id("Winds"))
                .json();
        assertThat(reach).isNotEmpty();
        reach.forEach(one -> assertThat(one.path("studentId").asString())
                .isIn(school.id("Cy Moor").toString(), school.id("Di Vale").toString()));
    }
}
