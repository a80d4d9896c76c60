package vividroster.core.testing;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.OptionalInt;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import vividroster.core.curriculum.Criterion;
import vividroster.core.progress.CriterionMark;
import vividroster.core.testing.TwoListeners.Apart;
import vividroster.core.testing.TwoListeners.Heard;

class TwoListenersTest {

    private static final LocalDate FRIDAY = LocalDate.of(2026, 11, 6);
    private static final UUID ODALYS = new UUID(0, 1);
    private static final UUID BRAM = new UUID(0, 2);
    private static final UUID KOFI = new UUID(1, 1);
    private static final UUID WREN = new UUID(1, 2);
    private static final List<Criterion> CRITERIA = List.of(
            new Criterion(1, "Sound", 5, OptionalInt.empty()), new Criterion(2, "Notes", 5, OptionalInt.empty()));

    private static Heard heard(UUID student, UUID by, LocalDate on, int sound, int notes) {
        return new Heard(student, by, on, List.of(new CriterionMark(1, sound), new CriterionMark(2, notes)));
    }

    @Test
    void theirMarksAreComparedOneByOne() {
        TwoListeners pair = TwoListeners.of(
                        List.of(
                                heard(KOFI, BRAM, FRIDAY, 4, 1),
                                heard(KOFI, ODALYS, FRIDAY, 4, 3),
                                heard(WREN, ODALYS, FRIDAY, 2, 2),
                                heard(WREN, BRAM, FRIDAY, 1, 2)),
                        CRITERIA,
                        1)
                .getFirst();
        assertThat(pair.first()).isEqualTo(ODALYS);
        assertThat(pair.students()).isEqualTo(2);
        assertThat(pair.marks()).isEqualTo(4);
        assertThat(pair.same()).isEqualTo(2);
        assertThat(pair.oneApart()).isEqualTo(1);
        assertThat(pair.apart()).containsExactly(new Apart(KOFI, 2, 3, 1));
        assertThat(pair.difference()).as("0, 2, 1, 0 of four").isEqualTo(0.75);
        assertThat(pair.agreement()).isInstanceOf(Agreement.Measured.class);
    }

    @Test
    void anotherDayIsAnotherTryAndOneListenerIsNoPair() {
        assertThat(TwoListeners.of(
                        List.of(heard(KOFI, ODALYS, FRIDAY, 4, 3), heard(KOFI, BRAM, FRIDAY.plusDays(3), 4, 3)),
                        CRITERIA,
                        1))
                .isEmpty();
        assertThat(TwoListeners.of(List.of(), CRITERIA, 1)).isEmpty();
    }

    @Test
    void ofOneListenerAndDayTheLastCountsAndWhatIsNotMarkedHasNoPoints() {
        TwoListeners pair = TwoListeners.of(
                        List.of(
                                heard(KOFI, ODALYS, FRIDAY, 1, 1),
                                heard(KOFI, ODALYS, FRIDAY, 5, 5),
                                new Heard(KOFI, BRAM, FRIDAY, List.of(new CriterionMark(1, 5)))),
                        CRITERIA,
                        1)
                .getFirst();
        assertThat(pair.same()).isEqualTo(1);
        assertThat(pair.apart()).containsExactly(new Apart(KOFI, 2, 5, 0));
        assertThat(pair.agreement()).isEqualTo(new Agreement.TooFew(1));
    }
}
