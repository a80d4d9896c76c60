package vividroster.server.writtenchecks;

import java.util.List;
import java.util.stream.Collectors;
import vividroster.core.instrument.Fingering;
import vividroster.core.music.Part;
import vividroster.core.reading.Numbering;
import vividroster.core.written.WrittenQuestion;
import vividroster.server.lines.WrittenSources;

/** Questions of a written check and their answers, in words. */
final class WrittenWording {

    private static final int MOST_WAYS = 3;

    private WrittenWording() {}

    static String question(WrittenQuestion question, Part part, Numbering numbering) {
        return switch (question) {
            case WrittenQuestion.NameNote named ->
                place(part, named.measure(), named.note(), numbering) + ": what is it called?";
            case WrittenQuestion.CountMeasure counted ->
                "Measure " + numbering.of(part, counted.measure())
                        + ": write the count under it. Put what is held in round brackets, rests in square ones.";
            case WrittenQuestion.StillAltered still ->
                "Measure " + numbering.of(part, still.measure())
                        + ": one note is altered although nothing is printed before it. Which one?";
            case WrittenQuestion.KeySignature signature ->
                "Which notes does the key signature make " + (signature.key().fifths() > 0 ? "sharp" : "flat") + "?";
            case WrittenQuestion.WayThrough way -> "Write the numbers of the measures in the order they are played.";
            case WrittenQuestion.Finger finger ->
                place(part, finger.measure(), finger.note(), numbering) + ": how is it fingered?";
        };
    }

    static String answer(WrittenQuestion question, Part part, Numbering numbering) {
        return switch (question) {
            case WrittenQuestion.NameNote named -> WrittenSources.said(named.pitch());
            case WrittenQuestion.CountMeasure counted -> counted.spoken();
            case WrittenQuestion.StillAltered still ->
                WrittenSources.said(still.pitch()) + ", " + ordinal(noteNumber(part, still.measure(), still.note()))
                        + " note";
            case WrittenQuestion.KeySignature signature ->
                signature.letters().stream()
                        .map(letter -> letter + (signature.key().fifths() > 0 ? "-sharp" : "-flat"))
                        .collect(Collectors.joining(", "));
            case WrittenQuestion.WayThrough way -> way(way.measures(), part, numbering);
            case WrittenQuestion.Finger finger ->
                finger.ways().stream()
                        .limit(MOST_WAYS)
                        .map(Fingering::label)
                        .distinct()
                        .collect(Collectors.joining(", or "));
        };
    }

    private static String way(List<Integer> measures, Part part, Numbering numbering) {
        return measures.stream()
                .map(measure -> String.valueOf(numbering.of(part, measure)))
                .collect(Collectors.joining(" "));
    }

    private static String place(Part part, int measure, int note, Numbering numbering) {
        return "Measure " + numbering.of(part, measure) + ", " + ordinal(noteNumber(part, measure, note)) + " note";
    }

    /** Among the notes of its measure, rests not counted, from 1. */
    private static int noteNumber(Part part, int measure, int note) {
        return (int) part.measures().get(measure).notes().subList(0, note + 1).stream()
                .filter(one -> !one.isRest())
                .count();
    }

    private static String ordinal(int number) {
        return number
                + switch (number) {
                    case 1, 21 -> "st";
                    case 2, 22 -> "nd";
                    case 3, 23 -> "rd";
                    default -> "th";
                };
    }
}
