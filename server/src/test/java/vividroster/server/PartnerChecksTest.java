package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import vividroster.testkit.ApiClient;
import vividroster.testkit.ApiClient.Answer;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

class PartnerChecksTest {

    private final School school = School.open(RunningServer.shared());
    private final ApiClient director = school.director();

    private JsonNode proposal(String milestone, String pairing, String rest) {
        Answer answer = propose(milestone, pairing, rest);
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer.json();
    }

    private Answer propose(String milestone, String pairing, String rest) {
        return director.get("/api/partner-checks/proposal?milestoneId=" + school.id(milestone) + "&pairing=" + pairing
                + "&classId=" + school.id("Winds") + rest);
    }

    private static List<List<String>> groups(JsonNode proposal) {
        List<List<String>> groups = new ArrayList<>();
        proposal.path("groups").forEach(group -> {
            List<String> members = new ArrayList<>();
            group.path("members").forEach(m -> members.add(m.path("studentId").asString()));
            groups.add(members);
        });
        return groups;
    }

    private Map<String, Object> partnerCheck(List<List<String>> groups, String... watch) {
        Map<String, Object> body = new LinkedHashMap<>();
        body.put("id", UUID.randomUUID());
        body.put("milestoneId", school.id("line"));
        body.put("scope", Map.of("classId", school.id("Winds")));
        body.put("pairing", "FAIR");
        body.put("watch", List.of(watch));
        body.put("measures", List.of());
        body.put("groups", groups);
        return body;
    }

    private static final String[] POINTS = {"Tall", "Fingers round", "Full notes"};

    @Test
    void partnersReadTheSamePartAndNobodyIsLeftOut() {
        JsonNode proposal = proposal("line", "STAND", "");
        assertThat(groups(proposal).stream().mapToInt(List::size).sum()).isEqualTo(6);
        assertThat(proposal.path("measures").asInt()).isEqualTo(4);
        assertThat(proposal.path("watch").size()).isEqualTo(4);
        for (JsonNode group : proposal.path("groups")) {
            String first = group.path("members").get(0).path("instrument").asString();
            assertThat(group.path("members").get(1).path("instrument").asString())
                    .isEqualTo(first);
        }
    }

    @Test
    void theNextTimeTheFirstToPlayIsTheOther() {
        List<List<String>> first = groups(proposal("line", "FAIR", "&instrument=flute"));
        Map<String, Object> body = partnerCheck(first, POINTS);
        assertThat(director.post("/api/partner-checks", body).status()).isEqualTo(201);
        List<List<String>> second = groups(proposal("line", "FAIR", "&instrument=flute"));
        assertThat(second.getFirst()).isEqualTo(first.getFirst().reversed());
        assertThat(proposal("line", "LISTS", "&instrument=flute")
                        .path("earlier")
                        .asInt())
                .isEqualTo(1);
    }

    @Test
    void findingsAreEvidenceOfTheirOwnKindAndPassOnlyIfTheOrderLetsThem() {
        List<List<String>> groups = groups(proposal("check", "STAND", "&instrument=flute"));
        Map<String, Object> body = partnerCheck(groups, POINTS);
        body.put("milestoneId", school.id("check"));
        director.post("/api/partner-checks", body);
        director.post("/api/season/orders", school.order(List.of(school.section("flute")), "check"));
        Map<String, Object> finding = school.attempt("Bo Lund", "check", "PASS");
        finding.put("evidence", "PARTNER_CHECK");
        finding.put("note", "Watched by Ana Reed");
        JsonNode recorded = director.post("/api/attempts", finding).json();
        assertThat(recorded.path("standing").path("state").asString())
                .as("kept, but no pass")
                .isNotEqualTo("PASSED");
        JsonNode seen = director.get("/api/partner-checks/" + body.get("id")).json();
        assertThat(seen.path("passes").asBoolean()).isFalse();
        JsonNode turn = seen.path("groups").get(0).path("turns").get(0);
        assertThat(turn.path("plays").path("name").asString()).isEqualTo("Bo Lund");
        assertThat(turn.path("watch").get(0).path("name").asString()).isEqualTo("Ana Reed");
        assertThat(turn.path("found").asString()).isEqualTo("PASS");
        assertThat(turn.path("note").asString()).isEqualTo("Watched by Ana Reed");
        assertThat(seen.path("groups").get(0).path("turns").get(1).has("found")).isFalse();

        Map<String, Object> allowing = school.order(List.of(school.section("trumpet")), "check");
        allowing.put("partnerCheckPasses", true);
        director.post("/api/season/orders", allowing);
        Map<String, Object> passing = school.attempt("Flo Hart", "check", "PASS");
        passing.put("evidence", "PARTNER_CHECK");
        assertThat(director.post("/api/attempts", passing)
                        .json()
                        .path("standing")
                        .path("state")
                        .asString())
                .isEqualTo("PASSED");
    }

    @Test
    void divisionsWatchDifferentMeasuresWithinTheLine() {
        List<List<String>> groups = groups(proposal("line", "STAND", ""));
        Map<String, Object> body = partnerCheck(groups, POINTS);
        body.put(
                "measures",
                List.of(
                        Map.of("instrument", "clarinet", "division", "First", "first", 1, "last", 2),
                        Map.of("instrument", "clarinet", "division", "Second", "first", 3, "last", 4)));
        assertThat(director.post("/api/partner-checks", body).status()).isEqualTo(201);
        assertThat(director.get("/api/partner-checks/" + body.get("id"))
                        .json()
                        .path("measures")
                        .get(1)
                        .path("first")
                        .asInt())
                .isEqualTo(3);
        Map<String, Object> beyond = partnerCheck(groups, POINTS);
        beyond.put("measures", List.of(Map.of("instrument", "flute", "division", "", "first", 3, "last", 9)));
        assertThat(director.post("/api/partner-checks", beyond).sentence())
                .isEqualTo("\"First light\" has 4 measures, not 9.");
        Map<String, Object> backwards = partnerCheck(groups, POINTS);
        backwards.put("measures", List.of(Map.of("instrument", "flute", "division", "", "first", 3, "last", 2)));
        assertThat(director.post("/api/partner-checks", backwards).sentence())
                .isEqualTo("Measures go from the first to the last, from 1; 3 to 2 cannot be.");
    }

    @Test
    void whoIsAloneIsToldToBeHeard() {
        Answer alone = propose("line", "FAIR", "&instrument=clarinet&division=First");
        assertThat(alone.status()).isEqualTo(422);
        assertThat(alone.sentence())
                .isEqualTo("Cy Moor is alone here; a partner check needs two. Hear them yourself instead.");
        assertThat(propose("line", "FAIR", "&instrument=tuba").sentence())
                .isEqualTo("Nobody in Winds can take \"First light\".");
        assertThat(propose("test", "FAIR", "").sentence())
                .isEqualTo("\"Test 1\" is not for partners: a test is scored on its rubric, a belt is earned.");
        assertThat(director.get("/api/partner-checks/proposal?milestoneId=" + school.id("line")
                                + "&pairing=FAIR&instrument=flute")
                        .sentence())
                .isEqualTo("Partners sit in one class; choose a class.");
    }

    @Test
    void whatDoesNotPairIsRefused() {
        List<List<String>> groups = groups(proposal("line", "STAND", "&instrument=flute"));
        String ana = school.id("Ana Reed").toString();
        String bo = school.id("Bo Lund").toString();
        assertThat(director.post("/api/partner-checks", partnerCheck(groups, "Tall", "Round"))
                        .sentence())
                .isEqualTo("A partner watches three or four points, not 2.");
        assertThat(director.post("/api/partner-checks", partnerCheck(List.of(List.of(ana)), POINTS))
                        .sentence())
                .isEqualTo("Partners are two, or three where the number is odd.");
        assertThat(director.post(
                                "/api/partner-checks",
                                partnerCheck(List.of(List.of(ana, bo), List.of(ana, bo)), POINTS))
                        .sentence())
                .isEqualTo("A student has two partners; each stands in one group.");
        assertThat(director.post(
                                "/api/partner-checks",
                                partnerCheck(
                                        List.of(List.of(
                                                ana, school.id("Gus Pike").toString())),
                                        POINTS))
                        .sentence())
                .isEqualTo("One of the partners does not sit in this section.");
        assertThat(director.get("/api/partner-checks/" + UUID.randomUUID()).sentence())
                .isEqualTo("There is no such partner check.");
    }
}
