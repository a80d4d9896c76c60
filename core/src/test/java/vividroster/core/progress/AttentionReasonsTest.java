package vividroster.core.progress;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.AttentionReasons.Attention;
import vividroster.core.progress.AttentionReasons.Facts;
import vividroster.core.progress.AttentionReasons.Kind;
import vividroster.core.progress.AttentionReasons.Reason;

class AttentionReasonsTest {

    private static final InstrumentCode HORN = new InstrumentCode("horn");
    private static final LocalDate FIRST = LocalDate.of(2026, 9, 7);
    /** A Wednesday of the eleventh week. */
    private static final LocalDate ON = FIRST.plusWeeks(10).plusDays(2);

    private static final List<LocalDate> TAUGHT = Stream.iterate(FIRST, day -> day.plusDays(1))
            .limit(200)
            .filter(day -> day.getDayOfWeek().getValue() <= DayOfWeek.FRIDAY.getValue())
            .toList();

    private static final Optional<UUID> HEAR = Optional.of(new UUID(2, 1));
    private static final Optional<UUID> SLOT = Optional.of(new UUID(2, 7));

    private static final class Player {
        private final List<LocalDate> passes = new ArrayList<>();
        private final List<LocalDate> towardBelt = new ArrayList<>(List.of(ON));
        private Optional<UUID> towardNext = SLOT;
        private Optional<UUID> toHear = HEAR;
        private Optional<LocalDate> lastHeard = Optional.of(ON.minusDays(1));
        private LocalDate seatedSince = FIRST;
        private Optional<NeedsAttention.TriedOften> often = Optional.empty();
        private List<LocalDate> pain = List.of();
        private List<LocalDate> reviews = List.of();

        Player passedInWeeks(int... weeks) {
            for (int week : weeks) {
                passes.add(FIRST.plusWeeks(week - 1L).plusDays(1));
            }
            return this;
        }

        Facts facts(int id) {
            return new Facts(
                    new UUID(1, id),
                    HORN,
                    passes,
                    towardBelt,
                    towardNext,
                    toHear,
                    lastHeard,
                    seatedSince,
                    often,
                    pain,
                    reviews);
        }
    }

    private static List<Reason> reasons(Player player) {
        return reasons(player, TAUGHT);
    }

    private static List<Reason> reasons(Player player, List<LocalDate> taught) {
        return AttentionReasons.of(List.of(player.facts(1)), taught, ON).stream()
                .flatMap(attention -> attention.reasons().stream())
                .toList();
    }

    private static List<Kind> kinds(Player player) {
        return reasons(player).stream().map(Reason::kind).toList();
    }

    @Test
    void whoIsHeardAndPassesNeedsNobody() {
        assertThat(kinds(new Player().passedInWeeks(3, 4, 5, 6, 7, 8, 9, 10))).isEmpty();
    }

    @Test
    void aPaceUnderHalfOfWhatItWas() {
        assertThat(reasons(new Player().passedInWeeks(3, 4, 5, 6, 7)))
                .as("one pass in the last four whole weeks, four in those before")
                .containsExactly(new Reason(Kind.PACE_FALLEN, Optional.of(FIRST.plusWeeks(6)), HEAR, 1, 4));
        assertThat(kinds(new Player().passedInWeeks(3, 4, 5, 6, 7, 8)))
                .as("half is not less than half")
                .isEmpty();
        assertThat(kinds(new Player().passedInWeeks(3, 4)))
                .as("two are no pace")
                .isEmpty();
        Player done = new Player().passedInWeeks(3, 4, 5, 6);
        done.toHear = Optional.empty();
        assertThat(kinds(done)).as("everything is passed").isEmpty();
        Player late = new Player().passedInWeeks(3, 4, 5, 6);
        late.seatedSince = FIRST.plusWeeks(3);
        assertThat(kinds(late)).as("came in between").isEmpty();
    }

    @Test
    void aBreakIsNoFallenPaceAndNoStall() {
        List<LocalDate> withBreak = TAUGHT.stream()
                .filter(day -> day.isBefore(FIRST.plusWeeks(5)) || !day.isBefore(FIRST.plusWeeks(10)))
                .toList();
        Player player = new Player().passedInWeeks(1, 2, 3, 4);
        player.towardBelt.clear();
        player.towardBelt.add(FIRST.plusWeeks(3));
        assertThat(reasons(player, withBreak)).isEmpty();
    }

    @Test
    void aBeltTowardWhichNothingWasPassedForSixWeeks() {
        Player player = new Player();
        player.towardBelt.clear();
        player.towardBelt.add(FIRST.plusWeeks(3).plusDays(4));
        assertThat(reasons(player))
                .containsExactly(new Reason(
                        Kind.BELT_STALLED, Optional.of(FIRST.plusWeeks(3).plusDays(4)), SLOT, 6, 0));
        player.towardBelt.add(FIRST.plusWeeks(4).plusDays(4));
        assertThat(kinds(player)).as("five").isEmpty();
        player.towardBelt.clear();
        assertThat(reasons(player).getFirst().count())
                .as("since the student came")
                .isEqualTo(9);
        player.towardNext = Optional.empty();
        assertThat(kinds(player)).as("nothing of it is set, or it is the top").isEmpty();
    }

    @Test
    void whoIsNotHeardForTooLongAlthoughSomethingIsOpen() {
        Player player = new Player();
        player.lastHeard = Optional.of(ON.minusDays(15));
        assertThat(reasons(player)).containsExactly(new Reason(Kind.UNHEARD, player.lastHeard, HEAR, 15, 0));
        player.lastHeard = Optional.of(ON.minusDays(14));
        assertThat(kinds(player)).isEmpty();
        player.lastHeard = Optional.empty();
        assertThat(reasons(player).getFirst().count())
                .as("never, since the first day")
                .isEqualTo(72);
        player.toHear = Optional.empty();
        assertThat(kinds(player)).isEmpty();
    }

    @Test
    void painTriesAndReviews() {
        Player player = new Player();
        player.pain = List.of(ON.minusDays(1), ON.minusDays(3));
        player.often = Optional.of(new NeedsAttention.TriedOften(new UUID(1, 1), HORN, new UUID(2, 2), 4));
        player.reviews = List.of(ON, ON.minusDays(5));
        assertThat(reasons(player))
                .containsExactly(
                        new Reason(Kind.PAIN, Optional.of(ON.minusDays(3)), Optional.empty(), 2, 0),
                        new Reason(Kind.TRIED_OFTEN, player.lastHeard, Optional.of(new UUID(2, 2)), 4, 0),
                        new Reason(Kind.VARIANT_OVERDUE, Optional.of(ON.minusDays(5)), Optional.empty(), 5, 0));
        player.reviews = List.of(ON);
        assertThat(kinds(player)).as("due today is not overdue").containsExactly(Kind.PAIN, Kind.TRIED_OFTEN);
    }

    @Test
    void theGravestReasonComesFirstThenTheMostOfThem() {
        Player unheard = new Player();
        unheard.lastHeard = Optional.of(ON.minusDays(20));
        Player longer = new Player();
        longer.lastHeard = Optional.of(ON.minusDays(30));
        Player hurts = new Player();
        hurts.pain = List.of(ON);
        Player two = new Player();
        two.lastHeard = Optional.of(ON.minusDays(16));
        two.reviews = List.of(ON.minusDays(1));
        assertThat(AttentionReasons.of(
                        List.of(unheard.facts(1), longer.facts(2), hurts.facts(3), two.facts(4), new Player().facts(5)),
                        TAUGHT,
                        ON))
                .extracting(Attention::studentId)
                .containsExactly(new UUID(1, 3), new UUID(1, 4), new UUID(1, 2), new UUID(1, 1));
    }
}
