package vividroster.server.lines;

import java.util.List;
import java.util.stream.Collectors;
import vividroster.core.music.Notated;
import vividroster.core.music.Tempo;
import vividroster.core.music.TempoMark;

/** A tempo as it is printed. */
final class TempoWording {

    private TempoWording() {}

    /** For example "quarter = 72" or "dotted quarter = 60–64". */
    static String words(Tempo tempo) {
        return Notated.of(tempo.unit()).getFirst().name() + " = " + tempo.numbers();
    }

    /** Null where none is printed. */
    static String words(List<TempoMark> marks) {
        return marks.isEmpty()
                ? null
                : marks.stream().map(m -> words(m.tempo())).collect(Collectors.joining(", "));
    }
}
