package vividroster.server.lines;

import io.swagger.v3.oas.annotations.Operation;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RequestPart;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;
import vividroster.core.music.Score;
import vividroster.core.reading.Ladder;
import vividroster.server.lines.LineNotations.Format;
import vividroster.server.lines.LineNotations.Source;
import vividroster.server.lines.LineReadings.AnalysisView;
import vividroster.server.lines.LineReadings.Stage;
import vividroster.server.platform.Absent;
import vividroster.server.platform.Problem;
import vividroster.server.platform.SignedIn;

@RestController
@RequestMapping("/api/lines")
class LineController {

    private final LineNotations notations;
    private final LineReadings readings;

    LineController(LineNotations notations, LineReadings readings) {
        this.notations = notations;
        this.readings = readings;
    }

    /** @param abc a line typed in ABC */
    record TypedLine(String abc) {}

    record PreviewView(AnalysisView analysis, String musicXml) {}

    /** @param abc as it was typed, where it was */
    record LineNotesView(
            AnalysisView analysis, String musicXml, @Absent String abc) {}

    @PostMapping(path = "/analysis", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    @Operation(
            operationId = "analyseLine",
            summary =
                    "What a MusicXML or ABC file asks: measure order, sounding notes, keys, traps and demand; keeps nothing")
    AnalysisView analyse(
            @RequestPart MultipartFile file,
            @RequestParam(defaultValue = "false") boolean topLine,
            @RequestParam(defaultValue = "FIRST_YEAR") Stage stage)
            throws IOException {
        return readings.analysis(notations.read(file.getBytes(), topLine), stage);
    }

    @PostMapping("/preview")
    @Operation(operationId = "previewLine", summary = "A line typed in ABC, as an instrument reads it; keeps nothing")
    PreviewView preview(
            @RequestBody TypedLine typed,
            @RequestParam(required = false) String instrument,
            @RequestParam(defaultValue = "FIRST_YEAR") Stage stage) {
        Score score = notations.read(bytes(typed), true);
        return new PreviewView(readings.analysis(score, stage), readings.musicXml(score, instrument, stage));
    }

    @GetMapping("/with-notes")
    @Operation(operationId = "linesWithNotes", summary = "Lines whose notes are kept, not facts alone")
    List<UUID> withNotes(@AuthenticationPrincipal SignedIn person) {
        return notations.withNotes(person.programId()).stream().sorted().toList();
    }

    @GetMapping("/{lineId}/notes")
    @Operation(
            operationId = "lineNotes",
            summary = "A line as an instrument reads it, with what it asks of every section")
    LineNotesView notes(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID lineId,
            @RequestParam(required = false) String instrument,
            @RequestParam(defaultValue = "FIRST_YEAR") Stage stage) {
        Score score = kept(person, lineId);
        return new LineNotesView(
                readings.analysis(score, stage),
                readings.musicXml(score, instrument, stage),
                notations
                        .source(person.programId(), lineId)
                        .filter(s -> s.format() == Format.ABC)
                        .map(Source::text)
                        .orElse(null));
    }

    @PostMapping("/{lineId}/notes")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @PreAuthorize("hasRole('DIRECTOR')")
    @Operation(
            operationId = "keepLineNotes",
            summary = "Keep a line typed in ABC as the notes of a line of the library")
    void keep(@AuthenticationPrincipal SignedIn person, @PathVariable UUID lineId, @RequestBody TypedLine typed) {
        notations.keep(
                person.programId(),
                person.accountId(),
                lineId,
                new Source(Format.ABC, new String(bytes(typed), StandardCharsets.UTF_8)));
    }

    @GetMapping(path = "/{lineId}/line.musicxml", produces = "application/vnd.recordare.musicxml+xml")
    @Operation(operationId = "lineMusicXml", summary = "A line as MusicXML, at concert pitch or for an instrument")
    ResponseEntity<byte[]> musicXml(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID lineId,
            @RequestParam(required = false) String instrument) {
        String xml = readings.musicXml(kept(person, lineId), instrument, Stage.FIRST_YEAR);
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("line.musicxml")
                                .build()
                                .toString())
                .body(xml.getBytes(StandardCharsets.UTF_8));
    }

    @GetMapping("/{lineId}/ladder")
    @Operation(
            operationId = "practiceLadder",
            summary = "How a section rehearses a line in the minutes there are, and what was dropped")
    LineReadings.LadderView ladder(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID lineId,
            @RequestParam String instrument,
            @RequestParam(defaultValue = "SPOTS_FIRST") Ladder.Habit habit,
            @RequestParam(defaultValue = "8") double minutes,
            @RequestParam(defaultValue = "FIRST_YEAR") Stage stage) {
        return readings.ladder(kept(person, lineId), instrument, stage, habit, minutes);
    }

    @GetMapping(path = "/{lineId}/line.mid", produces = "audio/midi")
    @Operation(operationId = "lineMidi", summary = "A line as it sounds, as a MIDI file in the order played")
    ResponseEntity<byte[]> midi(@AuthenticationPrincipal SignedIn person, @PathVariable UUID lineId) {
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("line.mid")
                                .build()
                                .toString())
                .body(readings.midi(kept(person, lineId)));
    }

    private Score kept(SignedIn person, UUID lineId) {
        return notations
                .score(person.programId(), lineId)
                .orElseThrow(() -> Problem.notFound("Only facts are kept of this line, no notes."));
    }

    private static byte[] bytes(TypedLine typed) {
        return (typed.abc() == null ? "" : typed.abc()).getBytes(StandardCharsets.UTF_8);
    }
}
