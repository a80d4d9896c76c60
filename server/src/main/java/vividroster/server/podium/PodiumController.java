package vividroster.server.podium;

import io.swagger.v3.oas.annotations.Operation;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import vividroster.server.account.Reaches;
import vividroster.server.audit.Audit;
import vividroster.server.platform.SignedIn;
import vividroster.server.podium.Podiums.PodiumView;
import vividroster.server.podium.Rails.RailView;

@RestController
@RequestMapping("/api")
class PodiumController {

    private final Audit audit;
    private final Podiums podiums;
    private final Rails rails;
    private final Reaches reaches;

    PodiumController(Podiums podiums, Rails rails, Audit audit, Reaches reaches) {
        this.rails = rails;
        this.reaches = reaches;
        this.audit = audit;
        this.podiums = podiums;
    }

    @GetMapping("/rail")
    @Operation(
            operationId = "rail",
            summary = "The sections of a class, or of all classes, in score order with progress")
    RailView rail(
            @AuthenticationPrincipal SignedIn person,
            @RequestParam(required = false) UUID classId,
            @RequestParam(required = false) LocalDate on) {
        return rails.rail(
                person.programId(), Optional.ofNullable(classId), Optional.ofNullable(on), reaches.of(person));
    }

    @GetMapping("/podium")
    @Operation(operationId = "podium", summary = "The classes of a day: what to teach, whom to hear, how long it takes")
    PodiumView podium(@AuthenticationPrincipal SignedIn person, @RequestParam(required = false) LocalDate on) {
        PodiumView podium = podiums.podium(person.programId(), Optional.ofNullable(on), reaches.of(person));
        podium.classes().stream()
                .filter(c -> !c.pain().isEmpty())
                .forEach(c -> audit.noteOnce(person, Audit.What.READ_PAIN_REPORTS, Optional.of(c.classId())));
        return podium;
    }
}
