package vividroster.core.reading;

import java.util.List;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Measure;
import vividroster.core.music.Part;
import vividroster.core.music.Score;

/**
 * Which voice of a line an instrument reads. One of its own comes first; but where a book gives horns alone another line,
 * for those who begin low, high horns read everybody's. Source: what practitioners disagree on, horn's first notes.
 */
public final class OwnVoice {

    private static final InstrumentCode HORN = new InstrumentCode("horn");

    private OwnVoice() {}

    public static boolean has(Score score, InstrumentCode instrument) {
        return score.own().keySet().stream().anyMatch(v -> v.instrument().equals(instrument));
    }

    /** At concert pitch. @param lowHorn whether horns begin low */
    public static Part read(Score score, InstrumentCode instrument, boolean lowHorn) {
        Part own = score.partOf(instrument);
        boolean alternative = instrument.equals(HORN)
                && !lowHorn
                && own != score.sounding()
                && score.own().keySet().stream().allMatch(v -> v.instrument().equals(HORN))
                && !playsAlone(own, score.sounding());
        return alternative ? score.sounding() : own;
    }

    /** Whether some measure is for one of the two while the other rests. */
    private static boolean playsAlone(Part own, Part everybody) {
        List<Measure> mine = own.measures();
        for (int m = 0; m < mine.size(); m++) {
            if (mine.get(m).isSilent() != everybody.measures().get(m).isSilent()) {
                return true;
            }
        }
        return false;
    }
}
