package vividroster.server.roster;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import vividroster.core.music.InstrumentCode;
import vividroster.core.season.MeetingPattern;
import vividroster.core.season.MeetingPattern.Slot;
import vividroster.core.text.Lengths;
import vividroster.server.office.Office;
import vividroster.server.platform.Absent;
import vividroster.server.platform.SignedIn;
import vividroster.server.roster.ClassQueries.Wanted;
import vividroster.server.roster.Classes.SectionOfClass;

/** Classes, when they meet and whom they want. */
@RestController
@RequestMapping("/api/classes")
class ClassController {

    private final Classes classes;
    private final Rosters rosters;
    private final Office office;

    ClassController(Classes classes, Rosters rosters, Office office) {
        this.classes = classes;
        this.rosters = rosters;
        this.office = office;
    }

    /** @param startsAt as "08:30"; weekdays and letters empty for every one; campus empty for the class's own */
    record MeetingTimeView(
            Set<DayOfWeek> weekdays, Set<String> letters, int period, String startsAt, int minutes, String campus) {}

    record ClassSectionView(
            InstrumentCode instrument,
            String division,
            int students,
            @Absent Integer wanted) {}

    /** @param when it meets, in words; lastDay absent while it goes on */
    record ClassView(
            UUID id,
            String name,
            String campus,
            ClassShape shape,
            List<MeetingTimeView> meets,
            String when,
            @Absent LocalDate lastDay,
            int students,
            List<ClassSectionView> sections) {}

    record MeetingTimeRequest(
            @NotNull @Size(max = 7, message = "A week has {max} days.")
            Set<@NotNull DayOfWeek> weekdays,

            @NotNull @Size(max = 20, message = "At most {max} letters.")
            Set<@NotNull @Size(max = Lengths.LABEL, message = "At most {max} letters.") String> letters,

            int period,

            @NotNull(message = "Say when the class starts.") LocalTime startsAt,

            int minutes,

            @NotNull @Size(max = Lengths.CLASS_NAME, message = "At most {max} letters.")
            String campus) {

        Slot toSlot() {
            return new Slot(weekdays, letters, period, startsAt, minutes, campus.strip());
        }
    }

    record WantedRequest(
            @NotNull InstrumentCode instrument,

            @NotNull @Size(max = Lengths.LABEL, message = "At most {max} letters.")
            String division,

            @Min(value = 1, message = "Want 1 to 200 students, or leave the section out.")
            @Max(value = 200, message = "Want 1 to 200 students, or leave the section out.")
            int students) {}

    record ClassRequest(
            @NotBlank(message = "A class needs a name.")
            @Size(max = Lengths.CLASS_NAME, message = "A class name has at most {max} letters.")
            String name,

            @NotNull(message = "Say which campus, or leave it blank.")
            @Size(max = Lengths.CLASS_NAME, message = "At most {max} letters.")
            String campus,

            @NotNull(message = "Choose how the class is made up.")
            ClassShape shape,

            @NotNull @Size(max = 20, message = "At most {max} times of meeting.")
            List<@Valid @NotNull MeetingTimeRequest> meets,

            @NotNull @Size(max = 100, message = "At most {max} sections.")
            List<@Valid @NotNull WantedRequest> wanted) {}

    @GetMapping
    @Operation(operationId = "classes", summary = "The classes that go on, in the order of the day")
    List<ClassView> classes(@AuthenticationPrincipal SignedIn person) {
        return views(person, true);
    }

    @GetMapping("/ended")
    @Operation(operationId = "endedClasses", summary = "The classes that have ended")
    List<ClassView> ended(@AuthenticationPrincipal SignedIn person) {
        return views(person, false);
    }

    private List<ClassView> views(SignedIn person, boolean running) {
        LocalDate today = office.today(person.programId());
        Map<UUID, List<SectionOfClass>> sections = classes.sections(person.programId());
        return rosters.classes(person.programId()).stream()
                .filter(c -> c.runsOn(today) == running)
                .map(c -> view(c, sections.getOrDefault(c.id(), List.of())))
                .toList();
    }

    @PutMapping("/{classId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @PreAuthorize("hasAuthority('DIRECT')")
    @Operation(
            operationId = "keepClass",
            summary = "Keep a class as it is typed, with its times of meeting; a new one under a new id")
    void keep(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID classId,
            @Valid @RequestBody ClassRequest request) {
        classes.keep(
                person.programId(),
                new SchoolClass(
                        classId,
                        request.name().strip(),
                        request.campus().strip(),
                        request.shape(),
                        new MeetingPattern(request.meets().stream()
                                .map(MeetingTimeRequest::toSlot)
                                .toList()),
                        Optional.empty()),
                request.wanted().stream()
                        .map(w ->
                                new Wanted(classId, w.instrument(), w.division().strip(), w.students()))
                        .toList());
    }

    record EndRequest(
            @NotNull(message = "Say which day is the last.") LocalDate lastDay) {}

    @PostMapping("/{classId}/end")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @PreAuthorize("hasAuthority('DIRECT')")
    @Operation(operationId = "endClass", summary = "End a class and its seats; what was passed stays")
    void end(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID classId,
            @Valid @RequestBody EndRequest request) {
        classes.end(person.programId(), classId, request.lastDay());
    }

    @DeleteMapping("/{classId}/end")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @PreAuthorize("hasAuthority('DIRECT')")
    @Operation(operationId = "goOnWithClass", summary = "Let a class that ended go on, with who sat in it to the end")
    void goOn(@AuthenticationPrincipal SignedIn person, @PathVariable UUID classId) {
        classes.goOn(person.programId(), classId);
    }

    record MergeRequest(
            @NotNull(message = "Choose the class that goes on.")
            UUID into,

            @NotNull(message = "Say from which day.") LocalDate from) {}

    record MergedView(int students) {}

    @PostMapping("/{classId}/merge")
    @PreAuthorize("hasAuthority('DIRECT')")
    @Operation(
            operationId = "mergeClass",
            summary = "Move everybody of a class into another from a day; the class ends the day before")
    MergedView merge(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID classId,
            @Valid @RequestBody MergeRequest request) {
        return new MergedView(classes.merge(person.programId(), classId, request.into(), request.from()));
    }

    private static ClassView view(SchoolClass c, List<SectionOfClass> sections) {
        return new ClassView(
                c.id(),
                c.name(),
                c.campus(),
                c.shape(),
                c.meets().slots().stream()
                        .map(slot -> new MeetingTimeView(
                                slot.weekdays(),
                                slot.letters(),
                                slot.period(),
                                slot.startsAt().toString(),
                                slot.minutes(),
                                slot.campus()))
                        .toList(),
                MeetingWording.when(c.meets()),
                c.lastDay().orElse(null),
                sections.stream().mapToInt(SectionOfClass::students).sum(),
                sections.stream()
                        .map(s -> new ClassSectionView(
                                s.instrument(),
                                s.division(),
                                s.students(),
                                s.wanted().orElse(null)))
                        .toList());
    }
}
