package vividroster.server.belts;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import vividroster.core.curriculum.Milestone;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.LadderPreview;
import vividroster.core.testing.HearingTime;
import vividroster.core.text.Lengths;
import vividroster.server.library.BeltView;
import vividroster.server.library.KeptLadder;
import vividroster.server.platform.Absent;
import vividroster.server.platform.SignedIn;

@RestController
@RequestMapping("/api/ladders")
class LadderController {

    private final LadderEditing editing;
    private final InstrumentCatalog catalog;

    LadderController(LadderEditing editing, InstrumentCatalog catalog) {
        this.editing = editing;
        this.catalog = catalog;
    }

    /** @param editions how often it was asked otherwise before */
    record BeltLadderView(
            UUID id,
            int version,
            String name,
            List<InstrumentCode> instruments,
            @Absent LocalDate retiredOn,
            int editions,
            List<BeltView> belts) {}

    record LadderToEdit(UUID id, int version, LadderForm ladder) {}

    record LadderEdit(
            int version,
            @NotNull(message = "Nothing was sent.") @Valid LadderForm ladder) {}

    /** @param ladderId that is edited; absent for a new one */
    record LadderLook(
            @Absent UUID ladderId,
            @NotNull(message = "Nothing was sent.") @Valid LadderForm ladder) {}

    record LadderWrittenView(UUID ladderId) {}

    record LadderFaultView(String field, String sentence) {}

    /** @param milestone absent where nothing fills it for this instrument; toHear how many have still to pass it */
    record AskedSlotView(
            String slot, @Absent UUID milestoneId, @Absent String milestone, boolean must, int toHear) {}

    /**
     * @param needed how many slots it takes; 0 where it asks nothing of the instrument
     * @param wearers who would wear it as their highest
     */
    record AskedBeltView(
            BeltView belt,
            List<AskedSlotView> slots,
            int needed,
            int teachMinutes,
            int hearMinutes,
            List<String> wearers) {}

    record AskedSectionView(
            InstrumentCode instrument, String instrumentName, int students, List<AskedBeltView> belts, int without) {}

    record LadderPreviewView(List<LadderFaultView> faults, List<AskedSectionView> sections) {}

    @GetMapping
    @Operation(operationId = "ladders", summary = "The ladders of belts, retired ones too")
    List<BeltLadderView> all(@AuthenticationPrincipal SignedIn person) {
        return editing.all(person.programId()).stream()
                .map(LadderController::view)
                .toList();
    }

    private static BeltLadderView view(KeptLadder ladder) {
        return new BeltLadderView(
                ladder.id(),
                ladder.version(),
                ladder.ladder().name(),
                ladder.whom(),
                ladder.retiredOn().orElse(null),
                ladder.ladder().earlier().size(),
                (ladder.ladder().belts().isEmpty()
                                ? ladder.ladder().everBelts()
                                : ladder.ladder().belts())
                        .stream()
                                .map(belt -> BeltView.of(belt, ladder.looks().get(belt.id())))
                                .toList());
    }

    @GetMapping("/{ladderId}")
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(operationId = "ladderToEdit", summary = "A ladder as it is written, for editing")
    LadderToEdit ladder(@AuthenticationPrincipal SignedIn person, @PathVariable UUID ladderId) {
        LadderForm form = editing.form(person.programId(), ladderId);
        int version = editing.all(person.programId()).stream()
                .filter(one -> one.id().equals(ladderId))
                .findFirst()
                .orElseThrow()
                .version();
        return new LadderToEdit(ladderId, version, form);
    }

    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(operationId = "writeLadder", summary = "Put a ladder on the shelf")
    LadderWrittenView write(@AuthenticationPrincipal SignedIn person, @Valid @RequestBody LadderForm form) {
        return new LadderWrittenView(editing.write(person.programId(), form));
    }

    @PostMapping("/{ladderId}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(operationId = "editLadder", summary = "Edit a ladder; nobody loses a belt that was earned before")
    void edit(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID ladderId,
            @Valid @RequestBody LadderEdit request) {
        editing.edit(person.programId(), ladderId, request.version(), request.ladder());
    }

    @PostMapping("/{ladderId}/retire")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(operationId = "retireLadder", summary = "Take a ladder off the shelf; what was earned stays")
    void retire(@AuthenticationPrincipal SignedIn person, @PathVariable UUID ladderId) {
        editing.retire(person.programId(), ladderId);
    }

    @GetMapping("/from-pages")
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(
            operationId = "ladderFromPages",
            summary = "A ladder drawn from a book, a belt for every few pages; nothing is kept")
    LadderForm fromPages(
            @AuthenticationPrincipal SignedIn person,
            @RequestParam @NotBlank(message = "Give the ladder a name.") @Size(max = Lengths.LABEL) String name,
            @RequestParam UUID bookId,
            @RequestParam(defaultValue = "4")
                    @Min(value = 1, message = "A belt takes a page at least.")
                    @Max(value = 50, message = "A belt takes at most {value} pages.")
                    int pagesPerBelt,
            @RequestParam(defaultValue = "")
                    List<@NotNull(message = "There is no such instrument.") InstrumentCode> instruments) {
        return editing.drawn(person.programId(), name, bookId, pagesPerBelt, instruments);
    }

    @PostMapping("/preview")
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(
            operationId = "previewLadder",
            summary = "What a ladder would ask of every instrument and who would stand where; nothing is kept")
    LadderPreviewView preview(@AuthenticationPrincipal SignedIn person, @Valid @RequestBody LadderLook look) {
        LadderEditing.Looked looked =
                editing.look(person.programId(), Optional.ofNullable(look.ladderId()), look.ladder());
        return new LadderPreviewView(
                looked.faults().stream()
                        .map(fault -> new LadderFaultView(fault.field(), fault.sentence()))
                        .toList(),
                looked.preview().map(LadderPreview::sections).orElse(List.of()).stream()
                        .map(section -> section(section, looked))
                        .toList());
    }

    private AskedSectionView section(LadderPreview.OfSection section, LadderEditing.Looked looked) {
        return new AskedSectionView(
                section.instrument(),
                catalog.withCode(section.instrument()).name(),
                section.students(),
                section.belts().stream()
                        .map(belt -> new AskedBeltView(
                                BeltView.of(
                                        belt.belt(),
                                        looked.looks().get(belt.belt().id())),
                                belt.slots().stream()
                                        .map(slot -> slot(slot, looked))
                                        .toList(),
                                belt.needed(),
                                belt.teachMinutes(),
                                HearingTime.wholeMinutes(belt.hearSeconds()),
                                looked.named(belt.wearers())))
                        .toList(),
                section.without().size());
    }

    private static AskedSlotView slot(LadderPreview.Asked slot, LadderEditing.Looked looked) {
        Optional<Milestone> milestone = slot.milestoneId().map(looked.milestones()::get);
        return new AskedSlotView(
                slot.name(),
                slot.milestoneId().orElse(null),
                milestone.map(BeltBoards::name).orElse(null),
                slot.must(),
                slot.toHear());
    }
}
