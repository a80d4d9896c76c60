package vividroster.server.placing;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Predicate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.core.placing.PlacingOption;
import vividroster.core.placing.Trial;
import vividroster.core.placing.TwoWays;
import vividroster.core.roster.Seat;
import vividroster.server.office.Office;
import vividroster.server.placing.PlacingQueries.Decided;
import vividroster.server.platform.ClientWrites;
import vividroster.server.platform.Ids;
import vividroster.server.platform.Problem;
import vividroster.server.platform.SignedIn;
import vividroster.server.roster.Classes;
import vividroster.server.roster.Rosters;

/** Trying instruments, and ways of playing one, with a student; what is decided is decided by people. */
@Service
public class Placings {

    private final PlacingQueries queries;
    private final Rosters rosters;
    private final Classes classes;
    private final Office office;
    private final InstrumentCatalog catalog;
    private final ClientWrites writes;

    Placings(
            PlacingQueries queries,
            Rosters rosters,
            Classes classes,
            Office office,
            InstrumentCatalog catalog,
            ClientWrites writes) {
        this.queries = queries;
        this.rosters = rosters;
        this.classes = classes;
        this.office = office;
        this.catalog = catalog;
        this.writes = writes;
    }

    record Placing(
            List<Trial> trials, List<PlacingOption> options, List<Decided> decided, List<TwoWays.Tally> tallies) {}

    /**
     * Where numbers are wanted, players are counted in the classes that want them; for other instruments all who play it, each
     * once.
     */
    @Transactional(readOnly = true)
    Placing of(UUID programId, UUID studentId) {
        rosters.student(programId, studentId);
        List<Trial> trials = queries.findTrials(programId, studentId);
        Map<InstrumentCode, Integer> wanted = new HashMap<>();
        Map<InstrumentCode, Integer> seated = new HashMap<>();
        if (!trials.isEmpty()) {
            List<Seat> seats = rosters.seatsOn(programId, office.today(programId));
            classes.wanted(programId)
                    .forEach((classId, ofClass) -> ofClass.forEach((code, students) -> {
                        wanted.merge(code, students, Integer::sum);
                        seated.merge(code, players(seats, seat -> seat.classId().equals(classId), code), Integer::sum);
                    }));
            trials.forEach(
                    trial -> seated.computeIfAbsent(trial.instrument(), code -> players(seats, seat -> true, code)));
        }
        return new Placing(
                trials,
                PlacingOption.of(trials, wanted, seated),
                queries.findDecided(programId, studentId),
                TwoWays.tallies(queries.findTwoWays(programId, studentId)));
    }

    private static int players(List<Seat> seats, Predicate<Seat> where, InstrumentCode instrument) {
        return (int) seats.stream()
                .filter(where)
                .filter(seat -> seat.instrument().equals(instrument))
                .map(Seat::studentId)
                .distinct()
                .count();
    }

    /** Keeps a trial; sent again it changes nothing. @throws Problem where nothing was looked at, or the day is to come */
    @Transactional
    void keep(SignedIn person, Trial trial) {
        known(person.programId(), trial.studentId(), trial.instrument());
        if (trial.seen().isEmpty() && trial.armCm().isEmpty() && trial.note().isEmpty()) {
            throw Problem.input("seen", "Say how it was: sound, response, comfort, reach or wish.");
        }
        if (trial.on().isAfter(office.today(person.programId()))) {
            throw Problem.input("on", "A trial was today or on an earlier day.");
        }
        if (writes.isFirst(
                person.programId(),
                "placing-trial",
                trial.id(),
                trial.studentId(),
                trial.instrument(),
                trial.mouthpiece(),
                trial.seen(),
                trial.armCm(),
                trial.on(),
                trial.note())) {
            queries.insert(person.programId(), trial, person.accountId());
        }
    }

    @Transactional
    void takeBack(UUID programId, UUID studentId, UUID trialId) {
        if (!queries.deleteTrial(programId, studentId, trialId)) {
            throw Problem.notFound("This trial was taken back already.");
        }
    }

    /** Keeps what people decided; the seat itself is changed by a switch. */
    @Transactional
    void decide(SignedIn person, UUID id, UUID studentId, InstrumentCode instrument, String why) {
        known(person.programId(), studentId, instrument);
        if (writes.isFirst(person.programId(), "placing-decision", id, studentId, instrument, why)) {
            queries.insert(
                    person.programId(),
                    id,
                    studentId,
                    new Decided(id, instrument, why, office.today(person.programId()), ""),
                    person.accountId());
        }
    }

    /** Keeps which of two ways was better. @throws Problem where they are the same or not named */
    @Transactional
    void keep(SignedIn person, TwoWays compared) {
        known(person.programId(), compared.studentId(), compared.instrument());
        if (compared.about().isEmpty()
                || compared.one().isEmpty()
                || compared.other().isEmpty()) {
            throw Problem.input("about", "Say what is compared, and name both ways.");
        }
        if (compared.one().equalsIgnoreCase(compared.other())) {
            throw Problem.input("other", "The two ways are the same.");
        }
        if (writes.isFirst(
                person.programId(),
                "two-ways",
                compared.id(),
                compared.studentId(),
                compared.instrument(),
                compared.about(),
                compared.one(),
                compared.other(),
                compared.blind(),
                compared.better())) {
            queries.insert(person.programId(), compared, person.accountId());
        }
    }

    /** Puts down a trial as it is; for data that was checked where it was made. */
    @Transactional
    public void load(UUID programId, UUID accountId, Trial trial) {
        queries.insert(programId, trial, accountId);
    }

    /** Puts down what was decided as it is; for data that was checked where it was made. */
    @Transactional
    public void load(
            UUID programId, UUID accountId, UUID studentId, InstrumentCode instrument, String why, LocalDate on) {
        UUID id = Ids.next();
        queries.insert(programId, id, studentId, new Decided(id, instrument, why, on, ""), accountId);
    }

    private void known(UUID programId, UUID studentId, InstrumentCode instrument) {
        rosters.student(programId, studentId);
        if (!catalog.has(instrument)) {
            throw Problem.input("instrument", "There is no such instrument.");
        }
    }
}
