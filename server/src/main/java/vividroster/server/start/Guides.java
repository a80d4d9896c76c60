package vividroster.server.start;

import java.time.LocalDate;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.roster.Seat;
import vividroster.core.season.MilestoneOrder;
import vividroster.core.season.SchoolYear;
import vividroster.core.start.FirstHour;
import vividroster.core.start.FirstHour.Facts;
import vividroster.core.start.FirstHour.Step;
import vividroster.core.start.FirstHour.Told;
import vividroster.server.account.Accounts;
import vividroster.server.checks.Checks;
import vividroster.server.library.Library;
import vividroster.server.office.Office;
import vividroster.server.orders.Orders;
import vividroster.server.roster.Rosters;
import vividroster.server.roster.SchoolClass;
import vividroster.server.start.StartQueries.KeptAs;

/** The guide of the first hour: what is there, and what is missing. */
@Service
class Guides {

    private final StartQueries queries;
    private final Office office;
    private final Rosters rosters;
    private final Library library;
    private final Checks checks;
    private final Orders orders;
    private final Accounts accounts;

    Guides(
            StartQueries queries,
            Office office,
            Rosters rosters,
            Library library,
            Checks checks,
            Orders orders,
            Accounts accounts) {
        this.queries = queries;
        this.office = office;
        this.rosters = rosters;
        this.library = library;
        this.checks = checks;
        this.orders = orders;
        this.accounts = accounts;
    }

    /** @param year the present one; empty where none is laid */
    record Guide(List<Told> steps, Facts facts, String name, Optional<SchoolYear> year) {}

    @Transactional(readOnly = true)
    Guide of(UUID programId) {
        LocalDate today = office.today(programId);
        Optional<SchoolYear> year = office.anyYear(programId, today);
        List<SchoolClass> classes =
                rosters.classes(programId).stream().filter(c -> c.runsOn(today)).toList();
        LocalDate day = office.firstDayOf(programId);
        List<Seat> seats = rosters.seatsOn(programId, day);
        Set<UUID> seated = seats.stream().map(Seat::classId).collect(Collectors.toSet());
        Map<MilestoneKind, Long> shelf = library.allMilestones(programId).stream()
                .collect(Collectors.groupingBy(Milestone::kind, Collectors.counting()));
        Map<Step, KeptAs> kept = queries.find(programId);
        List<MilestoneOrder> set =
                orders.reaching(programId, classes.stream().map(SchoolClass::id).toList(), day);
        Facts facts = new Facts(
                office.isNamed(programId),
                year.map(y -> y.weeks().stream()
                                .mapToInt(w -> w.schoolDays().size())
                                .sum())
                        .orElse(0),
                classes.stream().map(SchoolClass::name).toList(),
                classes.stream()
                        .filter(c -> !seated.contains(c.id()))
                        .map(SchoolClass::name)
                        .toList(),
                (int) seats.stream().map(Seat::studentId).distinct().count(),
                library.books(programId).size(),
                shelf.getOrDefault(MilestoneKind.LINE, 0L).intValue(),
                kept.get(Step.SCHOOLS) == KeptAs.SEEN || checks.anyChosen(programId),
                classes.stream()
                        .filter(c -> seated.contains(c.id()) && !isSet(c, seats, set))
                        .map(SchoolClass::name)
                        .toList(),
                shelf.getOrDefault(MilestoneKind.BELT, 0L).intValue(),
                shelf.getOrDefault(MilestoneKind.PLAYING_TEST, 0L).intValue(),
                accounts.othersOf(programId),
                leftOut(kept));
        return new Guide(FirstHour.of(facts), facts, office.name(programId), year);
    }

    private static Set<Step> leftOut(Map<Step, KeptAs> kept) {
        Set<Step> leftOut = EnumSet.noneOf(Step.class);
        kept.forEach((step, as) -> {
            if (as == KeptAs.LEFT_OUT) {
                leftOut.add(step);
            }
        });
        return leftOut;
    }

    /** Whether anything is set for anybody in a class. */
    private boolean isSet(SchoolClass schoolClass, List<Seat> seats, List<MilestoneOrder> set) {
        return set.stream()
                .flatMap(order -> order.scopes().stream())
                .anyMatch(scope -> seats.stream()
                        .anyMatch(seat -> seat.classId().equals(schoolClass.id()) && rosters.holds(scope, seat)));
    }

    /** Leaves a step out of the guide, takes it up again, or says that it was looked at. */
    @Transactional
    void keep(UUID programId, Step step, Optional<KeptAs> as) {
        as.ifPresentOrElse(kept -> queries.put(programId, step, kept), () -> queries.remove(programId, step));
    }
}
