package vividroster.core.roster;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import vividroster.core.access.Role;
import vividroster.core.access.Role.Right;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;

class ReachTest {

    private static final UUID WINDS = new UUID(0, 1);
    private static final UUID JAZZ = new UUID(0, 2);
    private static final InstrumentCatalog NONE = new InstrumentCatalog(List.of());

    private static Seat seat(UUID classId, String instrument, String division) {
        return new Seat(
                new UUID(1, 1),
                classId,
                new InstrumentCode(instrument),
                division,
                LocalDate.of(2026, 8, 24),
                Optional.empty());
    }

    @Test
    void aCoachReachesOwnSectionsAlone() {
        Reach coach = new Reach.OwnSections(List.of(
                new SectionScope.Section(WINDS, new InstrumentCode("clarinet"), Optional.of("First")),
                new SectionScope.InstrumentAcrossClasses(new InstrumentCode("trumpet"))));
        List<Seat> seats = List.of(
                seat(WINDS, "clarinet", "First"),
                seat(WINDS, "clarinet", "Second"),
                seat(JAZZ, "clarinet", "First"),
                seat(JAZZ, "trumpet", ""),
                seat(WINDS, "horn", ""));
        assertThat(coach.of(seats, NONE)).containsExactly(seats.get(0), seats.get(3));
        assertThat(coach.seesGrades()).isFalse();
        assertThat(coach.isSubstitute()).isFalse();
    }

    @Test
    void aSubstituteTeacherReachesTheClassesOfTheDay() {
        Reach substitute = new Reach.ClassesOfDay(Set.of(JAZZ));
        assertThat(substitute.holds(seat(JAZZ, "horn", ""), NONE)).isTrue();
        assertThat(substitute.holds(seat(WINDS, "horn", ""), NONE)).isFalse();
        assertThat(substitute.isSubstitute()).isTrue();
    }

    @Test
    void everybodyIsEverybody() {
        List<Seat> seats = List.of(seat(WINDS, "horn", ""), seat(JAZZ, "trumpet", ""));
        assertThat(Reach.EVERYBODY.of(seats, NONE)).isEqualTo(seats);
        assertThat(Reach.EVERYBODY.seesGrades()).isTrue();
    }

    @Test
    void onlyDirectorsDirectAndOnlyTheyAndAssistantsSeeEverybody() {
        assertThat(Role.DIRECTOR.rights()).containsExactlyInAnyOrder(Right.values());
        assertThat(Role.ASSISTANT.rights()).containsExactlyInAnyOrder(Right.TEACH, Right.SEE_EVERYBODY);
        assertThat(Role.SECTION_COACH.rights()).isEmpty();
        assertThat(Role.SUBSTITUTE_TEACHER.seesEverybody()).isFalse();
    }
}
