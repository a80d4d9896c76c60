package vividroster.server.lines;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
import java.util.stream.Collectors;
import vividroster.core.hands.Bowing;
import vividroster.core.hands.Bowing.Disagreement;
import vividroster.core.hands.Gliding;
import vividroster.core.hands.Gliding.Glided;
import vividroster.core.hands.Gliding.Join;
import vividroster.core.hands.Gliding.SlideSlur;
import vividroster.core.hands.Rolls;
import vividroster.core.instrument.Family;
import vividroster.core.instrument.FingeringChart;
import vividroster.core.instrument.Instrument;
import vividroster.core.rehearsal.Reading;
import vividroster.server.lines.LineViews.HandNoteView;
import vividroster.server.platform.Words;

/** What a section is told of its hands: bows that do not come out, slurs of the slide, glides, the clarinet's roll. */
final class HandNotes {

    private HandNotes() {}

    static List<HandNoteView> of(
            Instrument instrument, Reading reading, FingeringChart chart, Conventions conventions) {
        Numbers numbers = new Numbers(reading, conventions);
        List<HandNoteView> notes = new ArrayList<>();
        if (instrument.family() == Family.STRING) {
            bows(reading, numbers, notes);
        }
        slides(reading, numbers, notes);
        for (Glided glide : Gliding.glides(reading.view(), chart)) {
            notes.add(new HandNoteView(
                    "GLIDE", List.of(numbers.of(glide.measure())), glide(glide, numbers.of(glide.measure()))));
        }
        TreeSet<Integer> rolls = Rolls.of(reading.view(), reading.fingers()).stream()
                .map(roll -> numbers.of(roll.measure()))
                .collect(Collectors.toCollection(TreeSet::new));
        if (!rolls.isEmpty()) {
            notes.add(new HandNoteView(
                    "ROLL",
                    List.copyOf(rolls),
                    "Roll between the A key and the hole, the first finger never leaves the instrument: "
                            + inMeasures(rolls)));
        }
        return notes;
    }

    private record Numbers(Reading reading, Conventions conventions) {
        int of(int measure) {
            return conventions.numbering().of(reading.written(), measure);
        }
    }

    private static void bows(Reading reading, Numbers numbers, List<HandNoteView> notes) {
        Map<Disagreement, TreeSet<Integer>> found = new EnumMap<>(Disagreement.class);
        Bowing.of(reading.view())
                .clashes()
                .forEach(clash -> found.computeIfAbsent(clash.what(), what -> new TreeSet<>())
                        .add(numbers.of(clash.measure())));
        found.forEach((what, measures) ->
                notes.add(new HandNoteView("BOW", List.copyOf(measures), clash(what) + ": " + inMeasures(measures))));
    }

    private static String clash(Disagreement what) {
        return switch (what) {
            case NO_TIME_TO_LIFT -> "The printed bow needs a lift and there is no rest for it";
            case FIRST_BEAT_PRINTED_UP -> "The first beat is printed up-bow";
            case FIRST_BEAT_COMES_UP -> "The first beat comes on an up-bow";
            case UNDER_SLUR -> "A bow is printed under a slur, where it cannot turn";
            case BOTH_PRINTED -> "Both bows are printed at one note";
        };
    }

    private static void slides(Reading reading, Numbers numbers, List<HandNoteView> notes) {
        Map<Join, TreeSet<Integer>> found = new EnumMap<>(Join.class);
        for (SlideSlur slur : Gliding.slurs(reading.view(), reading.fingers())) {
            found.computeIfAbsent(slur.join(), join -> new TreeSet<>()).add(numbers.of(slur.measure()));
        }
        found.forEach((join, measures) ->
                notes.add(new HandNoteView("SLIDE", List.copyOf(measures), join(join) + ": " + inMeasures(measures))));
    }

    private static String join(Join join) {
        return switch (join) {
            case NATURAL -> "Natural slur, the lips change the note and no tongue";
            case LEGATO_TONGUE -> "Legato tongue inside the slur";
            case WOULD_SMEAR -> "The slide would smear in the slur, touch it with a legato tongue as it moves";
        };
    }

    private static String glide(Glided glide, int number) {
        String at = "Glide in measure " + number;
        return switch (glide.glide()) {
            case PLAYABLE ->
                at + ": hit the first, travel, arrive on time, from " + DemandWording.fingering(glide.from()) + " to "
                        + DemandWording.fingering(glide.to());
            case NOTHING_IN_COMMON -> at + " cannot be played: its two notes share no partial and no string";
            case NO_WAY_TO_GO -> at + " has no way to go, its two notes are one";
            case NO_END -> at + " has no note to arrive on";
            case NOT_HERE -> at + ": this instrument does not glide, play the first note full and leave it out";
        };
    }

    private static String inMeasures(TreeSet<Integer> measures) {
        return Words.agreeing(measures.size(), "measure", "measures")
                + " "
                + measures.stream().map(String::valueOf).collect(Collectors.joining(", "));
    }
}
