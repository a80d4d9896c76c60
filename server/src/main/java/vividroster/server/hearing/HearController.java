package vividroster.server.hearing;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.Size;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import vividroster.core.roster.SectionScope;
import vividroster.server.account.Reaches;
import vividroster.server.hearing.HearingDesk.BeltReachView;
import vividroster.server.hearing.HearingDesk.Choice;
import vividroster.server.hearing.HearingDesk.PositionView;
import vividroster.server.hearing.HearingDesk.RunPaceView;
import vividroster.server.hearing.HearingDesk.RunView;
import vividroster.server.platform.SignedIn;
import vividroster.server.roster.ScopeRequest;

@RestController
@RequestMapping("/api/hearing")
class HearController {

    private final HearingDesk desk;
    private final Reaches reaches;

    HearController(HearingDesk desk, Reaches reaches) {
        this.reaches = reaches;
        this.desk = desk;
    }

    @GetMapping("/choices")
    @Operation(operationId = "hearingChoices", summary = "What can be heard in a scope today, the most pressing first")
    List<Choice> choices(@AuthenticationPrincipal SignedIn person, @ParameterObject ScopeRequest scope) {
        return desk.choices(person.programId(), scope.toScope(), reaches.of(person));
    }

    @GetMapping("/run/{milestoneId}")
    @Operation(operationId = "hearingRun", summary = "Who is to be heard with a milestone, in fair order")
    RunView run(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID milestoneId,
            @ParameterObject ScopeRequest scope,
            @RequestParam(required = false) @Size(max = MOST_CLASSES, message = "At most {max} classes more.")
                    Set<UUID> with) {
        return desk.run(person, milestoneId, scopes(scope, with), reaches.of(person));
    }

    private static final int MOST_CLASSES = 12;

    /** The same sections in several classes; of one instrument in every class there is nothing more to add. */
    private static List<SectionScope> scopes(ScopeRequest scope, Set<UUID> with) {
        List<SectionScope> scopes = new ArrayList<>();
        scopes.add(scope.toScope());
        if (with != null && scope.classId() != null) {
            with.stream()
                    .filter(classId -> !classId.equals(scope.classId()))
                    .map(classId -> scope.in(classId).toScope())
                    .forEach(scopes::add);
        }
        return scopes;
    }

    @GetMapping("/belts-in-reach/{milestoneId}")
    @Operation(
            operationId = "beltsInReach",
            summary = "Whom hearing a milestone can bring a belt this week, with what it still asks")
    List<BeltReachView> beltsInReach(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID milestoneId,
            @ParameterObject ScopeRequest scope,
            @RequestParam(required = false) @Size(max = MOST_CLASSES, message = "At most {max} classes more.")
                    Set<UUID> with) {
        return desk.beltsInReach(person.programId(), milestoneId, scopes(scope, with), reaches.of(person));
    }

    @GetMapping("/positions/{milestoneId}")
    @Operation(operationId = "hearingPositions", summary = "Where students of a run stand now")
    List<PositionView> positions(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID milestoneId,
            @RequestParam @Size(max = 100, message = "Ask for at most {max} students at once.") Set<UUID> studentIds) {
        return desk.positions(person, milestoneId, studentIds, reaches.of(person));
    }

    @GetMapping("/pace/{milestoneId}")
    @Operation(operationId = "hearingPace", summary = "Whether who is left in a run fits before the bell")
    RunPaceView pace(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID milestoneId,
            @RequestParam Optional<UUID> classId,
            @RequestParam
                    @Min(value = 0, message = "Nobody is the least.")
                    @Max(value = 1000, message = "At most {value}.")
                    int left) {
        return desk.pace(person, milestoneId, classId, left);
    }
}
