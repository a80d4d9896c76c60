package vividroster.core.progress;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import vividroster.core.curriculum.Criterion;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.curriculum.PassRule;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.Standing.State;
import vividroster.core.progress.Standings.Terms;

class StandingsTest {

    private static final LocalDate MONDAY = LocalDate.of(2026, 9, 14);
    private static final LocalDate FRIDAY = MONDAY.plusDays(4);
    private static final UUID STUDENT = UUID.randomUUID();
    private static final UUID WINDS = UUID.randomUUID();
    private static final Milestone LINE = milestone(MilestoneKind.LINE, new PassRule.OneGoodTry(), false, List.of());
    private static final Terms SET = new Terms(Evidence.countingByDefault(), Optional.of(FRIDAY));

    private static Milestone milestone(MilestoneKind kind, PassRule rule, boolean free, List<Criterion> criteria) {
        return new Milestone(UUID.randomUUID(), kind, "12", "Gull on a post", free, Set.of(), 1, rule, criteria);
    }

    private static Attempt heard(int day, Outcome outcome) {
        return heard(day, outcome, Evidence.LIVE_ALONE, new InstrumentCode("trumpet"));
    }

    private static Attempt heard(int day, Outcome outcome, Evidence evidence, InstrumentCode instrument) {
        return entry(day, outcome, evidence, instrument, false, Optional.empty());
    }

    private static Attempt entry(
            int day,
            Outcome outcome,
            Evidence evidence,
            InstrumentCode instrument,
            boolean waived,
            Optional<UUID> corrects) {
        LocalDate on = MONDAY.plusDays(day);
        Instant at = on.atTime(10, 0).toInstant(ZoneOffset.UTC);
        return new Attempt(
                UUID.randomUUID(),
                STUDENT,
                LINE.id(),
                1,
                instrument,
                WINDS,
                on,
                at,
                at.plusSeconds(corrects.isPresent() ? 9 : 0),
                evidence,
                outcome,
                List.of(),
                waived,
                corrects);
    }

    private static Standing of(Attempt... attempts) {
        return Standings.of(LINE, List.of(attempts), new InstrumentCode("trumpet"), SET, FRIDAY);
    }

    @Test
    void notHeardIsNoFailure() {
        assertThat(of().state()).isEqualTo(State.SET);
        assertThat(of().tries()).isZero();
        assertThat(Standings.of(LINE, List.of(), new InstrumentCode("trumpet"), Terms.UNSET, FRIDAY)
                        .state())
                .isEqualTo(State.NOT_SET);
    }

    @Test
    void oneGoodTryPassesAndStays() {
        Standing standing = of(heard(0, Outcome.NOT_YET), heard(1, Outcome.PASS), heard(2, Outcome.NOT_YET));
        assertThat(standing.state()).isEqualTo(State.PASSED);
        assertThat(standing.passedOn()).contains(MONDAY.plusDays(1));
        assertThat(standing.tries()).isEqualTo(3);
        assertThat(standing.lastHeardOn()).contains(MONDAY.plusDays(2));
    }

    @Test
    void absenceIsNoTry() {
        Standing standing = of(heard(0, Outcome.ABSENT), heard(1, Outcome.ABSENT));
        assertThat(standing.state()).isEqualTo(State.SET);
        assertThat(standing.tries()).isZero();
        assertThat(standing.lastHeardOn()).isEmpty();
    }

    @Test
    void excuseHoldsUntilTheNextTry() {
        assertThat(of(heard(0, Outcome.NOT_YET), heard(1, Outcome.EXCUSED)).state())
                .isEqualTo(State.EXCUSED);
        assertThat(of(heard(0, Outcome.EXCUSED), heard(1, Outcome.ABSENT)).state())
                .isEqualTo(State.EXCUSED);
        assertThat(of(heard(0, Outcome.EXCUSED), heard(1, Outcome.NOT_YET)).state())
                .isEqualTo(State.TRIED);
        assertThat(of(heard(0, Outcome.PASS), heard(1, Outcome.EXCUSED)).state())
                .isEqualTo(State.PASSED);
    }

    @Test
    void anExcuseFillsASlotOnlyWhenWaived() {
        assertThat(of(heard(0, Outcome.EXCUSED)).fillsSlot()).isFalse();
        Standing waived = of(
                entry(0, Outcome.EXCUSED, Evidence.LIVE_ALONE, new InstrumentCode("trumpet"), true, Optional.empty()));
        assertThat(waived.fillsSlot()).isTrue();
        assertThat(waived.isPassed()).isFalse();
    }

    @Test
    void carriesOverTheDayAfterItWasDue() {
        Attempt notYet = heard(0, Outcome.NOT_YET);
        assertThat(of(notYet).carriedOver()).isFalse();
        Standing later = Standings.of(LINE, List.of(notYet), new InstrumentCode("trumpet"), SET, FRIDAY.plusDays(1));
        assertThat(later.carriedOver()).isTrue();
        Standing passedLate = Standings.of(
                LINE, List.of(notYet, heard(6, Outcome.PASS)), new InstrumentCode("trumpet"), SET, FRIDAY.plusDays(7));
        assertThat(passedLate.carriedOver()).isFalse();
    }

    @Test
    void theTrailTellsWhenItWasLastTried() {
        Trail trail = Trail.of(List.of(
                heard(0, Outcome.NOT_YET),
                heard(2, Outcome.PASS),
                heard(4, Outcome.ABSENT),
                heard(5, Outcome.EXCUSED)));
        assertThat(trail.lastTriedOn(MONDAY.plusDays(9))).contains(MONDAY.plusDays(2));
        assertThat(trail.lastTriedOn(MONDAY.plusDays(1))).contains(MONDAY);
        assertThat(trail.lastTriedOn(MONDAY.minusDays(1))).isEmpty();
        assertThat(Trail.EMPTY.lastTriedOn(MONDAY)).isEmpty();
    }

    @Test
    void looksBackAtAnyDay() {
        List<Attempt> attempts = List.of(heard(0, Outcome.NOT_YET), heard(3, Outcome.PASS));
        assertThat(Standings.of(LINE, attempts, new InstrumentCode("trumpet"), SET, MONDAY.plusDays(2))
                        .state())
                .isEqualTo(State.TRIED);
        assertThat(Standings.of(LINE, attempts, new InstrumentCode("trumpet"), SET, MONDAY.plusDays(3))
                        .state())
                .isEqualTo(State.PASSED);
    }

    @Test
    void aPassCountsOnItsOwnInstrumentUnlessInstrumentFree() {
        Attempt onHorn = heard(0, Outcome.PASS, Evidence.LIVE_ALONE, new InstrumentCode("horn"));
        assertThat(of(onHorn).state()).isEqualTo(State.SET);
        Milestone posture = milestone(MilestoneKind.LINE, new PassRule.OneGoodTry(), true, List.of());
        assertThat(Standings.of(posture, List.of(onHorn), new InstrumentCode("trumpet"), SET, FRIDAY)
                        .state())
                .isEqualTo(State.PASSED);
    }

    @Nested
    class EvidenceOfItsOwnKind {

        private final Attempt substitute = heard(0, Outcome.PASS, Evidence.SUBSTITUTE, new InstrumentCode("trumpet"));
        private final Attempt partner = heard(0, Outcome.PASS, Evidence.PARTNER_CHECK, new InstrumentCode("trumpet"));

        @Test
        void aSubstitutePassesOnlyWhereAcceptedAndIsNeverHidden() {
            assertThat(of(substitute).state()).isEqualTo(State.TRIED);
            Terms accepting = new Terms(EnumSet.allOf(Evidence.class), Optional.of(FRIDAY));
            assertThat(Standings.of(LINE, List.of(substitute), new InstrumentCode("trumpet"), accepting, FRIDAY)
                            .state())
                    .isEqualTo(State.PASSED_BY_SUBSTITUTE);
            assertThat(Standings.of(
                                    LINE,
                                    List.of(substitute, heard(2, Outcome.PASS)),
                                    new InstrumentCode("trumpet"),
                                    accepting,
                                    FRIDAY)
                            .state())
                    .isEqualTo(State.PASSED);
        }

        @Test
        void aPartnersFindingIsATryUntilTheDirectorLetsItPass() {
            assertThat(of(partner).state()).isEqualTo(State.TRIED);
            assertThat(of(partner).tries()).isEqualTo(1);
        }
    }

    @Nested
    class Corrections {

        @Test
        void undoingTakesTheAttemptAway() {
            Attempt pass = heard(1, Outcome.PASS);
            Attempt undo = entry(
                    1,
                    Outcome.UNDONE,
                    Evidence.LIVE_ALONE,
                    new InstrumentCode("trumpet"),
                    false,
                    Optional.of(pass.id()));
            assertThat(of(pass, undo).state()).isEqualTo(State.SET);
        }

        @Test
        void aCorrectionReplacesAndMayBeCorrectedAgain() {
            Attempt first = heard(1, Outcome.PASS);
            Attempt second = entry(
                    1,
                    Outcome.NOT_YET,
                    Evidence.LIVE_ALONE,
                    new InstrumentCode("trumpet"),
                    false,
                    Optional.of(first.id()));
            Attempt third = entry(
                    1,
                    Outcome.PASS,
                    Evidence.LIVE_ALONE,
                    new InstrumentCode("trumpet"),
                    false,
                    Optional.of(second.id()));
            assertThat(of(first, second).state()).isEqualTo(State.TRIED);
            assertThat(of(first, second).tries()).isEqualTo(1);
            assertThat(of(first, second, third).state()).isEqualTo(State.PASSED);
        }

        @Property
        void theOrderInWhichAttemptsArriveChangesNothing(@ForAll long seed) {
            Attempt first = heard(1, Outcome.PASS);
            List<Attempt> arriving = new ArrayList<>(List.of(
                    heard(0, Outcome.NOT_YET),
                    first,
                    entry(
                            1,
                            Outcome.NOT_YET,
                            Evidence.LIVE_ALONE,
                            new InstrumentCode("trumpet"),
                            false,
                            Optional.of(first.id())),
                    heard(2, Outcome.EXCUSED),
                    heard(3, Outcome.NOT_YET)));
            Standing expected = Standings.of(LINE, arriving, new InstrumentCode("trumpet"), SET, FRIDAY);
            java.util.Collections.shuffle(arriving, new java.util.Random(seed));
            assertThat(Standings.of(LINE, arriving, new InstrumentCode("trumpet"), SET, FRIDAY))
                    .isEqualTo(expected);
        }
    }

    @Nested
    class SeveralGoodTries {

        private final Milestone firstSound =
                milestone(MilestoneKind.TECHNIQUE_CHECK, new PassRule.KOfLastN(4, 5), false, List.of());

        private Standing after(String tries) {
            List<Attempt> attempts = new ArrayList<>();
            for (int i = 0; i < tries.length(); i++) {
                Instant at = MONDAY.atTime(10, i).toInstant(ZoneOffset.UTC);
                attempts.add(new Attempt(
                        UUID.randomUUID(),
                        STUDENT,
                        firstSound.id(),
                        1,
                        new InstrumentCode("flute"),
                        WINDS,
                        MONDAY,
                        at,
                        at,
                        Evidence.LIVE_ALONE,
                        tries.charAt(i) == '+' ? Outcome.PASS : Outcome.NOT_YET,
                        List.of(),
                        false,
                        Optional.empty()));
            }
            return Standings.of(firstSound, attempts, new InstrumentCode("flute"), SET, FRIDAY);
        }

        @Test
        void fourOfTheLastFive() {
            assertThat(after("+++").state()).isEqualTo(State.TRIED);
            assertThat(after("+++").goodTries()).isEqualTo(3);
            assertThat(after("++++").state()).isEqualTo(State.PASSED);
            assertThat(after("+-+++").state()).isEqualTo(State.PASSED);
            assertThat(after("+-+-++").state()).isEqualTo(State.TRIED);
            assertThat(after("--+-+++").state()).isEqualTo(State.PASSED);
            assertThat(after("++++----").state()).as("a pass stays").isEqualTo(State.PASSED);
        }
    }

    @Nested
    class Marks {

        private final Milestone check = milestone(
                MilestoneKind.TECHNIQUE_CHECK, new PassRule.AllCriteria(), false, List.of(seen(1), seen(2), seen(3)));
        private final Milestone test = milestone(
                MilestoneKind.PLAYING_TEST,
                new PassRule.ScoreAtLeast(7),
                false,
                List.of(
                        new Criterion(1, "Sound", 5, OptionalInt.empty()),
                        new Criterion(2, "Hands and posture", 5, OptionalInt.of(2))));

        private Criterion seen(int ordinal) {
            return new Criterion(ordinal, "Point " + ordinal, 1, OptionalInt.empty());
        }

        private List<CriterionMark> marks(int... points) {
            List<CriterionMark> marks = new ArrayList<>();
            for (int i = 0; i < points.length; i++) {
                marks.add(new CriterionMark(i + 1, points[i]));
            }
            return marks;
        }

        @Test
        void aCheckIsGoodWhenEveryCriterionWasSeen() {
            assertThat(PassJudge.isGood(check, Outcome.PASS, marks(1, 1, 1))).isTrue();
            assertThat(PassJudge.isGood(check, Outcome.PASS, marks(1, 0, 1))).isFalse();
            assertThat(PassJudge.isGood(check, Outcome.PASS, marks(1, 1)))
                    .as("one not looked at")
                    .isFalse();
        }

        @Test
        void aTestIsGoodAtTheMarkWithNoCriterionUnderItsFloor() {
            assertThat(PassJudge.isGood(test, Outcome.PASS, marks(4, 3))).isTrue();
            assertThat(PassJudge.isGood(test, Outcome.PASS, marks(4, 2))).isFalse();
            assertThat(PassJudge.isGood(test, Outcome.NOT_YET, marks(5, 2))).isTrue();
            assertThat(PassJudge.isGood(test, Outcome.PASS, marks(9, 1))).isFalse();
            assertThat(RubricScore.of(test.criteria(), marks(5, 1)).underFloor())
                    .extracting(Criterion::name)
                    .containsExactly("Hands and posture");
            assertThat(RubricScore.of(test.criteria(), marks(4, 3)).points()).isEqualTo(7);
        }
    }
}
