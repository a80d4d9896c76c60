package vividroster.core.roster;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import vividroster.core.music.InstrumentCode;

class ClassMergeTest {

    private static final UUID FIRST = new UUID(0, 1);
    private static final UUID SECOND = new UUID(0, 2);
    private static final LocalDate BEGAN = LocalDate.of(2026, 8, 24);
    private static final LocalDate FROM = LocalDate.of(2026, 11, 2);

    private static Seat seat(int student, UUID classId, String instrument, LocalDate from) {
        return new Seat(new UUID(1, student), classId, new InstrumentCode(instrument), "First", from, Optional.empty());
    }

    @Test
    void everybodyKeepsInstrumentAndDivision() {
        ClassMerge merge = ClassMerge.of(
                List.of(seat(1, FIRST, "flute", BEGAN), seat(2, FIRST, "horn", BEGAN)), List.of(), SECOND, FROM);
        assertThat(merge.added()).containsExactly(seat(1, SECOND, "flute", FROM), seat(2, SECOND, "horn", FROM));
        assertThat(merge.tooEarly()).isEmpty();
    }

    @Test
    void whoSitsThereAlreadyKeepsTheirSeat() {
        ClassMerge merge = ClassMerge.of(
                List.of(seat(1, FIRST, "flute", BEGAN)), List.of(seat(1, SECOND, "piccolo", BEGAN)), SECOND, FROM);
        assertThat(merge.added()).isEmpty();
    }

    @Test
    void aSeatThatBeginsOnTheDayHasNoDayToEndOn() {
        Seat late = seat(1, FIRST, "flute", FROM);
        assertThat(ClassMerge.of(List.of(late), List.of(), SECOND, FROM).tooEarly())
                .contains(late);
        assertThat(ClassMerge.of(List.of(late), List.of(), SECOND, FROM.plusDays(1))
                        .tooEarly())
                .isEmpty();
    }
}
