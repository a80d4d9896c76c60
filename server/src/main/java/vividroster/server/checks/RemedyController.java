package vividroster.server.checks;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import vividroster.core.curriculum.MostHelped;
import vividroster.core.roster.Seat;
import vividroster.server.library.Library;
import vividroster.server.office.Office;
import vividroster.server.platform.SignedIn;
import vividroster.server.roster.Rosters;
import vividroster.server.roster.ScopeRequest;

@RestController
@RequestMapping("/api")
class RemedyController {

    private final Remedies remedies;
    private final Rosters rosters;
    private final Library library;
    private final Office office;

    RemedyController(Remedies remedies, Rosters rosters, Library library, Office office) {
        this.remedies = remedies;
        this.rosters = rosters;
        this.library = library;
        this.office = office;
    }

    record HelpedRequest(
            @NotNull(message = "It needs an id.") UUID id,
            @NotNull(message = "Say whom it helped.") UUID studentId,
            @NotNull(message = "Say in which class.") UUID classId,

            @NotBlank(message = "Say against which fault it helped.")
            String sign,

            @NotBlank(message = "Say what helped.") String remedy) {}

    /** @param students how many of the section it helped */
    record MostHelpedView(String sign, String remedy, int students) {}

    record HelpedView(UUID id, UUID studentId, String sign, String remedy, LocalDate helpedOn) {}

    /** @param most by number of students, most first */
    record HelpedInSectionView(List<MostHelpedView> most, List<HelpedView> helped) {}

    record HelpedOfStudentView(UUID id, String checkTitle, String sign, String remedy, LocalDate helpedOn) {}

    @GetMapping("/checks/{milestoneId}/helped")
    @Operation(operationId = "whatHelped", summary = "What helped students of a section with a check, most often first")
    HelpedInSectionView ofCheck(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID milestoneId,
            @ParameterObject ScopeRequest request) {
        UUID programId = person.programId();
        Set<UUID> students = rosters.seatsOfStudentsIn(programId, request.toScope(), office.today(programId)).stream()
                .map(Seat::studentId)
                .collect(Collectors.toSet());
        List<Remedies.Helped> helped = remedies.ofCheck(programId, milestoneId, students);
        return new HelpedInSectionView(
                MostHelped.of(helped.stream()
                                .map(h -> new MostHelped.Helped(h.studentId(), h.sign(), h.remedy()))
                                .toList())
                        .stream()
                        .map(most -> new MostHelpedView(most.sign(), most.remedy(), most.students()))
                        .toList(),
                helped.stream()
                        .map(h -> new HelpedView(h.id(), h.studentId(), h.sign(), h.remedy(), h.helpedOn()))
                        .toList());
    }

    @PostMapping("/checks/{milestoneId}/helped")
    @ResponseStatus(HttpStatus.CREATED)
    @Operation(
            operationId = "noteHelped",
            summary = "Keep that a remedy helped a student; sending it twice keeps it once")
    void helped(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID milestoneId,
            @Valid @RequestBody HelpedRequest request) {
        remedies.helped(
                person,
                request.id(),
                request.studentId(),
                milestoneId,
                request.classId(),
                request.sign(),
                request.remedy());
    }

    @DeleteMapping("/helped/{helpedId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(operationId = "forgetHelped", summary = "Take back that a remedy helped")
    void notHelped(@AuthenticationPrincipal SignedIn person, @PathVariable UUID helpedId) {
        remedies.notHelped(person.programId(), helpedId);
    }

    @GetMapping("/students/{studentId}/helped")
    @Operation(operationId = "helpedStudent", summary = "What helped a student, latest first")
    List<HelpedOfStudentView> ofStudent(@AuthenticationPrincipal SignedIn person, @PathVariable UUID studentId) {
        return remedies.ofStudent(person.programId(), studentId).stream()
                .map(h -> new HelpedOfStudentView(
                        h.id(),
                        library.milestone(person.programId(), h.milestoneId()).title(),
                        h.sign(),
                        h.remedy(),
                        h.helpedOn()))
                .toList();
    }
}
