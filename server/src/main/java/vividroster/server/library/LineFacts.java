package vividroster.server.library;

import java.util.OptionalInt;
import java.util.UUID;
import vividroster.core.music.Bpm;
import vividroster.core.music.Key;
import vividroster.core.music.Meter;

/**
 * What is known of a line without its notes.
 *
 * @param measures printed measures
 * @param playedMeasures measures in the order really played, repeats included; told from the notes where they are kept,
 *     empty where nobody has said
 */
public record LineFacts(
        UUID milestoneId,
        UUID bookId,
        int page,
        int number,
        Key concertKey,
        Meter meter,
        Bpm tempo,
        int measures,
        OptionalInt playedMeasures,
        LineDetails details) {

    /** Of a line whose notes are kept, or of which nothing more is known. */
    public LineFacts(
            UUID milestoneId,
            UUID bookId,
            int page,
            int number,
            Key concertKey,
            Meter meter,
            Bpm tempo,
            int measures,
            OptionalInt playedMeasures) {
        this(milestoneId, bookId, page, number, concertKey, meter, tempo, measures, playedMeasures, LineDetails.NONE);
    }

    /** As said, else as many as are printed. */
    public int played() {
        return playedMeasures.orElse(measures);
    }

    LineFacts told(PlayedMeasures.Told notes) {
        return new LineFacts(
                milestoneId,
                bookId,
                page,
                number,
                concertKey,
                meter,
                notes.tempo().orElse(tempo),
                measures,
                OptionalInt.of(notes.played()),
                details);
    }
}
