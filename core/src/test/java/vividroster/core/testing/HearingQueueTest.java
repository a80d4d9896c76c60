package vividroster.core.testing;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.curriculum.PassRule;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.Evidence;
import vividroster.core.progress.Outcome;
import vividroster.core.progress.Standings;
import vividroster.core.progress.Standings.Terms;
import vividroster.core.progress.Trail;
import vividroster.core.progress.Trail.Step;
import vividroster.core.testing.HearingQueue.Call;
import vividroster.core.testing.HearingQueue.Candidate;
import vividroster.core.testing.HearingQueue.LeftOut;
import vividroster.core.testing.HearingQueue.Policy;

class HearingQueueTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 9, 14);
    private static final InstrumentCode TUBA = new InstrumentCode("tuba");
    private static final Terms SET = new Terms(Evidence.countingByDefault(), Optional.of(TODAY));

    private static Milestone milestone(PassRule rule) {
        return new Milestone(
                UUID.randomUUID(), MilestoneKind.LINE, "12", "Gull on a post", false, Set.of(), 1, rule, List.of());
    }

    private static Milestone rule(String name) {
        return milestone(
                switch (name) {
                    case "one" -> new PassRule.OneGoodTry();
                    case "4 of 5" -> new PassRule.KOfLastN(4, 5);
                    default -> throw new IllegalArgumentException(name);
                });
    }

    /** For example "-1 NOT_YET, 0 PASS": days from today, outcomes, and the evidence where it is not live; WAIVED is an excuse. */
    private static Trail trail(String heard) {
        List<Step> steps = new ArrayList<>();
        for (String one : heard.isBlank() ? new String[0] : heard.split("; ")) {
            String[] words = one.strip().split(" ");
            boolean waived = words[1].equals("WAIVED");
            steps.add(new Step(
                    TUBA,
                    TODAY.plusDays(Integer.parseInt(words[0])),
                    1,
                    words.length > 2 ? Evidence.valueOf(words[2]) : Evidence.LIVE_ALONE,
                    waived ? Outcome.EXCUSED : Outcome.valueOf(words[1]),
                    waived));
        }
        return new Trail(steps);
    }

    private static Call call(Milestone milestone, String heard) {
        Trail trail = trail(heard);
        return Call.of(milestone, Standings.of(milestone, trail, TUBA, SET, TODAY), trail, TUBA, TODAY);
    }

    private static Candidate candidate(Call call) {
        return new Candidate(UUID.randomUUID(), call, Optional.empty(), false, false, false);
    }

    private static final Call OPEN = new Call(Optional.empty(), false, false, false, false);

    @ParameterizedTest(name = "{0} after \"{1}\": {2}")
    @CsvSource({
        "one,    '',                        ''",
        "one,    '-1 NOT_YET',              ''",
        "one,    '0 NOT_YET',               TRIED_TODAY",
        "one,    '-1 PASS',                 PASSED",
        "one,    '0 NOT_YET PARTNER_CHECK', ''",
        "one,    '0 ABSENT',                ABSENT",
        "one,    '-1 ABSENT',               ''",
        "one,    '0 EXCUSED',               EXCUSED",
        "one,    '-3 EXCUSED',              ''",
        "one,    '-3 WAIVED',               EXCUSED",
        "one,    '-3 EXCUSED; -1 NOT_YET',  ''",
        "one,    '-1 PASS; 0 NOT_YET',      PASSED",
        "4 of 5, '0 NOT_YET; 0 PASS',       ''",
        "4 of 5, '0 PASS; 0 ABSENT',        ABSENT",
        "one,    '1 PASS',                  ''",
    })
    void whoIsCalled(String rule, String heard, String leftOut) {
        Candidate candidate = candidate(call(rule(rule), heard));
        HearingQueue queue = HearingQueue.of(List.of(candidate), Policy.DEFAULT);
        if (leftOut.isEmpty()) {
            assertThat(queue.order()).containsExactly(candidate.studentId());
        } else {
            assertThat(queue.leftOut()).containsEntry(candidate.studentId(), LeftOut.valueOf(leftOut));
        }
        Milestone milestone = rule(rule);
        assertThat(HearingQueue.isSettled(Standings.of(milestone, trail(heard), TUBA, SET, TODAY)))
                .as("told without looking at what was heard")
                .isEqualTo(leftOut.equals("PASSED"));
    }

    @Test
    void whatIsNotSetIsNotHeard() {
        Milestone line = rule("one");
        Trail none = Trail.EMPTY;
        Terms notSet = new Terms(Evidence.countingByDefault(), Optional.empty());
        Call call = Call.of(line, Standings.of(line, none, TUBA, notSet, TODAY), none, TUBA, TODAY);
        assertThat(call.kept()).contains(LeftOut.NOT_SET);
        assertThat(HearingQueue.isSettled(Standings.of(line, none, TUBA, notSet, TODAY)))
                .isTrue();
    }

    @Test
    void aProgrammeMayHearTwiceOnOneDay() {
        Candidate again = candidate(call(rule("one"), "0 NOT_YET"));
        assertThat(HearingQueue.of(List.of(again), new Policy(false, true)).order())
                .containsExactly(again.studentId());
    }

    /** Pain is said before absence: it lasts until somebody has asked. */
    @Test
    void whoIsInPainOrAwayIsNotCalled() {
        UUID hurt = UUID.randomUUID();
        UUID away = UUID.randomUUID();
        HearingQueue queue = HearingQueue.of(
                List.of(
                        new Candidate(hurt, OPEN, Optional.empty(), false, true, true),
                        new Candidate(away, OPEN, Optional.empty(), false, true, false)),
                Policy.DEFAULT);
        assertThat(queue.order()).isEmpty();
        assertThat(queue.leftOut()).containsEntry(hurt, LeftOut.RESTING).containsEntry(away, LeftOut.ABSENT);
    }

    @Test
    void whomATurnIsOwedComesBeforeOthersUnheardAsLong() {
        Candidate first = candidate(OPEN);
        Candidate owed = candidate(call(rule("one"), "-1 ABSENT"));
        assertThat(HearingQueue.of(List.of(first, owed), Policy.DEFAULT).order())
                .containsExactly(owed.studentId(), first.studentId());
    }

    @Test
    void readyOnesComeFirstWhereTheProgrammeSaysSo() {
        Milestone sound = rule("4 of 5");
        Candidate far = candidate(call(sound, "-1 NOT_YET"));
        Candidate near = new Candidate(
                UUID.randomUUID(),
                call(sound, "-1 PASS; -1 PASS; -1 PASS"),
                Optional.of(TODAY.minusDays(1)),
                false,
                false,
                false);
        assertThat(HearingQueue.of(List.of(far, near), new Policy(true, false)).order())
                .containsExactly(near.studentId(), far.studentId());
        assertThat(HearingQueue.of(List.of(far, near), Policy.DEFAULT).order())
                .containsExactly(far.studentId(), near.studentId());
    }

    /** Against every other order of a few students: nobody waits for one who was heard later, but the one moved back. */
    @Property(tries = 300)
    void theOrderIsFair(@ForAll long seed, @ForAll @IntRange(min = 1, max = 9) int students) {
        Random random = new Random(seed);
        List<Candidate> seating = new ArrayList<>();
        for (int i = 0; i < students; i++) {
            Optional<LocalDate> heard =
                    random.nextInt(4) == 0 ? Optional.empty() : Optional.of(TODAY.minusDays(random.nextInt(20)));
            seating.add(new Candidate(UUID.randomUUID(), OPEN, heard, false, random.nextInt(6) == 0, false));
        }
        int first = random.nextInt(students);
        Candidate opened = seating.get(first);
        seating.set(
                first,
                new Candidate(opened.studentId(), OPEN, opened.lastHeardOn(), true, opened.absent(), opened.inPain()));
        HearingQueue queue = HearingQueue.of(seating, Policy.DEFAULT);
        assertThat(queue.order().size() + queue.leftOut().size()).isEqualTo(students);
        List<Candidate> order = queue.order().stream()
                .map(id -> seating.stream()
                        .filter(c -> c.studentId().equals(id))
                        .findFirst()
                        .orElseThrow())
                .toList();
        if (order.size() > 1) {
            assertThat(order.getFirst().wasFirst()).isFalse();
        }
        List<LocalDate> days = new ArrayList<>(
                order.stream().map(c -> c.lastHeardOn().orElse(LocalDate.MIN)).toList());
        if (order.size() > 1 && order.get(1).wasFirst() && days.get(0).isAfter(days.get(1))) {
            Collections.swap(days, 0, 1);
        }
        assertThat(days).isSorted();
    }
}
