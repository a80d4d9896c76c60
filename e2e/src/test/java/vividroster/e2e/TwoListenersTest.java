package vividroster.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import vividroster.e2e.Browsing.Screen;
import vividroster.e2e.Browsing.Seat;
import vividroster.testkit.ApiClient;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

/** A director and an assistant hear the same section on two devices. */
class TwoListenersTest {

    private final RunningServer server = RunningServer.shared();

    @Test
    void eachSeesWhatTheOtherMarksAndWhomTheyHear() {
        School school = School.open(server);
        ApiClient director = school.director();
        director.post("/api/season/orders", school.order(List.of(school.tutti()), "line"));
        String run = "/hear/" + school.id("line") + "?class=" + school.id("Winds");
        try (Seat one = Browsing.open(server, Screen.LAPTOP);
                Seat two = Browsing.open(server, Screen.TABLET)) {
            Page hers = one.page();
            Browsing.signInTo(school, hers);
            hers.navigate(run);
            Page his = two.page();
            Browsing.signIn(his, school.assistantName(), School.PASSWORD);
            his.navigate(run);
            Locator herStudent = Browsing.studentAtTheDesk(hers);
            Locator hisStudent = Browsing.studentAtTheDesk(his);
            assertThat(herStudent).hasText("Bo Lund");
            assertThat(hisStudent).hasText("Bo Lund");
            assertThat(hers.getByText("is hearing Bo Lund at this moment")).isVisible();
            assertThat(his.getByText("is hearing Bo Lund at this moment")).isVisible();

            his.keyboard().press("ArrowDown");
            assertThat(hisStudent).hasText("Ana Reed");
            assertThat(hers.getByText("is hearing Bo Lund at this moment")).isHidden();
            assertThat(queue(hers).getByText("with Assistant")).isVisible();

            // Whom the other has heard is called here no more.
            assertThat(queue(hers).getByText("Ana Reed")).isVisible();
            his.keyboard().press("Enter");
            assertThat(queue(hers).getByText("Ana Reed")).isHidden();

            // Both mark the same student: both are told, both marks are kept.
            queue(his).getByText("Bo Lund").click();
            assertThat(hisStudent).hasText("Bo Lund");
            hers.keyboard().press(" ");
            assertThat(his.getByText("has just marked Bo Lund: not yet.")).isVisible();
            his.keyboard().press("Enter");
            assertThat(hers.getByText("marked Bo Lund too: passed. Both are kept."))
                    .isVisible();
            Assertions.assertThat(director.get("/api/students/" + school.id("Bo Lund") + "/milestones/"
                                    + school.id("line") + "/tries?instrument=flute")
                            .json())
                    .hasSize(2);
            Assertions.assertThat(one.errors()).isEmpty();
            Assertions.assertThat(two.errors()).isEmpty();
        }
    }

    private static Locator queue(Page page) {
        return page.getByRole(AriaRole.LIST, new Page.GetByRoleOptions().setName("Queue"));
    }
}
