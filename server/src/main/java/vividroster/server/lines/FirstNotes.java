package vividroster.server.lines;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.instrument.Family;
import vividroster.core.instrument.Instrument;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Score;
import vividroster.core.reading.Vocabulary;
import vividroster.core.reading.Vocabulary.NewNote;
import vividroster.core.rehearsal.Reading;
import vividroster.server.library.Book;
import vividroster.server.library.Library;
import vividroster.server.library.LineFacts;
import vividroster.server.lines.LineNotations.Source;
import vividroster.server.lines.Readers.Stage;
import vividroster.server.platform.Absent;

/** The notes the programme's book begins with, as an instrument reads them: what a check of first notes teaches. */
@Service
class FirstNotes {

    /** As many as a first tune needs. */
    private static final int NOTES = 5;

    private final Library library;
    private final LineNotations notations;
    private final Readers readers;
    private final Conventions.Chosen chosen;

    FirstNotes(Library library, LineNotations notations, Readers readers, Conventions.Chosen chosen) {
        this.library = library;
        this.notations = notations;
        this.readers = readers;
        this.chosen = chosen;
    }

    record FirstNoteView(String note, @Absent String fingering) {}

    /** @param book absent where no book keeps notes */
    record FirstNotesView(@Absent String book, List<FirstNoteView> notes) {}

    /** In the order the instrument meets them. */
    @Transactional(readOnly = true)
    FirstNotesView of(UUID programId, InstrumentCode instrument) {
        Instrument player = readers.withCode(instrument);
        Map<UUID, Book> books = library.books(programId);
        Set<UUID> withNotes = notations.withNotes(programId);
        List<LineFacts> lines = library.lines(programId, withNotes).values().stream()
                .sorted(Comparator.comparing((LineFacts line) -> suits(books.get(line.bookId()), player) ? 0 : 1)
                        .thenComparing(line -> books.get(line.bookId()).name())
                        .thenComparingInt(LineFacts::number))
                .toList();
        if (lines.isEmpty()) {
            return new FirstNotesView(null, List.of());
        }
        UUID book = lines.getFirst().bookId();
        List<UUID> ids = lines.stream()
                .filter(line -> line.bookId().equals(book))
                .map(LineFacts::milestoneId)
                .limit(NOTES * 2L)
                .toList();
        Map<UUID, Source> sources = notations.sources(programId, ids);
        return new FirstNotesView(books.get(book).name(), notes(ids, sources, player, chosen.of(programId)));
    }

    /** A volume for strings is for strings, every other for the others. */
    private static boolean suits(Book book, Instrument player) {
        boolean strings = book.volume().toLowerCase(Locale.ROOT).contains("string");
        return strings == (player.family() == Family.STRING);
    }

    private List<FirstNoteView> notes(
            List<UUID> lines, Map<UUID, Source> sources, Instrument player, Conventions conventions) {
        Map<Integer, FirstNoteView> found = new LinkedHashMap<>();
        Vocabulary met = Vocabulary.NOTHING;
        for (UUID line : lines) {
            Score score = sources.containsKey(line)
                    ? notations.readable(sources.get(line)).orElse(null)
                    : null;
            if (score == null || found.size() >= NOTES) {
                continue;
            }
            Reading reading = readers.read(score, player, Stage.BEGINNER, conventions, Optional.of(met));
            for (Vocabulary.First first : reading.news()) {
                if (first.thing() instanceof NewNote note && found.size() < NOTES) {
                    found.putIfAbsent(
                            note.midi(),
                            new FirstNoteView(
                                    first.pitch().name(),
                                    SectionReadings.taken(reading, first.measure(), first.note())
                                            .map(t -> DemandWording.fingering(t.fingering()))
                                            .orElse(null)));
                }
            }
            met = met.plus(Vocabulary.of(reading.view()));
        }
        return new ArrayList<>(found.values());
    }
}
