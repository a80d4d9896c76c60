package vividroster.core.progress;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.curriculum.PassRule;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.HabitWatch.Finding;
import vividroster.core.progress.HabitWatch.Habit;
import vividroster.core.progress.HabitWatch.Look;
import vividroster.core.progress.HabitWatch.State;
import vividroster.core.progress.HabitWatch.Terms;
import vividroster.core.progress.HabitWatch.Watching;

class HabitWatchTest {

    private static final InstrumentCode FLUTE = new InstrumentCode("flute");
    private static final LocalDate PASSED = LocalDate.of(2026, 9, 7);
    private static final UUID HOLD = new UUID(0, 77);

    private static LocalDate week(int weeks) {
        return PASSED.plusWeeks(weeks);
    }

    private static Look look(int weeks, Finding finding) {
        return new Look(week(weeks), finding);
    }

    private static Habit habit(Look... looks) {
        return new Habit(new UUID(0, 1), FLUTE, HOLD, List.of(PASSED), List.of(looks));
    }

    private static Habit of(int student, LocalDate passedOn, Look... looks) {
        return new Habit(new UUID(0, student), FLUTE, HOLD, List.of(passedOn), List.of(looks));
    }

    private static State state(Habit habit, int weeks) {
        return HabitWatch.state(habit, Terms.DEFAULT, week(weeks));
    }

    @Test
    void isLookedAtThreeSixAndTwelveWeeksAfterThePass() {
        assertThat(state(habit(), 1)).isEqualTo(new State.Watched(week(3), false));
        assertThat(state(habit(look(3, Finding.STILL_THERE)), 4)).isEqualTo(new State.Watched(week(6), false));
        assertThat(state(habit(look(3, Finding.STILL_THERE), look(6, Finding.STILL_THERE)), 7))
                .isEqualTo(new State.Watched(week(12), false));
        assertThat(state(
                        habit(
                                look(3, Finding.STILL_THERE),
                                look(6, Finding.STILL_THERE),
                                look(12, Finding.STILL_THERE)),
                        13))
                .isEqualTo(new State.Settled());
    }

    @Test
    void aLateLookMovesTheNextOneAlong() {
        assertThat(state(habit(look(5, Finding.STILL_THERE)), 5)).isEqualTo(new State.Watched(week(8), false));
    }

    @Test
    void slippingIsLookedAtAgainNextWeekAndTwiceSlippingIsLost() {
        assertThat(state(habit(look(3, Finding.SLIPPING)), 3)).isEqualTo(new State.Watched(week(4), true));
        assertThat(state(habit(look(3, Finding.SLIPPING), look(4, Finding.SLIPPING)), 4))
                .isEqualTo(new State.Lost(week(4)));
        assertThat(state(habit(look(3, Finding.SLIPPING), look(4, Finding.STILL_THERE), look(7, Finding.SLIPPING)), 7))
                .as("found there in between")
                .isEqualTo(new State.Watched(week(8), true));
    }

    @Test
    void aLostHabitIsRepairedByAGoodTryOrByBeingSeenAgainAndThenWatchedAnew() {
        Look lost = look(3, Finding.LOST);
        assertThat(state(habit(lost), 9)).isEqualTo(new State.Lost(week(3)));
        Habit heard = new Habit(new UUID(0, 1), FLUTE, HOLD, List.of(PASSED, week(3), week(5)), List.of(lost));
        assertThat(state(heard, 4)).as("a try of that day lies before it").isEqualTo(new State.Lost(week(3)));
        assertThat(state(heard, 5)).isEqualTo(new State.Watched(week(8), false));
        assertThat(state(habit(lost, look(4, Finding.STILL_THERE)), 4)).isEqualTo(new State.Watched(week(7), false));
        assertThat(state(habit(lost, look(4, Finding.SLIPPING)), 4))
                .as("slipping is not there")
                .isEqualTo(new State.Lost(week(3)));
    }

    @Test
    void whatIsPassedTwiceIsNotLostByAnOlderLook() {
        Habit twice = new Habit(
                new UUID(0, 1),
                FLUTE,
                HOLD,
                List.of(PASSED, week(5)),
                List.of(look(3, Finding.LOST), look(8, Finding.SLIPPING)));
        assertThat(HabitWatch.state(twice, Terms.DEFAULT, week(8))).isEqualTo(new State.Watched(week(9), true));
    }

    @Test
    void ofOneDayTheLastLookCountsAndWhatWasTakenBackNever() {
        assertThat(state(habit(look(3, Finding.SLIPPING), look(3, Finding.SLIPPING)), 3))
                .as("pressed twice")
                .isEqualTo(new State.Watched(week(4), true));
        assertThat(state(habit(look(3, Finding.LOST), look(3, Finding.STILL_THERE)), 3))
                .isEqualTo(new State.Watched(week(6), false));
        assertThat(state(habit(look(3, Finding.LOST), look(3, Finding.TAKEN_BACK)), 3))
                .isEqualTo(new State.Watched(week(3), false));
    }

    @Test
    void aCheckBecomesAHabitByItsPassAndNotBefore() {
        Milestone check = new Milestone(
                HOLD,
                MilestoneKind.TECHNIQUE_CHECK,
                "C1",
                "Hold",
                false,
                Set.of(),
                1,
                new PassRule.KOfLastN(2, 3),
                List.of());
        Trail.Step good = new Trail.Step(FLUTE, week(0), 1, Evidence.LIVE_ALONE, Outcome.PASS, false);
        Trail.Step again = new Trail.Step(FLUTE, week(1), 1, Evidence.LIVE_ALONE, Outcome.PASS, false);
        Trail.Step partners = new Trail.Step(FLUTE, week(2), 1, Evidence.PARTNER_CHECK, Outcome.PASS, false);
        assertThat(habitOf(check, good, partners)).isEmpty();
        assertThat(habitOf(check, good, again, partners))
                .get()
                .extracting(Habit::goodTries)
                .as("from the try that made the pass, a partner's word aside")
                .isEqualTo(List.of(week(1)));
    }

    private static Optional<Habit> habitOf(Milestone check, Trail.Step... steps) {
        return Habit.of(
                new UUID(0, 1), FLUTE, check, new Trail(List.of(steps)), Standings.Terms.UNSET, week(9), List.of());
    }

    @Test
    void slippingOnesComeFirstThenWhoWasNotLookedAtTheLongest() {
        LocalDate day = week(10);
        Habit slipping = of(9, PASSED, new Look(week(9), Finding.SLIPPING));
        Habit never = of(3, PASSED.plusWeeks(2));
        Habit neverLonger = of(4, PASSED);
        Habit lately = of(1, PASSED, new Look(week(5), Finding.STILL_THERE));
        assertThat(HabitWatch.today(List.of(lately, never, neverLonger, slipping), Terms.DEFAULT, day, Set.of()))
                .extracting(watching -> watching.studentId().getLeastSignificantBits())
                .containsExactly(9L, 4L, 3L);
        assertThat(HabitWatch.today(
                        List.of(lately, never, neverLonger, slipping), Terms.DEFAULT, day, Set.of(new UUID(0, 9))))
                .as("who is not there is not looked at")
                .extracting(watching -> watching.studentId().getLeastSignificantBits())
                .containsExactly(4L, 3L, 1L);
    }

    @Test
    void whatWasLookedAtStaysOnTheListOfTheDayAndTakesAPlace() {
        LocalDate day = week(10);
        Habit seen = of(3, PASSED, new Look(day, Finding.SLIPPING));
        List<Watching> list = HabitWatch.today(
                List.of(of(1, PASSED), of(2, PASSED), seen, of(4, PASSED)), Terms.DEFAULT, day, Set.of());
        assertThat(list)
                .extracting(watching -> watching.studentId().getLeastSignificantBits())
                .containsExactly(3L, 1L, 2L);
        assertThat(list.getFirst().found()).contains(Finding.SLIPPING);
        assertThat(HabitWatch.today(List.of(of(1, PASSED)), Terms.DEFAULT, week(2), Set.of()))
                .as("not due yet")
                .isEmpty();
    }

    @Test
    void lostOnesAreToldTheLongestLostFirst() {
        Habit one = of(1, PASSED, look(5, Finding.LOST));
        Habit two = of(2, PASSED, look(3, Finding.LOST));
        Habit three = of(3, PASSED, look(3, Finding.STILL_THERE));
        assertThat(HabitWatch.lost(List.of(one, two, three), Terms.DEFAULT, week(6)))
                .containsExactly(two, one);
    }

    @Test
    void termsAreValid() {
        assertThatThrownBy(() -> new Terms(List.of(3, 3), 3))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessage("weeks must rise and be in 1..52, were [3, 3]");
        assertThatThrownBy(() -> new Terms(List.of(), 0)).hasMessage("aDay must be in 1..12, was 0");
        assertThat(HabitWatch.state(habit(), new Terms(List.of(), 3), week(9))).isEqualTo(new State.Settled());
    }

    /** A class of thirty with six habits each over a year: never more a day than meant, nobody twice, nobody forgotten. */
    @Property(tries = 25)
    void everybodyIsSampledAndNoDayHasTooMany(@ForAll long seed) {
        Random random = new Random(seed);
        List<Habit> habits = new ArrayList<>();
        for (int student = 0; student < 30; student++) {
            for (int check = 0; check < 6; check++) {
                habits.add(new Habit(
                        new UUID(0, student),
                        FLUTE,
                        new UUID(1, check),
                        List.of(PASSED.plusDays(random.nextInt(60))),
                        List.of()));
            }
        }
        Set<UUID> everLookedAt = new HashSet<>();
        for (int day = 0; day < 200; day += 2) {
            LocalDate on = PASSED.plusDays(day);
            List<Watching> today = HabitWatch.today(habits, Terms.DEFAULT, on, Set.of());
            assertThat(today).hasSizeLessThanOrEqualTo(3);
            assertThat(today).extracting(Watching::studentId).doesNotHaveDuplicates();
            for (Watching watching : today) {
                everLookedAt.add(watching.studentId());
                assertThat(watching.dueOn()).isBeforeOrEqualTo(on);
                int at = indexOf(habits, watching);
                Habit before = habits.get(at);
                List<Look> looks = new ArrayList<>(before.looks());
                looks.add(new Look(on, Finding.values()[random.nextInt(3)]));
                habits.set(
                        at,
                        new Habit(
                                before.studentId(),
                                before.instrument(),
                                before.milestoneId(),
                                before.goodTries(),
                                looks));
            }
            assertThat(HabitWatch.today(habits, Terms.DEFAULT, on, Set.of()))
                    .as("once seen, the list of the day stays")
                    .extracting(Watching::studentId)
                    .containsExactlyInAnyOrderElementsOf(
                            today.stream().map(Watching::studentId).toList());
        }
        assertThat(everLookedAt).hasSize(30);
    }

    private static int indexOf(List<Habit> habits, Watching watching) {
        for (int i = 0; i < habits.size(); i++) {
            if (habits.get(i).studentId().equals(watching.studentId())
                    && habits.get(i).milestoneId().equals(watching.milestoneId())) {
                return i;
            }
        }
        throw new AssertionError(Optional.of(watching));
    }
}
