package vividroster.server.lines;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.Part;
import vividroster.core.music.Score;
import vividroster.core.reading.Numbering;
import vividroster.core.text.Lengths;
import vividroster.formats.abc.AbcBook;
import vividroster.formats.musicxml.MusicXmlFile;
import vividroster.formats.score.LineFile;
import vividroster.formats.score.LineFile.Choices;
import vividroster.formats.score.LineFileException;
import vividroster.server.library.Book;
import vividroster.server.library.Library;
import vividroster.server.library.LineFacts;
import vividroster.server.lines.LineNotations.Format;
import vividroster.server.lines.LineNotations.Kept;
import vividroster.server.lines.LineNotations.Source;
import vividroster.server.lines.LineViews.PartView;
import vividroster.server.platform.Absent;
import vividroster.server.platform.Ids;
import vividroster.server.platform.Locks;
import vividroster.server.platform.Problem;
import vividroster.server.platform.Uploads;

/** Many lines of a book at once, from ABC files of many tunes and from MusicXML files. */
@Service
class BookImport {

    private static final int MOST_LINES = 500;
    private static final int LONGEST_TITLE = Lengths.TITLE;
    private static final Pattern DIGITS = Pattern.compile("(\\d{1,4})");

    private final Locks locks;
    private final LineNotations notations;
    private final Library library;
    private final InstrumentCatalog catalog;

    BookImport(LineNotations notations, Library library, InstrumentCatalog catalog, Locks locks) {
        this.locks = locks;
        this.catalog = catalog;
        this.notations = notations;
        this.library = library;
    }

    /** A file as it was sent. */
    record Upload(String name, byte[] bytes) {}

    /**
     * @param number in the book
     * @param replaces whether the notes of a line with that number give way to these
     * @param parts of the file with what each is used for, where it has several
     * @param leftOut what of it is not kept, each in words
     * @param problem why it is not taken
     */
    record ImportedLine(
            String file,
            int number,
            int page,
            String title,
            @Absent String concertKey,
            @Absent String meter,
            int measures,
            boolean replaces,
            List<PartView> parts,
            List<String> leftOut,
            @Absent String problem) {}

    /** @param kept whether the good ones were kept, or only looked at */
    record ImportView(List<ImportedLine> lines, int good, int refused, boolean kept) {}

    /** What is found in the files before it is known whether it can be read. */
    private record Found(String file, int number, int page, Source source, int firstLine) {}

    /**
     * @param firstPage of lines that say no page; keep false looks only
     * @param choices what the parts of a file are used for, by the file's name and the part's id, where a person said so
     */
    @Transactional
    ImportView take(
            UUID programId,
            UUID accountId,
            UUID bookId,
            List<Upload> files,
            int firstPage,
            Map<String, Map<String, String>> choices,
            boolean keep) {
        Book book = library.book(programId, bookId);
        LineNotations.mayKeepNotes(book);
        if (files.isEmpty() || files.size() > Uploads.MOST_FILES) {
            throw Problem.input("file", Uploads.TOO_MANY_FILES);
        }
        if (firstPage < 1 || firstPage > 2000) {
            throw Problem.input("firstPage", "Pages are counted from 1 to 2000.");
        }
        locks.hold(programId, "book " + bookId);
        Map<Integer, LineFacts> there = new HashMap<>();
        library.linesOf(programId, bookId).forEach(line -> there.put(line.number(), line));
        List<ImportedLine> lines = new ArrayList<>();
        Set<Integer> numbers = new HashSet<>();
        for (Upload file : files) {
            try {
                Map<String, String> byPart = choices.getOrDefault(file.name(), Map.of());
                PartViews.choices(byPart, catalog);
                for (Found found : found(file, firstPage, byPart, numbers, there.keySet())) {
                    lines.add(take(programId, accountId, book, found, there, numbers, keep));
                }
            } catch (LineFileException e) {
                lines.add(new ImportedLine(
                        file.name(),
                        0,
                        firstPage,
                        file.name(),
                        null,
                        null,
                        0,
                        false,
                        List.of(),
                        List.of(),
                        e.getMessage()));
            }
            if (lines.size() > MOST_LINES) {
                throw Problem.input("files", "Send at most " + MOST_LINES + " lines at once.");
            }
        }
        int refused = (int) lines.stream().filter(l -> l.problem() != null).count();
        return new ImportView(lines, lines.size() - refused, refused, keep);
    }

    private static List<Found> found(
            Upload file, int firstPage, Map<String, String> byPart, Set<Integer> numbers, Set<Integer> there) {
        if (LineNotations.isXml(file.bytes())) {
            String text = MusicXmlFile.text(file.bytes());
            return List.of(new Found(
                    file.name(),
                    number(file.name(), numbers, there),
                    firstPage,
                    new Source(Format.MUSICXML, text, byPart),
                    1));
        }
        List<Found> found = new ArrayList<>();
        for (AbcBook.Tune tune : AbcBook.tunes(new String(file.bytes(), StandardCharsets.UTF_8))) {
            found.add(new Found(
                    file.name(),
                    tune.number() == 0 ? number(file.name(), numbers, there) : tune.number(),
                    tune.page().orElse(firstPage),
                    new Source(Format.ABC, tune.text(), byPart),
                    tune.firstLine()));
        }
        return found;
    }

    /** The first number in a file's name, else the next that is free. */
    private static int number(String name, Set<Integer> numbers, Set<Integer> there) {
        Matcher digits = DIGITS.matcher(name);
        if (digits.find() && Integer.parseInt(digits.group(1)) > 0) {
            return Integer.parseInt(digits.group(1));
        }
        int free = 1;
        while (numbers.contains(free) || there.contains(free)) {
            free++;
        }
        return free;
    }

    private ImportedLine take(
            UUID programId,
            UUID accountId,
            Book book,
            Found found,
            Map<Integer, LineFacts> there,
            Set<Integer> numbers,
            boolean keep) {
        LineFacts before = there.get(found.number());
        UUID id = before == null ? Ids.next() : before.milestoneId();
        int page = before == null ? found.page() : before.page();
        Source source = found.source();
        List<PartView> parts = List.of();
        Kept kept;
        LineFacts facts;
        try {
            if (source.text().isBlank()) {
                throw Problem.input("file", "The file is empty.");
            }
            LineFile file = notations.read(source.text().getBytes(StandardCharsets.UTF_8), true);
            if (file.parts().size() > 1) {
                parts = LineNotations.told(() -> PartViews.of(file, new Choices(source.choices())));
            }
            kept = notations.kept(source);
            facts = notations.facts(programId, id, book.id(), page, Math.max(1, found.number()), source);
        } catch (Problem e) {
            return refused(found, parts, place(e, found) + e.getMessage());
        }
        Score score = kept.score();
        if (!numbers.add(found.number()) || found.number() < 1) {
            return refused(found, parts, "Two lines of these files have the number " + found.number() + ".");
        }
        String title = score.title().isBlank() ? "Line " + found.number() : score.title();
        if (title.length() > LONGEST_TITLE) {
            title = title.substring(0, LONGEST_TITLE);
        }
        if (keep) {
            if (before == null) {
                library.addLineAtEnd(programId, Library.newLine(id, found.number(), title), facts);
            }
            notations.keep(programId, accountId, id, found.source());
        }
        Part part = score.sounding();
        return new ImportedLine(
                found.file(),
                found.number(),
                page,
                title,
                part.key().name(),
                part.meter().toString(),
                Numbering.printed(part),
                before != null,
                parts,
                kept.leftOut(),
                null);
    }

    private static ImportedLine refused(Found found, List<PartView> parts, String problem) {
        return new ImportedLine(
                found.file(), found.number(), found.page(), "", null, null, 0, false, parts, List.of(), problem);
    }

    /** An error in a tune is told by the lines of its file. */
    private static String place(Problem problem, Found found) {
        String field = problem.field().orElse("");
        Matcher at = Pattern.compile("line (\\d+), column (\\d+)").matcher(field);
        return at.matches()
                ? "Line " + (Integer.parseInt(at.group(1)) + found.firstLine() - 1) + ", column " + at.group(2) + ": "
                : "";
    }
}
