package vividroster.server.lines;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.nio.charset.StandardCharsets;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.function.Supplier;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.Part;
import vividroster.core.music.Score;
import vividroster.core.reading.Numbering;
import vividroster.core.reading.TimedView;
import vividroster.formats.abc.AbcReader;
import vividroster.formats.musicxml.MusicXmlReader;
import vividroster.formats.score.LeftOut;
import vividroster.formats.score.LineFile;
import vividroster.formats.score.LineFile.Choices;
import vividroster.formats.score.LineFileException;
import vividroster.server.library.Book;
import vividroster.server.library.Library;
import vividroster.server.library.LineFacts;
import vividroster.server.platform.Problem;

/** The notes of lines, kept in the open format they came in. */
@Service
public class LineNotations {

    private static final Logger LOG = LoggerFactory.getLogger(LineNotations.class);
    private static final int REMEMBERED = 1_000;

    private final Cache<Source, Kept> kept =
            Caffeine.newBuilder().maximumSize(REMEMBERED).build();
    private final NotationQueries queries;
    private final Library library;
    private final InstrumentCatalog catalog;
    private final Conventions.Chosen chosen;
    private final ReadingGate gate;

    LineNotations(
            NotationQueries queries,
            Library library,
            InstrumentCatalog catalog,
            Conventions.Chosen chosen,
            ReadingGate gate) {
        this.queries = queries;
        this.library = library;
        this.catalog = catalog;
        this.chosen = chosen;
        this.gate = gate;
    }

    public enum Format {
        ABC,
        MUSICXML
    }

    /**
     * @param text of the file, unpacked, in UTF-8
     * @param choices what each part is used for, by its id in the file, where a person said so
     */
    public record Source(Format format, String text, Map<String, String> choices) {

        public Source {
            choices = Map.copyOf(choices);
        }

        public Source(Format format, String text) {
            this(format, text, Map.of());
        }
    }

    /** What a source says. @param leftOut what of it is not kept, each in words */
    record Kept(Score score, List<String> leftOut) {}

    /**
     * Reads a file of either format, told by its content.
     *
     * @param topLine whether chords and further voices of a MusicXML file are reduced to the top line
     * @throws Problem with the place of what cannot be read
     */
    LineFile read(byte[] file, boolean topLine) {
        if (file.length == 0) {
            throw Problem.input("file", "Nothing was sent.");
        }
        return told(() -> gate.read(() -> isXml(file)
                ? MusicXmlReader.read(file, catalog, new MusicXmlReader.Options(topLine))
                : AbcReader.read(new String(file, StandardCharsets.UTF_8), catalog)));
    }

    /** What a reader refuses, as a problem that names the place. */
    static <T> T told(Supplier<T> reading) {
        try {
            return reading.get();
        } catch (LineFileException e) {
            throw Problem.input(e.place().isEmpty() ? "file" : e.place(), e.getMessage());
        }
    }

    /** Whether a file is MusicXML, plain or compressed, told by its content; else it is taken for ABC. */
    static boolean isXml(byte[] file) {
        boolean wide = file.length > 1 && (file[0] == (byte) 0xFE || file[0] == (byte) 0xFF);
        String begin = new String(
                        file, 0, Math.min(file.length, 200), wide ? StandardCharsets.UTF_16 : StandardCharsets.UTF_8)
                .stripLeading();
        return begin.startsWith("<") || begin.startsWith("\uFEFF<") || begin.startsWith("PK");
    }

    /** The facts of a line, told from its notes. @throws Problem where there is no way through its measures */
    public LineFacts facts(UUID programId, UUID lineId, UUID bookId, int page, int number, Source source) {
        Conventions conventions = chosen.of(programId);
        Part part = score(source).sounding();
        TimedView view = TimedView.of(part, conventions.timing());
        view.fault().ifPresent(fault -> {
            throw Problem.input("abc", RoadmapWording.sentence(fault, part, conventions.numbering()));
        });
        return new LineFacts(
                lineId,
                bookId,
                page,
                number,
                part.key(),
                part.meter(),
                view.tempo(),
                Math.max(1, Numbering.printed(part)),
                OptionalInt.empty());
    }

    /** The notes of a line; empty where only facts are kept. */
    @Transactional(readOnly = true)
    public Optional<Score> score(UUID programId, UUID lineId) {
        return queries.find(programId, lineId).map(this::score);
    }

    /** Read once and remembered. @throws Problem when it cannot be read */
    Score score(Source source) {
        return kept(source).score();
    }

    /** What of the file its notes came from is not kept, each in words. */
    @Transactional(readOnly = true)
    List<String> leftOut(UUID programId, UUID lineId) {
        return queries.find(programId, lineId).map(s -> kept(s).leftOut()).orElse(List.of());
    }

    Kept kept(Source source) {
        Kept before = kept.getIfPresent(source);
        if (before != null) {
            return before;
        }
        LineFile file = read(source.text().getBytes(StandardCharsets.UTF_8), true);
        Choices choices = new Choices(source.choices());
        Kept now = told(() -> new Kept(
                file.score(choices),
                file.leftOut(choices).stream().map(LeftOut::words).toList()));
        kept.put(source, now);
        return now;
    }

    /** Of a line beside others: one that can no longer be read breaks none of them. */
    Optional<Score> readable(Source source) {
        try {
            return Optional.of(score(source));
        } catch (Problem e) {
            LOG.warn("The notes of a line that is kept cannot be read: {}", e.getMessage());
            return Optional.empty();
        }
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
        library.putFacts(programId, facts(programId, lineId, line.bookId(), line.page(), line.number(), source));
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
