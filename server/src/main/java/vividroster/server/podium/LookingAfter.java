package vividroster.server.podium;

import java.time.LocalDate;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;
import vividroster.core.curriculum.Milestone;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.outfit.Review;
import vividroster.core.progress.Capped;
import vividroster.core.progress.HabitWatch;
import vividroster.core.progress.HabitWatch.Finding;
import vividroster.core.progress.HabitWatch.Watching;
import vividroster.core.progress.NeedsAttention;
import vividroster.core.roster.Reach;
import vividroster.server.habits.Habits;
import vividroster.server.hearing.HearingRuns.Seated;
import vividroster.server.hearing.Progress.Sheet;
import vividroster.server.outfit.Fits;
import vividroster.server.outfit.StudentVariants;
import vividroster.server.platform.Absent;
import vividroster.server.wellbeing.PainReport;
import vividroster.server.wellbeing.PainReports;

/** Whom of a class to look after in a period: who tries in vain, who hurts, what is to be looked at again. */
@Component
class LookingAfter {

    private final PainReports painReports;
    private final StudentVariants variants;
    private final Fits fits;
    private final Habits habits;
    private final InstrumentCatalog catalog;

    LookingAfter(
            PainReports painReports, StudentVariants variants, Fits fits, Habits habits, InstrumentCatalog catalog) {
        this.painReports = painReports;
        this.variants = variants;
        this.fits = fits;
        this.habits = habits;
        this.catalog = catalog;
    }

    record LookAfterView(UUID studentId, String name, String instrumentName, String milestone, int tries) {}

    /** A report that nobody followed up yet; staff only. */
    record PainNote(UUID studentId, String name, String instrumentName, String place, LocalDate reportedOn) {}

    /** @param studentId whose variant or fit is to be looked at again */
    record DueReview(UUID studentId, String name, String what, LocalDate reviewOn, boolean overdue) {}

    /**
     * A passed habit to look at today while the others play.
     *
     * @param see what there is to see, in the words of the check
     * @param found what was found today; absent while nobody looked
     */
    record WatchView(
            UUID studentId,
            String name,
            String instrumentName,
            UUID milestoneId,
            String title,
            List<String> see,
            boolean slipping,
            @Absent Finding found) {}

    /** A habit that was lost. @param remedy what helped before; absent where nothing is known */
    record RepairView(
            UUID studentId,
            String name,
            String instrumentName,
            UUID milestoneId,
            String title,
            @Absent String remedy) {}

    /** What is known of the students of all classes of a day. */
    record Known(List<PainReport> pain, List<DueReview> reviews, Habits.Known habits) {}

    /** What there is of one class. */
    record After(
            Capped<LookAfterView> tried,
            List<PainNote> pain,
            Capped<DueReview> reviews,
            List<WatchView> watch,
            List<RepairView> repairs) {}

    /** @param names of the students, by id */
    Known known(UUID programId, Map<UUID, String> names, Collection<Seated> everybody, Sheet sheet, Reach reach) {
        return new Known(
                reach == Reach.EVERYBODY ? painReports.open(programId, names.keySet()) : List.of(),
                reviews(programId, names, sheet.on()),
                habits.known(programId, everybody, sheet));
    }

    /** @param away students who are not there on that day */
    After of(List<Seated> rows, Set<UUID> away, Sheet sheet, Known known) {
        Map<UUID, Seated> students = new LinkedHashMap<>();
        rows.forEach(row -> students.put(row.student().id(), row));
        Capped<NeedsAttention.TriedOften> often = NeedsAttention.afterTries(rows.stream()
                .map(row -> new NeedsAttention.Player(
                        row.student().id(), row.seat().instrument(), sheet.setFor(row.player())))
                .toList());
        Capped<DueReview> reviews = Capped.of(
                known.reviews().stream()
                        .filter(due -> students.containsKey(due.studentId()))
                        .toList(),
                Review.ON_PODIUM);
        return new After(
                new Capped<>(
                        often.shown().stream()
                                .map(tried -> new LookAfterView(
                                        tried.studentId(),
                                        students.get(tried.studentId())
                                                .student()
                                                .name(),
                                        catalog.withCode(tried.instrument()).name(),
                                        sheet.milestones()
                                                .get(tried.milestoneId())
                                                .title(),
                                        tried.tries()))
                                .toList(),
                        often.more()),
                known.pain().stream()
                        .filter(report -> students.containsKey(report.studentId()))
                        .map(report -> new PainNote(
                                report.studentId(),
                                students.get(report.studentId()).student().name(),
                                catalog.withCode(report.instrument()).name(),
                                report.place(),
                                report.reportedOn()))
                        .toList(),
                reviews,
                known.habits().today(rows, away).stream()
                        .map(watching -> watchView(watching, students.get(watching.studentId()), sheet))
                        .toList(),
                Capped.of(known.habits().lost(rows), NeedsAttention.ON_PODIUM).shown().stream()
                        .map(lost -> new RepairView(
                                lost.studentId(),
                                students.get(lost.studentId()).student().name(),
                                catalog.withCode(lost.instrument()).name(),
                                lost.milestoneId(),
                                sheet.milestones().get(lost.milestoneId()).title(),
                                known.habits().firstToTry(lost).orElse(null)))
                        .toList());
    }

    private WatchView watchView(Watching watching, Seated who, Sheet sheet) {
        Milestone check = sheet.milestones().get(watching.milestoneId());
        return new WatchView(
                watching.studentId(),
                who.student().name(),
                catalog.withCode(watching.instrument()).name(),
                check.id(),
                check.title(),
                HabitWatch.atAGlance(check),
                watching.slipping(),
                watching.found().orElse(null));
    }

    /** Variants and fits whose day has come, the longest due first. */
    private List<DueReview> reviews(UUID programId, Map<UUID, String> names, LocalDate day) {
        Stream<DueReview> ofVariants =
                Review.due(
                                variants.inUse(programId, names.keySet()),
                                v -> v.review().orElseThrow(),
                                day)
                        .stream()
                        .map(v -> due(v.studentId(), names, v.name(), v.review().orElseThrow(), day));
        Stream<DueReview> ofFits =
                Review.due(fits.latest(programId, names.keySet()), Fits.StudentFit::review, day).stream()
                        .map(fit -> due(fit.studentId(), names, fit.title() + ", " + fit.result(), fit.review(), day));
        return Review.inOrder(Stream.concat(ofVariants, ofFits).toList(), DueReview::reviewOn);
    }

    private static DueReview due(UUID studentId, Map<UUID, String> names, String what, Review review, LocalDate day) {
        return new DueReview(studentId, names.get(studentId), what, review.on(), review.isOverdue(day));
    }
}
