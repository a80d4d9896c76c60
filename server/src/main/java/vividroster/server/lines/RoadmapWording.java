package vividroster.server.lines;

import java.util.stream.Collectors;
import vividroster.core.music.Part;
import vividroster.core.music.Signs;
import vividroster.core.music.Signs.Jump;
import vividroster.core.reading.Numbering;
import vividroster.core.reading.RoadmapException;

/** Why there is no way through a line, in the programme's measure numbers. */
final class RoadmapWording {

    private RoadmapWording() {}

    /** For example: Measure 8: "D.C. al Fine" finds no Fine to end at. */
    static String sentence(RoadmapException fault, Part part, Numbering numbering) {
        return "Measure " + numbering.of(part, fault.index()) + ": " + why(fault, part) + ".";
    }

    private static String why(RoadmapException fault, Part part) {
        String jump = "\"" + fault.jump().map(Jump::words).orElse("") + "\"";
        Signs here = part.measures().get(fault.index()).signs();
        return switch (fault.fault()) {
            case NO_SEGNO -> jump + " finds no segno to go to";
            case NO_FINE -> jump + " finds no Fine to end at";
            case NO_CODA ->
                fault.jump().isPresent()
                        ? jump + " finds no sign that leads to a coda"
                        : "the coda that is gone to is not there";
            case FINE_NOT_REACHED -> "after " + jump + " this Fine is never come to, so it is not known where to end";
            case TO_CODA_NOT_REACHED ->
                "after " + jump + " this way to the coda is never come to, so it is not known how to go on";
            case ENDING_NOT_REACHED ->
                "the ending \""
                        + here.endingBegins().stream()
                                .sorted()
                                .map(n -> n + ".")
                                .collect(Collectors.joining(" "))
                        + "\" is never come to";
            case NO_END -> "the way through the measures would not end";
        };
    }
}
