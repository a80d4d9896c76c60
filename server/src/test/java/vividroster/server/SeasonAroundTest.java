package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import vividroster.core.access.Role;
import vividroster.core.progress.Evidence;
import vividroster.core.roster.SectionScope;
import vividroster.core.season.MilestoneOrder;
import vividroster.core.season.SchoolYear;
import vividroster.server.account.Accounts;
import vividroster.server.office.Office;
import vividroster.server.orders.Orders;
import vividroster.testkit.ApiClient;
import vividroster.testkit.ApiClient.Answer;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

/** What surrounds a plan: forecasts, the long look, files, last year, calendars other programmes look up. */
class SeasonAroundTest {

    private final RunningServer server = RunningServer.shared();
    private final School school = School.open(server);
    private final ApiClient director = school.director();
    private final String winds = school.id("Winds").toString();

    private void chooseLines() {
        Map<String, Object> choice = new LinkedHashMap<>();
        choice.put("classId", winds);
        choice.put("firstChecks", false);
        choice.put("tests", true);
        choice.put("belts", false);
        choice.put("pages", Map.of("bookId", bookId()));
        assertThat(director.post("/api/season/plan/choose", choice)
                        .json()
                        .path("added")
                        .asInt())
                .isEqualTo(3);
    }

    private String bookId() {
        for (JsonNode milestone : director.get("/api/library").json().path("milestones")) {
            if (milestone.path("kind").asString().equals("LINE")) {
                return milestone.path("line").path("bookId").asString();
            }
        }
        throw new AssertionError("no line");
    }

    private JsonNode plan() {
        return director.get("/api/season/plan?classIds=" + winds).json();
    }

    private JsonNode forecasts() {
        Answer answer = director.get("/api/season/forecasts?classId=" + winds);
        assertThat(answer.status()).as(answer.text()).isEqualTo(200);
        return answer.json();
    }

    private Answer target(UUID id, String line, String byDay) {
        return director.put(
                "/api/season/forecasts/targets/" + id,
                Map.of("classId", winds, "lineId", school.id(line), "byDay", byDay));
    }

    @Test
    void aTargetIsForecastForEverySectionAndKeptEachWeek() {
        director.post("/api/season/orders", school.order(List.of(school.tutti()), "line", "line 2"));
        for (String student : List.of("Ana Reed", "Bo Lund")) {
            for (String line : List.of("line", "line 2")) {
                assertThat(director.post("/api/attempts", school.attempt(student, line, "PASS"))
                                .status())
                        .isEqualTo(200);
            }
        }
        director.post("/api/attempts", school.attempt("Ed Stone", "line", "PASS"));
        UUID id = UUID.randomUUID();
        assertThat(target(id, "line 2", "2026-12-10").status()).isEqualTo(204);
        assertThat(target(id, "line 2", "2026-12-10").status()).as("sent twice").isEqualTo(204);
        Answer again = target(UUID.randomUUID(), "line 2", "2026-12-10");
        assertThat(again.status()).isEqualTo(409);
        assertThat(again.sentence()).isEqualTo("That line is a target for that day already.");
        assertThat(target(UUID.randomUUID(), "line 2", "2028-12-10").sentence())
                .isEqualTo("That day is not of this school year.");

        JsonNode target = forecasts().get(0);
        assertThat(target.path("set").asBoolean()).isTrue();
        assertThat(target.path("number").asInt()).isEqualTo(2);
        Map<String, JsonNode> sections = new LinkedHashMap<>();
        target.path("sections").forEach(s -> sections.put(s.path("instrument").asString(), s));
        assertThat(sections.keySet()).containsExactly("flute", "clarinet", "trumpet");
        assertThat(sections.get("flute").path("need").asInt()).isZero();
        assertThat(sections.get("flute").path("words").asString()).startsWith("They have it");
        JsonNode trumpet = sections.get("trumpet");
        assertThat(trumpet.path("need").asInt())
                .as("two trumpets, two lines, one passed")
                .isEqualTo(3);
        assertThat(trumpet.path("low").asString())
                .isLessThanOrEqualTo(trumpet.path("middle").asString());
        assertThat(trumpet.path("words").asString()).contains("it rests mostly on the plan");
        assertThat(trumpet.path("chance").asInt()).isBetween(1, 100);
        assertThat(trumpet.path("earlier").size()).as("this week's is kept").isEqualTo(1);
        assertThat(trumpet.path("earlier").get(0).path("monday").asString()).isEqualTo("2026-10-05");
        assertThat(director.delete("/api/season/forecasts/targets/" + id).status())
                .isEqualTo(204);
        assertThat(director.delete("/api/season/forecasts/targets/" + id).status())
                .isEqualTo(404);
        assertThat(forecasts().get(0).path("set").asBoolean())
                .as("without one the last line before the next concert is looked at")
                .isFalse();
    }

    @Test
    void aLongLookTellsHowFarItIsAndProposes() throws InterruptedException {
        chooseLines();
        Answer started = director.post("/api/season/plan/looks", Map.of("classId", winds));
        assertThat(started.status()).as(started.text()).isEqualTo(202);
        String id = started.json().path("id").asString();
        JsonNode look = director.get("/api/season/plan/looks/" + id).json();
        for (int i = 0; i < 200 && !look.has("endedAs"); i++) {
            Thread.sleep(50);
            look = director.get("/api/season/plan/looks/" + id).json();
        }
        assertThat(look.path("endedAs").asString()).isEqualTo("PROPOSED");
        JsonNode proposals =
                director.get("/api/season/plan/proposals?classId=" + winds).json();
        assertThat(proposals.get(0).path("cause").asString()).isEqualTo("A longer look");
        assertThat(proposals.get(0).path("changes").size()).isEqualTo(3);
        assertThat(director.post("/api/season/plan/looks/" + id + "/stop", Map.of())
                        .status())
                .isEqualTo(204);
        assertThat(director.get("/api/season/plan/looks/" + UUID.randomUUID()).status())
                .isEqualTo(404);
    }

    @Test
    void aPlanGoesOutAndComesInByNames() {
        chooseLines();
        JsonNode proposal = director.post("/api/season/plan/proposals", Map.of("classId", winds))
                .json()
                .get(0);
        director.post(
                "/api/season/plan/proposals/" + proposal.path("id").asString() + "/take",
                Map.of(
                        "classId",
                        winds,
                        "revision",
                        plan().path("revision").asLong(),
                        "itemIds",
                        List.of(),
                        "evenIfBroken",
                        false));
        String base = "/api/season/plan/classes/" + winds;
        Answer csv = director.get(base + "/plan.csv");
        assertThat(csv.status()).isEqualTo(200);
        assertThat(csv.text()).contains("LINE,\"Tideline Method, Winds\",1,First light");
        Answer json = director.get(base + "/plan.json");
        assertThat(json.json().path("version").asInt()).isEqualTo(1);
        assertThat(json.json().path("items").size()).isEqualTo(3);
        JsonNode before = plan();
        director.post(
                "/api/season/plan/removals",
                Map.of(
                        "itemIds",
                        before.path("items")
                                .valueStream()
                                .map(item -> item.path("id").asString())
                                .toList()));
        assertThat(plan().path("items").size()).isZero();
        for (Answer file : List.of(json, csv)) {
            Answer laid = director.upload(base + "/file", "plan", file.bytes(), Map.of());
            assertThat(laid.status()).as(laid.text()).isEqualTo(200);
            assertThat(laid.json().path("added").asInt()
                            + laid.json().path("known").asInt())
                    .isEqualTo(3);
        }
        assertThat(weeks(plan())).as("each in its teaching week again").isEqualTo(weeks(before));
        Answer unknown = director.upload(
                base + "/file",
                "plan.csv",
                "kind,title\nLINE,Never written\nSONG,X\n".getBytes(StandardCharsets.UTF_8),
                Map.of());
        assertThat(unknown.json().path("refused").get(0).path("why").asString())
                .isEqualTo("The library has no such line.");
        assertThat(unknown.json().path("refused").get(1).path("why").asString())
                .isEqualTo("There is no kind \"SONG\".");
        Answer broken = director.upload(
                base + "/file", "plan.json", "{\"version\":".getBytes(StandardCharsets.UTF_8), Map.of());
        assertThat(broken.status()).isEqualTo(422);
        assertThat(broken.sentence()).startsWith("This is no plan in JSON");
    }

    private static Map<String, String> weeks(JsonNode plan) {
        Map<String, String> weeks = new LinkedHashMap<>();
        plan.path("items")
                .forEach(item -> weeks.put(
                        item.path("title").asString(), item.path("monday").asString("")));
        return new java.util.TreeMap<>(weeks);
    }

    @Test
    void lastYearsPlanIsLaidOntoThisYearsTeachingWeeks() {
        String base = "/api/season/plan/classes/" + winds;
        assertThat(director.post(base + "/last-year", Map.of()).status()).isEqualTo(404);
        Office office = server.bean(Office.class);
        office.layYear(
                school.programId(),
                "2025–2026",
                new SchoolYear(LocalDate.of(2025, 8, 18), LocalDate.of(2026, 6, 12), List.of(), List.of()),
                List.of());
        server.bean(Orders.class)
                .load(
                        school.programId(),
                        server.bean(Accounts.class)
                                .add(
                                        school.programId(),
                                        "earlier-" + winds,
                                        "Earlier",
                                        Role.ASSISTANT,
                                        School.PASSWORD),
                        List.of(new MilestoneOrder(
                                UUID.randomUUID(),
                                school.id("line"),
                                LocalDate.of(2025, 10, 13),
                                LocalDate.of(2025, 10, 17),
                                Evidence.countingByDefault(),
                                List.of(new SectionScope.Tutti(school.id("Winds"))))));
        Answer laid = director.post(base + "/last-year", Map.of());
        assertThat(laid.status()).as(laid.text()).isEqualTo(200);
        assertThat(laid.json().path("added").asInt()).isEqualTo(1);
        assertThat(weeks(plan())).containsEntry("First light", "2026-10-12");
    }

    @Test
    void otherCalendarsLookUpDueDaysByASecretAddress() {
        director.post("/api/season/orders", school.order(List.of(school.tutti()), "line", "test"));
        String feed = "/api/season/feeds/" + winds;
        assertThat(director.get(feed).json().has("openedAt")).isFalse();
        String path = director.post(feed, Map.of()).json().path("path").asString();
        assertThat(director.get(feed).json().has("openedAt")).isTrue();
        Answer read = server.visitor().get(path);
        assertThat(read.status()).as("nobody signs in").isEqualTo(200);
        assertThat(read.text().replace("\r\n ", ""))
                .contains("BEGIN:VCALENDAR", "Playing test: Test 1", "Due: First light", "Hearing: Winds\\, about ");
        assertThat(read.text()).as("nobody's name").doesNotContain("Reed");
        String newer = director.post(feed, Map.of()).json().path("path").asString();
        assertThat(server.visitor().get(path).status()).as("the old address").isEqualTo(404);
        assertThat(server.visitor().get(newer).status()).isEqualTo(200);
        assertThat(director.delete(feed).status()).isEqualTo(204);
        assertThat(server.visitor().get(newer).sentence())
                .isEqualTo("There is no such calendar, or its address was changed.");
    }

    @Test
    void aClassNamesItsFingerPatterns() {
        String patterns = "/api/classes/" + winds + "/finger-patterns";
        assertThat(director.get(patterns).json().get(0).path("described").asString())
                .isEqualTo("2 and 3 close");
        assertThat(director.put(
                                patterns,
                                List.of(
                                        Map.of("name", "Gull", "close", List.of(2)),
                                        Map.of("name", "Open sea", "close", List.of())))
                        .status())
                .isEqualTo(204);
        JsonNode own = director.get(patterns).json();
        assertThat(own.get(0).path("described").asString()).isEqualTo("Gull (2 and 3 close)");
        assertThat(own.get(1).path("described").asString()).isEqualTo("Open sea (all apart)");
        Answer twice = director.put(
                patterns,
                List.of(Map.of("name", "Gull", "close", List.of(1)), Map.of("name", "Gull", "close", List.of(2))));
        assertThat(twice.status()).isEqualTo(422);
        assertThat(twice.sentence()).isEqualTo("Two patterns have one name.");
        assertThat(director.put(patterns, List.of(Map.of("name", "Far", "close", List.of(4))))
                        .status())
                .isEqualTo(400);
        assertThat(director.put(patterns, List.of()).status()).isEqualTo(204);
        assertThat(director.get(patterns).json().size())
                .as("the usual ones again")
                .isEqualTo(4);
    }

    @Test
    void theOrderSheetSaysWhatIsNewWhatIsHeardAndWhatIsCarriedOver() {
        String notes = "X:1\nT:First light\nM:4/4\nL:1/4\nQ:1/4=72\nK:Bb\n|:B2 c2|d4|c2 B2|B4:|\n";
        assertThat(director.post("/api/lines/" + school.id("line") + "/notes", Map.of("abc", notes))
                        .status())
                .isEqualTo(204);
        Map<String, Object> late = school.order(List.of(school.tutti()), "line 2");
        late.put("setOn", "2026-09-21");
        late.put("dueOn", "2026-09-25");
        assertThat(director.post("/api/season/orders", late).status()).isEqualTo(201);
        Map<String, Object> order = school.order(List.of(school.tutti()), "line", "check");
        order.put("substituteAccepted", true);
        assertThat(director.post("/api/season/orders", order).status()).isEqualTo(201);
        JsonNode sheet = director.get("/api/season/sheet?classId=" + winds).json();
        assertThat(sheet.path("week").asInt()).isPositive();
        JsonNode flutes = sheet.path("parts").get(0);
        assertThat(flutes.path("name").asString()).isEqualTo("Flutes");
        assertThat(flutes.path("carriedOver").get(0).path("title").asString()).isEqualTo("line 2");
        assertThat(flutes.path("carriedOver").get(0).path("students").asInt()).isEqualTo(2);
        Map<String, JsonNode> items = new LinkedHashMap<>();
        flutes.path("items").forEach(item -> items.put(item.path("title").asString(), item));
        JsonNode line = items.get("First light");
        assertThat(line.path("heard").asBoolean())
                .as("the last line due that day")
                .isTrue();
        assertThat(line.path("substituteAccepted").asBoolean()).isTrue();
        assertThat(line.path("news").toString()).contains("B-flat").contains("fingers");
        assertThat(line.path("comingIn").asString()).startsWith("B-flat");
        assertThat(line.path("roadmap").asString()).as("the repeat is played").isEqualTo("1–4, 1–4");
        for (String paper : List.of("A4", "A5")) {
            Answer pdf = director.get("/api/season/sheet/sheet.pdf?classId=" + winds + "&paper=" + paper);
            assertThat(pdf.status()).isEqualTo(200);
            assertThat(pdf.contentType()).isEqualTo("application/pdf");
            assertThat(new String(pdf.bytes(), 0, 5, StandardCharsets.US_ASCII)).isEqualTo("%PDF-");
        }
        assertThat(director.get("/api/season/sheet/sheet.pdf?classId=" + winds + "&paper=A9")
                        .status())
                .isBetween(400, 422);
    }
}
