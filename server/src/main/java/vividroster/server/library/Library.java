package vividroster.server.library;

import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.curriculum.Belt;
import vividroster.core.curriculum.BeltLook;
import vividroster.core.curriculum.Milestone;
import vividroster.core.instrument.Instrument;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.server.platform.Locks;
import vividroster.server.platform.Problem;

/** Books with their lines, technique checks, playing tests and belts. */
@Service
public class Library {

    private final Locks locks;
    private final LibraryQueries queries;
    private final ShelfQueries shelves;
    private final Ladders ladders;
    private final InstrumentCatalog catalog;
    private final ObjectProvider<PlayedMeasures> playedMeasures;

    Library(
            LibraryQueries queries,
            ShelfQueries shelves,
            Ladders ladders,
            InstrumentCatalog catalog,
            ObjectProvider<PlayedMeasures> playedMeasures,
            Locks locks) {
        this.locks = locks;
        this.playedMeasures = playedMeasures;
        this.queries = queries;
        this.shelves = shelves;
        this.ladders = ladders;
        this.catalog = catalog;
    }

    /** In shelf order. */
    @Transactional(readOnly = true)
    public List<Milestone> milestones(UUID programId, Collection<UUID> ids) {
        return queries.findMilestones(programId, ids);
    }

    /** Everything on the shelves, in shelf order. */
    @Transactional(readOnly = true)
    public List<Milestone> allMilestones(UUID programId) {
        return queries.findMilestones(programId, queries.findIdsOnShelf(programId));
    }

    @Transactional(readOnly = true)
    public Milestone milestone(UUID programId, UUID id) {
        return queries.findMilestones(programId, List.of(id)).stream()
                .findFirst()
                .orElseThrow(() -> Problem.notFound("The library has no such milestone."));
    }

    /** A milestone as it was in one of its versions, for judging what was heard against it. */
    @Transactional(readOnly = true)
    public Milestone milestone(UUID programId, UUID id, int version) {
        Milestone now = milestone(programId, id);
        return version == now.version()
                ? now
                : queries.findVersion(programId, id, version)
                        .orElseThrow(() -> Problem.input(
                                "milestoneVersion",
                                "\"" + now.title() + "\" has no version " + version + "; load the page again."));
    }

    /** Milestones that can no longer be ordered. */
    @Transactional(readOnly = true)
    public Set<UUID> retired(UUID programId) {
        return queries.findRetired(programId);
    }

    /** All belts as they are asked now, by ladder and rank, with slots filled for these instruments only. */
    @Transactional(readOnly = true)
    public List<Belt> belts(UUID programId, Collection<InstrumentCode> instruments) {
        return Ladders.belts(ladders.of(programId, instruments));
    }

    @Transactional(readOnly = true)
    public List<Belt> allBelts(UUID programId) {
        return belts(
                programId, catalog.inScoreOrder().stream().map(Instrument::code).toList());
    }

    /** How belts are drawn, those that ladders no longer have too. */
    @Transactional(readOnly = true)
    public Map<UUID, BeltLook> beltLooks(UUID programId) {
        return Ladders.looks(ladders.of(programId, List.of()));
    }

    @Transactional(readOnly = true)
    public Map<UUID, LineFacts> lines(UUID programId, Collection<UUID> ids) {
        return told(programId, queries.findLines(programId, ids));
    }

    /** With what the notes tell, where nobody has said it. */
    private Map<UUID, LineFacts> told(UUID programId, Map<UUID, LineFacts> lines) {
        List<UUID> asked = lines.values().stream()
                .filter(line -> line.playedMeasures().isEmpty())
                .map(LineFacts::milestoneId)
                .toList();
        if (asked.isEmpty()) {
            return lines;
        }
        Map<UUID, LineFacts> all = new HashMap<>(lines);
        playedMeasures
                .getObject()
                .of(programId, asked)
                .forEach((id, notes) -> all.computeIfPresent(id, (k, line) -> line.told(notes)));
        return all;
    }

    /** Every line of a book, in no order. */
    @Transactional(readOnly = true)
    public List<LineFacts> linesOf(UUID programId, UUID bookId) {
        return queries.findLinesOf(programId, bookId);
    }

    /** The facts of one line. @throws Problem when it is no line of the library */
    @Transactional(readOnly = true)
    public LineFacts line(UUID programId, UUID id) {
        return Optional.ofNullable(lines(programId, List.of(id)).get(id))
                .orElseThrow(() -> Problem.notFound("The library has no such line."));
    }

    @Transactional(readOnly = true)
    public Map<UUID, TestFacts> tests(UUID programId, Collection<UUID> ids) {
        return queries.findTests(programId, ids);
    }

    /** By title, of one title the latest volume first. */
    @Transactional(readOnly = true)
    public Map<UUID, Book> books(UUID programId) {
        return queries.findBooks(programId).stream()
                .collect(Collectors.toMap(Book::id, Function.identity(), (a, b) -> a, LinkedHashMap::new));
    }

    /** @throws Problem when another book has that title and volume */
    @Transactional
    public void addBook(UUID programId, Book book) {
        nameIsFree(programId, book);
        shelves.insertBook(programId, book);
    }

    /** @throws Problem when another book has that title and volume, or there is no such book */
    @Transactional
    public void reviseBook(UUID programId, Book book) {
        nameIsFree(programId, book);
        if (!shelves.putBook(programId, book)) {
            throw Problem.notFound("The library has no such book.");
        }
    }

    private void nameIsFree(UUID programId, Book book) {
        locks.hold(programId, "books");
        boolean taken = queries.findBooks(programId).stream()
                .anyMatch(other -> !other.id().equals(book.id()) && other.name().equalsIgnoreCase(book.name()));
        if (taken) {
            throw Problem.conflict("There is a book \"" + book.name() + "\" already.");
        }
    }

    @Transactional(readOnly = true)
    public Book book(UUID programId, UUID bookId) {
        return Optional.ofNullable(books(programId).get(bookId))
                .orElseThrow(() -> Problem.notFound("The library has no such book."));
    }

    /** A new line of a book, passed by one good try. */
    public static Milestone newLine(UUID id, int number, String title) {
        return LineEditing.milestone(id, number, title);
    }

    /** The number behind all lines of a book. */
    @Transactional(readOnly = true)
    public int nextLineNumber(UUID programId, UUID bookId) {
        return shelves.findLastLineNumber(programId, bookId) + 1;
    }

    /** The place of what stands last on the shelf; 0 where it is empty. */
    @Transactional(readOnly = true)
    public int lastShelfOrder(UUID programId) {
        return shelves.findLastShelfOrder(programId);
    }

    /** Puts a line behind everything that stands on the shelf. */
    @Transactional
    public void addLineAtEnd(UUID programId, Milestone milestone, LineFacts line) {
        addLine(programId, milestone, line, shelves.findLastShelfOrder(programId) + 1);
    }

    /**
     * Keeps a line's title and facts in place of those it had.
     *
     * @throws Problem when somebody else edited it in the meantime
     */
    @Transactional
    public void reviseLine(UUID programId, Milestone now, Milestone next, LineFacts line) {
        boolean renamed = !next.title().equals(now.title()) || !next.shortName().equals(now.shortName());
        if (renamed && !shelves.putNextVersion(programId, next)) {
            throw Problem.conflict("\"" + next.title()
                    + "\" was edited by someone else in the meantime; load it again. Nothing was changed.");
        }
        shelves.putLine(programId, line);
    }

    /** Facts that follow from notes just kept. */
    @Transactional
    public void putFacts(UUID programId, LineFacts line) {
        shelves.putLine(programId, line);
    }

    @Transactional
    public void addLine(UUID programId, Milestone milestone, LineFacts line, int shelfOrder) {
        shelves.insertMilestone(programId, milestone, shelfOrder);
        shelves.insertLine(programId, line);
    }

    @Transactional
    public void addCheck(UUID programId, Milestone milestone, int shelfOrder) {
        shelves.insertMilestone(programId, milestone, shelfOrder);
    }

    /** Puts a check behind everything that stands on the shelf. */
    @Transactional
    public void addCheckAtEnd(UUID programId, Milestone milestone) {
        shelves.insertMilestone(programId, milestone, shelves.findLastShelfOrder(programId) + 1);
    }

    /**
     * Keeps an edited check as its next version; what was passed stays as it was heard.
     *
     * @throws Problem when somebody else edited it since the version before
     */
    @Transactional
    public void reviseCheck(UUID programId, Milestone next) {
        if (!shelves.putNextVersion(programId, next)) {
            throw Problem.conflict("\"" + next.title()
                    + "\" was edited by someone else in the meantime; load it again. Nothing was changed.");
        }
    }

    /** Takes a milestone off the shelf, or puts it back. Orders, tries and passes stay. */
    @Transactional
    public void retire(UUID programId, UUID milestoneId, boolean retired) {
        if (!shelves.setRetired(programId, milestoneId, retired)) {
            throw Problem.notFound("The library has no such milestone.");
        }
    }

    @Transactional
    public void addTest(UUID programId, Milestone milestone, TestFacts test, int shelfOrder) {
        shelves.insertMilestone(programId, milestone, shelfOrder);
        shelves.insertTest(programId, test);
    }

    /** Puts a test behind everything that stands on the shelf. */
    @Transactional
    public void addTestAtEnd(UUID programId, Milestone milestone, TestFacts test) {
        addTest(programId, milestone, test, shelves.findLastShelfOrder(programId) + 1);
    }

    /**
     * Keeps an edited test as its next version; what was heard stays with the one it was heard against.
     *
     * @throws Problem when somebody else edited it since the version before
     */
    @Transactional
    public void reviseTest(UUID programId, Milestone next, TestFacts test) {
        reviseCheck(programId, next);
        shelves.putTest(programId, test);
    }

    @Transactional
    public void addBelt(UUID programId, Milestone milestone, Belt belt, BeltLook look, int shelfOrder) {
        ladders.load(programId, milestone, belt, look, shelfOrder);
    }
}
