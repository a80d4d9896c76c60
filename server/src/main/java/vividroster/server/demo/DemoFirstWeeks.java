package vividroster.server.demo;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.apache.commons.csv.CSVRecord;
import org.springframework.stereotype.Component;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.TechniqueCheck;
import vividroster.core.music.InstrumentCode;
import vividroster.core.outfit.Review;
import vividroster.core.progress.Attempt;
import vividroster.core.progress.Evidence;
import vividroster.core.progress.Outcome;
import vividroster.core.roster.PartnerPairs;
import vividroster.core.roster.Seat;
import vividroster.server.checks.Checks;
import vividroster.server.checks.Demonstrations;
import vividroster.server.checks.Remedies;
import vividroster.server.hearing.Beside;
import vividroster.server.hearing.HeardAttempt;
import vividroster.server.hearing.Hearing;
import vividroster.server.outfit.Fits;
import vividroster.server.outfit.StudentVariant;
import vividroster.server.outfit.StudentVariants;
import vividroster.server.partners.PartnerChecks;
import vividroster.server.platform.Ids;
import vividroster.server.roster.SchoolClass;
import vividroster.server.wellbeing.PainReport;
import vividroster.server.wellbeing.PainReports;

/** What the first weeks left beside the tries: variants, what helped, fits, partner checks, reports of pain. */
@Component
class DemoFirstWeeks {

    private final Checks checks;
    private final StudentVariants variants;
    private final Remedies remedies;
    private final Fits fits;
    private final PartnerChecks partners;
    private final Hearing hearing;
    private final PainReports painReports;
    private final Demonstrations demonstrations;

    DemoFirstWeeks(
            Checks checks,
            StudentVariants variants,
            Remedies remedies,
            Fits fits,
            PartnerChecks partners,
            Hearing hearing,
            PainReports painReports,
            Demonstrations demonstrations) {
        this.checks = checks;
        this.variants = variants;
        this.remedies = remedies;
        this.fits = fits;
        this.partners = partners;
        this.hearing = hearing;
        this.painReports = painReports;
        this.demonstrations = demonstrations;
    }

    /** The programme as loaded so far. */
    record Loaded(
            UUID programId,
            UUID accountId,
            ZoneId zone,
            Map<String, SchoolClass> classes,
            Map<UUID, String> names,
            List<Seat> seats,
            Map<String, Milestone> milestones) {

        Seat seat(CSVRecord row) {
            UUID classId = classes.get(row.get("class")).id();
            return seats.stream()
                    .filter(s -> s.classId().equals(classId)
                            && names.get(s.studentId()).equals(row.get("student")))
                    .findFirst()
                    .orElseThrow(() -> new IllegalStateException("nobody is called " + row.get("student")));
        }
    }

    void load(Loaded loaded) {
        DemoFiles.rows("pain").forEach(row -> pain(loaded, row));
        DemoFiles.rows("variants").forEach(row -> variant(loaded, row));
        DemoFiles.rows("helped").forEach(row -> helped(loaded, row));
        DemoFiles.rows("fits").forEach(row -> fit(loaded, row));
        partnerChecks(loaded);
        demonstrations.add(
                loaded.programId(),
                loaded.accountId(),
                loaded.milestones().get("sound winds").id(),
                "Four beats, then rest.wav",
                Optional.empty(),
                DemoFiles.bytes("demonstrations/Four beats, then rest.wav"));
    }

    private void pain(Loaded loaded, CSVRecord row) {
        Seat seat = loaded.seat(row);
        painReports.load(
                loaded.programId(),
                loaded.accountId(),
                new PainReport(
                        Ids.next(),
                        seat.studentId(),
                        seat.classId(),
                        seat.instrument(),
                        row.get("place"),
                        row.get("since"),
                        LocalDate.parse(row.get("reported on")),
                        "",
                        Optional.of(row.get("follow up")).filter(note -> !note.isEmpty()),
                        Optional.empty()));
    }

    private void variant(Loaded loaded, CSVRecord row) {
        Seat seat = loaded.seat(row);
        UUID milestoneId = loaded.milestones().get(row.get("milestone")).id();
        TechniqueCheck check = checks.check(loaded.programId(), milestoneId).orElseThrow();
        TechniqueCheck.Variant variant = checks.variants(loaded.programId(), check).stream()
                .filter(v -> v.name().equals(row.get("name")))
                .findFirst()
                .orElseThrow(() -> new IllegalStateException(check.title() + " has no variant " + row.get("name")));
        LocalDate given = LocalDate.parse(row.get("given"));
        Optional<LocalDate> withdrawn =
                Optional.of(row.get("withdrawn")).filter(day -> !day.isEmpty()).map(LocalDate::parse);
        Review review = Review.inWeeks(given, variant.reviewWeeks());
        variants.load(
                loaded.programId(),
                loaded.accountId(),
                new StudentVariant(
                        Ids.next(),
                        seat.studentId(),
                        milestoneId,
                        seat.instrument(),
                        variant.name(),
                        variant.note(),
                        variant.choices(),
                        given,
                        withdrawn.isPresent() ? Optional.empty() : Optional.of(review),
                        withdrawn,
                        row.get("note")),
                review.on());
    }

    private void helped(Loaded loaded, CSVRecord row) {
        Seat seat = loaded.seat(row);
        remedies.load(
                loaded.programId(),
                loaded.accountId(),
                new Remedies.Helped(
                        Ids.next(),
                        seat.studentId(),
                        loaded.milestones().get(row.get("milestone")).id(),
                        seat.instrument(),
                        row.get("sign"),
                        row.get("remedy"),
                        LocalDate.parse(row.get("on"))));
    }

    private void fit(Loaded loaded, CSVRecord row) {
        Map<String, Double> measures = new LinkedHashMap<>();
        Map.of("arm", "armCm", "hand", "handCm", "seat", "seatCm", "knee", "kneeCm")
                .forEach((column, name) -> {
                    if (!row.get(column).isEmpty()) {
                        measures.put(name, Double.valueOf(row.get(column)));
                    }
                });
        if (row.get("standing").equals("yes")) {
            measures.put("standing", 1.0);
        }
        fits.load(
                loaded.programId(),
                loaded.accountId(),
                loaded.seat(row).studentId(),
                row.get("kind"),
                measures,
                LocalDate.parse(row.get("on")));
    }

    private void partnerChecks(Loaded loaded) {
        List<List<PartnerPairs.Group>> before = new ArrayList<>();
        for (CSVRecord row : DemoFiles.rows("partner-checks")) {
            SchoolClass schoolClass = loaded.classes().get(row.get("class"));
            Milestone milestone = loaded.milestones().get(row.get("milestone"));
            LocalDate on = LocalDate.parse(row.get("on"));
            List<UUID> students = loaded.seats().stream()
                    .filter(s -> s.classId().equals(schoolClass.id())
                            && s.instrument().value().equals(row.get("instrument"))
                            && s.isHeldOn(on))
                    .map(Seat::studentId)
                    .toList();
            List<PartnerPairs.Group> groups = PartnerPairs.fair(students, before);
            before.add(groups);
            partners.load(
                    loaded.programId(),
                    loaded.accountId(),
                    schoolClass.id(),
                    milestone.id(),
                    on,
                    DemoFiles.split(row.get("watch")),
                    groups);
            List<HeardAttempt> found = new ArrayList<>();
            groups.forEach(group -> PartnerPairs.turns(group)
                    .forEach(turn -> found.add(finding(loaded, row, schoolClass, milestone, on, turn, found.size()))));
            hearing.load(loaded.programId(), found);
        }
    }

    /** Every third partner saw one point missing. */
    private static HeardAttempt finding(
            Loaded loaded,
            CSVRecord row,
            SchoolClass schoolClass,
            Milestone milestone,
            LocalDate on,
            PartnerPairs.Turn turn,
            int n) {
        boolean fine = n % 3 != 2;
        var at = on.atTime(schoolClass.usualStart())
                .plusMinutes(12)
                .plusSeconds(20L * n)
                .atZone(loaded.zone())
                .toInstant();
        return new HeardAttempt(
                new Attempt(
                        Ids.next(),
                        turn.plays(),
                        milestone.id(),
                        milestone.version(),
                        new InstrumentCode(row.get("instrument")),
                        schoolClass.id(),
                        on,
                        at,
                        at,
                        Evidence.PARTNER_CHECK,
                        fine ? Outcome.PASS : Outcome.NOT_YET,
                        List.of(),
                        false,
                        Optional.empty()),
                loaded.accountId(),
                "",
                Beside.noted("Watched by " + loaded.names().get(turn.watch().getFirst())
                        + (fine ? "" : "; not seen: " + row.get("not seen"))));
    }
}
