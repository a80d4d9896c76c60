package vividroster.server.demo;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.apache.commons.csv.CSVRecord;
import org.springframework.stereotype.Component;
import vividroster.core.curriculum.Milestone;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.Evidence;
import vividroster.core.roster.SectionScope;
import vividroster.core.season.MilestoneOrder;
import vividroster.core.season.SchoolYear;
import vividroster.core.season.SchoolYear.Week;
import vividroster.server.library.Library;
import vividroster.server.library.LineFacts;
import vividroster.server.platform.Ids;
import vividroster.server.platform.SignedIn;
import vividroster.server.roster.SchoolClass;
import vividroster.server.season.YearPlanning;

/** The demo's year from autumn to today by a rule, a line or so a week for each class, and the plan of what is to come. */
@Component
class DemoSeason {

    /** The orders of the first weeks are data; from then on the rule goes on. */
    private static final LocalDate GROWS_FROM = LocalDate.of(2026, 10, 12);
    /** A week that is lost after the plan was made, so that a proposal waits. */
    private static final LocalDate LOST = LocalDate.of(2027, 3, 8);

    private static final String WHY = "Ferry in dry dock";

    private static final String BEHIND = "Beginning Winds";
    private static final String TARGET = "winds 32";
    private static final LocalDate TARGET_BY = LocalDate.of(2027, 5, 13);
    private static final int WEEKS_FORECAST = 10;

    private final YearPlanning planning;
    private final Library library;

    DemoSeason(YearPlanning planning, Library library) {
        this.planning = planning;
        this.library = library;
    }

    /** A line of its book for every class in each week it meets, from the first weeks to today's. */
    static List<MilestoneOrder> orders(
            SchoolYear year, LocalDate today, Map<String, SchoolClass> classes, Map<String, Milestone> milestones) {
        List<MilestoneOrder> orders = new ArrayList<>();
        for (CSVRecord row : DemoFiles.rows("season")) {
            SchoolClass one = classes.get(row.get("class"));
            String[] pattern = row.get("aWeek").split(" ");
            int number = Integer.parseInt(row.get("first"));
            int at = 0;
            for (Week week : one.times().weeksFrom(year, GROWS_FROM)) {
                if (week.monday().isAfter(today)) {
                    break;
                }
                List<LocalDate> days = one.times().daysIn(year, week);
                for (int n = Integer.parseInt(pattern[at++ % pattern.length]); n > 0; n--) {
                    Milestone line = milestones.get(row.get("volume").toLowerCase() + " " + number++);
                    if (line != null) {
                        orders.add(new MilestoneOrder(
                                Ids.next(),
                                line.id(),
                                days.getFirst(),
                                days.getLast(),
                                Evidence.countingByDefault(),
                                List.of(new SectionScope.Tutti(one.id()))));
                    }
                }
            }
        }
        return orders;
    }

    /** Everything that is left of the year planned for every class; one section slow; a day lost, and a proposal waiting. */
    void plan(SignedIn person, Map<String, SchoolClass> classes, Map<String, Milestone> milestones) {
        for (CSVRecord row : DemoFiles.rows("season")) {
            UUID classId = classes.get(row.get("class")).id();
            LineFacts first = library.line(
                    person.programId(),
                    milestones
                            .get(row.get("volume").toLowerCase() + " " + row.get("first"))
                            .id());
            planning.choose(person, classId, first.bookId(), first.page());
            if (!row.get("piece").isEmpty()) {
                planning.piece(
                        person,
                        classId,
                        row.get("piece"),
                        Integer.parseInt(row.get("pieceMinutes")),
                        Integer.parseInt(row.get("pieceWeeks")),
                        LocalDate.parse(row.get("pieceBy")));
            }
        }
        UUID behind = classes.get(BEHIND).id();
        planning.pace(person, behind, new InstrumentCode("horn"), 150);
        planning.takeBest(person, behind);
        planning.target(person, behind, milestones.get(TARGET).id(), TARGET_BY, WEEKS_FORECAST);
        LOST.datesUntil(LOST.plusDays(5)).forEach(day -> planning.loseDay(person, day, WHY));
        // The others are planned around the lost week; what the one that is behind is proposed waits for its director.
        classes.values().stream()
                .filter(one -> !one.id().equals(behind))
                .forEach(one -> planning.takeBest(person, one.id()));
        planning.propose(person, behind, "Week of 8 March lost, ferry in dry dock");
    }
}
