package vividroster.server.switching;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import vividroster.server.platform.SignedIn;
import vividroster.server.switching.SwitchViews.SwitchedView;
import vividroster.server.switching.SwitchViews.SwitchesView;

/** Students who change instrument. */
@RestController
@RequestMapping("/api/switches")
@PreAuthorize("hasAuthority('DIRECT')")
class SwitchController {

    private final Switches switches;

    SwitchController(Switches switches) {
        this.switches = switches;
    }

    @PostMapping("/preview")
    @Operation(
            operationId = "previewSwitches",
            summary = "What a change of instrument keeps, opens anew and touches; nothing is changed")
    SwitchesView preview(@AuthenticationPrincipal SignedIn person, @Valid @RequestBody SwitchRequest request) {
        return switches.preview(person.programId(), request);
    }

    @PostMapping
    @Operation(
            operationId = "switchInstruments",
            summary = "Change the instruments of students from a day on, all of them or none")
    SwitchedView change(@AuthenticationPrincipal SignedIn person, @Valid @RequestBody SwitchRequest request) {
        return switches.change(person, request);
    }
}
