package vividroster.core.hands;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import vividroster.core.music.Note.Mark;
import vividroster.core.reading.Phrases;
import vividroster.core.reading.TimedView;
import vividroster.core.reading.TimedView.At;

/**
 * Where a line is breathed: at what is written and where its phrases end; a phrase longer than a breath of the stage is
 * parted where a rhythm comes again, at a bar line, after a longer note, near its middle. Neither a tie nor a slur is
 * ever cut, so that what is under one long slur may still be longer.
 */
public final class Breaths {

    /** What speaks for a place, against its distance from the middle in parts of the phrase. Ours, to be tuned. */
    private static final double RHYTHM_AGAIN = 0.5;

    private static final double BAR_LINE = 0.4;
    private static final double LONGER_NOTE = 0.2;
    /** So heavy that a rhythm that comes again after one measure of four parts nothing. */
    private static final double FROM_THE_MIDDLE = 4;

    private Breaths() {}

    /**
     * What is taken in one breath.
     *
     * @param notes with the rests that end it
     * @param seconds without those rests
     */
    public record Breath(List<At> notes, double seconds) {

        /** Whether one breathes after it because it says so: a rest or a breath mark. */
        public boolean endsAsWritten() {
            At last = notes.getLast();
            return last.isRest() || last.note().marks().contains(Mark.BREATH);
        }
    }

    /** In the order of the page. @param most seconds of one breath, more than none */
    public static List<Breath> of(TimedView view, double most) {
        if (!(most > 0)) {
            throw new IllegalArgumentException("a breath must be more than 0 seconds, was " + most);
        }
        List<Breath> breaths = new ArrayList<>();
        for (List<At> phrase : Phrases.of(view)) {
            List<At> rest = phrase;
            // A short rest is no end of a phrase, but the air goes on anew after it.
            for (int i = 0; i < rest.size() - 1; i++) {
                if (rest.get(i).isRest() && !rest.get(i + 1).isRest()) {
                    part(rest.subList(0, i + 1), most, breaths);
                    rest = rest.subList(i + 1, rest.size());
                    i = -1;
                }
            }
            part(rest, most, breaths);
        }
        return breaths;
    }

    private static void part(List<At> phrase, double most, List<Breath> breaths) {
        double all = seconds(phrase);
        int best = -1;
        double worth = Double.NEGATIVE_INFINITY;
        if (all > most) {
            double before = 0;
            for (int i = 0; i < phrase.size() - 1; i++) {
                before += sounding(phrase.get(i));
                At next = phrase.get(i + 1);
                if (next.tiedIn() || next.slurredIn() || next.isRest() || before <= 0) {
                    continue;
                }
                double here = worth(phrase, i) - FROM_THE_MIDDLE * Math.abs(before / all - 0.5);
                if (here > worth) {
                    worth = here;
                    best = i;
                }
            }
        }
        if (best < 0) {
            if (all > 0) {
                breaths.add(new Breath(phrase, all));
            }
            return;
        }
        part(phrase.subList(0, best + 1), most, breaths);
        part(phrase.subList(best + 1, phrase.size()), most, breaths);
    }

    private static double worth(List<At> phrase, int at) {
        At here = phrase.get(at);
        At next = phrase.get(at + 1);
        double worth = here.note().length().compareTo(next.note().length()) > 0 ? LONGER_NOTE : 0;
        if (here.measure() != next.measure()) {
            worth += BAR_LINE;
            worth += rhythm(phrase, next.measure())
                            .equals(rhythm(phrase, phrase.getFirst().measure()))
                    ? RHYTHM_AGAIN
                    : 0;
        }
        return worth;
    }

    private static List<Integer> rhythm(List<At> phrase, int measure) {
        return phrase.stream()
                .filter(at -> at.measure() == measure)
                .map(at -> at.note().length().ticks() * (at.isRest() ? -1 : 1))
                .collect(Collectors.toList());
    }

    private static double seconds(List<At> notes) {
        double seconds = 0;
        for (At at : notes) {
            seconds += sounding(at);
        }
        return seconds;
    }

    private static double sounding(At at) {
        return at.isRest() ? 0 : at.seconds();
    }
}
