package vividroster.server.hearing;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.Attempt;
import vividroster.core.progress.Evidence;
import vividroster.core.progress.Outcome;
import vividroster.core.progress.Trail;
import vividroster.server.platform.Ids;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

/** What the database keeps beside the attempts is what the core's ledger says of them, whatever came in which order. */
class TrailsTest {

    private static final List<InstrumentCode> INSTRUMENTS =
            Stream.of("trumpet", "horn", "baritone-tc").map(InstrumentCode::new).toList();

    private final RunningServer server = RunningServer.shared();
    private final School school = School.open(server);
    private final Hearing hearing = server.bean(Hearing.class);
    private final TrailQueries trails = server.bean(TrailQueries.class);
    private UUID account;

    @BeforeEach
    void someAccount() throws Exception {
        try (var connection = server.database().connect();
                var found = connection
                        .createStatement()
                        .executeQuery(
                                "select id from account where program_id = '" + school.programId() + "' limit 1")) {
            found.next();
            account = found.getObject(1, UUID.class);
        }
    }

    private Trail kept(UUID student, UUID milestone) {
        return trails.find(school.programId(), Map.of(student, Set.of(milestone)))
                .getOrDefault(student, Map.of())
                .getOrDefault(milestone, Trail.EMPTY);
    }

    /** Late attempts, the same moment twice, corrections and corrections of corrections, excuses and absences. */
    private List<Attempt> history(Random random, UUID student, UUID milestone) {
        List<Attempt> made = new ArrayList<>();
        List<Attempt> correctable = new ArrayList<>();
        for (int i = 0; i < 25; i++) {
            boolean corrects = !correctable.isEmpty() && random.nextInt(4) == 0;
            Attempt before = corrects ? correctable.remove(random.nextInt(correctable.size())) : null;
            Outcome outcome = Outcome.values()[random.nextInt(corrects ? 5 : 4)];
            Instant heardAt = corrects
                    ? before.heardAt()
                    : LocalDate.of(2026, 9, 1)
                            .plusDays(random.nextInt(9))
                            .atTime(10, random.nextInt(3))
                            .toInstant(ZoneOffset.UTC);
            Attempt attempt = new Attempt(
                    Ids.next(),
                    student,
                    milestone,
                    1,
                    corrects ? before.instrument() : INSTRUMENTS.get(random.nextInt(INSTRUMENTS.size())),
                    school.id("Winds"),
                    corrects ? before.heardOn() : heardAt.atZone(ZoneOffset.UTC).toLocalDate(),
                    heardAt,
                    Instant.EPOCH.plusSeconds(i),
                    Evidence.values()[random.nextInt(5)],
                    outcome,
                    List.of(),
                    outcome == Outcome.EXCUSED && random.nextBoolean(),
                    Optional.ofNullable(before).map(Attempt::id));
            made.add(attempt);
            correctable.add(attempt);
        }
        return made;
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 7, 42, 2026, 77_003, 990_017})
    void aTrailIsWhatTheLedgerLeavesOfTheAttempts(long seed) {
        UUID student = school.id("Ana Reed");
        UUID milestone = school.id("line");
        List<Attempt> made = history(new Random(seed), student, milestone);
        for (int i = 0; i < made.size(); i++) {
            hearing.load(
                    school.programId(), List.of(new HeardAttempt(made.get(i), account, "a reason", Beside.NOTHING)));
            assertThat(kept(student, milestone))
                    .as("after %d attempts of seed %d", i + 1, seed)
                    .isEqualTo(Trail.of(made.subList(0, i + 1)));
        }
    }

    @Test
    void attemptsOfOneTransactionMakeTheSameTrail() {
        UUID student = school.id("Bo Lund");
        UUID milestone = school.id("line");
        List<Attempt> made = history(new Random(5), student, milestone);
        hearing.load(
                school.programId(),
                made.stream()
                        .map(a -> new HeardAttempt(a, account, "a reason", Beside.NOTHING))
                        .toList());
        assertThat(kept(student, milestone)).isEqualTo(Trail.of(made));
    }

    @Test
    void aTrailGoesBackWithItsAttempt() {
        UUID student = school.id("Ed Stone");
        UUID milestone = school.id("line");
        Attempt attempt = history(new Random(3), student, milestone).getFirst();
        new TransactionTemplate(server.bean(PlatformTransactionManager.class)).executeWithoutResult(status -> {
            hearing.load(school.programId(), List.of(new HeardAttempt(attempt, account, "a reason", Beside.NOTHING)));
            assertThat(kept(student, milestone).steps()).hasSize(1);
            status.setRollbackOnly();
        });
        assertThat(kept(student, milestone)).isEqualTo(Trail.EMPTY);
    }
}
