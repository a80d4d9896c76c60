package vividroster.core.progress;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.BiFunction;
import java.util.stream.Collectors;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.SectionJudgement.Verdict;

/** What a director decides today: for which milestones the class, or a section that differs, goes on. */
public final class SectionDecisions {

    /** How many a podium shows; ours, what fits a glance. */
    public static final int ON_PODIUM = 3;

    /** A milestone is decided on until so many days after it was due; ours. */
    private static final int DAYS_AFTER_DUE = 10;

    private SectionDecisions() {}

    /**
     * A milestone that is set for a class.
     *
     * @param sections where its players stand, by instrument in score order, within one in the order of the rows
     */
    public record SetForClass(UUID milestoneId, LocalDate dueOn, Map<InstrumentCode, Map<UUID, Standing>> sections) {}

    /** @param section empty where it is the same for everybody */
    public record Decision(
            UUID milestoneId, LocalDate dueOn, Optional<InstrumentCode> section, SectionJudgement judgement) {}

    /**
     * The most pressing first: who stays before who catches up, who is still to be heard, who goes on; then what was due
     * last. Sections that are judged alike are decided on together. Nothing is asked where nobody was heard.
     *
     * @param weakest what these students most often do wrong in a milestone, where it was noted
     */
    public static List<Decision> of(
            Collection<SetForClass> milestones, LocalDate on, BiFunction<UUID, Set<UUID>, Optional<String>> weakest) {
        List<Decision> decisions = new ArrayList<>();
        for (SetForClass set : milestones) {
            if (set.dueOn().plusDays(DAYS_AFTER_DUE).isBefore(on)) {
                continue;
            }
            Map<InstrumentCode, SectionJudgement> judged = new LinkedHashMap<>();
            set.sections().forEach((section, standings) -> judged.put(section, judged(set, standings, weakest)));
            judged.values().removeIf(judgement -> judgement.verdict() == Verdict.NOBODY_HEARD);
            Set<Verdict> verdicts =
                    judged.values().stream().map(SectionJudgement::verdict).collect(Collectors.toSet());
            if (verdicts.size() == 1) {
                Map<UUID, Standing> everybody = new LinkedHashMap<>();
                set.sections().values().forEach(everybody::putAll);
                decisions.add(new Decision(
                        set.milestoneId(),
                        set.dueOn(),
                        set.sections().size() == 1
                                ? Optional.of(set.sections().keySet().iterator().next())
                                : Optional.empty(),
                        judged(set, everybody, weakest)));
            } else {
                judged.forEach((section, judgement) ->
                        decisions.add(new Decision(set.milestoneId(), set.dueOn(), Optional.of(section), judgement)));
            }
        }
        decisions.sort(Comparator.comparingInt(
                        (Decision decision) -> urgency(decision.judgement().verdict()))
                .thenComparing(Decision::dueOn, Comparator.reverseOrder()));
        return decisions;
    }

    private static SectionJudgement judged(
            SetForClass set, Map<UUID, Standing> standings, BiFunction<UUID, Set<UUID>, Optional<String>> weakest) {
        return SectionJudgement.of(standings, weakest.apply(set.milestoneId(), standings.keySet()));
    }

    private static int urgency(Verdict verdict) {
        return switch (verdict) {
            case STAY -> 0;
            case GO_ON_WITH_CATCH_UP -> 1;
            case HEAR_THE_REST -> 2;
            case GO_ON -> 3;
            case NOBODY_HEARD -> 4;
        };
    }
}
