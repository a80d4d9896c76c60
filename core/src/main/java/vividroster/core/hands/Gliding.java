package vividroster.core.hands;

import java.util.ArrayList;
import java.util.List;
import vividroster.core.instrument.Fingering;
import vividroster.core.instrument.Fingering.OnString;
import vividroster.core.instrument.Fingering.Slide;
import vividroster.core.instrument.FingeringChart;
import vividroster.core.music.Note.Mark;
import vividroster.core.music.Pitch;
import vividroster.core.reading.TimedView;
import vividroster.core.reading.TimedView.At;

/**
 * Slurs of a slide, and written glides. A slur is natural where the partial changes and the slide does not follow it:
 * held still, or moved the other way than the pitch; everything else takes a legato tongue, and within one partial the
 * slide would be heard. Source: the two ways of slurring that teachers of the trombone tell apart.
 */
public final class Gliding {

    private Gliding() {}

    /** How two slurred notes of a slide are joined. */
    public enum Join {
        NATURAL,
        LEGATO_TONGUE,
        /** A legato tongue too, and without it one hears the slide. */
        WOULD_SMEAR
    }

    /** @param measure and note of the second of the two */
    public record SlideSlur(int measure, int note, Join join) {}

    /** Whether a written glide can be played. */
    public enum Glide {
        /** On one partial, or one string, from the one to the other. */
        PLAYABLE,
        /** Both notes can be played, but on no partial or string in common. */
        NOTHING_IN_COMMON,
        /** The two are one place of slide or string. */
        NO_WAY_TO_GO,
        /** It ends at a rest, or the line does. */
        NO_END,
        /** Valves, keys and bars do not glide. */
        NOT_HERE
    }

    /**
     * @param measure and note of the one it begins on
     * @param from and to as they are taken for it; null where it is not playable
     */
    public record Glided(int measure, int note, Glide glide, Fingering from, Fingering to) {}

    /** In the order of the page; none but on a slide. */
    public static List<SlideSlur> slurs(TimedView view, Fingers fingers) {
        List<SlideSlur> slurs = new ArrayList<>();
        At before = null;
        for (List<At> row : view.notes()) {
            for (At at : row) {
                if (at.slurredIn()
                        && !at.tiedIn()
                        && before != null
                        && fingers.at(before).orElse(null) instanceof Slide from
                        && fingers.at(at).orElse(null) instanceof Slide to) {
                    slurs.add(new SlideSlur(at.measure(), at.index(), join(from, midi(before), to, midi(at))));
                }
                before = at.isRest() ? null : at;
            }
        }
        return List.copyOf(slurs);
    }

    private static int midi(At at) {
        return at.note().pitch().orElseThrow().midi();
    }

    static Join join(Slide from, int fromMidi, Slide to, int toMidi) {
        boolean samePartial = from.partial() == to.partial() && from.attachment() == to.attachment();
        if (samePartial) {
            return from.position() == to.position() ? Join.LEGATO_TONGUE : Join.WOULD_SMEAR;
        }
        int out = to.position() - from.position();
        int higher = toMidi - fromMidi;
        // Pulled in, a slide raises: with the partial going down it moves against the pitch, and out the other way.
        boolean follows = out < 0 && higher > 0 || out > 0 && higher < 0;
        return follows ? Join.LEGATO_TONGUE : Join.NATURAL;
    }

    /** Every glide that is written, in the order of the page. */
    public static List<Glided> glides(TimedView view, FingeringChart chart) {
        List<Glided> glides = new ArrayList<>();
        List<At> all = view.notes().stream().flatMap(List::stream).toList();
        for (int i = 0; i < all.size(); i++) {
            At at = all.get(i);
            if (at.isRest() || !at.note().marks().contains(Mark.GLISSANDO)) {
                continue;
            }
            At next = i + 1 < all.size() ? all.get(i + 1) : null;
            glides.add(
                    next == null || next.isRest()
                            ? new Glided(at.measure(), at.index(), Glide.NO_END, null, null)
                            : glide(at, next, chart));
        }
        return List.copyOf(glides);
    }

    private static Glided glide(At at, At next, FingeringChart chart) {
        Pitch first = at.note().pitch().orElseThrow();
        Pitch last = next.note().pitch().orElseThrow();
        Glide why = Glide.NOT_HERE;
        for (Fingering from : chart.of(first)) {
            for (Fingering to : chart.of(last)) {
                Glide here = between(from, to);
                if (here == Glide.PLAYABLE) {
                    return new Glided(at.measure(), at.index(), here, from, to);
                }
                why = here == Glide.NOT_HERE ? why : first.midi() == last.midi() ? Glide.NO_WAY_TO_GO : here;
            }
        }
        return new Glided(at.measure(), at.index(), why, null, null);
    }

    private static Glide between(Fingering from, Fingering to) {
        if (from instanceof Slide a && to instanceof Slide b) {
            boolean one = a.partial() == b.partial() && a.attachment() == b.attachment();
            return one && a.position() != b.position() ? Glide.PLAYABLE : Glide.NOTHING_IN_COMMON;
        }
        if (from instanceof OnString a && to instanceof OnString b) {
            boolean stopped = !a.isOpen() && !b.isOpen() && (a.finger() != b.finger() || a.position() != b.position());
            return a.place() == b.place() && stopped ? Glide.PLAYABLE : Glide.NOTHING_IN_COMMON;
        }
        return Glide.NOT_HERE;
    }
}
