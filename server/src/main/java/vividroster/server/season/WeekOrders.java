package vividroster.server.season;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.Evidence;
import vividroster.core.roster.SectionScope;
import vividroster.core.season.ClassTimes;
import vividroster.core.season.MilestoneOrder;
import vividroster.core.season.SchoolYear.Week;
import vividroster.server.orders.Orders;
import vividroster.server.platform.Problem;
import vividroster.server.platform.SignedIn;
import vividroster.server.roster.Rosters;
import vividroster.server.roster.SchoolClass;

/** What the plan has for one week of a class, ordered in one press, adjusted per section. */
@Service
class WeekOrders {

    private final PlanYears plans;
    private final SeasonPlans season;
    private final PlanItemQueries items;
    private final PlanYearQueries years;
    private final Orders orders;
    private final Rosters rosters;

    WeekOrders(
            PlanYears plans,
            SeasonPlans season,
            PlanItemQueries items,
            PlanYearQueries years,
            Orders orders,
            Rosters rosters) {
        this.plans = plans;
        this.season = season;
        this.items = items;
        this.years = years;
        this.orders = orders;
        this.rosters = rosters;
    }

    /**
     * One thing of the week.
     *
     * @param leftOut sections that do not get it this week; for them it stays in the plan, a week later
     * @param dueOn empty for the week's last meeting
     */
    record Wanted(
            UUID itemId,
            UUID orderId,
            Set<InstrumentCode> leftOut,
            Optional<LocalDate> dueOn,
            boolean substituteAccepted,
            boolean partnerCheckPasses) {}

    /** @return how many orders were made; those made before are not made again */
    @Transactional
    int order(SignedIn person, UUID classId, LocalDate monday, List<Wanted> wanted) {
        UUID programId = person.programId();
        season.hold(programId);
        SeasonYear year = plans.of(programId, List.of(classId));
        SchoolClass schoolClass = rosters.schoolClass(programId, classId);
        ClassTimes times = schoolClass.times();
        Week week = year.weekOf(monday)
                .map(year::week)
                .orElseThrow(() -> Problem.input("monday", "That week is not of this school year."));
        List<LocalDate> days = times.daysIn(year.year(), week);
        if (days.isEmpty()) {
            throw Problem.input("monday", schoolClass.name() + " does not meet in that week.");
        }
        List<MilestoneOrder> made = new ArrayList<>();
        List<KeptItem> rest = new ArrayList<>();
        for (Wanted one : wanted) {
            SeasonYear.Item item = year.item(one.itemId().toString())
                    .filter(found -> found.kept().isPresent())
                    .orElseThrow(() -> Problem.notFound("That is not in the plan any more; look at it anew."));
            if (item.item().milestone().isEmpty()
                    || item.orders().stream().anyMatch(order -> order.id().equals(one.orderId()))) {
                continue;
            }
            LocalDate due = one.dueOn().orElse(days.getLast());
            if (due.isBefore(days.getFirst())) {
                throw Problem.input("dueOn", "The due day comes before the week's first meeting.");
            }
            List<SectionScope> scopes = scopes(year, item, one.leftOut());
            if (scopes.isEmpty()) {
                throw Problem.input(
                        "leftOut", "Nobody is left for " + item.name() + "; leave it out of the week instead.");
            }
            made.add(new MilestoneOrder(
                    one.orderId(),
                    UUID.fromString(item.item().milestone().get()),
                    days.getFirst(),
                    due,
                    evidence(one),
                    scopes));
            rest(year, item, one.leftOut(), week).ifPresent(rest::add);
            narrow(year, item, one.leftOut(), scopes);
        }
        orders.set(programId, person.accountId(), made);
        items.insert(programId, year.yearId(), rest);
        if (!made.isEmpty()) {
            years.nextRevision(programId, year.yearId());
        }
        return made.size();
    }

    private static Set<Evidence> evidence(Wanted one) {
        Set<Evidence> evidence = Evidence.countingByDefault();
        if (one.substituteAccepted()) {
            evidence.add(Evidence.SUBSTITUTE);
        }
        if (one.partnerCheckPasses()) {
            evidence.add(Evidence.PARTNER_CHECK);
        }
        return evidence;
    }

    /** Whole sections as they were chosen, or those that are left. */
    private static List<SectionScope> scopes(SeasonYear year, SeasonYear.Item item, Set<InstrumentCode> leftOut) {
        return touches(year, item, leftOut)
                ? sections(year, item, leftOut, false)
                : item.kept().orElseThrow().scopes();
    }

    private static boolean touches(SeasonYear year, SeasonYear.Item item, Set<InstrumentCode> leftOut) {
        return year.sections().stream()
                .anyMatch(section -> item.item().sections().contains(section.id())
                        && leftOut.contains(section.instrument().code()));
    }

    private static List<SectionScope> sections(
            SeasonYear year, SeasonYear.Item item, Set<InstrumentCode> named, boolean among) {
        return year.sections().stream()
                .filter(section -> item.item().sections().contains(section.id())
                        && named.contains(section.instrument().code()) == among)
                .map(section -> PlanChoices.section(
                        section.classId(), section.instrument().code()))
                .distinct()
                .toList();
    }

    /** The plan keeps what is ordered as it was ordered. */
    private void narrow(SeasonYear year, SeasonYear.Item item, Set<InstrumentCode> leftOut, List<SectionScope> scopes) {
        if (touches(year, item, leftOut)) {
            items.replaceScopes(
                    year.programId(), item.kept().orElseThrow().forSections(UUID.fromString(item.id()), scopes));
        }
    }

    private static Optional<KeptItem> rest(
            SeasonYear year, SeasonYear.Item item, Set<InstrumentCode> leftOut, Week week) {
        if (!touches(year, item, leftOut)) {
            return Optional.empty();
        }
        Optional<LocalDate> next = year.year().weeks().stream()
                .filter(later -> later.monday().isAfter(week.monday())
                        && !later.schoolDays().isEmpty())
                .map(Week::monday)
                .findFirst();
        return Optional.of(item.kept()
                .orElseThrow()
                .forSections(
                        UUID.nameUUIDFromBytes((item.id() + "/rest/" + week.monday()).getBytes(StandardCharsets.UTF_8)),
                        sections(year, item, leftOut, true))
                .standing(next, false));
    }
}
