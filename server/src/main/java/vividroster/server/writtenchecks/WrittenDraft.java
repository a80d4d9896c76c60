package vividroster.server.writtenchecks;

import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import vividroster.core.curriculum.Criterion;
import vividroster.core.text.Lengths;
import vividroster.core.written.WrittenCheck;
import vividroster.core.written.WrittenQuestion.Ask;
import vividroster.server.platform.Absent;

/**
 * A written check as a director sets it, and as it is kept.
 *
 * @param lineIds lines it is made from; none where it is a paper of one's own
 * @param asks what is asked of them
 * @param questions on one sheet; of a paper of one's own not used
 * @param seed number of the sheet: the same makes the same
 * @param topPoints there are; absent where it is done or not
 * @param mark points that pass
 */
record WrittenDraft(
        @NotBlank(message = "Give the check a short name, for a column's head.")
        @Size(max = Lengths.SHORT_NAME, message = "A short name has at most {max} letters.")
        String shortName,

        @NotBlank(message = "Give the check a title.")
        @Size(max = Lengths.TITLE, message = "A title has at most {max} letters.")
        String title,

        @NotNull @Size(max = 6, message = "A sheet is made from at most {max} lines.")
        List<@NotNull UUID> lineIds,

        @NotNull Set<@NotNull Ask> asks,

        @Min(value = 1, message = "A sheet has 1 to 40 questions.")
        @Max(value = WrittenCheck.MOST_QUESTIONS, message = "A sheet has 1 to 40 questions.")
        int questions,

        @Min(value = 0, message = "Sheets are numbered from 0.")
        @Max(value = 999_999, message = "Sheets are numbered up to {value}.")
        int seed,

        @Absent
        @Min(value = 1, message = "There is one point at least.")
        @Max(value = Criterion.MOST_POINTS, message = "There are at most {value} points.")
        Integer topPoints,

        @Absent @Min(value = 1, message = "One point at least passes.")
        Integer mark) {}
