package vividroster.server.demo;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVRecord;
import vividroster.core.curriculum.Belt;
import vividroster.core.curriculum.BeltLook;
import vividroster.core.curriculum.BeltRule;
import vividroster.core.curriculum.BeltSlot;
import vividroster.core.curriculum.Criterion;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.curriculum.PassRule;
import vividroster.core.curriculum.Rubric;
import vividroster.core.curriculum.TechniqueCheck;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Pitch;
import vividroster.core.reading.Excerpt;
import vividroster.core.testing.PlayingTest;
import vividroster.core.testing.RetakePolicy;
import vividroster.core.testing.TestConditions;
import vividroster.core.written.WrittenQuestion;
import vividroster.formats.checks.RubricFile;
import vividroster.server.checks.Checks;
import vividroster.server.library.Book;
import vividroster.server.library.Library;
import vividroster.server.lines.LineNotations;
import vividroster.server.lines.LineNotations.Format;
import vividroster.server.lines.LineNotations.Source;
import vividroster.server.lines.LineRemarks;
import vividroster.server.platform.Ids;
import vividroster.server.playingtests.PlayingTests;
import vividroster.server.writtenchecks.WrittenChecks;

/** Puts the demo's book, checks, tests and belts on the shelves. */
final class DemoLibrary {

    static final String TITLE = "Tideline Method";

    private final Library library;
    private final Checks checks;
    private final LineNotations notations;
    private final LineRemarks remarks;
    private final PlayingTests tests;
    private final WrittenChecks written;
    private final InstrumentCatalog catalog;
    private final UUID programId;
    private final UUID accountId;
    private final Map<String, Milestone> byKey = new LinkedHashMap<>();
    private int shelfOrder;

    private DemoLibrary(
            Library library,
            Checks checks,
            LineNotations notations,
            LineRemarks remarks,
            PlayingTests tests,
            WrittenChecks written,
            InstrumentCatalog catalog,
            UUID programId,
            UUID accountId) {
        this.tests = tests;
        this.written = written;
        this.library = library;
        this.notations = notations;
        this.remarks = remarks;
        this.catalog = catalog;
        this.checks = checks;
        this.programId = programId;
        this.accountId = accountId;
    }

    /** @return milestones by the keys that orders and stories use */
    static Map<String, Milestone> load(
            Library library,
            Checks checks,
            LineNotations notations,
            LineRemarks remarks,
            PlayingTests tests,
            WrittenChecks written,
            InstrumentCatalog catalog,
            UUID programId,
            UUID accountId) {
        DemoLibrary demo =
                new DemoLibrary(library, checks, notations, remarks, tests, written, catalog, programId, accountId);
        demo.checks();
        demo.lines(row -> true);
        demo.remarks();
        demo.tests();
        demo.writtenChecks();
        demo.belts();
        return demo.byKey;
    }

    /** One volume of the book that ships, with its notes and remarks, behind everything on the shelf. @return its lines */
    static int shelve(
            Library library,
            LineNotations notations,
            LineRemarks remarks,
            UUID programId,
            UUID accountId,
            String volume) {
        DemoLibrary shelf = new DemoLibrary(library, null, notations, remarks, null, null, null, programId, accountId);
        shelf.shelfOrder = library.lastShelfOrder(programId);
        shelf.lines(row -> row.get("volume").equals(volume));
        shelf.remarks();
        return shelf.byKey.size();
    }

    private Milestone keep(String key, Milestone milestone) {
        byKey.put(key, milestone);
        return milestone;
    }

    private static Milestone milestone(
            MilestoneKind kind, CSVRecord row, String shortName, PassRule rule, List<Criterion> criteria) {
        return new Milestone(Ids.next(), kind, shortName, row.get("title"), false, Set.of(), 1, rule, criteria);
    }

    private void checks() {
        Map<String, TechniqueCheck> own =
                DemoFiles.checks(catalog).stream().collect(Collectors.toMap(TechniqueCheck::key, Function.identity()));
        for (CSVRecord row : DemoFiles.rows("checks")) {
            if (row.get("title").isEmpty()) {
                TechniqueCheck check = own.get(row.get("key").replace(' ', '-'));
                keep(row.get("key"), checks.addOwn(programId, accountId, check, ++shelfOrder));
                continue;
            }
            List<Criterion> criteria =
                    checks.asMilestone(row.get("starter"), row.get("short")).criteria();
            Milestone check = new Milestone(
                    Ids.next(),
                    MilestoneKind.TECHNIQUE_CHECK,
                    row.get("short"),
                    row.get("title"),
                    row.get("instrument free").equals("yes"),
                    DemoFiles.split(row.get("applies to")).stream()
                            .map(InstrumentCode::new)
                            .collect(Collectors.toSet()),
                    1,
                    new PassRule.AllCriteria(),
                    criteria);
            library.addCheck(programId, keep(row.get("key"), check), ++shelfOrder);
            checks.describe(programId, accountId, check, row.get("starter"));
        }
    }

    private void lines(Predicate<CSVRecord> wanted) {
        Map<String, Book> volumes = new HashMap<>();
        for (CSVRecord row : DemoFiles.rows("lines")) {
            if (!wanted.test(row)) {
                continue;
            }
            Book book = volumes.computeIfAbsent(row.get("volume"), volume -> {
                Book added = new Book(Ids.next(), TITLE, volume, true);
                library.addBook(programId, added);
                return added;
            });
            Source source = new Source(
                    Format.ABC, DemoFiles.tune(row.get("volume").toLowerCase(), Integer.parseInt(row.get("number"))));
            Milestone line =
                    milestone(MilestoneKind.LINE, row, row.get("number"), new PassRule.OneGoodTry(), List.of());
            library.addLine(
                    programId,
                    keep(row.get("key"), line),
                    notations.facts(
                            programId,
                            line.id(),
                            book.id(),
                            Integer.parseInt(row.get("page")),
                            Integer.parseInt(row.get("number")),
                            source),
                    ++shelfOrder);
            notations.keep(programId, accountId, line.id(), source);
        }
    }

    private void remarks() {
        for (CSVRecord row : DemoFiles.rows("remarks")) {
            if (!byKey.containsKey(row.get("line"))) {
                continue;
            }
            remarks.put(
                    programId,
                    accountId,
                    byKey.get(row.get("line")).id(),
                    row.get("instrument"),
                    row.get("trouble"),
                    row.get("tip"));
        }
    }

    private void tests() {
        for (CSVRecord row : DemoFiles.rows("tests")) {
            Rubric rubric = rubric(row);
            Milestone test = milestone(
                    MilestoneKind.PLAYING_TEST,
                    row,
                    row.get("short"),
                    new PassRule.ScoreAtLeast(rubric.mark()),
                    rubric.criteria());
            tests.load(
                    programId,
                    accountId,
                    keep(row.get("key"), test),
                    new PlayingTest(
                            List.of(new PlayingTest.Part(
                                    byKey.get(row.get("line")).id(), excerpt(row.get("excerpt")), List.of())),
                            conditions(row),
                            retakes(row),
                            Integer.parseInt(row.get("listeners"))),
                    ++shelfOrder);
        }
    }

    /** One that ships, or the row's own criteria. */
    private static Rubric rubric(CSVRecord row) {
        if (!row.get("rubric").isEmpty()) {
            return RubricFile.shipped().stream()
                    .filter(rubric -> rubric.name().equals(row.get("rubric")))
                    .findFirst()
                    .orElseThrow();
        }
        List<Criterion> criteria = new ArrayList<>();
        for (String text : DemoFiles.split(row.get("criteria"))) {
            String[] floor = text.split(" floor ");
            int lastSpace = floor[0].lastIndexOf(' ');
            criteria.add(new Criterion(
                    criteria.size() + 1,
                    floor[0].substring(0, lastSpace),
                    Integer.parseInt(floor[0].substring(lastSpace + 1)),
                    floor.length == 2 ? OptionalInt.of(Integer.parseInt(floor[1])) : OptionalInt.empty()));
        }
        return new Rubric(row.get("title"), criteria, Integer.parseInt(row.get("mark")));
    }

    private static Optional<Excerpt> excerpt(String measures) {
        if (measures.isEmpty()) {
            return Optional.empty();
        }
        String[] ends = measures.split("-");
        return Optional.of(new Excerpt(Integer.parseInt(ends[0]), Integer.parseInt(ends[1]), false));
    }

    private static TestConditions conditions(CSVRecord row) {
        return new TestConditions(
                Optional.empty(),
                TestConditions.USUAL_TOLERANCE,
                Optional.of(row.get("tone")).filter(tone -> !tone.isEmpty()).map(Pitch::named),
                Integer.parseInt(row.get("countIn")),
                true,
                TestConditions.Accompaniment.valueOf(row.get("accompaniment")),
                false,
                TestConditions.FermataEnd.valueOf(row.get("fermata")),
                row.get("besides"));
    }

    private static RetakePolicy retakes(CSVRecord row) {
        String[] counting = row.get("retakes").split(" ");
        return new RetakePolicy(
                RetakePolicy.Counting.valueOf(counting[0]),
                counting.length == 2 ? OptionalInt.of(Integer.parseInt(counting[1])) : OptionalInt.empty(),
                number(row.get("mostRetakes")),
                number(row.get("windowDays")),
                new RetakePolicy.Credit(Integer.parseInt(row.get("late"))),
                new RetakePolicy.Credit(Integer.parseInt(row.get("substitute"))));
    }

    private static OptionalInt number(String text) {
        return text.isEmpty() ? OptionalInt.empty() : OptionalInt.of(Integer.parseInt(text));
    }

    private void writtenChecks() {
        for (CSVRecord row : DemoFiles.rows("written")) {
            UUID id = written.make(
                    programId,
                    accountId,
                    row.get("short"),
                    row.get("title"),
                    DemoFiles.split(row.get("lines")).stream()
                            .map(line -> byKey.get(line).id())
                            .toList(),
                    DemoFiles.split(row.get("asks")).stream()
                            .map(WrittenQuestion.Ask::valueOf)
                            .collect(Collectors.toSet()),
                    Integer.parseInt(row.get("questions")),
                    Integer.parseInt(row.get("mark")));
            keep(row.get("key"), library.milestone(programId, id));
            shelfOrder = library.lastShelfOrder(programId);
        }
    }

    private void belts() {
        Map<String, Map<Integer, Map<InstrumentCode, UUID>>> fillings = new HashMap<>();
        Map<String, String> names = new HashMap<>();
        for (CSVRecord row : DemoFiles.rows("belt-slots")) {
            int ordinal = Integer.parseInt(row.get("ordinal"));
            names.put(row.get("belt") + ordinal, row.get("name"));
            fillings.computeIfAbsent(row.get("belt"), belt -> new TreeMap<>())
                    .computeIfAbsent(ordinal, o -> new HashMap<>())
                    .put(
                            new InstrumentCode(row.get("instrument")),
                            byKey.get(row.get("milestone")).id());
        }
        for (CSVRecord row : DemoFiles.rows("belts")) {
            Milestone milestone = new Milestone(
                    Ids.next(),
                    MilestoneKind.BELT,
                    row.get("name"),
                    row.get("name"),
                    false,
                    Set.of(),
                    1,
                    new PassRule.AllSlots(),
                    List.of());
            List<BeltSlot> slots = fillings.get(row.get("key")).entrySet().stream()
                    .map(slot ->
                            new BeltSlot(slot.getKey(), names.get(row.get("key") + slot.getKey()), slot.getValue()))
                    .toList();
            Belt belt = new Belt(
                    milestone.id(),
                    row.get("ladder"),
                    Integer.parseInt(row.get("rank")),
                    row.get("name"),
                    slots,
                    row.get("rule").equals("AT_LEAST")
                            ? new BeltRule.AtLeast(Integer.parseInt(row.get("rule slots")))
                            : BeltRule.EVERY_SLOT,
                    Set.of());
            library.addBelt(
                    programId,
                    keep(row.get("key"), milestone),
                    belt,
                    new BeltLook(row.get("color"), row.get("weave"), Integer.parseInt(row.get("knots"))),
                    ++shelfOrder);
        }
    }
}
