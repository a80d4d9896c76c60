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

/** A plan beside the orders: chosen, proposed, taken, moved and ordered week by week. */
class SeasonPlanTest {

    private final RunningServer server = RunningServer.shared();
    private final School school = School.open(server);
    private final ApiClient director = school.director();
    private final String winds = school.id("Winds").toString();

    private JsonNode plan() {
        Answer answer = director.get("/api/season/plan?classIds=" + winds);
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer.json();
    }

    private long revision() {
        return plan().path("revision").asLong();
    }

    private Map<String, Object> choice() {
        Map<String, Object> choice = new LinkedHashMap<>();
        choice.put("classId", winds);
        choice.put("firstChecks", false);
        choice.put("tests", false);
        choice.put("belts", false);
        return choice;
    }

    private int choose(Map<String, Object> choice) {
        Answer answer = director.post("/api/season/plan/choose", choice);
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer.json().path("added").asInt();
    }

    private int chooseBook() {
        Map<String, Object> choice = choice();
        choice.put("pages", Map.of("bookId", bookId()));
        choice.put("tests", true);
        choice.put("belts", true);
        return choose(choice);
    }

    private String bookId() {
        for (JsonNode milestone : director.get("/api/library").json().path("milestones")) {
            if (milestone.path("kind").asString().equals("LINE")) {
                return milestone.path("line").path("bookId").asString();
            }
        }
        throw new AssertionError("no line");
    }

    private static JsonNode item(JsonNode plan, String shortName) {
        for (JsonNode item : plan.path("items")) {
            if (item.path("shortName").asString().equals(shortName)) {
                return item;
            }
        }
        throw new AssertionError("no " + shortName + " in " + plan.path("items"));
    }

    private JsonNode propose() {
        Answer answer = director.post("/api/season/plan/proposals", Map.of("classId", winds, "cause", "First plan"));
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer.json();
    }

    private Answer take(JsonNode proposal, List<String> itemIds) {
        return director.post(
                "/api/season/plan/proposals/" + proposal.path("id").asString() + "/take",
                Map.of("classId", winds, "revision", revision(), "itemIds", itemIds, "evenIfBroken", false));
    }

    private Answer move(long revision, boolean evenIfBroken, Object... itemAndMonday) {
        List<Map<String, Object>> moves = new ArrayList<>();
        for (int i = 0; i < itemAndMonday.length; i += 2) {
            Map<String, Object> move = new LinkedHashMap<>();
            move.put("itemId", itemAndMonday[i]);
            if (!itemAndMonday[i + 1].equals("")) {
                move.put("monday", itemAndMonday[i + 1]);
            }
            move.put("pinned", false);
            moves.add(move);
        }
        return director.post(
                "/api/season/plan/moves",
                Map.of("classId", winds, "revision", revision, "moves", moves, "evenIfBroken", evenIfBroken));
    }

    @Test
    void aBookIsChosenOncePlannedAndOrderedWeekByWeek() {
        assertThat(chooseBook()).as("two lines, a test, a belt").isEqualTo(4);
        assertThat(chooseBook()).as("the same again").isZero();
        assertThat(plan().path("items").size()).isEqualTo(4);
        assertThat(item(plan(), "1").has("monday")).as("chosen is not planned").isFalse();

        JsonNode proposals = propose();
        assertThat(proposals.size())
                .as("nothing stands yet, so there is one way")
                .isEqualTo(1);
        JsonNode first = proposals.get(0);
        assertThat(first.path("changes").size()).isEqualTo(4);
        assertThat(first.path("changes").get(0).path("words").asString()).isEqualTo("comes in");
        assertThat(first.path("leftOut").size()).isZero();
        assertThat(item(plan(), "1").has("monday"))
                .as("a proposal changes nothing")
                .isFalse();
        assertThat(plan().path("proposals").get(0).path("changes").asInt()).isEqualTo(4);

        assertThat(take(first, List.of()).status()).isEqualTo(200);
        JsonNode planned = plan();
        assertThat(planned.path("proposals").size()).isZero();
        assertThat(planned.path("problems").size()).isZero();
        String line = item(planned, "1").path("monday").asString();
        String test = item(planned, "Test 1").path("monday").asString();
        assertThat(line).as("the week after today's next meeting").isGreaterThanOrEqualTo("2026-10-05");
        assertThat(test).as("a test after its line was heard").isGreaterThan(line);
        long points = planned.path("points").path("total").asLong();
        long parts = 0;
        for (JsonNode part : planned.path("points").path("parts")) {
            parts += part.asLong();
        }
        assertThat(points).as("the sum is the sum of its parts").isEqualTo(parts);

        UUID order = UUID.randomUUID();
        Map<String, Object> week = Map.of(
                "classId",
                winds,
                "monday",
                line,
                "items",
                List.of(Map.of(
                        "itemId",
                        item(planned, "1").path("id").asString(),
                        "orderId",
                        order,
                        "leftOut",
                        List.of("trumpet"),
                        "substituteAccepted",
                        false,
                        "partnerCheckPasses",
                        false)));
        Answer ordered = director.post("/api/season/plan/order-week", week);
        assertThat(ordered.status()).as(ordered.text()).isEqualTo(201);
        assertThat(ordered.json().path("orders").asInt()).isEqualTo(1);
        assertThat(director.post("/api/season/plan/order-week", week).status())
                .as("sent twice")
                .isEqualTo(201);
        JsonNode after = plan();
        List<String> reach = new ArrayList<>();
        for (JsonNode one : after.path("items")) {
            if (one.path("shortName").asString().equals("1")) {
                reach.add(one.path("hold").asString() + " "
                        + one.path("reach").get(0).path("instruments"));
            }
        }
        assertThat(reach).containsExactlyInAnyOrder("ORDERED [\"flute\",\"clarinet\"]", "FREE [\"trumpet\"]");
        assertThat(director.get("/api/season/orders?classId=" + winds).json().size())
                .isEqualTo(1);
        JsonNode sheet = director.get("/api/season/sheet?classId=" + winds + "&on=" + line)
                .json();
        assertThat(sheet.path("parts").get(0).path("items").get(0).path("title").asString())
                .as("what was planned and ordered stands on the sheet")
                .isEqualTo("First light");
        Answer moved = move(revision(), false, item(after, "1").path("id").asString(), "2026-11-02");
        assertThat(moved.status()).isEqualTo(409);
        assertThat(moved.sentence())
                .isEqualTo("Line 1 is ordered already, and its order stays. Withdraw the order to plan it anew.");
    }

    @Test
    void movedByHandAWeekThatMayNotHoldItSaysWhy() {
        chooseBook();
        take(propose().get(0), List.of());
        JsonNode planned = plan();
        String one = item(planned, "1").path("id").asString();
        String two = item(planned, "2").path("id").asString();
        JsonNode targets = director.post("/api/season/plan/targets", Map.of("classId", winds, "itemIds", List.of(one)))
                .json();
        Map<String, String> why = new LinkedHashMap<>();
        targets.forEach(target ->
                why.put(target.path("monday").asString(), target.path("why").asString("")));
        assertThat(why.get("2026-09-28")).isEqualTo("The week of 28 September is past.");
        assertThat(why.get("2026-11-23")).isEqualTo("No school in the week of 23 November: Harvest break.");
        Answer refused = move(revision(), false, one, "2026-11-23");
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.sentence())
                .isEqualTo("Line 1 cannot stand there: no school in the week of 23 November: Harvest break.");
        long before = revision();
        assertThat(move(
                                before,
                                false,
                                one,
                                "2026-10-12",
                                two,
                                "2026-10-19",
                                item(planned, "Test 1").path("id").asString(),
                                "2026-10-26")
                        .status())
                .isEqualTo(200);
        assertThat(move(
                                before,
                                false,
                                one,
                                "2026-10-12",
                                two,
                                "2026-10-19",
                                item(planned, "Test 1").path("id").asString(),
                                "2026-10-26")
                        .status())
                .as("the same sent again")
                .isEqualTo(200);
        assertThat(item(plan(), "1").path("monday").asString()).isEqualTo("2026-10-12");
        Answer stale = move(before, false, one, "2026-10-19");
        assertThat(stale.status()).isEqualTo(409);
        assertThat(move(revision(), true, item(planned, "Test 1").path("id").asString(), "2026-10-05")
                        .status())
                .as("a director may insist")
                .isEqualTo(200);
        assertThat(plan().path("problems").get(0).path("text").asString())
                .isEqualTo(
                        "Test 1 cannot stay in the week of 5 October: it needs line 1, which stands in the week of 12 October.");
        JsonNode sentences = director.get("/api/season/plan/why?classId=" + winds + "&itemId=" + one)
                .json()
                .path("sentences");
        assertThat(sentences.size()).isPositive();
        assertThat(move(revision(), false, one, "").status())
                .as("out of the weeks")
                .isEqualTo(200);
        assertThat(item(plan(), "1").has("monday")).isFalse();
    }

    @Test
    void aLostDayIsAnsweredByBothWaysOfChangingAndOneByOne() {
        chooseBook();
        take(propose().get(0), List.of());
        String monday = item(plan(), "Test 1").path("monday").asString();
        for (int day = 0; day < 5; day++) {
            Answer lost = director.post(
                    "/api/years/lost-days",
                    Map.of("day", java.time.LocalDate.parse(monday).plusDays(day), "name", "Storm"));
            assertThat(lost.status()).as(lost.text()).isBetween(200, 204);
        }
        assertThat(plan().path("problems").get(0).path("text").asString())
                .startsWith("Test 1 cannot stay in the week of");
        JsonNode proposals = propose();
        assertThat(proposals.get(0).path("changes").size()).isPositive();
        String test = item(plan(), "Test 1").path("id").asString();
        JsonNode change = null;
        for (JsonNode one : proposals.get(0).path("changes")) {
            change = one.path("itemId").asString().equals(test) ? one : change;
        }
        assertThat(change).isNotNull();
        assertThat(change.path("why").asString()).contains("Storm");
        assertThat(take(proposals.get(0), List.of(test)).status()).isEqualTo(200);
        assertThat(item(plan(), "Test 1").path("monday").asString())
                .isEqualTo(change.path("to").asString());
        assertThat(director.delete("/api/season/plan/proposals?classId=" + winds)
                        .status())
                .isEqualTo(204);
        assertThat(director.get("/api/season/plan/proposals?classId=" + winds)
                        .json()
                        .size())
                .isZero();
    }

    @Test
    void sectionsGoTheirOwnWaysAndBack() {
        chooseBook();
        Answer apart =
                director.put("/api/season/plan/classes/" + winds, Map.of("pacing", "MASTERY", "reservePercent", 0));
        assertThat(apart.status()).as(apart.text()).isEqualTo(200);
        long lines = 0;
        for (JsonNode item : plan().path("items")) {
            lines += item.path("shortName").asString().equals("1") ? 1 : 0;
        }
        assertThat(lines).as("flutes, clarinets, trumpets").isEqualTo(3);
        take(propose().get(0), List.of());
        director.put(
                "/api/season/plan/classes/" + winds, Map.of("pacing", "IN_STEP_WITH_CARRY_OVER", "reservePercent", 20));
        JsonNode together = plan();
        assertThat(together.path("items").size()).isEqualTo(4);
        assertThat(item(together, "1").path("reach").get(0).path("instruments").size())
                .as("everybody again")
                .isZero();
        assertThat(item(together, "1").has("monday")).isTrue();
        assertThat(together.path("classes")
                        .get(0)
                        .path("minutes")
                        .get(8)
                        .path("there")
                        .asInt())
                .as("five meetings of 45 minutes, 60 percent, a fifth kept back")
                .isEqualTo(108);
    }

    @Test
    void aPieceIsPreparedBeforeItsDayAndCatchingUpStandsWhereItWasPut() {
        Map<String, Object> choice = choice();
        UUID piece = UUID.randomUUID();
        choice.put(
                "piece",
                Map.of("id", piece, "title", "Evening ferry", "minutes", 30, "weeks", 3, "dueBy", "2026-12-10"));
        choice.put("catchUp", Map.of("id", UUID.randomUUID(), "monday", "2026-10-19", "minutes", 25));
        assertThat(choose(choice)).isEqualTo(4);
        choice.remove("catchUp");
        choose(choice);
        assertThat(plan().path("items").size()).as("sent twice, chosen once").isEqualTo(4);
        take(propose().get(0), List.of());
        JsonNode planned = plan();
        assertThat(item(planned, "Evening ferry 3 of 3").path("monday").asString())
                .isEqualTo("2026-12-07");
        assertThat(item(planned, "Catch up").path("monday").asString()).isEqualTo("2026-10-19");
        assertThat(item(planned, "Catch up").path("hold").asString()).isEqualTo("PINNED");
        choice.put(
                "piece",
                Map.of("id", UUID.randomUUID(), "title", "Late", "minutes", 30, "weeks", 20, "dueBy", "2026-09-01"));
        Answer refused = director.post("/api/season/plan/choose", choice);
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.sentence()).isEqualTo("There are only 3 teaching weeks before that day.");
    }

    @Test
    void whatDoesNotFitSaysHowItWould() {
        chooseBook();
        String one = item(plan(), "1").path("id").asString();
        Map<String, Object> settings = new LinkedHashMap<>();
        settings.put("classId", winds);
        settings.put("value", 500);
        settings.put("essential", false);
        settings.put("teachMinutes", 300);
        settings.put("heardAlone", true);
        settings.put("marginWeeks", 0);
        assertThat(director.put("/api/season/plan/items/" + one, settings).status())
                .isEqualTo(200);
        JsonNode left = propose().get(0).path("leftOut");
        JsonNode line = null;
        for (JsonNode item : left) {
            line = item.path("itemId").asString().equals(one) ? item : line;
        }
        assertThat(line).as("%s", left).isNotNull();
        assertThat(line.path("why").asString()).contains("too full");
        JsonNode minutes = null;
        for (JsonNode option : line.path("options")) {
            minutes = option.path("kind").asString().equals("MORE_MINUTES") ? option : minutes;
        }
        assertThat(minutes).as("%s", line).isNotNull();
        Map<String, Object> taken = new LinkedHashMap<>();
        taken.put("classId", winds);
        taken.put("itemId", one);
        taken.put("kind", "MORE_MINUTES");
        taken.put("monday", minutes.path("monday").asString());
        taken.put("minutesOf", winds);
        taken.put("minutes", minutes.path("minutes").asInt());
        Answer again = director.post("/api/season/plan/options", taken);
        assertThat(again.status()).as(again.text()).isEqualTo(200);
        boolean comesIn = false;
        for (JsonNode change : again.json().get(0).path("changes")) {
            comesIn |= change.path("itemId").asString().equals(one);
        }
        assertThat(comesIn).as("with the minutes it stands").isTrue();
    }

    @Test
    void badInputIsASentenceAndHelpersOnlyLook() {
        chooseBook();
        Map<String, Object> settings = new LinkedHashMap<>();
        settings.put("maxNewNotes", 2);
        settings.put("fullPercent", 5_000);
        for (String price : List.of(
                "essential",
                "dropPerValue",
                "lateEach",
                "latePerWeek",
                "brokenNeed",
                "overPerMinute",
                "unevenPerMinute",
                "orderPerWeek",
                "marginPerWeek",
                "movedEach",
                "movedPerWeek")) {
            settings.put(price, 1);
        }
        Answer full = director.put("/api/season/plan/settings", settings);
        assertThat(full.status()).isEqualTo(422);
        assertThat(full.sentence()).isEqualTo("A full week must be in 0..1000 percent, was 5000.");
        settings.put("fullPercent", 150);
        assertThat(director.put("/api/season/plan/settings", settings).status()).isEqualTo(200);
        assertThat(plan().path("fullPercent").asInt()).isEqualTo(150);
        assertThat(director.get("/api/season/plan/settings")
                        .json()
                        .path("movedEach")
                        .asInt())
                .isEqualTo(1);
        assertThat(move(revision(), false, UUID.randomUUID(), "2026-10-12").status())
                .isEqualTo(404);
        assertThat(school.substitute()
                        .post("/api/season/plan/proposals", Map.of("classId", winds))
                        .status())
                .isEqualTo(403);
        Map<String, Object> pages = choice();
        pages.put("pages", Map.of("bookId", bookId(), "fromPage", 90));
        assertThat(director.post("/api/season/plan/choose", pages).sentence())
                .isEqualTo("There is no line on these pages.");
    }
}
