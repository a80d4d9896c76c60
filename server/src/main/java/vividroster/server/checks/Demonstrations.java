package vividroster.server.checks;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.apache.tika.Tika;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.curriculum.Milestone;
import vividroster.core.text.Lengths;
import vividroster.server.library.Library;
import vividroster.server.platform.Ids;
import vividroster.server.platform.Problem;

/** Sounds, pictures, short clips and hand-outs of the director's own, attached to a check. */
@Service
public class Demonstrations {

    private static final int MOST_BYTES = 10 * 1024 * 1024;
    private static final int MOST_PER_CHECK = 12;
    /** What browsers show or play, told by the content; nothing that could run. */
    private static final Set<String> ACCEPTED = Set.of(
            "audio/mpeg",
            "audio/vnd.wave",
            "audio/x-wav",
            "audio/vorbis",
            "audio/opus",
            "audio/ogg",
            "application/ogg",
            "audio/x-flac",
            "audio/flac",
            "audio/mp4",
            "audio/x-m4a",
            "video/mp4",
            "video/x-m4v",
            "video/quicktime",
            "application/mp4",
            "video/webm",
            "application/x-matroska",
            "image/png",
            "image/jpeg",
            "image/gif",
            "image/webp",
            "application/pdf");

    private final DemonstrationQueries queries;
    private final Library library;
    private final Tika tika = new Tika();

    Demonstrations(DemonstrationQueries queries, Library library) {
        this.queries = queries;
        this.library = library;
    }

    /** Which of a pair it is. */
    public enum Shows {
        /** Wrong on purpose, so that the difference is seen or heard. */
        WRONG,
        RIGHT
    }

    /** @param size in bytes; shows empty where it is no half of a pair */
    public record Demonstration(UUID id, String name, String mediaType, int size, Optional<Shows> shows) {}

    /** @throws Problem when it is too large, of another kind than can be shown, or there are many already */
    @Transactional
    public Demonstration add(
            UUID programId, UUID accountId, UUID milestoneId, String fileName, Optional<Shows> shows, byte[] content) {
        Milestone milestone = library.milestone(programId, milestoneId);
        String name = fileName.strip();
        if (name.isEmpty() || name.length() > Lengths.NAME) {
            throw Problem.input("file", "The file's name must have 1 to 120 letters.");
        }
        if (content.length == 0) {
            throw Problem.input("file", "\"" + name + "\" is empty.");
        }
        if (content.length > MOST_BYTES) {
            throw Problem.input("file", "\"" + name + "\" is larger than 10 MB; cut the clip or lower its quality.");
        }
        String mediaType = tika.detect(content);
        if (!ACCEPTED.contains(mediaType)) {
            throw Problem.input(
                    "file",
                    "\"" + name + "\" is no sound, picture, clip or PDF that a browser can show; its content says "
                            + mediaType + ".");
        }
        List<Demonstration> before = queries.findOf(programId, milestoneId);
        if (before.size() >= MOST_PER_CHECK) {
            throw Problem.input(
                    "file",
                    "\"" + milestone.title() + "\" has " + MOST_PER_CHECK
                            + " demonstrations already; take one away first.");
        }
        Demonstration added = new Demonstration(Ids.next(), name, shown(mediaType), content.length, shows);
        queries.insert(programId, milestoneId, added, content, accountId);
        return added;
    }

    @Transactional(readOnly = true)
    public List<Demonstration> of(UUID programId, UUID milestoneId) {
        return queries.findOf(programId, milestoneId);
    }

    /** All of a programme, by name. */
    @Transactional(readOnly = true)
    public List<Demonstration> all(UUID programId) {
        return queries.findAll(programId);
    }

    @Transactional(readOnly = true)
    DemonstrationQueries.Content content(UUID programId, UUID id) {
        return queries.findContent(programId, id)
                .orElseThrow(() -> Problem.notFound("That demonstration is not here any more."));
    }

    @Transactional
    void remove(UUID programId, UUID id) {
        if (!queries.delete(programId, id)) {
            throw Problem.notFound("That demonstration is not here any more.");
        }
    }

    /** The names that browsers know. */
    private static String shown(String mediaType) {
        return switch (mediaType) {
            case "audio/vnd.wave", "audio/x-wav" -> "audio/wav";
            case "audio/vorbis", "audio/opus", "application/ogg" -> "audio/ogg";
            case "audio/x-flac" -> "audio/flac";
            case "audio/x-m4a" -> "audio/mp4";
            case "video/x-m4v", "video/quicktime", "application/mp4" -> "video/mp4";
            case "application/x-matroska" -> "video/webm";
            default -> mediaType;
        };
    }
}
