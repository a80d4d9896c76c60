package vividroster.server.season;

import io.swagger.v3.oas.annotations.Operation;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import vividroster.formats.sheet.SheetPdf;
import vividroster.server.audit.Audit;
import vividroster.server.office.Office;
import vividroster.server.platform.SignedIn;
import vividroster.server.season.WeekSheets.SheetView;

/** The order sheet over HTTP. */
@RestController
@RequestMapping("/api/season/sheet")
class WeekSheetController {

    private final WeekSheets sheets;
    private final Office office;
    private final Audit audit;

    WeekSheetController(WeekSheets sheets, Office office, Audit audit) {
        this.audit = audit;
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

    @GetMapping(path = "/sheet.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    @Operation(
            operationId = "orderSheetPdf",
            summary = "The order sheet of a week as a PDF, all sections of a class; on A5 a page for each")
    ResponseEntity<byte[]> pdf(
            @AuthenticationPrincipal SignedIn person,
            @RequestParam UUID classId,
            @RequestParam(required = false) LocalDate on,
            @RequestParam(defaultValue = "A4") SheetPdf.Paper paper) {
        SheetView sheet = sheet(person, classId, on);
        audit.note(person, Audit.What.EXPORTED, Optional.of(classId));
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("orders-" + sheet.monday() + ".pdf")
                                .build()
                                .toString())
                .contentType(MediaType.APPLICATION_PDF)
                .body(SheetWording.pdf(sheet, paper));
    }
}
