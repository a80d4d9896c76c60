package vividroster.server.switching;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import vividroster.core.music.InstrumentCode;
import vividroster.core.text.Lengths;
import vividroster.server.platform.Absent;

/**
 * Students who change instrument on one day, in one act.
 *
 * @param until last day with a borrowed instrument, after which they come back by themselves; absent to stay
 * @param catchUp whether the proposed track is ordered too; not for a borrowed instrument
 */
record SwitchRequest(
        @NotNull(message = "Say from which day.") LocalDate from,
        @Absent LocalDate until,

        @NotEmpty(message = "Say who changes instrument.")
        @Size(max = MOST, message = "At most {max} students at once.")
        @Valid
        List<@NotNull SwitchWanted> students,

        boolean catchUp) {

    static final int MOST = 60;

    /** Who, in which class, and to what. */
    record SwitchWanted(
            @NotNull(message = "Say who changes instrument.")
            UUID studentId,

            @NotNull(message = "Choose a class.") UUID classId,
            @NotNull(message = "Choose an instrument.") InstrumentCode instrument,

            @Absent @Size(max = Lengths.LABEL, message = "At most {max} letters.")
            String division) {}
}
