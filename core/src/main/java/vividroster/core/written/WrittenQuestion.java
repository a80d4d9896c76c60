package vividroster.core.written;

import java.util.List;
import java.util.UUID;
import vividroster.core.instrument.Fingering;
import vividroster.core.music.Key;
import vividroster.core.music.Pitch;

/**
 * A question of a written check with its answer; measures are indices in the part, notes indices in the measure, pitches
 * as the section reads them.
 */
public sealed interface WrittenQuestion {

    UUID lineId();

    Ask ask();

    /** What can be asked. */
    enum Ask {
        NAME_NOTE,
        COUNT_MEASURE,
        STILL_ALTERED,
        KEY_SIGNATURE,
        WAY_THROUGH,
        FINGER
    }

    /** What is this note called? */
    record NameNote(UUID lineId, int measure, int note, Pitch pitch) implements WrittenQuestion {
        @Override
        public Ask ask() {
            return Ask.NAME_NOTE;
        }
    }

    /** How is this measure counted? @param spoken as {@link vividroster.core.reading.Counting} says it */
    record CountMeasure(UUID lineId, int measure, String spoken) implements WrittenQuestion {
        @Override
        public Ask ask() {
            return Ask.COUNT_MEASURE;
        }
    }

    /** Which note of this measure is altered although nothing is printed before it? */
    record StillAltered(UUID lineId, int measure, int note, Pitch pitch) implements WrittenQuestion {
        @Override
        public Ask ask() {
            return Ask.STILL_ALTERED;
        }
    }

    /** Which notes does the key signature alter? @param letters in the order of the signature */
    record KeySignature(UUID lineId, Key key, List<Character> letters) implements WrittenQuestion {
        public KeySignature {
            letters = List.copyOf(letters);
        }

        @Override
        public Ask ask() {
            return Ask.KEY_SIGNATURE;
        }
    }

    /** In which order are the measures played? @param measures by index, in the order played */
    record WayThrough(UUID lineId, List<Integer> measures) implements WrittenQuestion {
        public WayThrough {
            measures = List.copyOf(measures);
        }

        @Override
        public Ask ask() {
            return Ask.WAY_THROUGH;
        }
    }

    /** How is this note fingered? @param ways the one taught first, then the others, which are right too */
    record Finger(UUID lineId, int measure, int note, Pitch pitch, List<Fingering> ways) implements WrittenQuestion {
        public Finger {
            ways = List.copyOf(ways);
        }

        @Override
        public Ask ask() {
            return Ask.FINGER;
        }
    }
}
