package vividroster.server.lines;

import java.util.ArrayList;
import java.util.List;
import vividroster.core.music.Part;
import vividroster.core.reading.Fitted;
import vividroster.core.reading.Fitted.Move;
import vividroster.core.reading.Numbering;
import vividroster.server.lines.LineViews.MovedView;

/** Says where a line leaves the home octave, and why. */
final class OctaveWording {

    private OctaveWording() {}

    static List<MovedView> moved(Fitted fitted, Numbering numbering) {
        Part part = fitted.part();
        List<MovedView> moved = new ArrayList<>();
        if (fitted.register() != 0) {
            moved.add(new MovedView(
                    numbering.of(part, 0),
                    numbering.of(part, part.measures().size() - 1),
                    -fitted.register(),
                    "The whole line is read " + far(-fitted.register()) + ", since the page has it "
                            + far(fitted.register()) + " than the first five notes."));
        }
        for (Move move : fitted.moves()) {
            int from = numbering.of(part, move.fromMeasure());
            int to = numbering.of(part, move.toMeasure());
            moved.add(new MovedView(
                    from,
                    to,
                    move.octaves(),
                    where(move, part, from, to) + " read " + far(move.octaves()) + ": " + why(move.why()) + "."));
        }
        return moved;
    }

    private static String where(Move move, Part part, int from, int to) {
        boolean all =
                move.fromMeasure() == 0 && move.toMeasure() == part.measures().size() - 1;
        return all
                ? "The whole line is"
                : from == to ? "Measure " + from + " is" : "Measures " + from + " to " + to + " are";
    }

    private static String far(int octaves) {
        return (Math.abs(octaves) == 1 ? "an octave" : Math.abs(octaves) + " octaves")
                + (octaves < 0 ? " lower" : " higher");
    }

    private static String why(Fitted.Why why) {
        return switch (why) {
            case ABOVE_STAGE -> "in the usual octave it goes above what this stage is asked for";
            case BELOW_STAGE -> "in the usual octave it goes below what this stage is asked for";
            case ABOVE_INSTRUMENT -> "in the usual octave it goes above the instrument";
            case BELOW_INSTRUMENT -> "in the usual octave it goes below the instrument";
        };
    }
}
