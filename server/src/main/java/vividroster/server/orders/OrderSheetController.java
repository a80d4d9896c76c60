package vividroster.server.orders;

import io.swagger.v3.oas.annotations.Operation;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import vividroster.server.office.Office;
import vividroster.server.orders.OrderSheets.SheetView;
import vividroster.server.platform.SignedIn;

/** The order sheet over HTTP. */
@RestController
@RequestMapping("/api/season/sheet")
class OrderSheetController {

    private final OrderSheets sheets;
    private final Office office;

    OrderSheetController(OrderSheets sheets, Office office) {
        this.sheets = sheets;
        this.office = office;
    }

    @GetMapping
    @Operation(
            operationId = "orderSheet",
            summary = "What each section of a class has for a week, in its own key and place")
    SheetView sheet(
            @AuthenticationPrincipal SignedIn person,
            @RequestParam UUID classId,
            @RequestParam(required = false) LocalDate on) {
        LocalDate day = Optional.ofNullable(on).orElseGet(() -> office.today(person.programId()));
        return sheets.of(person.programId(), classId, day);
    }
}
