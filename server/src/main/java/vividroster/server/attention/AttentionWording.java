package vividroster.server.attention;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.Optional;
import vividroster.core.curriculum.Milestone;
import vividroster.core.progress.AttentionReasons;
import vividroster.core.progress.AttentionReasons.Reason;
import vividroster.server.belts.BeltBoards;
import vividroster.server.platform.Words;

/** Why somebody needs attention, and what is to be done, in sentences. */
final class AttentionWording {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM", Locale.ENGLISH);

    private AttentionWording() {}

    /** @param milestone what the reason is about or what helps */
    static String why(Reason reason, Optional<Milestone> milestone) {
        String name = milestone.map(BeltBoards::name).orElse("");
        return switch (reason.kind()) {
            case PAIN -> "Pain was reported on " + day(reason.since().orElseThrow()) + " and nobody has asked yet.";
            case TRIED_OFTEN -> Words.counted(reason.count(), "try", "tries") + " on " + name + " without a pass.";
            case PACE_FALLEN ->
                Words.counted(reason.count(), "pass", "passes") + " in the last " + AttentionReasons.PACE_WEEKS
                        + " weeks of lessons, " + reason.before() + " in those before.";
            case BELT_STALLED ->
                "Nothing towards the next belt for " + Words.counted(reason.count(), "week") + " of lessons.";
            case UNHEARD ->
                reason.since()
                        .map(last -> "Not heard since " + day(last) + ", " + Words.counted(reason.count(), "day")
                                + ", and something is open.")
                        .orElse("Never heard, and something is open.");
            case VARIANT_OVERDUE ->
                "A variant or fit was to be looked at again on "
                        + day(reason.since().orElseThrow()) + ".";
        };
    }

    /** @param triedInVain whether what helps was tried so often that another remedy comes first */
    static String next(Reason reason, Optional<Milestone> milestone, boolean triedInVain) {
        String name = milestone.map(BeltBoards::name).orElse("");
        return switch (reason.kind()) {
            case PAIN -> "Ask before they play";
            case TRIED_OFTEN -> "Another remedy before another try";
            case PACE_FALLEN ->
                triedInVain || milestone.isEmpty() ? "Ask what changed" : "Ask what changed; hear " + name;
            case BELT_STALLED -> triedInVain ? "A remedy for " + name + " brings it nearer" : "Hear " + name;
            case UNHEARD -> triedInVain ? "A remedy for " + name + ", then hear it" : "Hear " + name + " first";
            case VARIANT_OVERDUE -> "Look at it again";
        };
    }

    private static String day(LocalDate day) {
        return day.format(DAY);
    }
}
