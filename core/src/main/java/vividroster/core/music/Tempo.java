package vividroster.core.music;

/**
 * A tempo mark as it is printed, and what it means in quarters.
 *
 * @param bpm what is played: the middle of a span, or what the file's sound says
 * @param unit the note value counted, for example a dotted quarter; more than nothing
 * @param low and high, beats of that unit a minute; the same where no span is printed
 */
public record Tempo(Bpm bpm, Beats unit, double low, double high) {

    public Tempo {
        if (unit.ticks() <= 0) {
            throw new IllegalArgumentException("a tempo counts a note value longer than nothing");
        }
        if (!(low > 0 && high >= low)) {
            throw new IllegalArgumentException(
                    "a tempo goes from slow to fast, was " + Bpm.said(low) + " to " + Bpm.said(high));
        }
    }

    /** Printed in quarters. */
    public static Tempo of(Bpm bpm) {
        return new Tempo(bpm, Beats.of(1), bpm.value(), bpm.value());
    }

    public static Tempo of(double quartersPerMinute) {
        return of(new Bpm(quartersPerMinute));
    }

    /** The middle of a span is played. @throws IllegalArgumentException when that is no tempo */
    public static Tempo printed(Beats unit, double low, double high) {
        return new Tempo(new Bpm((low + high) / 2 * unit.value()), unit, low, high);
    }

    /** The same print, played at what a file's sound says. */
    public Tempo playedAt(Bpm other) {
        return new Tempo(other, unit, low, high);
    }

    public boolean isSpan() {
        return high > low;
    }

    /** For example "72" or "96–104", in the printed unit. */
    public String numbers() {
        return isSpan() ? Bpm.said(low) + "–" + Bpm.said(high) : Bpm.said(low);
    }
}
