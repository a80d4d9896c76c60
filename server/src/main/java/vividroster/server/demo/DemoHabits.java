package vividroster.server.demo;

import java.time.LocalDate;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;
import vividroster.core.curriculum.Milestone;
import vividroster.core.progress.Attempt;
import vividroster.core.progress.HabitWatch.Finding;
import vividroster.core.progress.HabitWatch.Look;
import vividroster.core.progress.Outcome;
import vividroster.core.season.SchoolYear;
import vividroster.server.checks.Checks;
import vividroster.server.habits.Habits;
import vividroster.server.hearing.HeardAttempt;
import vividroster.server.hearing.Player;
import vividroster.server.roster.SchoolClass;

/** Looks at passed habits, three and six weeks after the pass: most are still there, some slip, a few are lost. */
@Component
class DemoHabits {

    private static final List<Integer> DAYS_AFTER = List.of(21, 42);
    /** Two or three a day are looked at, not everybody: one of so many. */
    private static final int ONE_OF = 3;

    private static final int SLIPS = 11;
    private static final int IS_LOST = 37;

    private final Checks checks;
    private final Habits habits;

    DemoHabits(Checks checks, Habits habits) {
        this.checks = checks;
        this.habits = habits;
    }

    private record Passed(Player player, UUID milestoneId) {}

    /** @param history what was heard up to today */
    void load(
            UUID programId,
            UUID accountId,
            List<HeardAttempt> history,
            Map<UUID, SchoolClass> classes,
            Collection<Milestone> milestones,
            SchoolYear year,
            LocalDate today) {
        Set<UUID> watched =
                checks.habits(programId, milestones.stream().map(Milestone::id).toList());
        Map<Passed, Attempt> passed = new LinkedHashMap<>();
        history.stream()
                .map(HeardAttempt::attempt)
                .filter(attempt -> attempt.outcome() == Outcome.PASS && watched.contains(attempt.milestoneId()))
                .sorted(Comparator.comparing(Attempt::heardAt))
                .forEach(attempt -> passed.putIfAbsent(
                        new Passed(new Player(attempt.studentId(), attempt.instrument()), attempt.milestoneId()),
                        attempt));
        int n = 0;
        for (Map.Entry<Passed, Attempt> one : passed.entrySet()) {
            if (n++ % ONE_OF != 0) {
                continue;
            }
            SchoolClass met = classes.get(one.getValue().classId());
            for (int days : DAYS_AFTER) {
                Optional<LocalDate> on = met.times()
                        .nextFrom(year, one.getValue().heardOn().plusDays(days))
                        .filter(day -> day.isBefore(today));
                if (on.isEmpty()) {
                    break;
                }
                Finding finding =
                        n % IS_LOST == 1 ? Finding.LOST : n % SLIPS == 1 ? Finding.SLIPPING : Finding.STILL_THERE;
                habits.load(
                        programId,
                        one.getKey().player(),
                        one.getKey().milestoneId(),
                        met.id(),
                        new Look(on.get(), finding),
                        accountId);
                if (finding != Finding.STILL_THERE) {
                    break;
                }
            }
        }
    }
}
