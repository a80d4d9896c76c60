package vividroster.core.progress;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import vividroster.core.curriculum.Belt;
import vividroster.core.curriculum.BeltRule;
import vividroster.core.curriculum.BeltSlot;
import vividroster.core.curriculum.Ladder;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.LadderPreview.Cost;
import vividroster.core.progress.LadderPreview.OfBelt;
import vividroster.core.progress.LadderPreview.OfSection;
import vividroster.core.progress.LadderPreview.Student;
import vividroster.core.progress.Standing.State;

class LadderPreviewTest {

    private static final InstrumentCode FLUTE = new InstrumentCode("flute");
    private static final InstrumentCode TUBA = new InstrumentCode("tuba");
    private static final LocalDate DAY = LocalDate.of(2026, 9, 7);
    private static final UUID HOLD = new UUID(1, 1);
    private static final UUID BUZZ = new UUID(1, 2);
    private static final UUID LINE = new UUID(1, 3);

    private static final Belt DRIFTWOOD = new Belt(
            new UUID(2, 1),
            "winds",
            1,
            "Driftwood",
            List.of(new BeltSlot(1, "Hold", Map.of(BeltSlot.ANY, HOLD)), new BeltSlot(2, "Buzz", Map.of(TUBA, BUZZ))),
            BeltRule.EVERY_SLOT,
            Set.of());
    private static final Belt SHELL = new Belt(
            new UUID(2, 2), "winds", 2, "Shell", List.of(new BeltSlot(1, "Line 3", Map.of(BeltSlot.ANY, LINE))));

    private static Student student(int id, InstrumentCode instrument, UUID... passed) {
        Map<UUID, Standing> standings = new java.util.HashMap<>();
        for (UUID one : passed) {
            standings.put(one, new Standing(State.PASSED, 1, false, false, Optional.of(DAY), Optional.of(DAY), 0));
        }
        return new Student(new UUID(3, id), instrument, standings);
    }

    @Test
    void itSaysWhatIsAskedWhatItCostsWhatIsEmptyAndWhoWouldStandWhere() {
        LadderPreview preview = LadderPreview.of(
                new Ladder("winds", List.of(DRIFTWOOD, SHELL), List.of()),
                List.of(FLUTE, TUBA),
                List.of(student(1, FLUTE, HOLD), student(2, TUBA, HOLD), student(3, TUBA, HOLD, BUZZ, LINE)),
                Map.of(HOLD, new Cost(5, 20), BUZZ, new Cost(7, 30), LINE, new Cost(10, 60)));
        assertThat(preview.sections()).extracting(OfSection::students).containsExactly(1, 2);
        OfBelt flutes = preview.sections().getFirst().belts().getFirst();
        assertThat(flutes.slots())
                .extracting(slot -> slot.milestoneId().isPresent())
                .containsExactly(true, false);
        assertThat(flutes.needed()).isEqualTo(1);
        assertThat(flutes.teachMinutes()).isEqualTo(5);
        assertThat(flutes.hearSeconds()).as("the only flute has passed it").isZero();
        assertThat(flutes.wearers()).containsExactly(new UUID(3, 1));
        OfSection tubas = preview.sections().get(1);
        assertThat(tubas.belts().getFirst().teachMinutes()).isEqualTo(12);
        assertThat(tubas.belts().getFirst().hearSeconds())
                .as("one tuba has to buzz")
                .isEqualTo(30);
        assertThat(tubas.belts().get(1).hearSeconds()).isEqualTo(60);
        assertThat(tubas.belts().get(1).wearers()).containsExactly(new UUID(3, 3));
        assertThat(tubas.without()).containsExactly(new UUID(3, 2));
    }

    @Test
    void whoEarnedABeltBeforeTheEditWouldStillWearIt() {
        Belt harder = new Belt(
                DRIFTWOOD.id(),
                "winds",
                1,
                "Driftwood",
                List.of(new BeltSlot(1, "Line 3", Map.of(BeltSlot.ANY, LINE))));
        Ladder edited = new Ladder("winds", List.of(harder), List.of(new Ladder.Earlier(DAY, List.of(DRIFTWOOD))));
        LadderPreview preview =
                LadderPreview.of(edited, List.of(FLUTE), List.of(student(1, FLUTE, HOLD), student(2, FLUTE)), Map.of());
        assertThat(preview.sections().getFirst().belts().getFirst().wearers()).containsExactly(new UUID(3, 1));
        assertThat(preview.sections().getFirst().without()).containsExactly(new UUID(3, 2));
    }
}
