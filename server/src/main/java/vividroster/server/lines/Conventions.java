package vividroster.server.lines;

import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;
import vividroster.core.curriculum.SchoolChoices;
import vividroster.core.hands.Fingers.FourthFinger;
import vividroster.core.hands.Sticking;
import vividroster.core.music.Bpm;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Spelling;
import vividroster.core.reading.Numbering;
import vividroster.core.reading.Roadmap;
import vividroster.core.reading.TimedView;
import vividroster.core.rehearsal.Ladder.Grouping;
import vividroster.core.rehearsal.Ladder.Habit;
import vividroster.server.checks.Checks;
import vividroster.server.checks.Schools;

/**
 * How a programme reads and rehearses lines, by the schools it follows.
 *
 * @param countInMeasures 1 or 2
 * @param namesInFirstWeeks whether beginners see the names under the notes
 * @param slurLengths lengths of tube that easy slurs go through, 5 or 7
 * @param fermataPlayed how much longer a note under a fermata sounds when the line is played
 */
record Conventions(
        FourthFinger fourth,
        Spelling spelling,
        TimedView.Options timing,
        double fermataPlayed,
        Numbering numbering,
        int countInMeasures,
        Habit habit,
        Grouping grouping,
        boolean namesInFirstWeeks,
        int slurLengths,
        Builds builds) {

    /**
     * How the programme's instruments are built and where they begin.
     *
     * @param byInstrument choice among the charts of an instrument
     * @param lowHorn whether horns begin on their own low line
     * @param highSaxophones whether those in B-flat begin an octave higher
     * @param sticking of unpitched percussion
     */
    record Builds(
            Map<InstrumentCode, String> byInstrument,
            boolean lowHorn,
            boolean highSaxophones,
            Sticking.School sticking) {

        private static final Set<InstrumentCode> B_FLAT_SAXOPHONES =
                Set.of(new InstrumentCode("tenor-saxophone"), new InstrumentCode("soprano-saxophone"));

        private static Builds of(SchoolChoices chosen) {
            return new Builds(
                    Map.of(
                            new InstrumentCode("horn"),
                            chosen.of(Schools.HORN_BUILD),
                            new InstrumentCode("trombone"),
                            chosen.of(Schools.TROMBONE_BUILD)),
                    chosen.of(Schools.LOW_HORN),
                    chosen.of(Schools.HIGH_SAXOPHONES),
                    chosen.of(Schools.STICKING));
        }

        /** The choice for an instrument; one that no chart is for where there is nothing to choose. */
        String of(InstrumentCode instrument) {
            return byInstrument.getOrDefault(instrument, "");
        }

        /** From the home octave. */
        int octavesUp(InstrumentCode instrument) {
            return highSaxophones && B_FLAT_SAXOPHONES.contains(instrument) ? 1 : 0;
        }
    }

    private static Conventions of(SchoolChoices chosen) {
        return new Conventions(
                chosen.of(Schools.FOURTH_FINGER),
                chosen.of(Schools.SIX_SIGNS),
                new TimedView.Options(
                        new Roadmap.Options(chosen.of(Schools.REPEATS_AFTER_JUMP)),
                        new Bpm(chosen.of(Schools.TEMPO_WITHOUT_MARK)),
                        chosen.of(Schools.FERMATA_COUNTED)),
                chosen.of(Schools.FERMATA_PLAYED),
                new Numbering(chosen.of(Schools.PICK_UP_COUNTED)),
                chosen.of(Schools.COUNT_IN),
                chosen.of(Schools.REHEARSING),
                chosen.of(Schools.NOTE_GROUPS),
                chosen.of(Schools.NAMES_IN_FIRST_WEEKS),
                chosen.of(Schools.SLUR_LENGTHS),
                Builds.of(chosen));
    }

    /** The same, another timing asked for. */
    Conventions timed(TimedView.Options other, double otherFermataPlayed) {
        return new Conventions(
                fourth,
                spelling,
                other,
                otherFermataPlayed,
                numbering,
                countInMeasures,
                habit,
                grouping,
                namesInFirstWeeks,
                slurLengths,
                builds);
    }

    /** Finds them. */
    @Component
    static class Chosen {
        private final Checks checks;

        Chosen(Checks checks) {
            this.checks = checks;
        }

        Conventions of(UUID programId) {
            return Conventions.of(checks.choices(programId));
        }
    }
}
