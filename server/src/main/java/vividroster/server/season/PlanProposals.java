package vividroster.server.season;

import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Supplier;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import vividroster.core.plan.Plan;
import vividroster.core.plan.PlanBudget;
import vividroster.core.plan.PlanDifference;
import vividroster.core.plan.PlanProblem;
import vividroster.core.plan.PlanWatch;
import vividroster.core.plan.Planner;
import vividroster.server.office.Office;
import vividroster.server.platform.Ids;
import vividroster.server.platform.Problem;
import vividroster.server.platform.SignedIn;
import vividroster.server.season.ProposalQueries.Aim;
import vividroster.server.season.ProposalQueries.Proposal;
import vividroster.server.season.SeasonPlans.Move;

/** Plans the planner proposes: kept as differences until they are taken, whole or in part, or today's plan is kept. */
@Service
class PlanProposals {

    private final PlanYears plans;
    private final SeasonPlans season;
    private final ProposalQueries queries;
    private final PlanGate gate;
    private final Office office;
    private final TransactionTemplate transactions;

    PlanProposals(
            PlanYears plans,
            SeasonPlans season,
            ProposalQueries queries,
            PlanGate gate,
            Office office,
            PlatformTransactionManager transactions) {
        this.plans = plans;
        this.season = season;
        this.queries = queries;
        this.gate = gate;
        this.office = office;
        this.transactions = new TransactionTemplate(transactions);
    }

    /**
     * Looks for a better plan of a class, balanced and with as few moves as possible; what was proposed for it before gives
     * way. Where nothing stands yet there is only one.
     *
     * @param cause in words of the director; may be empty
     */
    List<PlanProposalView> propose(SignedIn person, UUID classId, String cause) {
        SeasonYear year = transactions.execute(status -> plans.of(person.programId(), List.of(classId)));
        Map<Aim, Plan> found = gate.whileThereIsRoom(() -> plansFor(year, PlanBudget.DEFAULT, PlanWatch.NOBODY));
        keep(person, year, classId, cause, found);
        return waiting(person.programId(), classId);
    }

    /** Both ways of changing a plan; one where they come to the same. */
    Map<Aim, Plan> plansFor(SeasonYear year, PlanBudget budget, PlanWatch watch) {
        PlanProblem problem = year.problem();
        Map<Aim, Plan> found = new LinkedHashMap<>();
        found.put(Aim.BALANCED, Planner.plan(problem, budget, watch));
        boolean standsSomewhere = year.items().stream()
                .anyMatch(item -> item.isFree() && problem.today().containsKey(item.id()));
        if (standsSomewhere) {
            Plan least = Planner.plan(problem.with(problem.prices().leastChange()), budget, watch);
            if (!least.weeks().equals(found.get(Aim.BALANCED).weeks())) {
                found.put(Aim.LEAST_CHANGE, least);
            }
        }
        return found;
    }

    void keep(SignedIn person, SeasonYear year, UUID classId, String cause, Map<Aim, Plan> found) {
        transactions.executeWithoutResult(status -> {
            season.hold(person.programId());
            SeasonYear now = plans.of(person.programId(), List.of(classId));
            season.refuseOther(now, year.revision());
            queries.deleteOf(person.programId(), year.yearId(), classId);
            found.forEach((aim, plan) -> queries.insert(
                    person.programId(),
                    person.accountId(),
                    new Proposal(
                            Ids.next(),
                            year.yearId(),
                            classId,
                            aim,
                            cause,
                            office.now(person.programId()).atOffset(ZoneOffset.UTC),
                            changes(year, plan))));
        });
    }

    private static Map<UUID, Optional<LocalDate>> changes(SeasonYear year, Plan plan) {
        Map<UUID, Optional<LocalDate>> changes = new LinkedHashMap<>();
        for (PlanDifference.Change change : PlanDifference.of(plan).changes()) {
            if (year.item(change.milestone()).flatMap(SeasonYear.Item::kept).isPresent()) {
                changes.put(
                        UUID.fromString(change.milestone()),
                        change.to().isPresent()
                                ? Optional.of(year.monday(change.to().getAsInt()))
                                : Optional.empty());
            }
        }
        return changes;
    }

    /** What waits for a class, as it is today: what was ordered or taken out since is no longer part of it. */
    List<PlanProposalView> waiting(UUID programId, UUID classId) {
        return read(() -> {
            SeasonYear year = plans.of(programId, List.of(classId));
            return queries.findAll(programId, year.yearId(), classId).stream()
                    .map(proposal -> new ProposalPictures(year, proposal).view())
                    .toList();
        });
    }

    private <T> T read(Supplier<T> reading) {
        return transactions.execute(status -> reading.get());
    }

    /**
     * Takes changes of a proposal into the plan.
     *
     * @param itemIds which of them; empty for all
     * @return the revision after it
     */
    long take(UUID programId, UUID classId, UUID proposalId, long revision, List<UUID> itemIds, boolean evenIfBroken) {
        return read(() -> {
            season.hold(programId);
            SeasonYear year = plans.of(programId, List.of(classId));
            Proposal proposal = queries.findAll(programId, year.yearId(), classId).stream()
                    .filter(one -> one.id().equals(proposalId))
                    .findFirst()
                    .orElseThrow(() -> Problem.notFound("That proposal waits no longer; ask for a new one."));
            Set<UUID> asked = new HashSet<>(itemIds);
            List<Move> moves = new ArrayList<>();
            ProposalPictures.standing(year, proposal).forEach((itemId, monday) -> {
                if (asked.isEmpty() || asked.contains(itemId)) {
                    moves.add(new Move(itemId, monday, false));
                }
            });
            if (moves.isEmpty()) {
                throw Problem.conflict("What was proposed there was changed or ordered meanwhile.");
            }
            long after = season.move(programId, classId, revision, moves, evenIfBroken);
            queries.deleteChanges(
                    programId, proposalId, moves.stream().map(Move::itemId).toList());
            if (asked.isEmpty() || moves.size() == proposal.changes().size()) {
                queries.deleteOf(programId, year.yearId(), classId);
            }
            return after;
        });
    }

    /** Today's plan is kept. */
    void dismiss(UUID programId, UUID classId) {
        transactions.executeWithoutResult(status -> queries.deleteOf(programId, plans.yearId(programId), classId));
    }
}
