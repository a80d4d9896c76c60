package vividroster.server.attention;

import io.swagger.v3.oas.annotations.Operation;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import vividroster.core.curriculum.Milestone;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.AttentionReasons;
import vividroster.core.progress.AttentionReasons.Attention;
import vividroster.core.progress.Capped;
import vividroster.core.progress.Fairness.Share;
import vividroster.core.progress.Fairness.Spread;
import vividroster.server.account.Reaches;
import vividroster.server.hearing.HearingRuns.Seated;
import vividroster.server.platform.Absent;
import vividroster.server.platform.SignedIn;
import vividroster.server.roster.ScopeRequest;

@RestController
@RequestMapping("/api")
class AttentionController {

    /** More than a director can look after in a day; ours. */
    private static final int MOST_SHOWN = 12;

    private final Attentions attentions;
    private final FairTurns turns;
    private final Reaches reaches;
    private final InstrumentCatalog catalog;

    AttentionController(Attentions attentions, FairTurns turns, Reaches reaches, InstrumentCatalog catalog) {
        this.attentions = attentions;
        this.turns = turns;
        this.reaches = reaches;
        this.catalog = catalog;
    }

    /** @param milestoneId what the reason is about or what helps; next what is to be done */
    record AttentionReasonView(
            AttentionReasons.Kind kind,
            String why,
            String next,
            boolean triedInVain,
            @Absent UUID milestoneId) {}

    record AttentionRow(
            UUID studentId, String name, UUID classId, String instrumentName, List<AttentionReasonView> reasons) {}

    /** @param more how many are not shown */
    record AttentionView(LocalDate on, List<AttentionRow> students, int more) {}

    @GetMapping("/attention")
    @Operation(operationId = "attention", summary = "Students who need attention, why, and what is to be done next")
    AttentionView attention(@AuthenticationPrincipal SignedIn person, @ParameterObject ScopeRequest scope) {
        Attentions.Found found = attentions.of(person.programId(), scope.toScope(), reaches.of(person));
        Capped<Attention> shown = Capped.of(found.attentions(), MOST_SHOWN);
        return new AttentionView(
                found.on(), shown.shown().stream().map(one -> row(one, found)).toList(), shown.more());
    }

    private AttentionRow row(Attention attention, Attentions.Found found) {
        Seated row = found.students().get(attention.studentId());
        return new AttentionRow(
                attention.studentId(),
                row.student().name(),
                row.seat().classId(),
                catalog.withCode(attention.instrument()).name(),
                attention.reasons().stream()
                        .map(reason -> {
                            Optional<Milestone> milestone =
                                    reason.milestoneId().map(found.sheet().milestones()::get);
                            return new AttentionReasonView(
                                    reason.kind(),
                                    AttentionWording.why(reason, milestone),
                                    AttentionWording.next(reason, milestone, attention.triedInVain(reason)),
                                    attention.triedInVain(reason),
                                    reason.milestoneId().orElse(null));
                        })
                        .toList());
    }

    /**
     * @param times how often heard this school year; longestWait and waiting in lessons of the class
     * @param cutShort turns under half of their planned time
     */
    record FairRow(
            UUID studentId,
            String name,
            int times,
            int longestWait,
            int waiting,
            int cutShort,
            @Absent LocalDate lastHeard) {}

    /** @param uneven whether somebody has more than twice the turns of another */
    record SpreadView(int students, int fewest, int median, int most, int never, boolean uneven) {}

    /** @param rows the fewest turns first */
    record FairSection(InstrumentCode instrument, String instrumentName, SpreadView spread, List<FairRow> rows) {}

    /** @param spread of everybody in the scope; absent where nobody is */
    record FairnessView(
            LocalDate from, LocalDate on, @Absent SpreadView spread, List<FairSection> sections) {}

    @GetMapping("/fairness")
    @Operation(
            operationId = "fairness",
            summary = "Who is heard how often this school year, by section; who never; how long they waited")
    FairnessView fairness(@AuthenticationPrincipal SignedIn person, @ParameterObject ScopeRequest scope) {
        FairTurns.Found found = turns.of(person.programId(), scope.toScope(), reaches.of(person));
        Map<InstrumentCode, List<Seated>> sections = new LinkedHashMap<>();
        found.students()
                .forEach(row -> sections.computeIfAbsent(row.seat().instrument(), code -> new ArrayList<>())
                        .add(row));
        return new FairnessView(
                found.from(),
                found.on(),
                found.students().isEmpty() ? null : view(found.spread(found.students())),
                sections.entrySet().stream()
                        .map(section -> new FairSection(
                                section.getKey(),
                                catalog.withCode(section.getKey()).name(),
                                view(found.spread(section.getValue())),
                                found.fewestFirst(section.getValue()).stream()
                                        .map(row -> fairRow(row, found))
                                        .toList()))
                        .toList());
    }

    private static SpreadView view(Spread spread) {
        return new SpreadView(
                spread.students(),
                spread.fewest(),
                spread.median(),
                spread.most(),
                spread.never().size(),
                spread.uneven());
    }

    private static FairRow fairRow(Seated row, FairTurns.Found found) {
        Share share = found.shares().get(row.student().id());
        return new FairRow(
                row.student().id(),
                row.student().name(),
                share.times(),
                share.longestWait(),
                share.waiting(),
                share.cutShort(),
                share.lastHeard().orElse(null));
    }
}
