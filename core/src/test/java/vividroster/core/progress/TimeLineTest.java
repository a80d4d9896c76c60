package vividroster.core.progress;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.curriculum.PassRule;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.TimeLine.Moment;
import vividroster.core.progress.Trail.Step;

class TimeLineTest {

    private static final InstrumentCode FLUTE = new InstrumentCode("flute");
    private static final InstrumentCode OBOE = new InstrumentCode("oboe");
    private static final LocalDate DAY = LocalDate.of(2026, 9, 7);
    private static final UUID LINE = new UUID(0, 1);
    private static final UUID SOUND = new UUID(0, 2);

    private static Step step(int day, InstrumentCode instrument, Outcome outcome) {
        return new Step(instrument, DAY.plusDays(day), 1, Evidence.LIVE_ALONE, outcome, false);
    }

    private static Milestone milestone(UUID id, PassRule rule) {
        return new Milestone(id, MilestoneKind.LINE, "1", "Line", false, Set.of(), 1, rule, List.of());
    }

    private static List<Moment> of(Map<UUID, Trail> trails) {
        return TimeLine.of(
                trails,
                Map.of(
                        LINE, milestone(LINE, new PassRule.OneGoodTry()),
                        SOUND, milestone(SOUND, new PassRule.KOfLastN(2, 3))),
                Map.of(),
                FLUTE,
                DAY,
                DAY.plusDays(30));
    }

    @Test
    void tellsTheTryThatMadeThePassAndNoLaterOne() {
        List<Moment> moments = of(Map.of(
                LINE,
                new Trail(List.of(
                        step(1, FLUTE, Outcome.NOT_YET),
                        step(2, FLUTE, Outcome.ABSENT),
                        step(3, FLUTE, Outcome.PASS),
                        step(9, FLUTE, Outcome.PASS)))));
        assertThat(moments)
                .extracting(moment -> moment.on().getDayOfMonth() + " " + moment.outcome() + " " + moment.madeThePass())
                .containsExactly("8 NOT_YET false", "10 PASS true", "16 PASS false");
    }

    @Test
    void ofTwoAlikeOnOneDayTheSecondMakesACountedPass() {
        List<Moment> moments =
                of(Map.of(SOUND, new Trail(List.of(step(1, FLUTE, Outcome.PASS), step(1, FLUTE, Outcome.PASS)))));
        assertThat(moments).hasSize(2);
        assertThat(moments).filteredOn(Moment::madeThePass).hasSize(1);
    }

    @Test
    void isOfOneInstrumentAndWithinItsDays() {
        List<Moment> moments = of(Map.of(
                LINE,
                new Trail(List.of(
                        step(-1, FLUTE, Outcome.NOT_YET),
                        step(1, OBOE, Outcome.PASS),
                        step(2, FLUTE, Outcome.EXCUSED),
                        step(31, FLUTE, Outcome.PASS))),
                SOUND,
                new Trail(List.of(step(0, FLUTE, Outcome.NOT_YET)))));
        assertThat(moments).extracting(Moment::milestoneId).containsExactly(SOUND, LINE);
    }
}
