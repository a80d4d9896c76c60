package vividroster.server.season;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import vividroster.core.music.InstrumentCode;
import vividroster.core.roster.SectionScope;
import vividroster.server.platform.Ids;
import vividroster.server.platform.Problem;
import vividroster.server.platform.SignedIn;
import vividroster.server.season.PlanProposalView.OptionKind;
import vividroster.server.season.PlanYearQueries.WeekOf;

/** One way to make something fit, taken: the one change is made and the plan is looked for again. */
@Service
class PlanOptionsTaken {

    /**
     * @param itemId what is to fit
     * @param otherItemId what is left out for it
     */
    record Taken(
            UUID itemId,
            OptionKind kind,
            Optional<UUID> otherItemId,
            Optional<LocalDate> monday,
            Optional<UUID> minutesOf,
            int minutes,
            List<InstrumentCode> instruments) {}

    private final PlanYears plans;
    private final SeasonPlans season;
    private final PlanProposals proposals;
    private final PlanItemQueries items;
    private final PlanYearQueries years;
    private final TransactionTemplate transactions;

    PlanOptionsTaken(
            PlanYears plans,
            SeasonPlans season,
            PlanProposals proposals,
            PlanItemQueries items,
            PlanYearQueries years,
            PlatformTransactionManager transactions) {
        this.plans = plans;
        this.season = season;
        this.proposals = proposals;
        this.items = items;
        this.years = years;
        this.transactions = new TransactionTemplate(transactions);
    }

    List<PlanProposalView> take(SignedIn person, UUID classId, Taken taken) {
        UUID programId = person.programId();
        String cause = transactions.execute(status -> {
            season.hold(programId);
            SeasonYear year = plans.of(programId, List.of(classId));
            KeptItem item = kept(year, taken.itemId());
            String name = year.item(taken.itemId().toString()).orElseThrow().name();
            String done = switch (taken.kind()) {
                case DROP -> {
                    UUID other = taken.otherItemId()
                            .orElseThrow(() -> Problem.input("otherItemId", "Say what is to be left out."));
                    String otherName = year.item(other.toString())
                            .map(SeasonYear.Item::name)
                            .orElse("it");
                    kept(year, other);
                    items.delete(programId, List.of(other));
                    yield otherName + " left out for " + name;
                }
                case MOVE_DATE -> {
                    moveDate(year, item, monday(taken));
                    yield name + " with another date";
                }
                case MORE_MINUTES -> {
                    years.addExtraMinutes(
                            programId,
                            new WeekOf(
                                    taken.minutesOf().orElseThrow(() -> Problem.input("classId", "Say which class.")),
                                    monday(taken)),
                            taken.minutes());
                    yield taken.minutes() + " more minutes for " + name;
                }
                case SPLIT -> {
                    split(year, item, taken.instruments());
                    yield name + " split by section";
                }
                case MORE_NEW_NOTES -> {
                    items.updateWeek(programId, item.id(), monday(taken), true);
                    yield "one more new note for " + name;
                }
                case PIN -> {
                    items.updateWeek(programId, item.id(), monday(taken), true);
                    yield name + " pinned";
                }
            };
            years.nextRevision(programId, year.yearId());
            return done;
        });
        return proposals.propose(person, classId, PlanNames.capital(cause));
    }

    private static LocalDate monday(Taken taken) {
        return taken.monday().orElseThrow(() -> Problem.input("monday", "Say which week."));
    }

    private static KeptItem kept(SeasonYear year, UUID itemId) {
        return year.item(itemId.toString())
                .flatMap(SeasonYear.Item::kept)
                .orElseThrow(() -> Problem.notFound("That is not in the plan any more; look at it anew."));
    }

    /** Its dates let it stand in that week. */
    private void moveDate(SeasonYear year, KeptItem item, LocalDate monday) {
        UUID programId = year.programId();
        items.updateWeek(
                programId, item.id(), item.pinned() ? null : item.monday().orElse(null), false);
        items.updateSettings(
                programId,
                new KeptItem(
                        item.id(),
                        item.ordinal(),
                        item.kind(),
                        item.milestoneId(),
                        item.title(),
                        item.value(),
                        item.essential(),
                        item.teachMinutes(),
                        item.heardAlone(),
                        item.notBefore().filter(day -> !day.isAfter(monday)),
                        item.dueBy().map(day -> day.isBefore(monday.plusDays(4)) ? monday.plusDays(4) : day),
                        item.marginWeeks(),
                        item.monday(),
                        false,
                        item.scopes()));
    }

    private void split(SeasonYear year, KeptItem item, List<InstrumentCode> instruments) {
        UUID programId = year.programId();
        Set<String> asked = year.item(item.id().toString()).orElseThrow().item().sections();
        Set<SectionScope> first = new LinkedHashSet<>();
        Set<SectionScope> rest = new LinkedHashSet<>();
        year.sections().stream()
                .filter(section -> asked.contains(section.id()))
                .forEach(section -> (instruments.contains(section.instrument().code()) ? first : rest)
                        .add(PlanChoices.section(
                                section.classId(), section.instrument().code())));
        if (first.isEmpty() || rest.isEmpty()) {
            throw Problem.input("instruments", "Choose some of its sections, not all and not none.");
        }
        items.delete(programId, List.of(item.id()));
        List<KeptItem> parts = new ArrayList<>();
        parts.add(item.forSections(Ids.next(), List.copyOf(first)));
        parts.add(item.forSections(Ids.next(), List.copyOf(rest)));
        items.insert(programId, year.yearId(), parts);
    }
}
