package vividroster.server.library;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.curriculum.PassRule;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.RubricScore;
import vividroster.server.platform.Absent;

/**
 * A milestone as the API shows it.
 *
 * @param passMark points a test needs
 * @param passK good tries needed among the last passN, where tries are counted
 */
public record MilestoneView(
        UUID id,
        MilestoneKind kind,
        String shortName,
        String title,
        List<InstrumentCode> appliesTo,
        int version,
        String passRule,
        @Absent Integer passMark,
        @Absent Integer passK,
        @Absent Integer passN,
        @Absent ScoringView scoring,
        List<CriterionView> criteria,
        @Absent LineView line,
        @Absent String conditions) {

    /**
     * @param floorPoints fewest points that may pass
     * @param weight beside the others; only the proportion matters
     * @param levels what is heard at each number of points, from 0; none where no words are kept
     * @param worth what one point adds to the score, in the units of {@link ScoringView}
     */
    public record CriterionView(
            int ordinal,
            String name,
            int topPoints,
            @Absent Integer floorPoints,
            int weight,
            List<String> levels,
            int worth) {}

    /**
     * How points come to a score, so that a desk can tell it press by press as the server will.
     *
     * @param unitsPerPoint what is added up is divided by it to come to points
     * @param passUnits fewest that pass, every floor kept
     */
    public record ScoringView(long unitsPerPoint, long passUnits) {}

    /** @param lineId of a test the line it plays; concertKey for example "B-flat major" */
    public record LineView(
            UUID lineId,
            UUID bookId,
            String book,
            int page,
            int number,
            String concertKey,
            String meter,
            double tempoBpm,
            int measures,
            int playedMeasures) {}

    public static MilestoneView of(
            Milestone milestone, Map<UUID, LineFacts> lines, Map<UUID, TestFacts> tests, Map<UUID, Book> books) {
        TestFacts test = tests.get(milestone.id());
        LineFacts line = lines.get(milestone.id());
        if (line == null && test != null) {
            line = test.lineId().map(lines::get).orElse(null);
        }
        return new MilestoneView(
                milestone.id(),
                milestone.kind(),
                milestone.shortName(),
                milestone.title(),
                milestone.appliesTo().stream().sorted().toList(),
                milestone.version(),
                ruleSentence(milestone),
                milestone.passRule() instanceof PassRule.ScoreAtLeast score ? score.mark() : null,
                milestone.passRule() instanceof PassRule.KOfLastN kOfN ? (Integer) kOfN.k() : null,
                milestone.passRule() instanceof PassRule.KOfLastN kOfN ? (Integer) kOfN.n() : null,
                scoring(milestone),
                milestone.criteria().stream()
                        .map(c -> new CriterionView(
                                c.ordinal(),
                                c.name(),
                                c.topPoints(),
                                c.floorPoints().isPresent()
                                        ? (Integer) c.floorPoints().getAsInt()
                                        : null,
                                c.weight(),
                                c.levels(),
                                RubricScore.worth(milestone.criteria(), c)))
                        .toList(),
                line == null ? null : lineView(line, books),
                test == null ? null : test.conditions());
    }

    /** With other words for its criteria, one for each. */
    public MilestoneView worded(List<String> names) {
        return new MilestoneView(
                id,
                kind,
                shortName,
                title,
                appliesTo,
                version,
                passRule,
                passMark,
                passK,
                passN,
                scoring,
                criteria.stream()
                        .map(c -> new CriterionView(
                                c.ordinal(),
                                names.get(c.ordinal() - 1),
                                c.topPoints(),
                                c.floorPoints(),
                                c.weight(),
                                c.levels(),
                                c.worth()))
                        .toList(),
                line,
                conditions);
    }

    private static ScoringView scoring(Milestone milestone) {
        if (!(milestone.passRule() instanceof PassRule.ScoreAtLeast score)) {
            return null;
        }
        long whole = RubricScore.whole(milestone.criteria());
        return new ScoringView(whole, score.mark() * whole);
    }

    private static LineView lineView(LineFacts line, Map<UUID, Book> books) {
        Book book = books.get(line.bookId());
        return new LineView(
                line.milestoneId(),
                line.bookId(),
                book == null ? "" : book.name(),
                line.page(),
                line.number(),
                line.concertKey().name(),
                line.meter().toString(),
                line.tempo().value(),
                line.measures(),
                line.played());
    }

    private static String ruleSentence(Milestone milestone) {
        return switch (milestone.passRule()) {
            case PassRule.OneGoodTry one -> "one good try";
            case PassRule.KOfLastN kOfN -> kOfN.k() + " of the last " + kOfN.n() + " tries";
            case PassRule.AllCriteria all -> "every criterion seen in one try";
            case PassRule.ScoreAtLeast score
            when milestone.kind() == MilestoneKind.TECHNIQUE_CHECK ->
                score.mark() + " of the " + milestone.criteria().size() + " criteria seen"
                        + (milestone.criteria().stream()
                                        .anyMatch(c -> c.floorPoints().isPresent())
                                ? ", the underlined ones among them"
                                : "");
            case PassRule.ScoreAtLeast score -> score.mark() + " points or more";
            case PassRule.AllSlots slots -> "every slot passed";
        };
    }
}
