package vividroster.server.lines;

import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.curriculum.Milestone;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Voice;
import vividroster.formats.score.LineFile;
import vividroster.formats.score.LineFile.Choices;
import vividroster.formats.score.LineFile.Use;
import vividroster.server.library.Library;
import vividroster.server.library.LineFacts;
import vividroster.server.lines.LineNotations.Source;
import vividroster.server.platform.Ids;
import vividroster.server.platform.Problem;

/** A second part of a line as a milestone of its own: a harmony that a section may be heard on. */
@Service
class HarmonyParts {

    private static final String[] ORDINALS = {"own", "first", "second", "third", "fourth"};

    private final LineNotations notations;
    private final Library library;
    private final Readers readers;

    HarmonyParts(LineNotations notations, Library library, Readers readers) {
        this.notations = notations;
        this.library = library;
        this.readers = readers;
    }

    /**
     * @param division 0 for the part of the whole section
     * @return the new line, at the end of the shelf
     * @throws Problem when the line keeps no such part
     */
    @Transactional
    UUID make(UUID programId, UUID accountId, UUID lineId, InstrumentCode instrument, int division) {
        Source source = notations
                .source(programId, lineId)
                .orElseThrow(() -> Problem.notFound("Only facts are kept of this line, no notes."));
        LineFile file = notations.read(source.text().getBytes(StandardCharsets.UTF_8), true);
        Map<String, Use> uses = file.uses(new Choices(source.choices()));
        String part = uses.entrySet().stream()
                .filter(e -> e.getValue() instanceof Use.Own own
                        && own.voice()
                                .equals(new Voice(readers.withCode(instrument).code(), division)))
                .map(Map.Entry::getKey)
                .findFirst()
                .orElseThrow(() -> Problem.input("division", "This line has no such part of its own."));
        Map<String, String> choices = new HashMap<>();
        uses.keySet().forEach(id -> choices.put(id, id.equals(part) ? "everybody" : "nobody"));
        Milestone line = library.milestone(programId, lineId);
        LineFacts facts = library.line(programId, lineId);
        int number = library.nextLineNumber(programId, facts.bookId());
        Source own = new Source(source.format(), source.text(), choices);
        UUID id = Ids.next();
        String title = line.title() + ", " + ORDINALS[Math.min(division, ORDINALS.length - 1)] + " "
                + readers.withCode(instrument).name().toLowerCase(Locale.ROOT) + " part";
        library.addLineAtEnd(
                programId,
                Library.newLine(id, number, title),
                notations.facts(programId, id, facts.bookId(), facts.page(), number, own));
        notations.keep(programId, accountId, id, own);
        return id;
    }
}
