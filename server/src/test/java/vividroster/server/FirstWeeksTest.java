package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import vividroster.testkit.ApiClient;
import vividroster.testkit.ApiClient.Answer;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

/** The first weeks of a class: proposed, left as the director wants, ordered in one press, and again for newcomers. */
class FirstWeeksTest {

    private final School school = School.open(RunningServer.shared());
    private final ApiClient director = school.director();

    private JsonNode propose(String more) {
        Answer answer = director.get("/api/season/first-weeks?classId=" + school.id("Winds") + more);
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer.json();
    }

    private static Map<String, Object> order(JsonNode check, JsonNode week) {
        Map<String, Object> order = new HashMap<>();
        order.put("orderId", UUID.randomUUID());
        if (check.has("milestoneId")) {
            order.put("milestoneId", check.path("milestoneId").asString());
        } else {
            order.put("starterKey", check.path("starterKey").asString());
        }
        order.put("setOn", week.path("setOn").asString());
        order.put("dueOn", week.path("dueOn").asString());
        return order;
    }

    private Map<String, Object> ordersOf(JsonNode proposal, int weeks) {
        List<Map<String, Object>> orders = new ArrayList<>();
        for (int i = 0; i < weeks; i++) {
            JsonNode week = proposal.path("weeks").get(i);
            week.path("checks").forEach(check -> orders.add(order(check, week)));
            week.path("lines").forEach(line -> orders.add(order(line, week)));
        }
        return Map.of("classId", school.id("Winds"), "orders", orders);
    }

    @Test
    void aProposalBeginsNextMondayAndOrdersNothing() {
        JsonNode proposal = propose("");
        // Today is Wednesday 7 October.
        JsonNode first = proposal.path("weeks").get(0);
        assertThat(first.path("monday").asString()).isEqualTo("2026-10-12");
        assertThat(first.path("setOn").asString()).isEqualTo("2026-10-12");
        assertThat(first.path("dueOn").asString()).isEqualTo("2026-10-16");
        assertThat(first.path("minutes").asInt()).as("60 % of five times 45").isEqualTo(135);
        assertThat(proposal.path("weeks")).hasSize(6);
        assertThat(first.path("checks").size()).isPositive();
        Set<String> instruments = new HashSet<>();
        proposal.path("weeks")
                .forEach(week -> week.path("checks")
                        .forEach(check ->
                                check.path("sections").forEach(section -> instruments.add(section.asString()))));
        assertThat(instruments).containsExactlyInAnyOrder("flute", "clarinet", "trumpet");
        assertThat(director.get("/api/season/orders?classId=" + school.id("Winds"))
                        .json())
                .isEmpty();
    }

    @Test
    void weeksOfABreakAreLeftOut() {
        JsonNode weeks = propose("&from=2026-11-16&weeks=2").path("weeks");
        assertThat(weeks.get(0).path("monday").asString()).isEqualTo("2026-11-16");
        assertThat(weeks.get(1).path("monday").asString())
                .as("after the harvest break")
                .isEqualTo("2026-11-30");
    }

    @Test
    void linesOfABookBeginWhenEverySectionHasItsFirstNotes() {
        String book = director.get("/api/books").json().get(0).path("id").asString();
        JsonNode weeks = propose("&weeks=12&bookId=" + book + "&linesAWeek=1").path("weeks");
        int notes = -1;
        int line = -1;
        for (int i = 0; i < weeks.size(); i++) {
            for (JsonNode check : weeks.get(i).path("checks")) {
                if (check.path("topic").asString().equals("FIRST_NOTES")) {
                    notes = i;
                }
            }
            if (line < 0 && !weeks.get(i).path("lines").isEmpty()) {
                line = i;
            }
        }
        assertThat(notes).isNotNegative();
        assertThat(line).isEqualTo(notes + 1);
        assertThat(weeks.get(line).path("lines").get(0).path("title").asString())
                .isEqualTo("First light");
    }

    @Test
    void onePressTakesTheChecksAndOrdersThem() {
        JsonNode proposal = propose("");
        Map<String, Object> body = ordersOf(proposal, 2);
        Answer made = director.post("/api/season/first-weeks", body);
        assertThat(made.status()).as(made.text()).isEqualTo(201);
        int count = ((List<?>) body.get("orders")).size();
        assertThat(made.json().path("orders").asInt()).isEqualTo(count);
        assertThat(director.post("/api/season/first-weeks", body).status())
                .as("sent again")
                .isEqualTo(201);
        assertThat(director.get("/api/season/orders?classId=" + school.id("Winds"))
                        .json())
                .hasSize(count);
        JsonNode after = propose("");
        assertThat(after.path("ordered").asInt()).isEqualTo(count);
        Set<String> again = new HashSet<>();
        after.path("weeks")
                .forEach(week -> week.path("checks")
                        .forEach(c -> again.add(c.path("title").asString())));
        proposal.path("weeks")
                .get(0)
                .path("checks")
                .forEach(c -> assertThat(again).doesNotContain(c.path("title").asString()));
    }

    @Test
    void weeksThatAreLeftOtherwiseAreLookedAt() {
        JsonNode proposal = propose("");
        List<List<String>> weeks = new ArrayList<>();
        proposal.path("weeks").forEach(week -> {
            List<String> ids = new ArrayList<>();
            week.path("checks").forEach(c -> ids.add(c.path("checkId").asString()));
            weeks.add(ids);
        });
        String monday = proposal.path("weeks").get(0).path("monday").asString();
        JsonNode same = look(monday, weeks);
        for (int i = 0; i < weeks.size(); i++) {
            assertThat(same.get(i).path("minutesWanted").asInt())
                    .isEqualTo(
                            proposal.path("weeks").get(i).path("minutesWanted").asInt());
            assertThat(same.get(i).path("tooEarly")).isEmpty();
        }
        Collections.reverse(weeks);
        JsonNode turned = look(monday, weeks);
        List<String> missed = new ArrayList<>();
        turned.forEach(week -> week.path("tooEarly")
                .forEach(early -> missed.add(early.path("after").asString())));
        assertThat(missed).isNotEmpty().noneMatch(String::isBlank);
        assertThat(turned.get(0).path("minutesWanted").asInt())
                .isEqualTo(same.get(weeks.size() - 1).path("minutesWanted").asInt());
        assertThat(look(monday, List.of(List.of(UUID.randomUUID().toString())))
                        .get(0)
                        .path("minutesWanted")
                        .asInt())
                .as("no check of this class")
                .isZero();
        assertThat(director.post(
                                "/api/season/first-weeks/look",
                                Map.of("classId", school.id("Winds"), "from", monday, "weeks", List.of()))
                        .sentence())
                .isEqualTo("Say what stands in which week.");
    }

    private JsonNode look(String from, List<List<String>> weeks) {
        Answer answer = director.post(
                "/api/season/first-weeks/look", Map.of("classId", school.id("Winds"), "from", from, "weeks", weeks));
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer.json();
    }

    @Test
    void whoCameAfterGetsTheSameFromNextMonday() {
        List<Map<String, Object>> past = new ArrayList<>();
        past.add(new HashMap<>(Map.of(
                "orderId",
                UUID.randomUUID(),
                "milestoneId",
                school.id("check"),
                "setOn",
                "2026-09-14",
                "dueOn",
                "2026-09-18")));
        assertThat(director.post("/api/season/first-weeks", Map.of("classId", school.id("Winds"), "orders", past))
                        .status())
                .isEqualTo(201);
        assertThat(propose("").has("newcomers")).isFalse();
        Answer joined = director.upload(
                "/api/roster-import/preview",
                "new.csv",
                "name,class,instrument,start date\nIda Newell,Winds,Flute,2026-10-05\n".getBytes(),
                Map.of());
        director.upload(
                "/api/roster-import?fingerprint="
                        + joined.json().path("fingerprint").asString(),
                "new.csv",
                "name,class,instrument,start date\nIda Newell,Winds,Flute,2026-10-05\n".getBytes(),
                Map.of());
        JsonNode newcomers = propose("").path("newcomers");
        assertThat(newcomers.path("names").get(0).asString()).isEqualTo("Ida Newell");
        assertThat(newcomers.path("since").asString()).isEqualTo("2026-10-05");
        Map<String, Object> winds = Map.of("classId", school.id("Winds"));
        assertThat(director.post("/api/season/first-weeks/newcomers", winds)
                        .json()
                        .path("orders")
                        .asInt())
                .isEqualTo(1);
        assertThat(director.post("/api/season/first-weeks/newcomers", winds)
                        .json()
                        .path("orders")
                        .asInt())
                .as("pressed twice")
                .isZero();
        JsonNode orders =
                director.get("/api/season/orders?classId=" + school.id("Winds")).json();
        assertThat(orders).hasSize(2);
        assertThat(orders.get(1).path("setOn").asString()).isEqualTo("2026-10-12");
        assertThat(orders.get(1).path("scopes").get(0).path("joinedSince").asString())
                .isEqualTo("2026-10-05");
        assertThat(propose("").has("newcomers")).isFalse();
        JsonNode board = director.get("/api/board?classId=" + school.id("Winds") + "&on=2026-10-12")
                .json();
        board.path("rows")
                .forEach(
                        row -> assertThat(row.path("marks").get(0).path("state").asString())
                                .as(row.path("name").asString())
                                .isEqualTo("SET"));
    }

    @Test
    void whatIsMissingIsSaid() {
        UUID empty = UUID.randomUUID();
        director.put("/api/classes/" + empty, School.classOf("Empty", "13:00"));
        assertThat(director.get("/api/season/first-weeks?classId=" + empty).sentence())
                .isEqualTo("Nobody sits in Empty yet; bring the roster in first.");
        assertThat(director.get("/api/season/first-weeks?classId=" + school.id("Winds") + "&from=2027-08-01")
                        .sentence())
                .startsWith("Winds does not meet from then on");
        assertThat(director.get("/api/season/first-weeks?classId=" + school.id("Winds") + "&weeks=40")
                        .sentence())
                .isEqualTo("Choose 1 to 12 weeks.");
        assertThat(director.post("/api/season/first-weeks", Map.of("classId", school.id("Winds"), "orders", List.of()))
                        .status())
                .isEqualTo(422);
    }
}
