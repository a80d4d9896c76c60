package vividroster.core.testing;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividroster.core.curriculum.Criterion;
import vividroster.core.progress.CriterionMark;
import vividroster.core.testing.BlindScores.Entry;

class BlindScoresTest {

    private static final UUID ANA = new UUID(0, 1);
    private static final UUID ONE = new UUID(1, 1);
    private static final UUID OTHER = new UUID(1, 2);
    private static final Instant NINE = Instant.parse("2027-02-12T14:00:00Z");

    private static Entry entry(int id, Integer corrects, UUID by, int minute, int points, boolean undone) {
        return new Entry(
                new UUID(2, id),
                Optional.ofNullable(corrects).map(other -> new UUID(2, other)),
                ANA,
                by,
                LocalDate.of(2027, 2, 12),
                NINE.plusSeconds(60L * minute),
                List.of(new CriterionMark(1, points)),
                undone);
    }

    private static List<String> told(Entry... entries) {
        return BlindScores.of(List.of(entries)).stream()
                .map(heard -> (heard.listener().equals(ONE) ? "one " : "other ")
                        + heard.marks().getFirst().points())
                .toList();
    }

    @Test
    void aSlipMendedBeforeTheOtherWasDoneCountsAndAnAgreementAfterwardsDoesNot() {
        Entry first = entry(1, null, ONE, 0, 2, false);
        Entry mended = entry(2, 1, ONE, 1, 4, false);
        Entry second = entry(3, null, OTHER, 5, 1, false);
        Entry agreed = entry(4, 2, ONE, 9, 3, false);
        Entry agreedToo = entry(5, 3, OTHER, 9, 3, false);
        assertThat(told(first, mended, second, agreed, agreedToo)).containsExactly("one 4", "other 1");
        assertThat(told(agreedToo, agreed, second, mended, first))
                .as("in any order")
                .containsExactlyInAnyOrder("one 4", "other 1");
    }

    @Test
    void whatWasUndoneInTheEndNeverWas() {
        assertThat(told(
                        entry(1, null, ONE, 0, 2, false),
                        entry(2, 1, ONE, 9, 0, true),
                        entry(3, null, OTHER, 5, 1, false)))
                .containsExactly("other 1");
        assertThat(BlindScores.of(List.of())).isEmpty();
    }

    /** Two criteria of 5 points; by hand. */
    @ParameterizedTest(name = "{0} {1} and {2} {3}, passes {4} {5}: needed {6}, proposed {7} {8}")
    @CsvSource({
        "4, 4, 4, 3, true, true, false, 4, 4",
        "4, 4, 2, 4, true, true, true, 3, 4",
        "3, 3, 3, 2, true, false, true, 3, 3",
        "0, 5, 5, 5, false, true, true, 3, 5",
        "2, 2, 3, 3, false, false, false, 3, 3"
    })
    void scoresFarApartOrOfAnotherVerdictAreTalkedOver(
            int a1, int a2, int b1, int b2, boolean passes, boolean passesToo, boolean needed, int first, int second) {
        List<Criterion> criteria = new ArrayList<>();
        criteria.add(new Criterion(1, "Sound", 5, OptionalInt.empty()));
        criteria.add(new Criterion(2, "Notes", 5, OptionalInt.empty()));
        Moderation moderation = Moderation.of(
                criteria,
                List.of(new CriterionMark(1, a1), new CriterionMark(2, a2)),
                List.of(new CriterionMark(1, b1), new CriterionMark(2, b2)),
                passes,
                passesToo);
        assertThat(moderation.isNeeded()).isEqualTo(needed);
        assertThat(moderation.proposed()).containsExactly(new CriterionMark(1, first), new CriterionMark(2, second));
    }
}
