package vividroster.bench;

import java.util.List;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.curriculum.PassRule;
import vividroster.core.music.Bpm;
import vividroster.core.music.Key;
import vividroster.core.music.Meter;
import vividroster.server.library.Library;
import vividroster.server.library.LineFacts;
import vividroster.server.platform.Ids;

/** Lines of a book that are known by facts alone, as the measured schools have them. */
final class BenchLines {

    private BenchLines() {}

    /** @return the line's id */
    static UUID add(Library library, UUID programId, UUID bookId, int number) {
        Milestone line = new Milestone(
                Ids.next(),
                MilestoneKind.LINE,
                "" + number,
                "Line " + number,
                false,
                Set.of(),
                1,
                new PassRule.OneGoodTry(),
                List.of());
        library.addLine(
                programId,
                line,
                new LineFacts(
                        line.id(),
                        bookId,
                        4,
                        number,
                        Key.named("B-flat major"),
                        new Meter(4, 4),
                        new Bpm(80),
                        8,
                        OptionalInt.of(8)),
                number);
        return line.id();
    }
}
