package vividroster.server.library;

import java.util.UUID;
import vividroster.core.music.Bpm;
import vividroster.core.music.Key;
import vividroster.core.music.Meter;

/**
 * What is known of a line without its notes.
 *
 * @param measures printed measures
 * @param playedMeasures measures in the order really played, repeats included
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
        int playedMeasures,
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
            int playedMeasures) {
        this(milestoneId, bookId, page, number, concertKey, meter, tempo, measures, playedMeasures, LineDetails.NONE);
    }
}
