package vividroster.server.roster;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.roster.Seat;
import vividroster.core.roster.SeatChange;
import vividroster.core.season.SchoolYear;
import vividroster.server.office.Office;
import vividroster.server.platform.Problem;

/** Who sits where from a day on, for good or for some days. */
@Service
public class Seating {

    private final RosterQueries roster;
    private final Rosters rosters;
    private final Office office;

    Seating(RosterQueries roster, Rosters rosters, Office office) {
        this.roster = roster;
        this.rosters = rosters;
        this.office = office;
    }

    /**
     * The seats of a student in a class as they would be held.
     *
     * @param after empty where it is refused
     * @param refused why it cannot be: the class has ended by then, the day is outside the year, or a seat held began on it or
     *     later
     */
    public record Planned(List<Seat> before, List<Seat> after, Optional<Problem> refused) {

        static Planned refused(Problem problem) {
            return new Planned(List.of(), List.of(), Optional.of(problem));
        }
    }

    /**
     * @param seats all of the student
     * @param wanted in this class, without an end to stay, with one to come back afterwards
     */
    @Transactional(readOnly = true)
    public Planned planned(UUID programId, SchoolClass schoolClass, Collection<Seat> seats, Seat wanted) {
        if (!schoolClass.runsOn(wanted.startsOn())) {
            return Planned.refused(Problem.input("classId", schoolClass.name() + " has ended by then."));
        }
        LocalDate today = office.today(programId);
        SchoolYear year = office.year(programId, wanted.startsOn());
        return switch (SeatChange.of(seats, wanted, today, year.first(), year.last())) {
            case SeatChange.Unchanged unchanged -> {
                List<Seat> same = seats.stream()
                        .filter(seat -> seat.classId().equals(wanted.classId()))
                        .toList();
                yield new Planned(same, same, Optional.empty());
            }
            case SeatChange.Reseated reseated -> new Planned(reseated.before(), reseated.after(), Optional.empty());
            case SeatChange.TooEarly early ->
                Planned.refused(Problem.input(
                        "startsOn",
                        "There is a seat in this class since " + early.held().startsOn()
                                + "; a change can begin the day after at the earliest."));
            case SeatChange.OutsideYear outside ->
                Planned.refused(Problem.input(
                        "startsOn", "The school year is from " + outside.first() + " to " + outside.last() + "."));
        };
    }

    /**
     * Seats a student: in one more class, or on another instrument or division of the same one. The same again changes
     * nothing.
     *
     * @param wanted without an end to stay, with one to come back afterwards
     * @throws Problem as {@link Planned#refused}
     */
    @Transactional
    public void seat(UUID programId, Seat wanted) {
        roster.lockRoster(programId);
        if (!roster.isOnRoster(programId, wanted.studentId())) {
            throw Problem.notFound("There is no such student.");
        }
        Planned planned = planned(
                programId,
                rosters.schoolClass(programId, wanted.classId()),
                rosters.seatsOf(programId, wanted.studentId()),
                wanted);
        planned.refused().ifPresent(problem -> {
            throw problem;
        });
        if (!planned.before().equals(planned.after())) {
            roster.reseat(programId, planned.before(), planned.after());
        }
    }
}
