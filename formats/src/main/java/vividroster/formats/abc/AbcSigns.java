package vividroster.formats.abc;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import vividroster.core.music.Measure;
import vividroster.core.music.Signs;
import vividroster.core.music.Signs.Jump;
import vividroster.formats.score.JumpWords;
import vividroster.formats.score.JumpWords.Said;

/** Bar lines, brackets and jumps on their way to the measures they belong to. */
final class AbcSigns {

    /** For the measure that comes next. */
    private boolean forward;

    private Set<Integer> ending = Set.of();
    private Optional<String> segno = Optional.empty();
    private Optional<String> coda = Optional.empty();
    /** For the measure being read. */
    private Optional<String> toCoda = Optional.empty();

    private boolean fine;
    private Optional<Jump> jump = Optional.empty();
    private boolean lastClosed;
    private boolean lastDouble;

    /** Whether a decoration says something of the way; then it is kept for the measure it belongs to. */
    boolean decoration(String name) {
        switch (name.toLowerCase(Locale.ROOT).replaceAll("[ ._-]", "")) {
            case "segno" -> segno = Optional.of("");
            case "coda" -> coda = Optional.of("");
            case "tocoda", "dacoda" -> toCoda = Optional.of("");
            case "fine" -> fine = true;
            default -> {
                return JumpWords.in(name).filter(this::said).isPresent();
            }
        }
        return true;
    }

    /** Printed words that say something of the way. @return true */
    boolean said(Said words) {
        switch (words) {
            case Said.Jumps jumps -> jump = Optional.of(jumps.jump());
            case Said.Fine end -> fine = true;
            case Said.ToCoda to -> toCoda = Optional.of(to.name());
            case Said.Coda here -> coda = Optional.of(here.name());
            case Said.Segno here -> segno = Optional.of(here.name());
        }
        return true;
    }

    /** Whether the measure before ended with a repeat or a double bar, so that a short one may be its other half. */
    boolean afterRepeatWithin() {
        return lastClosed || forward || lastDouble;
    }

    /** The signs of the measure that ends with this bar; what the bar opens is kept for the next. */
    Signs take(AbcBars bar) {
        Signs signs = new Signs(forward, bar.times(), ending, false, segno, coda, toCoda, fine, jump);
        forward = bar.opens();
        ending = bar.ending();
        segno = Optional.empty();
        coda = Optional.empty();
        toCoda = Optional.empty();
        fine = false;
        jump = Optional.empty();
        lastClosed = bar.closes();
        lastDouble = bar.isDouble();
        return signs;
    }

    /** A second bar line behind the same measure. */
    Signs more(Signs had, AbcBars bar) {
        before(bar);
        lastClosed |= bar.closes();
        lastDouble |= bar.isDouble();
        Signs late =
                new Signs(false, bar.times(), Set.of(), false, Optional.empty(), Optional.empty(), toCoda, fine, jump);
        toCoda = Optional.empty();
        fine = false;
        jump = Optional.empty();
        return had.with(late);
    }

    /** A bar line before the first note. */
    void before(AbcBars bar) {
        forward |= bar.opens();
        ending = bar.ending().isEmpty() ? ending : bar.ending();
    }

    /**
     * Brackets end where ABC ends them: at a closing repeat, before the next bracket, or with the last one's own
     * measure; and a bracket asks for as many plays as its highest number.
     */
    List<Measure> closed(List<Measure> measures) {
        List<Measure> all = new ArrayList<>(measures);
        for (int i = 0; i < all.size(); i++) {
            if (all.get(i).signs().endingBegins().isEmpty()) {
                continue;
            }
            int last = i;
            while (last + 1 < all.size()
                    && !all.get(last).signs().closesRepeat()
                    && all.get(last + 1).signs().endingBegins().isEmpty()
                    && hasRepeatBefore(all, last + 1)) {
                last++;
            }
            Signs s = all.get(last).signs();
            all.set(
                    last,
                    all.get(last)
                            .withSigns(new Signs(
                                    s.forwardRepeat(),
                                    s.repeatTimes(),
                                    s.endingBegins(),
                                    true,
                                    s.segno(),
                                    s.coda(),
                                    s.toCoda(),
                                    s.fine(),
                                    s.jump())));
        }
        return all;
    }

    /** Whether a closing repeat comes before any new strain, so that a first bracket may be longer than a measure. */
    private static boolean hasRepeatBefore(List<Measure> all, int from) {
        for (int i = from; i < all.size(); i++) {
            if (all.get(i).signs().forwardRepeat()
                    || !all.get(i).signs().endingBegins().isEmpty()) {
                return false;
            }
            if (all.get(i).signs().closesRepeat()) {
                return true;
            }
        }
        return false;
    }
}
