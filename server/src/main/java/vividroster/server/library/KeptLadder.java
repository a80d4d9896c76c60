package vividroster.server.library;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import vividroster.core.curriculum.BeltLook;
import vividroster.core.curriculum.Ladder;
import vividroster.core.music.InstrumentCode;

/**
 * A ladder as a programme keeps it.
 *
 * @param version grows with every edit
 * @param instruments whom it is for; empty for everybody
 * @param looks of every belt it has or had
 */
public record KeptLadder(
        UUID id,
        int version,
        Set<InstrumentCode> instruments,
        Optional<LocalDate> retiredOn,
        Ladder ladder,
        Map<UUID, BeltLook> looks) {

    /** Whom it is for, in order; none for everybody. */
    public List<InstrumentCode> whom() {
        return instruments.stream().sorted().toList();
    }
}
