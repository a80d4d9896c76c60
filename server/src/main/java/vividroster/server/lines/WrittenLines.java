package vividroster.server.lines;

import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.music.Bpm;
import vividroster.core.music.Key;
import vividroster.core.music.Meter;
import vividroster.core.music.Part;
import vividroster.core.rehearsal.WrittenMusic;
import vividroster.core.rehearsal.WrittenMusic.Level;
import vividroster.core.rehearsal.WrittenMusic.Values;
import vividroster.formats.musicxml.MusicXmlWriter;
import vividroster.server.library.Book;
import vividroster.server.library.Library;
import vividroster.server.library.LineFacts;
import vividroster.server.lines.LineNotations.Format;
import vividroster.server.lines.LineNotations.Source;
import vividroster.server.platform.Ids;
import vividroster.server.platform.Locks;
import vividroster.server.platform.Problem;
import vividroster.server.platform.SignedIn;

/** Scales and rhythms written by the tool, kept as lines of a book of their own, so that a test can play them. */
@Service
public class WrittenLines {

    /** The book they stand in; ours. */
    private static final String BOOK = "Scales and rhythms";

    private final Library library;
    private final LineNotations notations;
    private final Locks locks;

    WrittenLines(Library library, LineNotations notations, Locks locks) {
        this.library = library;
        this.notations = notations;
        this.locks = locks;
    }

    /** @return the new line @throws Problem where there is no such scale */
    @Transactional
    public UUID scale(SignedIn person, String key, int octaves, Values values, double tempoBpm) {
        Key concert = key(key);
        Part part = written(() -> WrittenMusic.scale(concert, octaves, values, new Bpm(tempoBpm)));
        String title = concert.name() + " scale" + (octaves == 2 ? ", two octaves" : "")
                + (values == Values.EIGHTHS ? ", eighths" : "");
        return keep(person, title, part);
    }

    /** @return the new line @throws Problem where there is no such rhythm */
    @Transactional
    public UUID rhythm(
            SignedIn person, String key, String meter, int measures, Level level, double tempoBpm, long seed) {
        Key concert = key(key);
        Meter read;
        try {
            read = Meter.parse(meter);
        } catch (IllegalArgumentException e) {
            throw Problem.input("meter", "A meter is written like 4/4 or 6/8, not \"" + meter + "\".");
        }
        Part part = written(() -> WrittenMusic.rhythm(concert, read, measures, level, new Bpm(tempoBpm), seed));
        return keep(person, "Rhythm " + seed + " in " + read, part);
    }

    private static Key key(String name) {
        try {
            return Key.named(name);
        } catch (IllegalArgumentException e) {
            throw Problem.input("key", "A key is written like \"B-flat major\", not \"" + name + "\".");
        }
    }

    private static Part written(Supplier<Part> writer) {
        try {
            return writer.get();
        } catch (IllegalArgumentException e) {
            String rule = e.getMessage();
            throw Problem.input(rule.split(" ")[0], "This cannot be written: " + rule + ".");
        }
    }

    private UUID keep(SignedIn person, String title, Part part) {
        UUID programId = person.programId();
        locks.hold(programId, "written lines");
        UUID bookId = library.books(programId).values().stream()
                .filter(book -> book.title().equals(BOOK))
                .map(Book::id)
                .findFirst()
                .orElseGet(() -> {
                    Book book = new Book(Ids.next(), BOOK, "", true);
                    library.addBook(programId, book);
                    return book.id();
                });
        Source source = new Source(Format.MUSICXML, MusicXmlWriter.writeConcert(title, part));
        Optional<UUID> same = library.linesOf(programId, bookId).stream()
                .map(LineFacts::milestoneId)
                .filter(id -> library.milestone(programId, id).title().equals(title)
                        && notations.source(programId, id).map(source::equals).orElse(false))
                .findFirst();
        if (same.isPresent()) {
            return same.get();
        }
        int number = library.nextLineNumber(programId, bookId);
        UUID id = Ids.next();
        library.addLineAtEnd(
                programId,
                Library.newLine(id, number, title),
                notations.facts(programId, id, bookId, 1, number, source));
        notations.keep(programId, person.accountId(), id, source);
        return id;
    }
}
