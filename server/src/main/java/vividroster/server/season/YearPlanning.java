package vividroster.server.season;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.music.InstrumentCode;
import vividroster.server.office.Office;
import vividroster.server.office.Years;
import vividroster.server.platform.Ids;
import vividroster.server.platform.SignedIn;
import vividroster.server.season.ForecastQueries.Target;
import vividroster.server.season.PlanYearQueries.SectionOf;

/** Planning a year from within, as the screens do it; for a programme that is laid out by data. */
@Service
public class YearPlanning {

    private final PlanChoices choices;
    private final PlanProposals proposals;
    private final SeasonPlans plans;
    private final PlanYears years;
    private final SectionForecasts forecasts;
    private final Years calendar;
    private final Office office;

    YearPlanning(
            PlanChoices choices,
            PlanProposals proposals,
            SeasonPlans plans,
            PlanYears years,
            SectionForecasts forecasts,
            Years calendar,
            Office office) {
        this.choices = choices;
        this.proposals = proposals;
        this.plans = plans;
        this.years = years;
        this.forecasts = forecasts;
        this.calendar = calendar;
        this.office = office;
    }

    /** A book from a page on, with its tests and belts. */
    @Transactional
    public void choose(SignedIn person, UUID classId, UUID bookId, int fromPage) {
        choices.choose(
                person,
                new PlanChoices.YearChoice(
                        classId,
                        Optional.of(new PlanChoices.Pages(bookId, Optional.of(fromPage), Optional.empty())),
                        false,
                        true,
                        true,
                        List.of(),
                        Optional.empty(),
                        Optional.empty()));
    }

    @Transactional
    public void piece(SignedIn person, UUID classId, String title, int minutes, int weeks, LocalDate by) {
        choices.choose(
                person,
                new PlanChoices.YearChoice(
                        classId,
                        Optional.empty(),
                        false,
                        false,
                        false,
                        List.of(),
                        Optional.of(new PlanChoices.Piece(Ids.next(), title, minutes, weeks, by)),
                        Optional.empty()));
    }

    @Transactional
    public void pace(SignedIn person, UUID classId, InstrumentCode instrument, int percent) {
        plans.pace(person.programId(), new SectionOf(classId, instrument), percent);
    }

    /** Asks for a plan and takes it whole. */
    @Transactional
    public void takeBest(SignedIn person, UUID classId) {
        List<PlanProposalView> made = proposals.propose(person, classId, "");
        if (!made.isEmpty() && !made.getFirst().changes().isEmpty()) {
            proposals.take(
                    person.programId(),
                    classId,
                    made.getFirst().id(),
                    years.of(person.programId(), List.of(classId)).revision(),
                    List.of(),
                    true);
        } else {
            proposals.dismiss(person.programId(), classId);
        }
    }

    /** Sets a target, with what would have been forecast for it in each of the weeks behind. @param weeks so many */
    @Transactional
    public void target(SignedIn person, UUID classId, UUID lineId, LocalDate by, int weeks) {
        UUID programId = person.programId();
        Target target = new Target(Ids.next(), classId, lineId, by);
        LocalDate today = office.today(programId);
        forecasts.set(programId, target);
        for (int ago = weeks; ago > 0; ago--) {
            forecasts.keep(programId, target, today.minusWeeks(ago));
        }
    }

    /** A day without school. */
    @Transactional
    public void loseDay(SignedIn person, LocalDate day, String why) {
        calendar.loseDay(person.programId(), day, why);
    }

    /** Asks for a plan and lets it wait. */
    @Transactional
    public void propose(SignedIn person, UUID classId, String cause) {
        proposals.propose(person, classId, cause);
    }
}
