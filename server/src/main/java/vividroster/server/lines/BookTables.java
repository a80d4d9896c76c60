package vividroster.server.lines;

import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.curriculum.BookTable;
import vividroster.core.curriculum.BookTable.Line;
import vividroster.core.curriculum.BookTable.Outcome;
import vividroster.core.curriculum.BookTable.Planned;
import vividroster.core.curriculum.BookTable.Row;
import vividroster.core.curriculum.Milestone;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.Bpm;
import vividroster.core.music.InstrumentCode;
import vividroster.formats.book.BookFile;
import vividroster.formats.csv.UnreadableFileException;
import vividroster.server.checks.Checks;
import vividroster.server.checks.Schools;
import vividroster.server.library.Library;
import vividroster.server.library.LineDetails;
import vividroster.server.library.LineFacts;
import vividroster.server.platform.Ids;
import vividroster.server.platform.Locks;
import vividroster.server.platform.Problem;
import vividroster.server.platform.SignedIn;

/** The lines of a book by their facts, many at once: typed in a table, pasted, or from a CSV file. */
@Service
class BookTables {

    private final Library library;
    private final LineRemarks remarks;
    private final Checks checks;
    private final InstrumentCatalog catalog;
    private final Locks locks;

    BookTables(Library library, LineRemarks remarks, Checks checks, InstrumentCatalog catalog, Locks locks) {
        this.library = library;
        this.remarks = remarks;
        this.checks = checks;
        this.catalog = catalog;
        this.locks = locks;
    }

    /** The lines of a book, by number. */
    @Transactional(readOnly = true)
    List<Line> lines(UUID programId, UUID bookId) {
        library.book(programId, bookId);
        return known(programId, bookId).values().stream()
                .map(Kept::line)
                .sorted(Comparator.comparingInt(Line::number))
                .toList();
    }

    private record Kept(Line line, LineFacts facts, Milestone milestone) {}

    /** By number. */
    private Map<Integer, Kept> known(UUID programId, UUID bookId) {
        List<LineFacts> facts = library.linesOf(programId, bookId);
        List<UUID> ids = facts.stream().map(LineFacts::milestoneId).toList();
        Map<UUID, Milestone> milestones =
                library.milestones(programId, ids).stream().collect(Collectors.toMap(Milestone::id, m -> m));
        Map<UUID, Map<InstrumentCode, String>> news = remarks.news(programId, ids);
        Map<Integer, Kept> known = new HashMap<>();
        facts.forEach(line -> {
            Milestone milestone = milestones.get(line.milestoneId());
            known.put(
                    line.number(),
                    new Kept(
                            new Line(
                                    line.page(),
                                    line.number(),
                                    milestone.title(),
                                    line.concertKey(),
                                    line.meter(),
                                    line.measures(),
                                    line.tempo(),
                                    news.getOrDefault(line.milestoneId(), Map.of())),
                            line,
                            milestone));
        });
        return known;
    }

    /** What keeping these rows would do, row by row; changes nothing. */
    @Transactional(readOnly = true)
    List<Planned> plan(UUID programId, UUID bookId, List<Row> rows) {
        library.book(programId, bookId);
        return plan(programId, rows, known(programId, bookId).values());
    }

    private List<Planned> plan(UUID programId, List<Row> rows, Collection<Kept> known) {
        Bpm tempo = new Bpm(checks.choices(programId).of(Schools.TEMPO_WITHOUT_MARK));
        return BookTable.of(rows, known.stream().map(Kept::line).toList(), tempo);
    }

    /**
     * Keeps the lines of a table, all of them or none.
     *
     * @throws Problem about the first cell that is none, its field as in {@code rows[2].meter}
     */
    @Transactional
    List<Planned> keep(SignedIn person, UUID bookId, List<Row> rows) {
        UUID programId = person.programId();
        library.book(programId, bookId);
        locks.hold(programId, "book " + bookId);
        Map<Integer, Kept> known = known(programId, bookId);
        List<Planned> planned = plan(programId, rows, known.values());
        for (int i = 0; i < planned.size(); i++) {
            if (planned.get(i).outcome() instanceof Outcome.Refused refused) {
                throw Problem.input(
                        "rows[" + i + "]." + BookTableWording.field(refused.column()),
                        BookTableWording.sentence(refused));
            }
        }
        int shelfOrder = library.lastShelfOrder(programId);
        for (Planned row : planned) {
            switch (row.outcome()) {
                case Outcome.Added added -> {
                    for (Line line : added.lines()) {
                        add(person, bookId, line, ++shelfOrder);
                    }
                }
                case Outcome.Changed changed ->
                    change(person, known.get(changed.line().number()), changed.line());
                case Outcome.Unchanged unchanged -> {}
                case Outcome.Refused refused -> throw new IllegalStateException("told above");
            }
        }
        return planned;
    }

    private void add(SignedIn person, UUID bookId, Line line, int shelfOrder) {
        UUID id = Ids.next();
        library.addLine(
                person.programId(),
                Library.newLine(id, line.number(), line.title()),
                facts(id, bookId, line, OptionalInt.empty(), LineDetails.NONE),
                shelfOrder);
        remarks.putNews(person.programId(), person.accountId(), id, line.news());
    }

    private void change(SignedIn person, Kept before, Line line) {
        UUID id = before.milestone().id();
        library.reviseLine(
                person.programId(),
                before.milestone(),
                before.milestone().renamed(line.title()),
                facts(
                        id,
                        before.facts().bookId(),
                        line,
                        before.facts().measures() == line.measures()
                                ? before.facts().playedMeasures()
                                : OptionalInt.empty(),
                        before.facts().details()));
        remarks.putNews(person.programId(), person.accountId(), id, line.news());
    }

    private static LineFacts facts(UUID id, UUID bookId, Line line, OptionalInt played, LineDetails details) {
        return new LineFacts(
                id,
                bookId,
                line.page(),
                line.number(),
                line.key(),
                line.meter(),
                line.tempo(),
                line.measures(),
                played,
                details);
    }

    /** The rows of a file or of what was pasted, as typed. @throws Problem where no row can be told */
    BookFile.Read read(byte[] bytes) {
        try {
            return BookFile.read(bytes, catalog);
        } catch (UnreadableFileException e) {
            throw Problem.input("file", e.getMessage());
        }
    }

    @Transactional(readOnly = true)
    String asFile(UUID programId, UUID bookId) {
        return BookFile.write(lines(programId, bookId), catalog);
    }
}
