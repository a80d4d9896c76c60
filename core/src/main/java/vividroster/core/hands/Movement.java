package vividroster.core.hands;

import vividroster.core.instrument.Fingering;
import vividroster.core.instrument.Fingering.Keys;
import vividroster.core.instrument.Fingering.OnString;
import vividroster.core.instrument.Fingering.Slide;
import vividroster.core.instrument.Fingering.Valves;

/** What a hand does from one note to the next. */
public final class Movement {

    private Movement() {}

    /** Valves or keys that change; 0 on slides and strings. */
    public static int fingersMoved(Fingering from, Fingering to) {
        if (from instanceof Valves before && to instanceof Valves after) {
            int moved = before.thumb() == after.thumb() ? 0 : 1;
            for (int valve = 1; valve <= 4; valve++) {
                moved += before.down().contains(valve) == after.down().contains(valve) ? 0 : 1;
            }
            return moved;
        }
        return from instanceof Keys before && to instanceof Keys after ? before.movedTo(after) : 0;
    }

    /** Positions the slide travels. */
    public static int travel(Fingering from, Fingering to) {
        return from instanceof Slide before && to instanceof Slide after
                ? Math.abs(before.position() - after.position())
                : 0;
    }

    /** Strings the bow crosses. */
    public static int crossed(Fingering from, Fingering to) {
        return from instanceof OnString before && to instanceof OnString after
                ? Math.abs(before.place() - after.place())
                : 0;
    }

    /** Positions the hand shifts; an open string is played from anywhere. */
    public static int shifted(Fingering from, Fingering to) {
        return from instanceof OnString before && to instanceof OnString after && !before.isOpen() && !after.isOpen()
                ? Math.abs(before.position() - after.position())
                : 0;
    }

    public static boolean breaksRegister(Fingering from, Fingering to) {
        return from instanceof Keys before
                && to instanceof Keys after
                && !before.register().equals(after.register());
    }
}
