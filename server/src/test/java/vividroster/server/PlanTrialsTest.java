package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import vividroster.testkit.ApiClient;
import vividroster.testkit.ApiClient.Answer;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

/** Problems that hold everything they need, over HTTP. */
class PlanTrialsTest {

    private final School school = School.open(RunningServer.shared());
    private final ApiClient director = school.director();

    private static Map<String, Object> milestone(String id, int minutes, String... needs) {
        Map<String, Object> m = new HashMap<>();
        m.put("id", id);
        m.put("kind", "LINE");
        m.put("value", 60);
        m.put("essential", false);
        m.put("teachMinutes", minutes);
        m.put(
                "sections",
                List.of(Map.of("section", "flute", "teachMinutes", 0, "hearMinutes", 0, "newNotes", List.of())));
        m.put(
                "needs",
                List.of(needs).stream()
                        .map(need -> Map.of("milestone", need, "gapWeeks", 0))
                        .toList());
        return m;
    }

    private static Map<String, Object> problem(List<Integer> minutes, List<Map<String, Object>> milestones) {
        Map<String, Object> problem = new HashMap<>();
        problem.put(
                "weeks",
                minutes.stream().map(there -> Map.of("closed", there < 0)).toList());
        problem.put(
                "classes",
                List.of(Map.of(
                        "id",
                        "bw",
                        "minutes",
                        minutes.stream().map(there -> Math.max(0, there)).toList())));
        problem.put("sections", List.of(Map.of("id", "flute", "class", "bw")));
        problem.put("milestones", milestones);
        return problem;
    }

    private JsonNode plan(Map<String, Object> problem) {
        Answer answer = director.post("/api/season/plan/trial", problem);
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer.json();
    }

    @Test
    void everyMilestoneIsPlacedOrNotAndTheSumIsTheSumOfItsParts() {
        JsonNode plan = plan(problem(
                List.of(20, -1, 20),
                List.of(milestone("A", 16), milestone("B", 16, "A"), milestone("C", 12, "B"), milestone("D", 12))));
        Set<String> all = new HashSet<>();
        plan.path("placements")
                .forEach(
                        p -> assertThat(all.add(p.path("milestone").asString())).isTrue());
        plan.path("unplaced")
                .forEach(
                        p -> assertThat(all.add(p.path("milestone").asString())).isTrue());
        assertThat(all).containsExactlyInAnyOrder("A", "B", "C", "D");
        JsonNode objective = plan.path("objective");
        long sum = 0;
        for (String part : List.of("dropped", "dates", "over", "uneven", "order", "margin", "moved")) {
            sum += objective.path(part).asLong();
        }
        assertThat(objective.path("total").asLong()).isEqualTo(sum);
        JsonNode first = plan.path("placements").get(0);
        assertThat(first.path("milestone").asString()).isEqualTo("A");
        assertThat(first.path("week").asInt()).isEqualTo(1);
        assertThat(first.path("reasons").get(0).path("kind").asString()).isEqualTo("NO_SCHOOL");
        assertThat(first.path("reasons").get(0).path("week").asInt()).isEqualTo(2);
        JsonNode left = plan.path("unplaced").get(0);
        assertThat(left.path("reasons").get(0).path("kind").asString()).isEqualTo("FULL");
        assertThat(left.path("reasons").get(0).path("class").asString()).isEqualTo("bw");
        assertThat(left.path("options")).isNotEmpty();
    }

    @Test
    void whatContradictsItselfIsASentenceAndTheRestIsPlanned() {
        Map<String, Object> fixed = milestone("concert", 5);
        fixed.put("fixedWeek", 2);
        Map<String, Object> due = milestone("due", 5);
        due.put("deadline", Map.of("week", 2, "marginWeeks", 0));
        JsonNode plan = plan(problem(
                List.of(20, -1, 20),
                List.of(milestone("A", 5, "B"), milestone("B", 5, "A"), fixed, due, milestone("rest", 5))));
        List<String> placed = new ArrayList<>();
        plan.path("placements").forEach(p -> placed.add(p.path("milestone").asString()));
        assertThat(placed).containsExactlyInAnyOrder("due", "rest");
        List<String> told = new ArrayList<>();
        plan.path("problems")
                .forEach(p -> told.add(
                        p.path("kind").asString() + ": " + p.path("text").asString()));
        assertThat(told)
                .containsExactlyInAnyOrder(
                        "RING: A needs B needs A",
                        "FIXED_IN_BREAK: concert is fixed in week 2, in which it cannot stand",
                        "DEADLINE_IN_BREAK: due is due in week 2, which is closed; the open week before it counts");
    }

    @Test
    void aPlanInForceIsLeftAsItIsWhereItCanBe() {
        Map<String, Object> problem = problem(List.of(20, 20), List.of(milestone("A", 10), milestone("B", 10)));
        problem.put("today", Map.of("A", 2, "B", 1));
        problem.put("sequences", List.of(List.of("A", "B")));
        problem.put("weights", Map.of("movedEach", 1_000));
        JsonNode plan = plan(problem);
        assertThat(plan.path("objective").path("moved").asLong()).isZero();
        assertThat(plan.path("objective").path("order").asLong()).isEqualTo(4);
    }

    @Test
    void whatCannotBeReadSaysWhere() {
        Answer unknown =
                director.post("/api/season/plan/trial", problem(List.of(20), List.of(milestone("A", 5, "nobody"))));
        assertThat(unknown.status()).isEqualTo(422);
        assertThat(unknown.json().path("detail").asString())
                .isEqualTo("There is no milestone “nobody” in this problem.");
        assertThat(unknown.json().path("field").asString()).isEqualTo("milestones[0].needs[0].milestone");
        Map<String, Object> price = problem(List.of(20), List.of(milestone("A", 5)));
        price.put("weights", Map.of("dropPerValue", -1));
        assertThat(director.post("/api/season/plan/trial", price).status()).isEqualTo(422);
        Map<String, Object> empty = problem(List.of(), List.of());
        assertThat(director.post("/api/season/plan/trial", empty)
                        .json()
                        .path("detail")
                        .asString())
                .isEqualTo("A year has at least one week.");
    }

    @Test
    void aProblemOfManyMegabytesIsAnsweredAndOneOfMoreIsRefused() {
        List<Map<String, Object>> chain = new ArrayList<>();
        for (int i = 0; i < 20_000; i++) {
            chain.add(i == 0 ? milestone("m0", 0) : milestone("m" + i, 0, "m" + (i - 1)));
        }
        JsonNode plan = plan(problem(Collections.nCopies(42, 30), chain));
        assertThat(plan.path("placements")).hasSize(20_000);
        assertThat(plan.path("lookLonger").asBoolean()).isTrue();
        chain.getFirst().put("kind", "x".repeat(9 << 20));
        Answer more = director.post("/api/season/plan/trial", problem(List.of(30), chain));
        assertThat(more.status()).isEqualTo(413);
        assertThat(more.json().path("detail").asString()).isEqualTo("This is larger than 8 MB; nothing was changed.");
    }

    @Test
    void aForecastOfWhatIsSent() {
        Map<String, Object> trial = new HashMap<>();
        trial.put("passes", List.of(6, 4, 0, 7));
        trial.put("exposure", List.of(1, 1, 0, 1));
        trial.put("plannedPace", 6.5);
        trial.put("need", 20);
        trial.put("ahead", List.of(1, 1, 0, 1, 0.5, 1, 1, 1));
        Answer answer = director.post("/api/season/forecast/trial", trial);
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        assertThat(List.of(
                        answer.json().path("low").asInt(),
                        answer.json().path("middle").asInt(),
                        answer.json().path("high").asInt()))
                .containsExactly(4, 6, 8);
        assertThat(answer.json().path("chances").get(1).asDouble()).isEqualTo(0.0720, within(0.00005));
        trial.put("need", 400);
        JsonNode never = director.post("/api/season/forecast/trial", trial).json();
        assertThat(never.has("high")).isTrue();
        assertThat(never.path("high").isNull()).isTrue();
        trial.put("exposure", List.of(1));
        Answer wrong = director.post("/api/season/forecast/trial", trial);
        assertThat(wrong.status()).isEqualTo(422);
        assertThat(wrong.json().path("detail").asString()).isEqualTo("There are passes of 4 weeks and exposure of 1.");
    }
}
