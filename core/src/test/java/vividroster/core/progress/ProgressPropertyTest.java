package vividroster.core.progress;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import vividroster.core.curriculum.Belt;
import vividroster.core.curriculum.BeltSlot;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.curriculum.PassRule;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.SectionJudgement.Verdict;

/** What holds whatever was heard, in whichever order it came in. */
class ProgressPropertyTest {

    private static final InstrumentCode FLUTE = new InstrumentCode("flute");
    private static final LocalDate FIRST = LocalDate.of(2026, 9, 7);
    private static final LocalDate ON = FIRST.plusDays(60);

    private static final List<Milestone> MILESTONES = List.of(
            milestone(1, new PassRule.OneGoodTry()),
            milestone(2, new PassRule.KOfLastN(2, 3)),
            milestone(3, new PassRule.KOfLastN(4, 5)),
            milestone(4, new PassRule.OneGoodTry()));

    private static final List<Belt> BELTS = List.of(belt(1, 1, 2), belt(2, 3), belt(3, 1, 4));

    private static Milestone milestone(int number, PassRule rule) {
        return new Milestone(
                new UUID(1, number),
                MilestoneKind.LINE,
                "" + number,
                "Line " + number,
                false,
                Set.of(),
                1,
                rule,
                List.of());
    }

    private static Belt belt(int rank, int... milestones) {
        List<BeltSlot> slots = new ArrayList<>();
        for (int milestone : milestones) {
            slots.add(new BeltSlot(slots.size() + 1, "Slot", Map.of(BeltSlot.ANY, new UUID(1, milestone))));
        }
        return new Belt(new UUID(2, rank), "winds", rank, "Belt " + rank, slots);
    }

    private static Attempt attempt(Random random, int student, Outcome outcome, Optional<UUID> corrects) {
        Instant heardAt = FIRST.plusDays(random.nextInt(40))
                .atTime(9 + random.nextInt(3), random.nextInt(60))
                .toInstant(ZoneOffset.UTC);
        return made(
                new UUID(random.nextLong(), random.nextLong()),
                student,
                MILESTONES.get(random.nextInt(MILESTONES.size())).id(),
                heardAt,
                heardAt.plusSeconds(random.nextInt(100_000)),
                Evidence.values()[random.nextInt(Evidence.values().length)],
                outcome,
                outcome == Outcome.EXCUSED && random.nextBoolean(),
                corrects);
    }

    private static Attempt made(
            UUID id,
            int student,
            UUID milestoneId,
            Instant heardAt,
            Instant recordedAt,
            Evidence evidence,
            Outcome outcome,
            boolean waived,
            Optional<UUID> corrects) {
        return new Attempt(
                id,
                new UUID(3, student),
                milestoneId,
                1,
                FLUTE,
                new UUID(4, 4),
                heardAt.atZone(ZoneOffset.UTC).toLocalDate(),
                heardAt,
                recordedAt,
                evidence,
                outcome,
                List.of(),
                waived,
                corrects);
    }

    private static List<Attempt> history(Random random, int student, int size) {
        List<Attempt> attempts = new ArrayList<>();
        for (int i = 0; i < size; i++) {
            Outcome outcome = List.of(Outcome.PASS, Outcome.NOT_YET, Outcome.NOT_YET, Outcome.EXCUSED, Outcome.ABSENT)
                    .get(random.nextInt(5));
            attempts.add(attempt(random, student, outcome, Optional.empty()));
        }
        return attempts;
    }

    private static Attempt correction(Random random, Attempt of, Outcome outcome) {
        return made(
                new UUID(random.nextLong(), random.nextLong()),
                (int) of.studentId().getLeastSignificantBits(),
                of.milestoneId(),
                of.heardAt(),
                of.recordedAt().plusSeconds(1 + random.nextInt(100_000)),
                of.evidence(),
                outcome,
                false,
                Optional.of(of.id()));
    }

    private static Map<UUID, Standing> standings(List<Attempt> attempts) {
        Map<UUID, Standing> standings = new HashMap<>();
        for (Milestone milestone : MILESTONES) {
            standings.put(
                    milestone.id(),
                    Standings.of(
                            milestone,
                            attempts.stream()
                                    .filter(a -> a.milestoneId().equals(milestone.id()))
                                    .toList(),
                            FLUTE,
                            new Standings.Terms(Evidence.countingByDefault(), Optional.of(FIRST.plusDays(20))),
                            ON));
        }
        return standings;
    }

    private static int worn(List<Attempt> attempts) {
        return new BeltLadder(BELTS)
                .worn(FLUTE, standings(attempts))
                .worn()
                .map(Belt::rank)
                .orElse(0);
    }

    @Property(tries = 400)
    void onePassMoreTakesNoBeltAndNoPassAway(@ForAll long seed) {
        Random random = new Random(seed);
        List<Attempt> before = history(random, 1, random.nextInt(25));
        List<Attempt> after = new ArrayList<>(before);
        Attempt any = attempt(random, 1, Outcome.PASS, Optional.empty());
        after.add(made(
                any.id(),
                1,
                any.milestoneId(),
                any.heardAt(),
                any.recordedAt(),
                Evidence.LIVE_ALONE,
                Outcome.PASS,
                false,
                Optional.empty()));
        assertThat(worn(after)).isGreaterThanOrEqualTo(worn(before));
        Map<UUID, Standing> then = standings(after);
        standings(before).forEach((id, standing) -> {
            if (standing.fillsSlot()) {
                assertThat(then.get(id).fillsSlot()).isTrue();
            }
        });
    }

    @Property(tries = 200)
    void onePassMoreTakesNoRecommendationBack(@ForAll long seed) {
        Random random = new Random(seed);
        Milestone milestone = MILESTONES.getFirst();
        Map<Integer, List<Attempt>> ofStudents = new LinkedHashMap<>();
        for (int student = 1; student <= 8; student++) {
            ofStudents.put(student, history(random, student, random.nextInt(6)));
        }
        Verdict before = judged(ofStudents, milestone);
        int lucky = 1 + random.nextInt(8);
        boolean played = standings(ofStudents.get(lucky)).get(milestone.id()).state() == Standing.State.TRIED;
        if (!played) {
            return;
        }
        Instant at = FIRST.plusDays(50).atTime(9, 0).toInstant(ZoneOffset.UTC);
        ofStudents
                .get(lucky)
                .add(made(
                        new UUID(9, 9),
                        lucky,
                        milestone.id(),
                        at,
                        at,
                        Evidence.LIVE_ALONE,
                        Outcome.PASS,
                        false,
                        Optional.empty()));
        assertThat(RANK.indexOf(judged(ofStudents, milestone))).isGreaterThanOrEqualTo(RANK.indexOf(before));
    }

    private static final List<Verdict> RANK = List.of(
            Verdict.NOBODY_HEARD, Verdict.STAY, Verdict.GO_ON_WITH_CATCH_UP, Verdict.HEAR_THE_REST, Verdict.GO_ON);

    private static Verdict judged(Map<Integer, List<Attempt>> ofStudents, Milestone milestone) {
        Map<UUID, Standing> standings = new LinkedHashMap<>();
        ofStudents.forEach((student, attempts) ->
                standings.put(new UUID(3, student), standings(attempts).get(milestone.id())));
        return SectionJudgement.of(standings, Optional.empty()).verdict();
    }

    @Property(tries = 300)
    void theOrderInWhichMarksArriveDoesNotMatter(@ForAll long seed) {
        Random random = new Random(seed);
        List<Attempt> attempts = history(random, 1, 20);
        List<Attempt> corrections = new ArrayList<>();
        for (Attempt attempt : attempts) {
            if (random.nextInt(4) == 0) {
                corrections.add(correction(random, attempt, random.nextBoolean() ? Outcome.PASS : Outcome.UNDONE));
            }
        }
        attempts.addAll(corrections);
        Map<UUID, Standing> one = standings(attempts);
        Collections.shuffle(attempts, random);
        assertThat(standings(attempts)).isEqualTo(one);
    }

    @Property(tries = 300)
    void aCorrectionIsAsIfItHadBeenHeardThatWayAtFirst(@ForAll long seed) {
        Random random = new Random(seed);
        List<Attempt> attempts = history(random, 1, 15);
        Attempt wrong = attempts.get(random.nextInt(attempts.size()));
        Outcome right = random.nextBoolean() ? Outcome.PASS : Outcome.NOT_YET;
        List<Attempt> corrected = new ArrayList<>(attempts);
        corrected.add(correction(random, wrong, right));
        List<Attempt> heardRight = new ArrayList<>(attempts);
        heardRight.set(
                attempts.indexOf(wrong),
                made(
                        wrong.id(),
                        1,
                        wrong.milestoneId(),
                        wrong.heardAt(),
                        wrong.recordedAt(),
                        wrong.evidence(),
                        right,
                        false,
                        Optional.empty()));
        assertThat(standings(corrected)).isEqualTo(standings(heardRight));
        List<Attempt> undone = new ArrayList<>(attempts);
        undone.add(correction(random, wrong, Outcome.UNDONE));
        List<Attempt> never = new ArrayList<>(attempts);
        never.remove(wrong);
        assertThat(standings(undone)).isEqualTo(standings(never));
    }
}
