package vividroster.core.rehearsal;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import vividroster.core.rehearsal.PeriodPlan.Kind;
import vividroster.core.rehearsal.PeriodPlan.Segment;
import vividroster.core.rehearsal.PeriodPlan.Shortened;
import vividroster.core.rehearsal.PeriodPlan.Wish;

class PeriodPlanTest {

    private static final List<Wish> WISHES = List.of(
            new Wish("open", Kind.OPEN, 8, 3),
            new Wish("line 9", Kind.TEACH, 12, 5),
            new Wish("line 10", Kind.TEACH, 8, 5),
            new Wish("hear", Kind.HEAR, 12, 1));

    private static PeriodPlan within(int minutes) {
        return PeriodPlan.of(0, minutes, WISHES, Map.of());
    }

    @Test
    void everythingGetsWhatItWantsWhereThatFits() {
        PeriodPlan plan = within(43);
        assertThat(plan.segments())
                .containsExactly(
                        new Segment("open", Kind.OPEN, 0, 8),
                        new Segment("line 9", Kind.TEACH, 8, 12),
                        new Segment("line 10", Kind.TEACH, 20, 8),
                        new Segment("hear", Kind.HEAR, 28, 12));
        assertThat(plan.spare()).isEqualTo(3);
        assertThat(plan.shortened()).isEmpty();
    }

    @Test
    void hearingGivesFirstThenWhatIsTaughtLastThenTheOpening() {
        assertThat(within(35).shortened()).containsExactly(new Shortened("hear", 12, 7));
        assertThat(within(26).shortened())
                .containsExactly(new Shortened("line 10", 8, 5), new Shortened("hear", 12, 1));
        assertThat(within(14).shortened())
                .containsExactly(
                        new Shortened("open", 8, 3),
                        new Shortened("line 9", 12, 5),
                        new Shortened("line 10", 8, 5),
                        new Shortened("hear", 12, 1));
    }

    @Test
    void whatDoesNotFitEvenAtItsLeastIsLeftOutInTheSameOrder() {
        PeriodPlan plan = within(10);
        assertThat(plan.segments()).extracting(Segment::key).containsExactly("open", "line 9", "line 10");
        assertThat(plan.shortened()).contains(new Shortened("hear", 12, 0), new Shortened("line 10", 8, 2));
        assertThat(within(0).segments()).isEmpty();
    }

    @Test
    void whatWasStretchedByHandKeepsItsMinutes() {
        PeriodPlan plan = PeriodPlan.of(0, 43, WISHES, Map.of("line 9", 20));
        assertThat(plan.segments().get(1)).isEqualTo(new Segment("line 9", Kind.TEACH, 8, 20));
        assertThat(plan.shortened()).containsExactly(new Shortened("hear", 12, 7));
        assertThat(PeriodPlan.of(0, 10, WISHES, Map.of("line 9", 20)).segments())
                .as("more than there is")
                .containsExactly(new Segment("line 9", Kind.TEACH, 0, 10));
    }

    @Test
    void theRestOfALatePeriodSaysWhatIsShorter() {
        PeriodPlan rest = PeriodPlan.of(26, 43, WISHES.subList(2, 4), Map.of());
        assertThat(rest.segments())
                .containsExactly(new Segment("line 10", Kind.TEACH, 26, 8), new Segment("hear", Kind.HEAR, 34, 9));
        assertThat(rest.shortened()).containsExactly(new Shortened("hear", 12, 9));
    }

    @Test
    void wishesAreValid() {
        assertThatThrownBy(() -> new Wish("x", Kind.OPEN, 0, 1)).hasMessage("minutes must be at least 1, was 0");
        assertThatThrownBy(() -> new Wish("x", Kind.OPEN, 4, 5)).hasMessage("least must be in 1..4, was 5");
    }

    @Property
    void noPlanIsLongerThanThePeriodAndNoMinuteIsLost(@ForAll long seed) {
        Random random = new Random(seed);
        List<Wish> wishes = new ArrayList<>();
        Map<String, Integer> byHand = new HashMap<>();
        for (int i = 0; i < 1 + random.nextInt(6); i++) {
            int minutes = 1 + random.nextInt(20);
            wishes.add(new Wish("w" + i, Kind.values()[random.nextInt(3)], minutes, 1 + random.nextInt(minutes)));
            if (random.nextInt(3) == 0) {
                byHand.put("w" + i, random.nextInt(25));
            }
        }
        int from = random.nextInt(20);
        int minutes = 1 + random.nextInt(60);
        PeriodPlan plan = PeriodPlan.of(from, minutes, wishes, byHand);
        int used = plan.segments().stream().mapToInt(Segment::minutes).sum();
        assertThat(used + plan.spare()).isEqualTo(Math.max(0, minutes - from));
        int at = from;
        for (Segment segment : plan.segments()) {
            assertThat(segment.begins()).isEqualTo(at);
            assertThat(segment.minutes()).isPositive();
            at = segment.ends();
        }
        if (plan.spare() > 0) {
            assertThat(plan.shortened()).isEmpty();
        }
    }
}
