package vividroster.server.account;

import java.time.LocalDate;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.roster.Reach;
import vividroster.core.season.SchoolYear;
import vividroster.server.office.Office;
import vividroster.server.platform.SignedIn;
import vividroster.server.roster.Rosters;
import vividroster.server.roster.SchoolClass;

/** Whom somebody who is signed in sees and hears, asked anew with every request. */
@Service
public class Reaches {

    private final CoachQueries coaches;
    private final Rosters rosters;
    private final Office office;

    Reaches(CoachQueries coaches, Rosters rosters, Office office) {
        this.coaches = coaches;
        this.rosters = rosters;
        this.office = office;
    }

    @Transactional(readOnly = true)
    public Reach of(SignedIn person) {
        return of(person, office.today(person.programId()));
    }

    /** As it was on a day, for what was heard then and is sent later. */
    @Transactional(readOnly = true)
    public Reach of(SignedIn person, LocalDate day) {
        return switch (person.role()) {
            case DIRECTOR, ASSISTANT -> Reach.EVERYBODY;
            case SECTION_COACH -> new Reach.OwnSections(coaches.find(person.programId(), person.accountId()));
            case SUBSTITUTE_TEACHER -> ofClasses(person, day);
        };
    }

    private Reach ofClasses(SignedIn person, LocalDate day) {
        SchoolYear year = office.year(person.programId(), day);
        return new Reach.ClassesOfDay(rosters.classes(person.programId()).stream()
                .filter(c -> c.on(year, day).isPresent())
                .map(SchoolClass::id)
                .collect(Collectors.toSet()));
    }
}
