package vividroster.server.lines;

import io.swagger.v3.oas.annotations.Operation;
import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.security.access.prepost.PreAuthorize;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import vividroster.core.rehearsal.WrittenMusic;
import vividroster.core.rehearsal.WrittenMusic.Level;
import vividroster.core.rehearsal.WrittenMusic.Values;
import vividroster.server.platform.SignedIn;

@RestController
@RequestMapping("/api/lines")
class WrittenLineController {

    private final WrittenLines written;

    WrittenLineController(WrittenLines written) {
        this.written = written;
    }

    /** @param key at concert pitch, for example "B-flat major" */
    record ScaleRequest(
            @NotBlank(message = "Name the key, for example B-flat major.") @Size(max = 20)
            String key,

            @Min(value = 1, message = "A scale has one or two octaves.")
            @Max(value = WrittenMusic.MOST_OCTAVES, message = "A scale has one or two octaves.")
            int octaves,

            @NotNull(message = "Say how long its notes are.")
            Values values,

            @DecimalMin(value = "20", message = "A tempo is 20 to 400 beats a minute.")
            @DecimalMax(value = "400", message = "A tempo is 20 to 400 beats a minute.")
            double tempoBpm) {}

    /** @param key at concert pitch; it is written on its tonic. @param seed the same makes the same rhythm */
    record RhythmRequest(
            @NotBlank(message = "Name the key, for example B-flat major.") @Size(max = 20)
            String key,

            @NotBlank(message = "Name the meter, for example 4/4.") @Size(max = 10)
            String meter,

            @Min(value = 2, message = "A rhythm has 2 to 16 measures.")
            @Max(value = WrittenMusic.MOST_MEASURES, message = "A rhythm has 2 to 16 measures.")
            int measures,

            @NotNull(message = "Say which values it is made of.")
            Level level,

            @DecimalMin(value = "20", message = "A tempo is 20 to 400 beats a minute.")
            @DecimalMax(value = "400", message = "A tempo is 20 to 400 beats a minute.")
            double tempoBpm,

            @Min(value = 0, message = "Sheets are numbered from 0.")
            @Max(value = 999_999, message = "Sheets are numbered up to {value}.")
            int seed) {}

    record WrittenLineView(UUID lineId) {}

    @PostMapping("/scales")
    @ResponseStatus(HttpStatus.CREATED)
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(
            operationId = "writeScale",
            summary = "Have a scale written as a line that every section reads in its key")
    WrittenLineView scale(@AuthenticationPrincipal SignedIn person, @Valid @RequestBody ScaleRequest request) {
        return new WrittenLineView(
                written.scale(person, request.key(), request.octaves(), request.values(), request.tempoBpm()));
    }

    @PostMapping("/rhythms")
    @ResponseStatus(HttpStatus.CREATED)
    @PreAuthorize("hasAuthority('TEACH')")
    @Operation(
            operationId = "writeRhythm",
            summary = "Have a rhythm written as a line; the same seed makes the same one")
    WrittenLineView rhythm(@AuthenticationPrincipal SignedIn person, @Valid @RequestBody RhythmRequest request) {
        return new WrittenLineView(written.rhythm(
                person,
                request.key(),
                request.meter(),
                request.measures(),
                request.level(),
                request.tempoBpm(),
                request.seed()));
    }
}
