package vividroster.server.library;

import java.util.Collection;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import vividroster.core.music.Bpm;

/** What the notes of lines tell by the programme's choices, where notes are kept. */
public interface PlayedMeasures {

    /**
     * @param played measures really played, the halves of a split one once
     * @param tempo that holds where the line prints none; empty where it prints one
     */
    record Told(int played, Optional<Bpm> tempo) {}

    /** By line; lines without notes, and those without a way through, are left out. */
    Map<UUID, Told> of(UUID programId, Collection<UUID> lineIds);
}
