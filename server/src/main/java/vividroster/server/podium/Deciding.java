package vividroster.server.podium;

import java.time.LocalDate;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Component;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.Capped;
import vividroster.core.progress.FaultCounts.FaultyTry;
import vividroster.core.progress.Pressing.Asked;
import vividroster.core.progress.SectionDecisions;
import vividroster.core.progress.SectionJudgement;
import vividroster.core.progress.SectionJudgement.Verdict;
import vividroster.core.progress.Standing;
import vividroster.server.hearing.Hearing;
import vividroster.server.hearing.HearingRuns.Seated;
import vividroster.server.hearing.Progress.Sheet;
import vividroster.server.office.Office;
import vividroster.server.platform.Absent;

/** What is to be decided for the classes of a day: go on, catch up or stay, with the counts it is told from. */
@Component
class Deciding {

    private final Hearing hearing;
    private final Decisions decisions;
    private final Office office;
    private final InstrumentCatalog catalog;

    Deciding(Hearing hearing, Decisions decisions, Office office, InstrumentCatalog catalog) {
        this.hearing = hearing;
        this.decisions = decisions;
        this.office = office;
        this.catalog = catalog;
    }

    /**
     * Whether the class, or one section, goes on from a milestone.
     *
     * @param instrument absent where it is the same for everybody, as its plural name
     * @param catchUp names of who would catch up
     * @param weakest what most of those who have not passed do wrong; absent where nobody noted it
     * @param decided what the director said last; absent while nothing was
     */
    record DecideView(
            UUID milestoneId,
            String name,
            @Absent InstrumentCode instrument,
            @Absent String plural,
            Verdict advised,
            int heard,
            int passed,
            int unheard,
            List<String> catchUp,
            @Absent String weakest,
            @Absent Verdict decided,
            @Absent LocalDate decidedOn) {}

    /** @param faulty this school year's tries with faults; decided what was decided before */
    record Known(List<FaultyTry> faulty, Map<Decisions.On, Decisions.Decided> decided) {

        /** What most of these students' tries with a milestone did wrong. */
        Optional<String> weakest(UUID milestoneId, Set<UUID> students) {
            return SectionJudgement.weakest(faulty.stream()
                    .filter(one -> one.milestoneId().equals(milestoneId) && students.contains(one.studentId()))
                    .toList());
        }
    }

    Known known(
            UUID programId,
            Collection<UUID> studentIds,
            Collection<UUID> classIds,
            Collection<UUID> milestoneIds,
            LocalDate day) {
        return new Known(
                studentIds.isEmpty()
                        ? List.of()
                        : hearing.faulty(
                                programId,
                                studentIds,
                                office.year(programId, day).first()),
                decisions.last(programId, classIds, milestoneIds));
    }

    /** @param asked what is set for the class, which is on the sheet */
    List<DecideView> of(UUID classId, List<Seated> rows, List<Asked> asked, Sheet sheet, Known known) {
        Map<UUID, Map<InstrumentCode, Map<UUID, Standing>>> sections = sections(rows, sheet);
        List<SectionDecisions.SetForClass> set = asked.stream()
                .map(one -> new SectionDecisions.SetForClass(
                        one.milestoneId(), one.dueOn(), sections.getOrDefault(one.milestoneId(), Map.of())))
                .toList();
        Map<UUID, String> names = new LinkedHashMap<>();
        rows.forEach(row -> names.put(row.student().id(), row.student().name()));
        return Capped.of(SectionDecisions.of(set, sheet.on(), known::weakest), SectionDecisions.ON_PODIUM)
                .shown()
                .stream()
                .map(decision -> view(classId, decision, sheet, names, known))
                .toList();
    }

    /** By milestone, then by section, where each of its students stands. */
    private static Map<UUID, Map<InstrumentCode, Map<UUID, Standing>>> sections(List<Seated> rows, Sheet sheet) {
        Map<UUID, Map<InstrumentCode, Map<UUID, Standing>>> sections = new HashMap<>();
        rows.forEach(row -> sheet.setFor(row.player())
                .forEach((milestoneId, standing) -> sections.computeIfAbsent(milestoneId, id -> new LinkedHashMap<>())
                        .computeIfAbsent(row.seat().instrument(), code -> new LinkedHashMap<>())
                        .put(row.student().id(), standing)));
        return sections;
    }

    private DecideView view(
            UUID classId, SectionDecisions.Decision decision, Sheet sheet, Map<UUID, String> names, Known known) {
        SectionJudgement judged = decision.judgement();
        Optional<Decisions.Decided> decided = Optional.ofNullable(
                known.decided().get(new Decisions.On(classId, decision.section(), decision.milestoneId())));
        return new DecideView(
                decision.milestoneId(),
                name(sheet.milestones().get(decision.milestoneId())),
                decision.section().orElse(null),
                decision.section().map(code -> catalog.withCode(code).plural()).orElse(null),
                judged.verdict(),
                judged.heard(),
                judged.passed(),
                judged.unheard(),
                judged.catchUp().stream().map(names::get).toList(),
                judged.weakest().orElse(null),
                decided.map(Decisions.Decided::verdict).orElse(null),
                decided.map(Decisions.Decided::on).orElse(null));
    }

    /** As it is called on the podium. */
    static String name(Milestone milestone) {
        return milestone.kind() == MilestoneKind.LINE
                ? "Line " + milestone.shortName()
                : milestone.kind() == MilestoneKind.TECHNIQUE_CHECK ? milestone.shortName() : milestone.title();
    }
}
