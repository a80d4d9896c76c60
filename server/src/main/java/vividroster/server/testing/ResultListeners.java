package vividroster.server.testing;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import vividroster.core.curriculum.Criterion;
import vividroster.core.curriculum.Milestone;
import vividroster.core.progress.CriterionMark;
import vividroster.core.progress.Outcome;
import vividroster.core.testing.Agreement.Measured;
import vividroster.core.testing.BlindScores;
import vividroster.core.testing.Moderation;
import vividroster.core.testing.TwoListeners;
import vividroster.server.hearing.HeardAttempt;
import vividroster.server.hearing.Hearing;
import vividroster.server.hearing.HearingRuns.Seated;
import vividroster.server.testing.TestResultViews.ApartView;
import vividroster.server.testing.TestResultViews.ListenersView;
import vividroster.server.testing.TestResultViews.ModerationView;
import vividroster.server.testing.TestResultViews.ScoreOfView;

/** How far those who heard a test agree, and whom two of them should talk over. */
@Component
class ResultListeners {

    private final Hearing hearing;

    ResultListeners(Hearing hearing) {
        this.hearing = hearing;
    }

    /**
     * @param tries that stand, of those shown, in the order heard
     * @param all attempts by id, corrected ones among them
     */
    record HeardOf(Map<UUID, List<HeardAttempt>> tries, Map<UUID, HeardAttempt> all) {}

    /** How far every two who heard the same students agree, by what they gave before they knew each other's. */
    List<ListenersView> agreement(UUID programId, Milestone milestone, HeardOf of, Map<UUID, Seated> byId) {
        Set<UUID> shown = of.tries().keySet();
        Set<Integer> versions = of.tries().values().stream()
                .flatMap(List::stream)
                .map(heard -> heard.attempt().milestoneVersion())
                .collect(Collectors.toSet());
        List<HeardAttempt> entries = of.all().values().stream()
                .filter(one -> shown.contains(one.attempt().studentId()))
                .filter(one -> one.attempt().outcome() == Outcome.UNDONE
                        || one.attempt().outcome().isTry()
                                && !one.attempt().marks().isEmpty()
                                && versions.contains(one.attempt().milestoneVersion()))
                .toList();
        Map<UUID, String> names = hearing.namesOfHearers(programId, entries);
        Map<Integer, String> criteria =
                milestone.criteria().stream().collect(Collectors.toMap(Criterion::ordinal, Criterion::name));
        return TwoListeners.of(
                        BlindScores.of(
                                entries.stream().map(ResultListeners::entry).toList()),
                        milestone.criteria(),
                        milestone.id().getLeastSignificantBits())
                .stream()
                .map(pair -> view(pair, names, criteria, byId))
                .toList();
    }

    private static ListenersView view(
            TwoListeners pair, Map<UUID, String> names, Map<Integer, String> criteria, Map<UUID, Seated> byId) {
        Optional<Measured> measured = pair.agreement() instanceof Measured told ? Optional.of(told) : Optional.empty();
        return new ListenersView(
                names.get(pair.first()),
                names.get(pair.second()),
                pair.students(),
                pair.marks(),
                pair.same(),
                pair.oneApart(),
                pair.apart().stream()
                        .map(one -> new ApartView(
                                one.studentId(),
                                byId.get(one.studentId()).student().name(),
                                criteria.get(one.ordinal()),
                                one.first(),
                                one.second()))
                        .toList(),
                pair.difference(),
                measured.map(Measured::kappa).orElse(null),
                measured.map(Measured::low).orElse(null),
                measured.map(Measured::high).orElse(null));
    }

    private static BlindScores.Entry entry(HeardAttempt heard) {
        return new BlindScores.Entry(
                heard.attempt().id(),
                heard.attempt().corrects(),
                heard.attempt().studentId(),
                heard.heardBy(),
                heard.attempt().heardOn(),
                heard.attempt().recordedAt(),
                heard.attempt().marks(),
                heard.attempt().outcome() == Outcome.UNDONE);
    }

    /** Of each student the last playing, where two listeners scored it otherwise. */
    List<ModerationView> toAgree(UUID programId, Milestone milestone, HeardOf of, Map<UUID, Seated> byId) {
        List<ModerationView> views = new ArrayList<>();
        for (Map.Entry<UUID, List<HeardAttempt>> entry : of.tries().entrySet()) {
            List<HeardAttempt> own = entry.getValue();
            if (own.size() < 2) {
                continue;
            }
            List<HeardAttempt> last = own.subList(own.size() - 2, own.size());
            HeardAttempt first = last.getFirst();
            HeardAttempt second = last.getLast();
            if (!first.attempt().heardOn().equals(second.attempt().heardOn())
                    || first.listener(of.all()).equals(second.listener(of.all()))) {
                continue;
            }
            Moderation moderation = Moderation.of(
                    milestone.criteria(),
                    first.attempt().marks(),
                    second.attempt().marks(),
                    first.attempt().outcome() == Outcome.PASS,
                    second.attempt().outcome() == Outcome.PASS);
            if (moderation.isNeeded()) {
                views.add(view(programId, milestone, of, byId.get(entry.getKey()), last, moderation));
            }
        }
        return views;
    }

    private ModerationView view(
            UUID programId,
            Milestone milestone,
            HeardOf of,
            Seated row,
            List<HeardAttempt> both,
            Moderation moderation) {
        List<Criterion> criteria = milestone.criteria();
        List<HeardAttempt> roots = both.stream()
                .map(heard -> of.all().values().stream()
                        .filter(one -> one.heardBy().equals(heard.listener(of.all())))
                        .findFirst()
                        .orElse(heard))
                .toList();
        Map<UUID, String> names = hearing.namesOfHearers(programId, roots);
        return new ModerationView(
                row.student().id(),
                row.student().name(),
                criteria.stream()
                        .filter(criterion -> moderation.apart().contains(criterion.ordinal()))
                        .map(Criterion::name)
                        .toList(),
                moderation.passDiffers(),
                both.stream()
                        .map(heard -> new ScoreOfView(
                                heard.attempt().id(),
                                names.getOrDefault(heard.listener(of.all()), ""),
                                inOrder(criteria, heard.attempt().marks()),
                                heard.attempt().outcome() == Outcome.PASS))
                        .toList(),
                inOrder(criteria, moderation.proposed()));
    }

    private static List<Integer> inOrder(List<Criterion> criteria, List<CriterionMark> marks) {
        Map<Integer, Integer> points =
                marks.stream().collect(Collectors.toMap(CriterionMark::ordinal, CriterionMark::points));
        return criteria.stream()
                .map(criterion -> points.getOrDefault(criterion.ordinal(), 0))
                .toList();
    }
}
