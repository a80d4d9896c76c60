package vividroster.server.lines;

import java.util.UUID;
import org.springframework.stereotype.Component;
import vividroster.server.lines.LineReadings.Context;
import vividroster.server.lines.Readers.Stage;
import vividroster.server.lines.Tracks.ClassTrack;

/** How a programme reads a line: its conventions, and what the sections of a class have met. */
@Component
class Contexts {

    private final Conventions.Chosen chosen;
    private final Tracks tracks;

    Contexts(Conventions.Chosen chosen, Tracks tracks) {
        this.chosen = chosen;
        this.tracks = tracks;
    }

    /**
     * @param classId null where no class is asked for; then nothing is said of what is new
     * @param asked null for the stage of the class
     */
    Context of(UUID programId, UUID classId, UUID lineId, Stage asked) {
        Conventions conventions = chosen.of(programId);
        Stage stage = asked == null ? tracks.stage(programId, classId) : asked;
        return new Context(
                stage,
                conventions,
                classId == null ? ClassTrack.UNKNOWN : tracks.of(programId, classId, lineId, stage, conventions));
    }

    /** @param classId null where no class is asked for */
    Stage stage(UUID programId, UUID classId) {
        return tracks.stage(programId, classId);
    }
}
