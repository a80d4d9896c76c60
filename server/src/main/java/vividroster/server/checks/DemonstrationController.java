package vividroster.server.checks;

import io.swagger.v3.oas.annotations.Operation;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.core.io.ByteArrayResource;
import org.springframework.core.io.Resource;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RequestPart;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;
import vividroster.server.checks.Demonstrations.Shows;
import vividroster.server.platform.Absent;
import vividroster.server.platform.SignedIn;
import vividroster.server.platform.Uploads;

@RestController
@RequestMapping("/api")
class DemonstrationController {

    private final Demonstrations demonstrations;

    DemonstrationController(Demonstrations demonstrations) {
        this.demonstrations = demonstrations;
    }

    /** @param shows which of a pair it is; absent where it is none */
    record DemonstrationView(
            UUID id,
            String name,
            String mediaType,
            int size,
            @Absent Shows shows) {
        static DemonstrationView of(Demonstrations.Demonstration one) {
            return new DemonstrationView(
                    one.id(),
                    one.name(),
                    one.mediaType(),
                    one.size(),
                    one.shows().orElse(null));
        }
    }

    @GetMapping("/checks/{milestoneId}/demonstrations")
    @Operation(operationId = "demonstrations", summary = "Sounds, pictures, clips and hand-outs attached to a check")
    List<DemonstrationView> of(@AuthenticationPrincipal SignedIn person, @PathVariable UUID milestoneId) {
        return demonstrations.of(person.programId(), milestoneId).stream()
                .map(DemonstrationView::of)
                .toList();
    }

    @PostMapping(path = "/checks/{milestoneId}/demonstrations", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(
            operationId = "addDemonstration",
            summary = "Attach a sound, picture, clip or PDF of at most 10 MB; its content decides its type")
    DemonstrationView add(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID milestoneId,
            @RequestParam(required = false) Shows shows,
            @RequestPart MultipartFile file)
            throws IOException {
        String name = Uploads.name(file, "demonstration");
        return DemonstrationView.of(demonstrations.add(
                person.programId(),
                person.accountId(),
                milestoneId,
                name,
                Optional.ofNullable(shows),
                file.getBytes()));
    }

    @GetMapping("/demonstrations")
    @Operation(operationId = "allDemonstrations", summary = "Every demonstration of the programme, by name")
    List<DemonstrationView> all(@AuthenticationPrincipal SignedIn person) {
        return demonstrations.all(person.programId()).stream()
                .map(DemonstrationView::of)
                .toList();
    }

    /** Never run by the browser: its own type, no sniffing, no scripts. Parts of it can be asked for. */
    @GetMapping("/demonstrations/{demonstrationId}")
    @Operation(operationId = "demonstration", summary = "The file of a demonstration")
    ResponseEntity<Resource> content(@AuthenticationPrincipal SignedIn person, @PathVariable UUID demonstrationId) {
        DemonstrationQueries.Content content = demonstrations.content(person.programId(), demonstrationId);
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(content.mediaType()))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        (content.mediaType().equals(MediaType.APPLICATION_PDF_VALUE)
                                        ? ContentDisposition.attachment()
                                        : ContentDisposition.inline())
                                .filename(content.name(), StandardCharsets.UTF_8)
                                .build()
                                .toString())
                .header(
                        "Content-Security-Policy",
                        "default-src 'none'; style-src 'unsafe-inline'; media-src 'self'; img-src 'self'")
                .body(new ByteArrayResource(content.bytes()));
    }

    @DeleteMapping("/demonstrations/{demonstrationId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(operationId = "removeDemonstration", summary = "Take a demonstration away")
    void remove(@AuthenticationPrincipal SignedIn person, @PathVariable UUID demonstrationId) {
        demonstrations.remove(person.programId(), demonstrationId);
    }
}
