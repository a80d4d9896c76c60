package vividroster.server.lines;

import io.swagger.v3.oas.annotations.Operation;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
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
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RequestPart;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.multipart.MultipartFile;
import vividroster.core.instrument.StringPlace;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Score;
import vividroster.core.rehearsal.Ladder;
import vividroster.core.rehearsal.Themes.Theme;
import vividroster.formats.musicxml.MusicXmlWriter.Purpose;
import vividroster.formats.score.LineFile;
import vividroster.formats.score.LineFile.Choices;
import vividroster.formats.score.PartNames;
import vividroster.server.checks.Checks;
import vividroster.server.lines.LineNotations.Format;
import vividroster.server.lines.LineNotations.Source;
import vividroster.server.lines.LineReadings.Context;
import vividroster.server.lines.LineViews.AnalysisView;
import vividroster.server.lines.LineViews.FingerView;
import vividroster.server.lines.LineViews.LikenessView;
import vividroster.server.lines.LineViews.RemarkView;
import vividroster.server.lines.PracticeLadders.Asked;
import vividroster.server.lines.PracticeLadders.LadderDraft;
import vividroster.server.lines.PracticeLadders.LadderView;
import vividroster.server.lines.PracticeLadders.Passage;
import vividroster.server.lines.Readers.Stage;
import vividroster.server.platform.Absent;
import vividroster.server.platform.Problem;
import vividroster.server.platform.SignedIn;
import vividroster.server.platform.Verbatim;

@RestController
@RequestMapping("/api/lines")
class LineController {

    private final LineNotations notations;
    private final LineReadings readings;
    private final LineLikeness likeness;
    private final LineRemarks remarks;
    private final PracticeLadders ladders;
    private final Contexts contexts;
    private final Checks checks;
    private final HarmonyParts harmonies;

    LineController(
            LineNotations notations,
            LineReadings readings,
            LineLikeness likeness,
            LineRemarks remarks,
            PracticeLadders ladders,
            Contexts contexts,
            Checks checks,
            HarmonyParts harmonies) {
        this.notations = notations;
        this.readings = readings;
        this.likeness = likeness;
        this.remarks = remarks;
        this.ladders = ladders;
        this.contexts = contexts;
        this.checks = checks;
        this.harmonies = harmonies;
    }

    /** @param abc a line typed in ABC */
    record TypedLine(@Verbatim String abc) {}

    record PreviewView(AnalysisView analysis, String musicXml) {}

    /**
     * @param fingers every note of the instrument with its fingering, measure by measure; empty at concert pitch
     * @param namesUnder whether the names of the notes stand under them, as in the first weeks
     * @param abc as it was typed, where it was
     */
    record LineNotesView(
            AnalysisView analysis,
            String musicXml,
            List<List<FingerView>> fingers,
            boolean namesUnder,
            LikenessView likeness,
            @Absent String abc) {}

    record RemarkText(String trouble, String tip) {}

    record MadeLineView(UUID lineId) {}

    @PostMapping(path = "/analysis", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(
            operationId = "analyseLine",
            summary =
                    "What a MusicXML or ABC file asks: measure order, sounding notes, keys, traps and demand, of one part"
                            + " by id or name where that is asked for; keeps nothing")
    AnalysisView analyse(
            @AuthenticationPrincipal SignedIn person,
            @RequestPart MultipartFile file,
            @RequestParam(defaultValue = "false") boolean topLine,
            @RequestParam(defaultValue = "FIRST_YEAR") Stage stage,
            @RequestParam(required = false) String part,
            @RequestParam(required = false) Double tempo,
            @RequestParam(required = false) Double fermata,
            @RequestParam(required = false) Boolean repeatsAfterJump)
            throws IOException {
        LineFile read = notations.read(file.getBytes(), topLine);
        Context context = contexts.of(person.programId(), null, null, stage).timed(tempo, fermata, repeatsAfterJump);
        boolean one = part != null && !part.isBlank();
        Score score = LineNotations.told(() -> one ? read.only(part) : read.score());
        return readings.analysis(score, null, context)
                .of(PartViews.of(read, Choices.NONE), PartViews.leftOut(read, Choices.NONE));
    }

    @PostMapping("/preview")
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(operationId = "previewLine", summary = "A line typed in ABC, as an instrument reads it; keeps nothing")
    PreviewView preview(
            @AuthenticationPrincipal SignedIn person,
            @RequestBody TypedLine typed,
            @RequestParam(required = false) InstrumentCode instrument,
            @RequestParam(defaultValue = "FIRST_YEAR") Stage stage) {
        LineFile read = notations.read(bytes(typed), true);
        Score score = LineNotations.told(read::score);
        Context context = contexts.of(person.programId(), null, null, stage);
        return new PreviewView(
                readings.analysis(score, instrument, context)
                        .of(PartViews.of(read, Choices.NONE), PartViews.leftOut(read, Choices.NONE)),
                readings.musicXml(score, instrument, context, Purpose.SCREEN));
    }

    @GetMapping("/with-notes")
    @Operation(operationId = "linesWithNotes", summary = "Lines whose notes are kept, not facts alone")
    List<UUID> withNotes(@AuthenticationPrincipal SignedIn person) {
        return List.copyOf(notations.withNotes(person.programId()));
    }

    @GetMapping("/{lineId}/notes")
    @Operation(
            operationId = "lineNotes",
            summary =
                    "A line as an instrument reads it, with what it asks of every section; of a class, against its track")
    LineNotesView notes(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID lineId,
            @RequestParam(required = false) InstrumentCode instrument,
            @RequestParam(required = false) UUID classId,
            @RequestParam(required = false) Stage stage,
            @RequestParam(required = false) String division,
            @RequestParam(defaultValue = "false") boolean bowed,
            @RequestParam(required = false) String place) {
        Score score = inDivision(kept(person, lineId), instrument, division);
        Context context = contexts.of(person.programId(), classId, lineId, stage);
        return new LineNotesView(
                readings.analysis(score, instrument, context)
                        .of(List.of(), notations.leftOut(person.programId(), lineId)),
                readings.musicXml(score, instrument, context, Purpose.SCREEN, bowed),
                readings.fingers(
                        score,
                        instrument,
                        context,
                        instrument == null ? Map.of() : checks.syllables(person.programId(), instrument),
                        Optional.ofNullable(place).flatMap(StringPlace::read)),
                context.stage() == Stage.BEGINNER && context.conventions().namesInFirstWeeks(),
                likeness.of(person.programId(), lineId, score.sounding(), context.conventions()),
                notations
                        .source(person.programId(), lineId)
                        .filter(s -> s.format() == Format.ABC)
                        .map(Source::text)
                        .orElse(null));
    }

    @GetMapping("/{lineId}/remarks")
    @Operation(operationId = "lineRemarks", summary = "What the director says of a line, to a section or to everybody")
    List<RemarkView> remarks(@AuthenticationPrincipal SignedIn person, @PathVariable UUID lineId) {
        return remarks.of(person.programId(), lineId);
    }

    @PutMapping("/{lineId}/remarks/{instrument}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(
            operationId = "putLineRemark",
            summary = "The place that goes wrong and a tip, for an instrument or \"any\"; empty texts take it away")
    void remark(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID lineId,
            @PathVariable String instrument,
            @RequestBody RemarkText text) {
        remarks.put(
                person.programId(), person.accountId(), lineId, new RemarkView(instrument, text.trouble(), text.tip()));
    }

    @PostMapping("/{lineId}/notes")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @PreAuthorize("hasAuthority('TEACH')")
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
            @RequestParam(required = false) InstrumentCode instrument,
            @RequestParam(required = false) String division,
            @RequestParam(required = false) UUID classId) {
        String xml = readings.musicXml(
                inDivision(kept(person, lineId), instrument, division),
                instrument,
                contexts.of(person.programId(), classId, lineId, null),
                Purpose.FILE);
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
            summary =
                    "How a section may rehearse a line in the minutes there are, by its spots or by a theme, and what was"
                            + " dropped")
    LadderView ladder(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID lineId,
            @RequestParam InstrumentCode instrument,
            @RequestParam(required = false) Ladder.Habit habit,
            @RequestParam(required = false) Theme theme,
            @RequestParam(required = false) Integer groupSize,
            @RequestParam(required = false) String division,
            @RequestParam(required = false) UUID classId,
            @RequestParam(defaultValue = "8") double minutes,
            @RequestParam(required = false) Integer from,
            @RequestParam(required = false) Integer to,
            @RequestParam(required = false) Stage stage) {
        return ladders.propose(
                inDivision(kept(person, lineId), instrument, division),
                instrument,
                contexts.of(person.programId(), classId, lineId, stage),
                new Asked(habit, theme, groupSize, minutes, from == null || to == null ? null : new Passage(from, to)));
    }

    @GetMapping("/{lineId}/ladders/{instrument}")
    @Operation(
            operationId = "keptLadder",
            summary = "The ladder a director kept for an instrument; not found where none is")
    LadderView keptLadder(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID lineId,
            @PathVariable InstrumentCode instrument,
            @RequestParam(required = false) UUID classId) {
        Score score = kept(person, lineId);
        return ladders.kept(
                        person.programId(),
                        lineId,
                        score,
                        instrument,
                        contexts.of(person.programId(), classId, lineId, null))
                .orElseThrow(() -> Problem.notFound("No ladder is kept for this instrument."));
    }

    @PutMapping("/{lineId}/ladders/{instrument}")
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(
            operationId = "keepLadder",
            summary = "Keep a ladder with the line as the director put it; answers it timed")
    LadderView keepLadder(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID lineId,
            @PathVariable InstrumentCode instrument,
            @RequestParam(required = false) UUID classId,
            @RequestBody LadderDraft draft) {
        Score score = kept(person, lineId);
        return ladders.keep(
                person.programId(),
                person.accountId(),
                lineId,
                score,
                instrument,
                contexts.of(person.programId(), classId, lineId, null),
                draft);
    }

    @DeleteMapping("/{lineId}/ladders/{instrument}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(operationId = "forgetLadder", summary = "Back to what is proposed")
    void forgetLadder(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID lineId,
            @PathVariable InstrumentCode instrument) {
        kept(person, lineId);
        ladders.forget(person.programId(), lineId, instrument);
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
                .body(readings.midi(
                        kept(person, lineId), context(person, lineId).conventions()));
    }

    @PostMapping("/{lineId}/parts/{instrument}/{division}/milestone")
    @ResponseStatus(HttpStatus.CREATED)
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(
            operationId = "partAsMilestone",
            summary = "Put the part of one division on the shelf as a line of its own, a harmony part for example")
    MadeLineView partAsMilestone(
            @AuthenticationPrincipal SignedIn person,
            @PathVariable UUID lineId,
            @PathVariable InstrumentCode instrument,
            @PathVariable int division) {
        return new MadeLineView(harmonies.make(person.programId(), person.accountId(), lineId, instrument, division));
    }

    /** As the division of a roster reads it; everybody's where it names none. */
    private static Score inDivision(Score score, InstrumentCode instrument, String division) {
        int number = division == null ? 0 : PartNames.division(division);
        return instrument == null || number == 0 ? score : score.inDivision(instrument, number);
    }

    private Context context(SignedIn person, UUID lineId) {
        return contexts.of(person.programId(), null, lineId, null);
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
