package vividroster.server.erasing;

import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.roster.Retention;
import vividroster.core.roster.Seat;
import vividroster.core.text.Wording;
import vividroster.server.office.Office;
import vividroster.server.platform.Locks;
import vividroster.server.platform.Problem;
import vividroster.server.platform.SignedIn;
import vividroster.server.roster.Rosters;
import vividroster.server.roster.Student;

/**
 * Taking a person out of the books: the attempts stay as numbers under a made-up name, every word and name goes. By hand, or
 * by the programme's rule, so many years after the last seat.
 */
@Service
public class Erasing {

    private final ErasingQueries queries;
    private final Rosters rosters;
    private final Office office;
    private final Locks locks;

    Erasing(ErasingQueries queries, Rosters rosters, Office office, Locks locks) {
        this.queries = queries;
        this.rosters = rosters;
        this.office = office;
        this.locks = locks;
    }

    /**
     * @param typedName the student's name, typed once more
     * @return the made-up name that stands in its place
     * @throws Problem when the name typed is another, or the student was erased before
     */
    @Transactional
    public String erase(SignedIn person, UUID studentId, String typedName) {
        Student student = rosters.student(person.programId(), studentId);
        if (!Wording.fold(student.name()).equals(Wording.fold(typedName))) {
            throw Problem.input("name", "Type the name as it stands here, \"" + student.name() + "\", to erase it.");
        }
        return erase(person.programId(), studentId, Optional.of(person.accountId()))
                .orElseThrow(() -> Problem.conflict("This student was erased before; nothing was changed."));
    }

    private Optional<String> erase(UUID programId, UUID studentId, Optional<UUID> accountId) {
        String madeUp = "Erased " + UUID.randomUUID().toString().substring(0, 6).toUpperCase(Locale.ROOT);
        if (!queries.rename(programId, studentId, madeUp)) {
            return Optional.empty();
        }
        queries.endSeats(programId, studentId, office.today(programId));
        queries.eraseWords(programId, studentId, accountId);
        queries.deleteWhatIsOnlyWords(programId, studentId);
        return Optional.of(madeUp);
    }

    /** Years after the last seat; empty where names are kept. */
    @Transactional(readOnly = true)
    public OptionalInt keepYears(UUID programId) {
        return queries.findKeepYears(programId);
    }

    @Transactional
    public void keepYears(UUID programId, OptionalInt years) {
        years.ifPresent(count -> {
            if (count < 1 || count > Retention.MOST_YEARS) {
                throw Problem.input(
                        "keepYears", "Names are kept for 1 to " + Retention.MOST_YEARS + " years, or for good.");
            }
        });
        queries.putKeepYears(programId, years);
    }

    /** Erases who left longer ago than the programme keeps; one instance at a time does it. @return how many */
    @Transactional
    public int eraseLongGone(UUID programId) {
        OptionalInt years = keepYears(programId);
        if (years.isEmpty()) {
            return 0;
        }
        locks.hold(programId, "erasing");
        LocalDate today = office.today(programId);
        int erased = 0;
        for (Map.Entry<UUID, List<Seat>> student :
                queries.findSeatsOfNamed(programId).entrySet()) {
            boolean over = Retention.isOver(student.getValue(), years.getAsInt(), today);
            erased +=
                    over && erase(programId, student.getKey(), Optional.empty()).isPresent() ? 1 : 0;
        }
        return erased;
    }
}
