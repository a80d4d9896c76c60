package vividroster.server.grading;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.grading.MarkingPeriod;
import vividroster.core.season.SchoolYear;
import vividroster.server.grading.GradeQueries.PeriodRow;
import vividroster.server.office.Office;
import vividroster.server.platform.Ids;
import vividroster.server.platform.Locks;
import vividroster.server.platform.Problem;
import vividroster.server.platform.SignedIn;

/** How a programme makes grades, and its marking periods. */
@Service
class Grading {

    private final GradeQueries queries;
    private final Office office;
    private final Locks locks;

    Grading(GradeQueries queries, Office office, Locks locks) {
        this.queries = queries;
        this.office = office;
        this.locks = locks;
    }

    /** The usual where nobody set it yet. */
    @Transactional(readOnly = true)
    GradeSettings settings(UUID programId) {
        return queries.findSettings(programId).orElseGet(GradeSettings::usual);
    }

    /** @throws Problem where it cannot grade */
    @Transactional
    void set(SignedIn person, GradeSettings settings) {
        settings.toScheme();
        queries.putSettings(person.programId(), settings, person.accountId());
    }

    /** In the order of their days; the two halves of the school year where nobody laid any. */
    @Transactional(readOnly = true)
    List<PeriodRow> periods(UUID programId) {
        List<PeriodRow> kept = queries.findPeriods(programId);
        return kept.isEmpty() ? halves(programId) : kept;
    }

    /** Ids follow from the programme, so that a page can name a period nobody kept yet. */
    private List<PeriodRow> halves(UUID programId) {
        SchoolYear year = office.year(programId);
        LocalDate middle =
                year.first().plusDays((year.last().toEpochDay() - year.first().toEpochDay()) / 2);
        return List.of(
                new PeriodRow(half(programId, 1), "First half", year.first(), middle),
                new PeriodRow(half(programId, 2), "Second half", middle.plusDays(1), year.last()));
    }

    private static UUID half(UUID programId, int which) {
        return new UUID(programId.getMostSignificantBits(), programId.getLeastSignificantBits() ^ which);
    }

    /** @param id null for a new one */
    record Laid(UUID id, String name, LocalDate first, LocalDate last) {}

    /** All of them in place of those there were. @throws Problem naming the one that cannot be */
    @Transactional
    void lay(UUID programId, List<Laid> laid) {
        locks.hold(programId, "marking periods");
        List<MarkingPeriod> periods = new ArrayList<>();
        for (int i = 0; i < laid.size(); i++) {
            Laid one = laid.get(i);
            if (one.last().isBefore(one.first())) {
                throw Problem.input(
                        "periods[" + i + "].last",
                        "\"" + one.name() + "\" ends before it begins; change one of its days.");
            }
            periods.add(new MarkingPeriod(one.name().strip(), one.first(), one.last()));
        }
        try {
            MarkingPeriod.checked(periods);
        } catch (IllegalArgumentException e) {
            throw Problem.input("periods", "These cannot be marking periods: " + e.getMessage() + ".");
        }
        List<PeriodRow> rows = new ArrayList<>();
        for (Laid one : laid) {
            rows.add(new PeriodRow(
                    one.id() == null || isHalf(programId, one.id()) ? Ids.next() : one.id(),
                    one.name().strip(),
                    one.first(),
                    one.last()));
        }
        queries.putPeriods(programId, rows);
    }

    private static boolean isHalf(UUID programId, UUID id) {
        return id.equals(half(programId, 1)) || id.equals(half(programId, 2));
    }

    /** @throws Problem where there is no such period */
    @Transactional(readOnly = true)
    PeriodRow period(UUID programId, UUID periodId) {
        return periods(programId).stream()
                .filter(period -> period.id().equals(periodId))
                .findFirst()
                .orElseThrow(() -> Problem.notFound("There is no such marking period any more."));
    }
}
