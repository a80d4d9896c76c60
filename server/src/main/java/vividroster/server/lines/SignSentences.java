package vividroster.server.lines;

import vividroster.core.reading.Vocabulary.Sign;

/** One sentence for every sign, said where a section meets it first. */
final class SignSentences {

    private SignSentences() {}

    static String of(Sign sign) {
        return switch (sign) {
            case SHARP -> "A sharp raises its note by a half step until the bar line.";
            case FLAT -> "A flat lowers its note by a half step until the bar line.";
            case NATURAL -> "A natural takes sharp or flat away until the bar line.";
            case DOUBLE_ACCIDENTAL -> "It moves its note by two half steps until the bar line.";
            case TIE -> "Two notes of one pitch are one: start the first, hold through the second.";
            case SLUR -> "Start the first note, then go on to the others with the same air or bow.";
            case STACCATO -> "A dot at the head: short, with silence for the rest of its length.";
            case TENUTO -> "A line at the head: as long as the note is, gently started.";
            case ACCENT -> "Begin it stronger than its neighbours, then let it ring.";
            case MARCATO -> "The strongest start there is, and a little shorter.";
            case FERMATA -> "Hold it longer than it is written, until the hand says off.";
            case BREATH -> "Breathe here, and take the time from the note before it.";
            case DOWN_BOW -> "The bow goes from frog to tip.";
            case UP_BOW -> "The bow goes from tip to frog.";
            case PIZZICATO -> "Plucked with the finger, until arco brings the bow back.";
            case TREMOLO -> "Strokes through the stem: on a drum a roll, with the bow as fast as it goes.";
            case GLISSANDO -> "Hit the first note, travel, and arrive on the next in time.";
            case GRACE_NOTE -> "A small note, just before the beat, with no time of its own.";
            case SYNCOPATION -> "It begins between the beats and holds over the next one: keep the foot going.";
            case PICK_UP -> "The line begins before its first full measure, and its last one is short by as much.";
            case REPEAT -> "Go back to the other repeat sign, or to the beginning, and play it once more.";
            case ENDINGS -> "Play the first the first time; the next time skip it and take the second.";
            case DA_CAPO -> "Go back to the beginning.";
            case DAL_SEGNO -> "Go back to the sign.";
            case FINE -> "The end, but only after going back.";
            case CODA -> "After going back, jump from To Coda to the coda sign.";
            case KEY_CHANGE -> "From the double bar on other notes are sharp or flat.";
            case METER_CHANGE -> "From here on another number of beats makes a measure.";
            case TEMPO_CHANGE -> "From here on the pulse is another.";
        };
    }
}
