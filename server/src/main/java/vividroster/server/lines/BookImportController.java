package vividroster.server.lines;

import io.swagger.v3.oas.annotations.Operation;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RequestPart;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;
import tools.jackson.core.JacksonException;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.ObjectMapper;
import vividroster.server.lines.BookImport.ImportView;
import vividroster.server.lines.BookImport.Upload;
import vividroster.server.platform.Problem;
import vividroster.server.platform.SignedIn;
import vividroster.server.platform.Uploads;

@RestController
@RequestMapping("/api/books/{bookId}/import")
class BookImportController {

    private static final TypeReference<Map<String, Map<String, String>>> CHOICES = new TypeReference<>() {};

    private final BookImport imports;
    private final ObjectMapper json;

    BookImportController(BookImport imports, ObjectMapper json) {
        this.imports = imports;
        this.json = json;
    }

    @PostMapping(consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(
            operationId = "importLines",
            summary = "Lines of a book from ABC and MusicXML files: looked at, or the good ones kept")
    ImportView take(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID bookId,
            @RequestPart("file") List<MultipartFile> files,
            @RequestParam(defaultValue = "1") int firstPage,
            @RequestParam(defaultValue = "false") boolean keep,
            @RequestParam(defaultValue = "{}") String choices)
            throws IOException {
        List<Upload> uploads = new ArrayList<>();
        for (MultipartFile file : files) {
            uploads.add(new Upload(Uploads.name(file, "file"), file.getBytes()));
        }
        return imports.take(person.programId(), person.accountId(), bookId, uploads, firstPage, chosen(choices), keep);
    }

    private Map<String, Map<String, String>> chosen(String choices) {
        try {
            return json.readValue(choices, CHOICES);
        } catch (JacksonException e) {
            throw Problem.input("choices", "What the parts are used for is not understood: say it by file and part.");
        }
    }
}
