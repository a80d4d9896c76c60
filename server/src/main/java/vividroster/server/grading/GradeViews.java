package vividroster.server.grading;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.grading.Grade;
import vividroster.core.grading.Grade.Counted;
import vividroster.core.grading.Grade.OfKind;
import vividroster.core.grading.GradeCounts;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.formats.csv.CsvSheet;
import vividroster.server.grading.GradeBooks.GradeBook;
import vividroster.server.grading.GradeBooks.GradedItem;
import vividroster.server.grading.GradeBooks.GradedStudent;
import vividroster.server.platform.Absent;
import vividroster.server.playingtests.TestWording;
import vividroster.server.roster.Rosters;

/** Grades as the API and a file show them. */
@Component
class GradeViews {

    private final InstrumentCatalog catalog;
    private final Rosters rosters;

    GradeViews(InstrumentCatalog catalog, Rosters rosters) {
        this.catalog = catalog;
        this.rosters = rosters;
    }

    /**
     * One milestone in a grade.
     *
     * @param percent it counts; absent where it does not count
     * @param words how it came about
     */
    record GradeItemView(
            UUID milestoneId,
            MilestoneKind kind,
            String title,
            LocalDate dueOn,
            @Absent Double percent,
            String words) {}

    /**
     * @param percent mean of its items
     * @param weight as set; partPercent of the whole grade it makes
     */
    record GradeKindView(MilestoneKind kind, int items, double percent, int weight, double partPercent) {}

    /** @param percent and {@code written} absent where nothing counts yet */
    record GradeRowView(
            UUID studentId,
            String name,
            InstrumentCode instrument,
            String instrumentName,
            @Absent Double percent,
            @Absent String written,
            List<GradeKindView> kinds,
            List<GradeItemView> items) {}

    /**
     * @param on day up to which it is told
     * @param distribution how many have each grade, in the order of the scale where it has steps, else by tens of percent
     */
    record GradeBookView(
            String className,
            String period,
            LocalDate on,
            List<GradeRowView> students,
            List<GradeCountView> distribution) {}

    record GradeCountView(String written, int students) {}

    GradeBookView view(GradeBook book) {
        return new GradeBookView(
                book.className(),
                book.period().name(),
                book.on(),
                book.students().stream().map(this::row).toList(),
                GradeCounts.of(
                                book.scheme().scale(),
                                book.students().stream()
                                        .map(GradedStudent::grade)
                                        .toList())
                        .stream()
                        .map(count -> new GradeCountView(count.written(), count.students()))
                        .toList());
    }

    private GradeRowView row(GradedStudent student) {
        Grade grade = student.grade();
        List<GradeItemView> items = new ArrayList<>();
        for (int i = 0; i < student.items().size(); i++) {
            items.add(item(student.items().get(i), grade.items().get(i)));
        }
        return new GradeRowView(
                student.student().id(),
                student.student().name(),
                student.seat().instrument(),
                catalog.withCode(student.seat().instrument()).name(),
                grade.percent().isPresent() ? (Double) tenths(grade.percent().getAsDouble()) : null,
                grade.written().orElse(null),
                grade.kinds().stream().map(GradeViews::kind).toList(),
                items);
    }

    private static GradeKindView kind(OfKind kind) {
        return new GradeKindView(
                kind.kind(), kind.items(), tenths(kind.share() * 100), kind.weight(), tenths(kind.part() * 100));
    }

    private static GradeItemView item(GradedItem item, Counted counted) {
        return new GradeItemView(
                item.milestone().id(),
                item.milestone().kind(),
                item.milestone().title(),
                item.dueOn(),
                counted.share().isPresent() ? (Double) tenths(counted.share().getAsDouble() * 100) : null,
                words(item, counted));
    }

    private static String words(GradedItem item, Counted counted) {
        return switch (counted.item().result()) {
            case Grade.CountsElsewhere elsewhere ->
                "heard in " + item.elsewhere().orElse("another class") + ", counts there";
            case Grade.Scored scored ->
                item.score()
                        .map(score -> (score.counted().late() ? "late; " : "")
                                + tries(score.counted().tries().size())
                                + (item.milestone().kind() == MilestoneKind.PLAYING_TEST
                                        ? ". " + TestWording.standing(score.counted())
                                        : ""))
                        .orElse("");
            case Grade.Passed passed -> "passed";
            case Grade.NotYet notYet -> "tried, not yet";
            case Grade.Excused excused -> "excused";
            case Grade.NeverHeard never -> "not heard";
        };
    }

    private static String tries(int tries) {
        return tries == 1 ? "one try" : tries + " tries";
    }

    private static double tenths(double number) {
        return BigDecimal.valueOf(number).setScale(1, RoundingMode.HALF_UP).doubleValue();
    }

    /** As documented in docs/formats.md. */
    String csv(UUID programId, GradeBook book) {
        Map<UUID, Optional<String>> numbers = rosters.numbers(
                programId,
                book.students().stream().map(one -> one.student().id()).toList());
        List<MilestoneKind> kinds = List.of(MilestoneKind.values()).stream()
                .filter(kind -> book.scheme().weights().containsKey(kind))
                .toList();
        List<String> heading = new ArrayList<>(List.of(
                "student_number", "student", "class", "instrument", "marking_period", "to", "grade", "percent"));
        for (MilestoneKind kind : kinds) {
            heading.add(kind.name().toLowerCase(Locale.ROOT) + "_percent");
            heading.add(kind.name().toLowerCase(Locale.ROOT) + "_items");
        }
        return CsvSheet.of(
                heading,
                book.students().stream()
                        .map(student -> cells(book, student, kinds, numbers))
                        .toList());
    }

    private List<String> cells(
            GradeBook book, GradedStudent student, List<MilestoneKind> kinds, Map<UUID, Optional<String>> numbers) {
        Grade grade = student.grade();
        List<String> cells = new ArrayList<>(List.of(
                numbers.getOrDefault(student.student().id(), Optional.empty()).orElse(""),
                student.student().name(),
                book.className(),
                catalog.withCode(student.seat().instrument()).name(),
                book.period().name(),
                book.on().toString(),
                grade.written().orElse(""),
                grade.percent().isPresent()
                        ? String.valueOf(tenths(grade.percent().getAsDouble()))
                        : ""));
        for (MilestoneKind kind : kinds) {
            Optional<OfKind> of =
                    grade.kinds().stream().filter(one -> one.kind() == kind).findFirst();
            cells.add(of.map(one -> String.valueOf(tenths(one.share() * 100))).orElse(""));
            cells.add(of.map(one -> String.valueOf(one.items())).orElse("0"));
        }
        return cells;
    }
}
