package vividroster.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import vividroster.e2e.Browsing.Screen;
import vividroster.e2e.Browsing.Seat;
import vividroster.server.platform.Ids;
import vividroster.testkit.ApiClient;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

/** More than an outcome: faults and tempo, several lines in one go, a few students together, habits and decisions. */
class WhatIsHeardTest {

    private final RunningServer server = RunningServer.shared();
    private final School school = School.open(server);
    private final ApiClient director = school.director();

    private static Page.GetByRoleOptions named(String name) {
        return new Page.GetByRoleOptions().setName(name).setExact(true);
    }

    private Page hearing(Seat seat, String section) {
        director.post("/api/season/orders", school.order(List.of(school.tutti()), "line", "line 2"));
        Page page = seat.page();
        Browsing.signInTo(school, page);
        page.navigate("/hear/" + school.id("line") + "?class=" + school.id("Winds") + section);
        return page;
    }

    private JsonNode tries(String student, String milestone, String instrument) {
        return director.get("/api/students/" + school.id(student) + "/milestones/" + school.id(milestone)
                        + "/tries?instrument=" + instrument)
                .json();
    }

    @Test
    void whatWentWrongIsADigitAndTheFolderRemembersIt() {
        try (Seat seat = Browsing.open(server, Screen.LAPTOP)) {
            Page page = hearing(seat, "&instrument=flute");
            Locator student = Browsing.studentAtTheDesk(page);
            assertThat(student).hasText("Bo Lund");
            page.keyboard().press("3");
            assertThat(page.getByRole(AriaRole.GROUP, named("What went wrong"))
                            .getByRole(
                                    AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("Rhythm"))))
                    .hasAttribute("aria-pressed", "true");
            for (int i = 0; i < 4; i++) {
                page.keyboard().press("b");
                page.waitForTimeout(400);
            }
            page.keyboard().press(" ");
            assertThat(student).hasText("Ana Reed");
            assertThat(page.getByRole(AriaRole.GROUP, named("What went wrong")).locator("[aria-pressed=true]"))
                    .hasCount(0);
            page.waitForCondition(() -> tries("Bo Lund", "line", "flute").size() == 1);
            JsonNode kept = tries("Bo Lund", "line", "flute").get(0);
            Assertions.assertThat(kept.path("faults").get(0).path("sign").asString())
                    .isEqualTo("Rhythm");
            Assertions.assertThat(kept.path("tempoBpm").asInt()).isBetween(60, 160);
            page.navigate("/roster/students/" + school.id("Bo Lund"));
            assertThat(page.getByText(Pattern.compile("not yet, alone.*Rhythm")))
                    .isVisible();
            page.getByRole(AriaRole.BUTTON, named("Correct the try of 7 Oct")).click();
            page.getByLabel("because").fill("the wrong student");
            page.keyboard().press("Enter");
            page.waitForCondition(() -> tries("Bo Lund", "line", "flute").size() == 2);
            Assertions.assertThat(seat.errors()).isEmpty();
        }
    }

    @Test
    void twoLinesInOneGoAreUndoneInOneGo() {
        try (Seat seat = Browsing.open(server, Screen.LAPTOP)) {
            Page page = hearing(seat, "&instrument=flute");
            assertThat(Browsing.studentAtTheDesk(page)).hasText("Bo Lund");
            page.getByText("Several lines in one go").click();
            page.getByRole(AriaRole.BUTTON, named("Line 2, Two gulls")).click();
            page.keyboard().press("Enter");
            page.waitForCondition(() -> tries("Bo Lund", "line 2", "flute").size() == 1
                    && tries("Bo Lund", "line", "flute").size() == 1);
            page.keyboard().press("u");
            page.waitForCondition(() -> tries("Bo Lund", "line 2", "flute").size() == 2
                    && tries("Bo Lund", "line", "flute").size() == 2);
            Assertions.assertThat(seat.errors()).isEmpty();
        }
    }

    @Test
    void twoPlayTogetherAndEachGetsAnOutcome() {
        try (Seat seat = Browsing.open(server, Screen.TABLET)) {
            Page page = hearing(seat, "");
            assertThat(Browsing.studentAtTheDesk(page)).isVisible();
            page.keyboard().press("g");
            assertThat(page.getByRole(AriaRole.HEADING, named("2 play together")))
                    .isVisible();
            page.keyboard().press("g");
            assertThat(page.getByRole(AriaRole.HEADING, named("3 play together")))
                    .isVisible();
            page.keyboard().press("2");
            page.keyboard().press("Enter");
            assertThat(page.getByText("Recorded: 2 passed, 1 not yet")).isVisible();
            page.waitForCondition(() -> {
                String board =
                        director.get("/api/board?classId=" + school.id("Winds")).text();
                return board.contains("TRIED") && board.contains("PASSED");
            });
            Assertions.assertThat(seat.errors()).isEmpty();
        }
    }

    @Test
    void aListByHandCallsWhoIsOnIt() {
        try (Seat seat = Browsing.open(server, Screen.LAPTOP)) {
            Page page = hearing(seat, "");
            assertThat(Browsing.studentAtTheDesk(page)).isVisible();
            page.getByText("Calls everybody open").click();
            page.getByLabel("Whom").selectOption("BY_HAND");
            assertThat(page.getByRole(AriaRole.LIST, named("Queue")).getByRole(AriaRole.LISTITEM))
                    .hasCount(0);
            page.getByRole(AriaRole.CHECKBOX, named("Cy Moor")).check();
            page.getByRole(AriaRole.CHECKBOX, named("Flo Hart")).check();
            assertThat(page.getByRole(AriaRole.LIST, named("Queue")).getByRole(AriaRole.LISTITEM))
                    .hasCount(2);
            Assertions.assertThat(seat.errors()).isEmpty();
        }
    }

    @Test
    void aHabitIsLookedAtAndASectionDecidedOnFromThePodium() {
        String check = director.post("/api/checks/starters/sit-tall/take", Map.of())
                .json()
                .path("milestoneId")
                .asString();
        Map<String, Object> order = new HashMap<>(school.order(List.of(school.tutti()), "line"));
        order.put(
                "milestones",
                List.of(
                        Map.of("orderId", Ids.next(), "milestoneId", check),
                        Map.of("orderId", Ids.next(), "milestoneId", school.id("line"))));
        order.put("setOn", School.FIRST.toString());
        director.post("/api/season/orders", order);
        Map<String, Object> passed = school.attempt("Ana Reed", "line", "PASS");
        passed.put("milestoneId", check);
        passed.put("heardAt", School.TODAY.minusWeeks(4) + "T14:00:00Z");
        director.post("/api/attempts", passed);
        director.post("/api/attempts", school.attempt("Ana Reed", "line", "NOT_YET"));
        try (Seat seat = Browsing.open(server, Screen.LAPTOP)) {
            Page page = seat.page();
            Browsing.signInTo(school, page);
            Locator winds = Browsing.onPodium(page, "Winds");
            winds.getByRole(AriaRole.GROUP, new Locator.GetByRoleOptions().setName("What is seen of Ana Reed"))
                    .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("lost"))
                    .click();
            winds.getByRole(AriaRole.GROUP, new Locator.GetByRoleOptions().setName(Pattern.compile("^Decide Line 1,")))
                    .first()
                    .getByRole(
                            AriaRole.BUTTON,
                            new Locator.GetByRoleOptions().setName("go on").setExact(true))
                    .click();
            Locator period = winds.getByRole(AriaRole.REGION, new Locator.GetByRoleOptions().setName("The period"));
            Locator teach = period.getByRole(
                    AriaRole.BUTTON,
                    new Locator.GetByRoleOptions().setName(Pattern.compile("^teach line 1, 10 minutes")));
            teach.focus();
            page.keyboard().press("ArrowRight");
            assertThat(period.getByRole(
                            AriaRole.BUTTON,
                            new Locator.GetByRoleOptions().setName(Pattern.compile("^teach line 1, 11 minutes"))))
                    .isVisible();
            page.waitForCondition(() -> director.get("/api/podium").text().contains("\"decided\":\"GO_ON\""));
            page.reload();
            assertThat(Browsing.onPodium(page, "Winds")).containsText("lost “");
            Assertions.assertThat(seat.errors()).isEmpty();
        }
    }
}
