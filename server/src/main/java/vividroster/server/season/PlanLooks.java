package vividroster.server.season;

import jakarta.annotation.PreDestroy;
import java.time.Clock;
import java.time.Duration;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionException;
import org.springframework.transaction.support.TransactionTemplate;
import vividroster.core.plan.Plan;
import vividroster.core.plan.PlanBudget;
import vividroster.core.plan.PlanWatch;
import vividroster.server.platform.Clashes;
import vividroster.server.platform.Ids;
import vividroster.server.platform.Problem;
import vividroster.server.platform.SignedIn;
import vividroster.server.season.LookQueries.EndedAs;
import vividroster.server.season.LookQueries.Look;
import vividroster.server.season.ProposalQueries.Aim;

/** Looking longer for a better plan, in the background: it tells how far it is, and stops with the best so far when asked. */
@Service
class PlanLooks {

    private static final Logger LOG = LoggerFactory.getLogger(PlanLooks.class);
    /** As often as a director looks at it. */
    private static final Duration TOLD_EVERY = Duration.ofMillis(300);
    /** A look that says nothing for so long is lost with its server. */
    private static final Duration SILENT = Duration.ofSeconds(30);

    private final LookQueries queries;
    private final PlanYears plans;
    private final PlanProposals proposals;
    private final Clock clock;
    private final TransactionTemplate transactions;
    private final ExecutorService worker = Executors.newThreadPerTaskExecutor(
            Thread.ofPlatform().name("plan-look-", 1).daemon().factory());

    PlanLooks(
            LookQueries queries,
            PlanYears plans,
            PlanProposals proposals,
            Clock clock,
            PlatformTransactionManager transactions) {
        this.queries = queries;
        this.plans = plans;
        this.proposals = proposals;
        this.clock = clock;
        this.transactions = new TransactionTemplate(transactions);
    }

    @PreDestroy
    void close() {
        worker.shutdownNow();
    }

    /** @return the id of the look */
    UUID start(SignedIn person, UUID classId) {
        UUID id = Ids.next();
        SeasonYear year = transactions.execute(status -> {
            SeasonYear now = plans.of(person.programId(), List.of(classId));
            queries.endSilent(
                    person.programId(),
                    now.yearId(),
                    classId,
                    clock.instant().atOffset(ZoneOffset.UTC).minus(SILENT));
            Clashes.told("plan_look_one_at_a_time", "A long look for this class is on its way already.", () -> {
                queries.insert(person.programId(), id, now.yearId(), classId, person.accountId());
                return true;
            });
            return now;
        });
        worker.submit(() -> look(person, classId, id, year));
        return id;
    }

    private void look(SignedIn person, UUID classId, UUID id, SeasonYear year) {
        try {
            Map<Aim, Plan> found = proposals.plansFor(year, PlanBudget.LONG, new Telling(person.programId(), id));
            proposals.keep(person, year, classId, "A longer look", found);
            end(person.programId(), id, EndedAs.PROPOSED);
        } catch (Problem changed) {
            end(person.programId(), id, changed.status() == HttpStatus.CONFLICT ? EndedAs.CHANGED : EndedAs.FAILED);
        } catch (DataAccessException | TransactionException e) {
            LOG.warn("A long look could not be kept: {}", e.getClass().getSimpleName());
            end(person.programId(), id, EndedAs.FAILED);
        }
    }

    private void end(UUID programId, UUID id, EndedAs as) {
        try {
            transactions.executeWithoutResult(status -> queries.end(programId, id, as));
        } catch (DataAccessException | TransactionException e) {
            LOG.warn("A long look could not say that it ended: {}", e.getClass().getSimpleName());
        }
    }

    /** Tells the database now and then, and asks it whether to stop. */
    private final class Telling implements PlanWatch {

        private final UUID programId;
        private final UUID id;
        private long toldAt = System.nanoTime();
        private boolean stopped;

        Telling(UUID programId, UUID id) {
            this.programId = programId;
            this.id = id;
        }

        @Override
        public boolean goOn(long done, long all, long points) {
            if (!stopped && System.nanoTime() - toldAt > TOLD_EVERY.toNanos()) {
                toldAt = System.nanoTime();
                stopped = Boolean.TRUE.equals(
                                transactions.execute(status -> queries.tell(programId, id, done, all, points)))
                        || Thread.currentThread().isInterrupted();
            }
            return !stopped;
        }
    }

    Look find(UUID programId, UUID id) {
        Look look = transactions.execute(status -> queries.find(programId, id).orElse(null));
        if (look == null) {
            throw Problem.notFound("There is no such look.");
        }
        return look;
    }

    /** Whether it is lost with the server it ran on. */
    boolean isLost(Look look) {
        return look.endedAs().isEmpty()
                && look.told().isBefore(clock.instant().atOffset(ZoneOffset.UTC).minus(SILENT));
    }

    /** It stops with the best plan so far, which is then proposed. */
    void stop(UUID programId, UUID id) {
        transactions.executeWithoutResult(status -> queries.askToStop(programId, id));
    }
}
