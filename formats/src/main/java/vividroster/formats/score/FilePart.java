package vividroster.formats.score;

import java.util.List;
import java.util.Optional;
import vividroster.core.music.Part;
import vividroster.core.music.Voice;

/**
 * One part of a file.
 *
 * @param id as the file names it, for example {@code P2} or what stands behind {@code V:}
 * @param name as the file prints it; may be empty
 * @param meant whose it is by its name and transposition; empty where that cannot be told
 * @param measures in it
 * @param part at concert pitch; where {@link #refused} says why not, as far as it could be read
 * @param refused why it cannot be used as one voice; empty where it can
 * @param leftOut what of it is not kept
 * @param line of the file where it ends, from 1; 0 where that is not known
 */
public record FilePart(
        String id,
        String name,
        Optional<Voice> meant,
        int measures,
        Optional<Part> part,
        Optional<LineFileException> refused,
        List<LeftOut> leftOut,
        int line) {

    /** @throws LineFileException where it cannot be used */
    Part used() {
        refused.ifPresent(e -> {
            throw e;
        });
        return part.orElseThrow(() -> new LineFileException("The part \"" + called() + "\" has no notes."));
    }

    /** Its name, or what else tells it apart. */
    public String called() {
        return name.isBlank() ? id : name;
    }
}
