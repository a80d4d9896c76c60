package vividroster.server.lines;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.nio.charset.StandardCharsets;
import java.util.Collection;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.Part;
import vividroster.core.music.Score;
import vividroster.core.reading.Numbering;
import vividroster.core.reading.Roadmap;
import vividroster.formats.abc.AbcException;
import vividroster.formats.abc.AbcReader;
import vividroster.formats.musicxml.MusicXmlException;
import vividroster.formats.musicxml.MusicXmlReader;
import vividroster.server.library.Book;
import vividroster.server.library.Library;
import vividroster.server.library.LineFacts;
import vividroster.server.platform.Problem;

/** The notes of lines, kept in the open format they came in. */
@Service
public class LineNotations {

    private static final int REMEMBERED = 500;

    private final Cache<Source, Score> scores =
            Caffeine.newBuilder().maximumSize(REMEMBERED).build();
    private final NotationQueries queries;
    private final Library library;
    private final InstrumentCatalog catalog;

    LineNotations(NotationQueries queries, Library library, InstrumentCatalog catalog) {
        this.queries = queries;
        this.library = library;
        this.catalog = catalog;
    }

    public enum Format {
        ABC,
        MUSICXML
    }

    /** @param text of the file; for a compressed file see {@link #read(byte[], boolean)} */
    public record Source(Format format, String text) {}

    /**
     * Reads a file of either format, told by its content.
     *
     * @param topLine whether chords and further voices of a MusicXML file are reduced to the top line
     * @throws Problem with the place of what cannot be read
     */
    public Score read(byte[] file, boolean topLine) {
        if (file.length == 0) {
            throw Problem.input("file", "Nothing was sent.");
        }
        return isXml(file) ? readXml(file, topLine) : readAbc(new String(file, StandardCharsets.UTF_8));
    }

    /** Whether a file is MusicXML, plain or compressed, told by its content; else it is taken for ABC. */
    static boolean isXml(byte[] file) {
        boolean wide = file.length > 1 && (file[0] == (byte) 0xFE || file[0] == (byte) 0xFF);
        String begin = new String(
                        file, 0, Math.min(file.length, 200), wide ? StandardCharsets.UTF_16 : StandardCharsets.UTF_8)
                .stripLeading();
        return begin.startsWith("<") || begin.startsWith("\uFEFF<") || begin.startsWith("PK");
    }

    private Score readXml(byte[] file, boolean topLine) {
        try {
            return MusicXmlReader.read(file, catalog, new MusicXmlReader.Options(topLine));
        } catch (MusicXmlException e) {
            throw Problem.input("file", e.getMessage());
        }
    }

    private static Score readAbc(String text) {
        try {
            return AbcReader.read(text);
        } catch (AbcException e) {
            throw Problem.input("line " + e.line() + ", column " + e.column(), e.getMessage());
        }
    }

    /** The facts of a line, told from its notes. */
    public LineFacts facts(UUID lineId, UUID bookId, int page, int number, Source source) {
        Part part = score(source).sounding();
        int played;
        try {
            played = Numbering.played(part, Roadmap.of(part, Roadmap.Options.USUAL));
        } catch (Roadmap.RoadmapException e) {
            throw Problem.input("abc", "Measure " + e.measure() + ": " + e.getMessage() + ".");
        }
        return new LineFacts(
                lineId,
                bookId,
                page,
                number,
                part.key(),
                part.meter(),
                part.tempo().orElse(Readers.WITHOUT_MARK),
                Math.max(1, Numbering.printed(part)),
                Math.max(1, played));
    }

    /** The notes of a line; empty where only facts are kept. */
    @Transactional(readOnly = true)
    public Optional<Score> score(UUID programId, UUID lineId) {
        return queries.find(programId, lineId).map(this::score);
    }

    /** Read once and remembered. */
    Score score(Source source) {
        return scores.get(source, s -> read(s.text().getBytes(StandardCharsets.UTF_8), true));
    }

    /** By line; lines of which only facts are kept are left out. */
    @Transactional(readOnly = true)
    public Map<UUID, Source> sources(UUID programId, Collection<UUID> lineIds) {
        return queries.findAll(programId, lineIds);
    }

    @Transactional(readOnly = true)
    public Optional<Source> source(UUID programId, UUID lineId) {
        return queries.find(programId, lineId);
    }

    @Transactional(readOnly = true)
    public Set<UUID> withNotes(UUID programId) {
        return queries.findWithNotes(programId);
    }

    /**
     * Keeps the notes of a line, and with them the facts that follow.
     *
     * @throws Problem when they cannot be read, it is no line, or of its book facts alone may be kept
     */
    @Transactional
    public void keep(UUID programId, UUID accountId, UUID lineId, Source source) {
        if (library.milestone(programId, lineId).kind() != MilestoneKind.LINE) {
            throw Problem.input("lineId", "Only a line of a book has notes.");
        }
        LineFacts line = library.line(programId, lineId);
        mayKeepNotes(library.book(programId, line.bookId()));
        library.putFacts(programId, facts(lineId, line.bookId(), line.page(), line.number(), source));
        queries.put(programId, lineId, source, accountId);
    }

    /** @throws Problem when of this book facts alone may be kept */
    static void mayKeepNotes(Book book) {
        if (!book.notesKept()) {
            throw Problem.input(
                    "lineId",
                    "Of \"" + book.name() + "\" facts alone are kept. Say first, with the book, that its notes are"
                            + " your own, free of rights or licensed.");
        }
    }
}
