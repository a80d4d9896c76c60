package vividroster.server.office;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.io.IOException;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RequestPart;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;
import vividroster.core.season.Bells.Bell;
import vividroster.core.season.Bells.Span;
import vividroster.core.season.SchoolYear.EntryKind;
import vividroster.core.season.YearDraft;
import vividroster.core.text.Lengths;
import vividroster.server.office.YearQueries.KeptYear;
import vividroster.server.platform.Absent;
import vividroster.server.platform.SignedIn;

/** School years over HTTP. */
@RestController
@RequestMapping("/api/years")
class YearController {

    private final Years years;

    YearController(Years years) {
        this.years = years;
    }

    /** @param lastDay inclusive */
    record YearEntry(
            @NotNull(message = "Say what it is, for example a break, a lost day or a concert.")
            EntryKind kind,

            @NotNull @Size(max = Lengths.NAME, message = "At most {max} letters.")
            String name,

            @NotNull(message = "Give its first day.") LocalDate firstDay,
            @NotNull(message = "Give its last day.") LocalDate lastDay,

            @Absent @Size(max = 13, message = "At most {max} periods.")
            Set<@NotNull Integer> periods) {

        YearDraft.EntryDraft toDraft() {
            return new YearDraft.EntryDraft(kind, name, firstDay, lastDay, periods == null ? Set.of() : periods);
        }

        static YearEntry of(YearDraft.EntryDraft entry) {
            return new YearEntry(
                    entry.kind(),
                    entry.name(),
                    entry.first(),
                    entry.last(),
                    entry.periods().isEmpty() ? null : new TreeSet<>(entry.periods()));
        }
    }

    /** @param campus empty for every campus; the short two are absent where the period does not meet on short days */
    record BellRequest(
            @NotNull @Size(max = Lengths.CLASS_NAME, message = "At most {max} letters.")
            String campus,

            int period,

            @NotNull(message = "Say when the period begins.")
            LocalTime startsAt,

            int minutes,
            @Absent LocalTime shortStartsAt,
            @Absent Integer shortMinutes) {

        Bell toBell() {
            return new Bell(
                    campus.strip(),
                    period,
                    new Span(startsAt, minutes),
                    shortStartsAt == null || shortMinutes == null
                            ? Optional.empty()
                            : Optional.of(new Span(shortStartsAt, shortMinutes)));
        }
    }

    /** @param startsAt as "08:30", as the short one */
    record BellView(
            String campus,
            int period,
            String startsAt,
            int minutes,
            @Absent String shortStartsAt,
            @Absent Integer shortMinutes) {

        static BellView of(Bell bell) {
            return new BellView(
                    bell.campus(),
                    bell.period(),
                    bell.span().startsAt().toString(),
                    bell.span().minutes(),
                    bell.onShortDays().map(span -> span.startsAt().toString()).orElse(null),
                    bell.onShortDays().map(Span::minutes).orElse(null));
        }
    }

    /** @param rotation letters of the days in turn; empty where there are none */
    record YearRequest(
            @NotBlank(message = "Give the year a name, for example 2026–2027.")
            @Size(max = Lengths.LABEL, message = "At most {max} letters.")
            String name,

            @NotNull(message = "Give the first day of school.")
            LocalDate firstDay,

            @NotNull(message = "Give the last day of school.")
            LocalDate lastDay,

            @NotNull @Size(max = 20, message = "At most {max} letters.")
            List<@NotNull String> rotation,

            @NotNull @Size(max = 400, message = "At most {max} breaks and flags.")
            List<@Valid @NotNull YearEntry> entries,

            @Absent @Size(max = 100, message = "At most {max} periods.")
            List<@Valid @NotNull BellRequest> bells) {

        YearDraft toDraft() {
            return new YearDraft(
                    name,
                    firstDay,
                    lastDay,
                    rotation,
                    entries.stream().map(YearEntry::toDraft).toList(),
                    bells == null
                            ? List.of()
                            : bells.stream().map(BellRequest::toBell).toList());
        }
    }

    record SchoolYearView(
            UUID id,
            String name,
            LocalDate firstDay,
            LocalDate lastDay,
            List<String> rotation,
            List<YearEntry> entries,
            List<BellView> bells) {}

    @GetMapping
    @Operation(operationId = "schoolYears", summary = "The school years of the programme with breaks and flags, by day")
    List<SchoolYearView> years(@AuthenticationPrincipal SignedIn person) {
        return years.all(person.programId()).stream().map(YearController::view).toList();
    }

    @PutMapping("/{yearId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @PreAuthorize("hasAuthority('DIRECT')")
    @Operation(
            operationId = "keepSchoolYear",
            summary = "Keep a school year as it is typed, with all its breaks and flags; a new one under a new id")
    void keep(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID yearId,
            @Valid @RequestBody YearRequest request) {
        years.keep(person.programId(), yearId, request.toDraft());
    }

    /** @param kind absent where no word of the name tells; within the longer closing it lies in, absent for most */
    record ProposedEntry(
            String name,
            LocalDate firstDay,
            LocalDate lastDay,
            @Absent EntryKind kind,
            @Absent String within) {}

    /** @param outside how many lie outside the year; unread how many have no day */
    record CalendarView(List<ProposedEntry> proposals, int outside, int unread) {}

    @PostMapping(path = "/calendar-file", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    @PreAuthorize("hasAuthority('DIRECT')")
    @Operation(
            operationId = "readCalendar",
            summary = "What the events of an iCalendar file would be in a year of these days; changes nothing")
    CalendarView readCalendar(
            @AuthenticationPrincipal SignedIn person,
            @RequestPart MultipartFile file,
            @RequestParam LocalDate firstDay,
            @RequestParam LocalDate lastDay)
            throws IOException {
        Years.CalendarRead read = years.readCalendar(person.programId(), file.getBytes(), firstDay, lastDay);
        return new CalendarView(
                read.found().proposals().stream()
                        .map(p -> new ProposedEntry(
                                p.name(),
                                p.first(),
                                p.last(),
                                p.kind().orElse(null),
                                p.within().orElse(null)))
                        .toList(),
                read.found().outside(),
                read.unread());
    }

    record LostDayRequest(
            @NotNull(message = "Say which day is lost.") LocalDate day,

            @NotBlank(message = "Say why, for example Storm.")
            @Size(max = Lengths.NAME, message = "At most {max} letters.")
            String name) {}

    @PostMapping("/lost-days")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @PreAuthorize("hasAuthority('DIRECT')")
    @Operation(operationId = "loseDay", summary = "School does not meet on a day after all")
    void loseDay(@AuthenticationPrincipal SignedIn person, @Valid @RequestBody LostDayRequest request) {
        years.loseDay(person.programId(), request.day(), request.name().strip());
    }

    @DeleteMapping("/lost-days/{day}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @PreAuthorize("hasAuthority('DIRECT')")
    @Operation(operationId = "regainDay", summary = "School meets on a day that was said to be lost")
    void regainDay(@AuthenticationPrincipal SignedIn person, @PathVariable LocalDate day) {
        years.regainDay(person.programId(), day);
    }

    private static SchoolYearView view(KeptYear year) {
        YearDraft draft = year.draft();
        return new SchoolYearView(
                year.id(),
                draft.name(),
                draft.first(),
                draft.last(),
                draft.rotation(),
                draft.entries().stream().map(YearEntry::of).toList(),
                draft.bells().stream().map(BellView::of).toList());
    }
}
