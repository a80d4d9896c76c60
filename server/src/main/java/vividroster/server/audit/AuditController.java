package vividroster.server.audit;

import io.swagger.v3.oas.annotations.Operation;
import java.time.OffsetDateTime;
import java.util.List;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import vividroster.server.platform.Absent;
import vividroster.server.platform.SignedIn;

@RestController
@RequestMapping("/api/audit")
@PreAuthorize("hasAuthority('DIRECT')")
class AuditController {

    private final Audit audit;

    AuditController(Audit audit) {
        this.audit = audit;
    }

    /** @param by absent where the programme's own rule erased; about the student or class, where it is about one */
    record AuditView(
            OffsetDateTime happenedAt,
            @Absent String by,
            Audit.What what,
            @Absent String about) {}

    @GetMapping
    @Operation(
            operationId = "audit",
            summary = "Who signed in, read reports of pain, took data out or erased, latest first")
    List<AuditView> latest(@AuthenticationPrincipal SignedIn person) {
        return audit.latest(person.programId()).stream()
                .map(entry -> new AuditView(
                        entry.happenedAt(),
                        entry.by().orElse(null),
                        entry.what(),
                        entry.about().orElse(null)))
                .toList();
    }
}
