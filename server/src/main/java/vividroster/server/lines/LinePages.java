package vividroster.server.lines;

import java.util.Collection;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import vividroster.core.music.InstrumentCode;
import vividroster.core.reading.Vocabulary;

/** What the pages of lines ask of the sections of a class. */
@Service
public class LinePages {

    /** @param noteNames of its written notes, by midi number */
    public record Asked(Vocabulary vocabulary, Map<Integer, String> noteNames) {

        static final Asked NOTHING = new Asked(Vocabulary.NOTHING, Map.of());

        public Asked {
            noteNames = Map.copyOf(noteNames);
        }
    }

    private final Tracks tracks;
    private final Conventions.Chosen chosen;

    LinePages(Tracks tracks, Conventions.Chosen chosen) {
        this.tracks = tracks;
        this.chosen = chosen;
    }

    /** By line, then by instrument: notes, values, signs, keys and meters of the page as that instrument reads it. */
    public Map<UUID, Map<InstrumentCode, Asked>> of(
            UUID programId, UUID classId, Collection<UUID> lineIds, Collection<InstrumentCode> instruments) {
        return tracks.pages(programId, lineIds, instruments, tracks.stage(programId, classId), chosen.of(programId));
    }

    /** Anything but a note, as it is called where it is new: "dotted quarter", "3 flats". */
    public static String words(Vocabulary.Thing thing) {
        return NewWording.words(thing);
    }

    /** What the sections of a class know before its first line, by instrument; one that begins has nothing. */
    public Map<InstrumentCode, Set<Vocabulary.Thing>> known(
            UUID programId, UUID classId, Collection<InstrumentCode> instruments) {
        return tracks.known(programId, classId, instruments);
    }
}
