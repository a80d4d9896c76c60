package vividroster.bench;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.stream.IntStream;
import vividroster.core.access.Role;
import vividroster.core.curriculum.Criterion;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.curriculum.PassRule;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.Evidence;
import vividroster.core.roster.Seat;
import vividroster.core.roster.SectionScope;
import vividroster.core.season.MilestoneOrder;
import vividroster.core.season.SchoolYear;
import vividroster.server.account.Accounts;
import vividroster.server.library.Library;
import vividroster.server.office.Office;
import vividroster.server.orders.Orders;
import vividroster.server.platform.Ids;
import vividroster.server.roster.ClassShape;
import vividroster.server.roster.Rosters;
import vividroster.server.roster.SchoolClass;
import vividroster.testkit.RunningServer;

/** A section of 30 clarinets with a check of 8 criteria set for them. */
record GridSchool(UUID classId, UUID checkId) {

    static final int STUDENTS = 30;
    static final int CRITERIA = 8;
    private static final String PASSWORD = "a-long-enough-word";
    private static final LocalDate FIRST = LocalDate.of(2026, 8, 17);
    private static final LocalDate TODAY = LocalDate.of(2026, 10, 7);

    String address() {
        return "/hear/" + checkId + "?class=" + classId + "&instrument=clarinet";
    }

    /** A page of a laptop's size on which this school's director is signed in. */
    static Page signedIn(Browser browser, RunningServer server) {
        Page page = browser.newContext(new Browser.NewContextOptions()
                        .setBaseURL(server.address())
                        .setViewportSize(1280, 800))
                .newPage();
        page.navigate("/");
        page.getByLabel("Sign-in name").fill("bench");
        page.getByLabel("Password").fill(PASSWORD);
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Sign in"))
                .click();
        page.waitForURL("**/podium**");
        return page;
    }

    static GridSchool open(RunningServer server) {
        Office office = server.bean(Office.class);
        UUID programId = office.open("Grid", ZoneId.of("America/New_York"), TODAY);
        office.layYear(
                programId,
                "2026–2027",
                new SchoolYear(FIRST, LocalDate.of(2027, 6, 11), List.of(), List.of()),
                List.of());
        UUID accountId = server.bean(Accounts.class).add(programId, "bench", "Bench", Role.DIRECTOR, PASSWORD);
        Rosters rosters = server.bean(Rosters.class);
        SchoolClass schoolClass = new SchoolClass(
                Ids.next(), "Clarinets", "", ClassShape.LIKE_INSTRUMENT, Optional.empty(), 1, LocalTime.of(9, 0), 45);
        rosters.addClass(programId, schoolClass);
        for (int i = 1; i <= STUDENTS; i++) {
            rosters.addStudent(
                    programId,
                    "Player Number" + i,
                    id -> List.of(new Seat(
                            id, schoolClass.id(), new InstrumentCode("clarinet"), "", FIRST, Optional.empty())));
        }
        Milestone check = new Milestone(
                Ids.next(),
                MilestoneKind.TECHNIQUE_CHECK,
                "Hold",
                "Eight things to see",
                false,
                Set.of(),
                1,
                new PassRule.AllCriteria(),
                IntStream.rangeClosed(1, CRITERIA)
                        .mapToObj(i -> new Criterion(i, "Criterion " + i, 1, OptionalInt.empty()))
                        .toList());
        server.bean(Library.class).addCheck(programId, check, 1);
        server.bean(Orders.class)
                .load(
                        programId,
                        accountId,
                        List.of(new MilestoneOrder(
                                Ids.next(),
                                check.id(),
                                TODAY.minusDays(7),
                                TODAY.plusDays(2),
                                Evidence.countingByDefault(),
                                List.of(new SectionScope.Tutti(schoolClass.id())))));
        return new GridSchool(schoolClass.id(), check.id());
    }
}
