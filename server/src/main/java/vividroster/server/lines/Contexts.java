package vividroster.server.lines;

import java.util.Collection;
import java.util.HashMap;
import java.util.Map;
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

    /** Of several lines of a class, read once. */
    Map<UUID, Context> ofEach(UUID programId, UUID classId, Collection<UUID> lineIds) {
        Conventions conventions = chosen.of(programId);
        Stage stage = tracks.stage(programId, classId);
        Map<UUID, Context> contexts = new HashMap<>();
        tracks.ofEach(programId, classId, lineIds, stage, conventions)
                .forEach((lineId, track) -> contexts.put(lineId, new Context(stage, conventions, track)));
        return contexts;
    }

    /** @param classId null where no class is asked for */
    Stage stage(UUID programId, UUID classId) {
        return tracks.stage(programId, classId);
    }
}
