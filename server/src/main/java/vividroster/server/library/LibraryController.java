package vividroster.server.library;

import io.swagger.v3.oas.annotations.Operation;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import vividroster.core.curriculum.Belt;
import vividroster.core.curriculum.BeltLook;
import vividroster.core.curriculum.BeltSlot;
import vividroster.core.curriculum.Milestone;
import vividroster.core.music.InstrumentCode;
import vividroster.server.platform.SignedIn;

@RestController
@RequestMapping("/api/library")
class LibraryController {

    private final Library library;
    private final WordedCriteria worded;

    LibraryController(Library library, WordedCriteria worded) {
        this.worded = worded;
        this.library = library;
    }

    /** @param fillings milestone by instrument code, or "any" */
    record SlotView(int ordinal, String name, Map<InstrumentCode, UUID> fillings) {}

    record LibraryBelt(
            UUID id,
            String ladder,
            int rank,
            String name,
            String color,
            String weave,
            int knots,
            List<SlotView> slots) {}

    record LibraryView(List<MilestoneView> milestones, List<LibraryBelt> belts) {}

    @GetMapping
    @Operation(operationId = "library", summary = "Lines, technique checks, playing tests and belts, in shelf order")
    LibraryView library(@AuthenticationPrincipal SignedIn person) {
        UUID programId = person.programId();
        List<Milestone> milestones = library.allMilestones(programId);
        List<UUID> ids = milestones.stream().map(Milestone::id).toList();
        Map<UUID, LineFacts> lines = library.lines(programId, ids);
        Map<UUID, TestFacts> tests = library.tests(programId, ids);
        Map<UUID, Book> books = library.books(programId);
        Map<UUID, List<String>> words = worded.of(programId);
        Map<UUID, BeltLook> looks = library.beltLooks(programId);
        return new LibraryView(
                milestones.stream()
                        .map(m -> {
                            MilestoneView view = MilestoneView.of(m, lines, tests, books);
                            return words.containsKey(m.id()) ? view.worded(words.get(m.id())) : view;
                        })
                        .toList(),
                library.allBelts(programId).stream()
                        .map(belt -> view(belt, looks.get(belt.id())))
                        .toList());
    }

    private static LibraryBelt view(Belt belt, BeltLook look) {
        return new LibraryBelt(
                belt.id(),
                belt.ladder(),
                belt.rank(),
                belt.name(),
                look.color(),
                look.weave(),
                look.knots(),
                belt.slots().stream().map(LibraryController::slot).toList());
    }

    private static SlotView slot(BeltSlot slot) {
        return new SlotView(slot.ordinal(), slot.name(), slot.fillings());
    }
}
