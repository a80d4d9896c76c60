package vividroster.core.curriculum;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import java.util.List;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import vividroster.core.music.InstrumentCode;

class MilestoneTest {

    private static Milestone of(MilestoneKind kind, PassRule rule, List<Criterion> criteria) {
        return new Milestone(
                UUID.randomUUID(),
                kind,
                "Check 1",
                "Hold",
                false,
                Set.of(new InstrumentCode("horn")),
                1,
                rule,
                criteria);
    }

    private static final Criterion SOUND = new Criterion(1, "Sound", 5, OptionalInt.empty());

    @Test
    void refusesWhatCouldNeverBePassedOrAlwaysWould() {
        assertThatIllegalArgumentException()
                .isThrownBy(() -> of(MilestoneKind.TECHNIQUE_CHECK, new PassRule.AllCriteria(), List.of()))
                .withMessage("\"Hold\" passes by its criteria and has none");
        assertThatIllegalArgumentException()
                .isThrownBy(() -> of(MilestoneKind.PLAYING_TEST, new PassRule.ScoreAtLeast(6), List.of(SOUND)))
                .withMessage("mark must be at most 5, the most points there are, was 6");
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new PassRule.KOfLastN(6, 5))
                .withMessage("k must be in 1..5, was 6");
        assertThatIllegalArgumentException().isThrownBy(() -> new PassRule.ScoreAtLeast(0));
        assertThatIllegalArgumentException()
                .isThrownBy(() -> of(MilestoneKind.LINE, new PassRule.AllSlots(), List.of()))
                .withMessage("only a belt passes by its slots, was LINE");
        assertThatIllegalArgumentException()
                .isThrownBy(() -> of(MilestoneKind.BELT, new PassRule.OneGoodTry(), List.of()));
        assertThatIllegalArgumentException()
                .isThrownBy(() -> of(MilestoneKind.PLAYING_TEST, new PassRule.ScoreAtLeast(5), List.of(SOUND, SOUND)))
                .withMessage("two criteria share the ordinal 1");
        assertThatIllegalArgumentException().isThrownBy(() -> new Criterion(1, " ", 1, OptionalInt.empty()));
        assertThatIllegalArgumentException()
                .isThrownBy(() -> new Criterion(1, "Sound", 5, OptionalInt.of(6)))
                .withMessage("floorPoints must be in 0..5, was 6");
    }

    @Test
    void isForItsInstrumentsOrForAny() {
        assertThat(of(MilestoneKind.LINE, new PassRule.OneGoodTry(), List.of()).isFor(new InstrumentCode("horn")))
                .isTrue();
        assertThat(of(MilestoneKind.LINE, new PassRule.OneGoodTry(), List.of()).isFor(new InstrumentCode("tuba")))
                .isFalse();
    }
}
