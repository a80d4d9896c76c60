package vividroster.core.reading;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import vividroster.core.music.Part;
import vividroster.core.music.Signs;
import vividroster.core.music.Signs.Until;

/**
 * The measures in the order they are really played. Source: the rules of notation for repeats, endings and jumps.
 *
 * @param played in order
 */
public record Roadmap(List<Played> played) {

    private static final int MOST_PLAYED = 20_000;

    /**
     * @param index of the measure in the part, from 0
     * @param pass of its strain, from 1
     * @param afterJump whether a jump was made before
     */
    public record Played(int index, int pass, boolean afterJump) {}

    /** @param repeatsAfterJump whether repeats are taken again after D.C. or D.S.; by custom they are not */
    public record Options(boolean repeatsAfterJump) {
        public static final Options USUAL = new Options(false);
    }

    /** Why there is no way through. */
    public enum Fault {
        NO_SEGNO,
        NO_CODA,
        NO_FINE,
        NO_END
    }

    /** A roadmap that leads nowhere or never ends. */
    public static final class RoadmapException extends IllegalArgumentException {

        private static final long serialVersionUID = 1L;
        private final Fault fault;
        private final int measure;

        RoadmapException(Fault fault, int measure, String message) {
            super(message);
            this.fault = fault;
            this.measure = measure;
        }

        public Fault fault() {
            return fault;
        }

        /** Number of the measure where it goes wrong, as counted. */
        public int measure() {
            return measure;
        }
    }

    public Roadmap {
        played = List.copyOf(played);
    }

    public List<Integer> indices() {
        return played.stream().map(Played::index).toList();
    }

    /** @throws RoadmapException when a jump has no target, or the way would not end */
    public static Roadmap of(Part part, Options options) {
        return new Walk(part, options).walk();
    }

    /** A repeat that is open: where it goes back to and which pass this is. */
    private static final class Strain {
        final int start;
        int pass = 1;

        Strain(int start) {
            this.start = start;
        }
    }

    private static final class Walk {

        private final List<Signs> signs;
        private final List<Integer> numbers;
        private final Endings endings;
        private final Options options;
        private final Deque<Strain> open = new ArrayDeque<>();
        private final Set<Integer> jumped = new HashSet<>();
        private final List<Played> played = new ArrayList<>();
        private int lastClosed;
        private Optional<Signs.Jump> lastJump = Optional.empty();
        private boolean inCoda;

        Walk(Part part, Options options) {
            this.signs = part.measures().stream().map(m -> m.signs()).toList();
            this.numbers = part.measures().stream().map(m -> m.number()).toList();
            this.endings = new Endings(signs);
            this.options = options;
        }

        Roadmap walk() {
            int at = 0;
            while (at < signs.size()) {
                if (played.size() >= MOST_PLAYED) {
                    throw new RoadmapException(
                            Fault.NO_END, numbers.get(at), "the way through the measures would not end");
                }
                at = step(at);
            }
            return new Roadmap(played);
        }

        private boolean repeatsCount() {
            return lastJump.isEmpty() || inCoda || options.repeatsAfterJump();
        }

        private int step(int at) {
            Signs here = signs.get(at);
            if (here.forwardRepeat() && (open.isEmpty() || open.peek().start != at)) {
                open.push(new Strain(at));
            }
            if (!here.endingBegins().isEmpty()) {
                if (open.isEmpty()) {
                    open.push(new Strain(lastClosed));
                }
                int pass = repeatsCount() ? open.peek().pass : endings.passesOf(at);
                if (!here.endingBegins().contains(pass)) {
                    return endings.after(at);
                }
            }
            played.add(new Played(at, open.isEmpty() ? 1 : open.peek().pass, lastJump.isPresent()));
            if (here.closesRepeat()) {
                if (open.isEmpty()) {
                    open.push(new Strain(lastClosed));
                }
                Strain strain = open.peek();
                if (repeatsCount() && strain.pass < timesAt(at)) {
                    strain.pass++;
                    return strain.start;
                }
                if (!endings.goOnAfter(at)) {
                    close(at);
                }
            } else if (endings.lastEndsAt(at)) {
                close(at);
            }
            return leave(at, here);
        }

        private void close(int at) {
            if (!open.isEmpty()) {
                open.pop();
            }
            lastClosed = at + 1;
        }

        private int timesAt(int at) {
            return Math.max(signs.get(at).repeatTimes(), endings.passesAt(at));
        }

        /** Where it goes on after a measure that no repeat sends back. */
        private int leave(int at, Signs here) {
            if (lastJump.isPresent() && !inCoda) {
                if (here.fine() && lastJump.get().until() != Until.CODA) {
                    return signs.size();
                }
                if (here.toCoda().isPresent() && lastJump.get().until() != Until.FINE) {
                    inCoda = true;
                    open.clear();
                    int coda = find(here.toCoda().get(), at);
                    lastClosed = coda;
                    return coda;
                }
            }
            if (here.jump().isPresent() && !jumped.contains(at) && !isRepeatedYet(at)) {
                return jump(at, here.jump().get());
            }
            return at + 1;
        }

        private int jump(int at, Signs.Jump jump) {
            jumped.add(at);
            int target = 0;
            if (jump.segno().isPresent()) {
                target = indexOf(s -> s.segno().isPresent() && s.segno().equals(jump.segno()));
                if (target < 0) {
                    throw new RoadmapException(
                            Fault.NO_SEGNO, numbers.get(at), "\"" + jump.words() + "\" finds no segno to go to");
                }
            }
            if (jump.until() == Until.FINE && indexOf(Signs::fine) < 0) {
                throw new RoadmapException(
                        Fault.NO_FINE, numbers.get(at), "\"" + jump.words() + "\" finds no Fine to end at");
            }
            if (jump.until() == Until.CODA && indexOf(s -> s.toCoda().isPresent()) < 0) {
                throw new RoadmapException(
                        Fault.NO_CODA, numbers.get(at), "\"" + jump.words() + "\" finds no sign that leads to a coda");
            }
            lastJump = Optional.of(jump);
            inCoda = false;
            open.clear();
            lastClosed = target;
            return target;
        }

        private int find(String coda, int at) {
            int index = indexOf(s -> s.coda().isPresent() && s.coda().get().equals(coda));
            if (index < 0) {
                throw new RoadmapException(Fault.NO_CODA, numbers.get(at), "the coda that is gone to is not there");
            }
            return index;
        }

        private int indexOf(java.util.function.Predicate<Signs> sought) {
            for (int i = 0; i < signs.size(); i++) {
                if (sought.test(signs.get(i))) {
                    return i;
                }
            }
            return -1;
        }

        /** Whether a repeat around this measure is still to be taken, so that a jump under it waits for the last pass. */
        private boolean isRepeatedYet(int at) {
            if (!repeatsCount()) {
                return false;
            }
            int depth = 0;
            for (int i = at + 1; i < signs.size(); i++) {
                if (signs.get(i).forwardRepeat()) {
                    if (open.isEmpty()) {
                        return false;
                    }
                    depth++;
                }
                if (signs.get(i).closesRepeat()) {
                    if (depth == 0) {
                        int pass = open.isEmpty() ? 1 : open.peek().pass;
                        return pass < timesAt(i) && !(open.isEmpty() && i == at);
                    }
                    depth--;
                }
            }
            return false;
        }
    }
}
