package vividroster.core.reading;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import vividroster.core.music.Signs;

/**
 * What is repeated, as it stands on paper. A closing repeat goes back to the nearest repeat still open; without one, to
 * just after what was closed last; without that, to the very beginning. A coda begins anew, so that its own repeat never
 * holds the jump that leads to it. Source: the rules of notation for repeats and what is easily missed.
 */
final class Strains {

    /** @param first and last measure of it, by index; plays of all */
    record Strain(int first, int last, int plays) {
        boolean holds(int at) {
            return first <= at && at <= last;
        }
    }

    private final List<Strain> strains = new ArrayList<>();
    private final Strain[] closedAt;

    Strains(List<Signs> signs, Endings endings) {
        closedAt = new Strain[signs.size()];
        Deque<Integer> open = new ArrayDeque<>();
        int closed = 0;
        int groupStart = 0;
        boolean jumpBefore = false;
        for (int i = 0; i < signs.size(); i++) {
            Signs here = signs.get(i);
            if (here.coda().isPresent() && jumpBefore) {
                open.clear();
                closed = i;
            }
            if (here.forwardRepeat()) {
                open.push(i);
            }
            Optional<Endings.Group> group = endings.groupOver(i);
            if (group.isPresent() && group.get().first() == i) {
                groupStart = open.isEmpty() ? closed : open.peek();
            }
            if (group.isEmpty() && here.closesRepeat()) {
                int first = open.isEmpty() ? closed : open.pop();
                keep(new Strain(first, i, here.repeatTimes()), List.of(i));
                closed = i + 1;
            }
            if (group.isPresent() && group.get().last() == i) {
                group(signs, group.get(), groupStart);
                if (!open.isEmpty()) {
                    open.pop();
                }
                closed = i + 1;
            }
            jumpBefore |= here.jump().isPresent();
        }
    }

    private void group(List<Signs> signs, Endings.Group group, int first) {
        List<Integer> closing = new ArrayList<>();
        int plays = group.most();
        for (int i = group.first(); i <= group.last(); i++) {
            if (signs.get(i).closesRepeat()) {
                closing.add(i);
                plays = Math.max(plays, signs.get(i).repeatTimes());
            }
        }
        if (!closing.isEmpty()) {
            keep(new Strain(first, group.last(), plays), closing);
        }
    }

    private void keep(Strain strain, List<Integer> closing) {
        strains.add(strain);
        closing.forEach(at -> closedAt[at] = strain);
    }

    /** The strain that a closing repeat after this measure sends back. */
    Optional<Strain> closedAt(int at) {
        return Optional.ofNullable(closedAt[at]);
    }

    /** All that hold a measure, the innermost first. */
    List<Strain> over(int at) {
        return strains.stream().filter(s -> s.holds(at)).toList();
    }

    List<Strain> all() {
        return strains;
    }
}
