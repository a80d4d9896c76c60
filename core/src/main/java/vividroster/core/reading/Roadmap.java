package vividroster.core.reading;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Predicate;
import vividroster.core.music.Measure;
import vividroster.core.music.Part;
import vividroster.core.music.Part.Stretch;
import vividroster.core.music.Signs;
import vividroster.core.music.Signs.Jump;
import vividroster.core.music.Signs.Until;
import vividroster.core.reading.Endings.Bracket;
import vividroster.core.reading.RoadmapException.Fault;
import vividroster.core.reading.Strains.Strain;

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

    public Roadmap {
        played = List.copyOf(played);
    }

    public List<Integer> indices() {
        return played.stream().map(Played::index).toList();
    }

    /** @throws RoadmapException when a jump has no target, a sign is never come to, or the way would not end */
    public static Roadmap of(Part part, Options options) {
        List<Signs> signs = part.measures().stream().map(Measure::signs).toList();
        if (part.order().isEmpty()) {
            return new Roadmap(new Walk(signs, options, 0).walk());
        }
        List<Played> all = new ArrayList<>();
        for (Stretch stretch : part.order()) {
            all.addAll(new Walk(signs.subList(stretch.from(), stretch.to() + 1), options, stretch.from()).walk());
            if (all.size() > MOST_PLAYED) {
                throw new RoadmapException(Fault.NO_END, stretch.from(), Optional.empty());
            }
        }
        return new Roadmap(all);
    }

    private static final class Walk {

        private final List<Signs> signs;
        private final Endings endings;
        private final Strains strains;
        private final Codas codas;
        private final Options options;
        private final int offset;
        private final Map<Strain, Integer> passes = new HashMap<>();
        private final Set<Integer> jumped = new HashSet<>();
        private final Set<Integer> passedOver = new TreeSet<>();
        private final List<Played> played = new ArrayList<>();
        private Optional<Jump> lastJump = Optional.empty();
        private OptionalInt coda = OptionalInt.empty();
        private boolean inCoda;
        private boolean atFine;

        /** @param offset of the first measure in its part */
        Walk(List<Signs> signs, Options options, int offset) {
            this.signs = signs;
            this.endings = new Endings(signs);
            this.strains = new Strains(signs, endings);
            this.codas = new Codas(signs);
            this.options = options;
            this.offset = offset;
        }

        List<Played> walk() {
            int at = 0;
            while (at < signs.size()) {
                if (played.size() >= MOST_PLAYED) {
                    throw fault(Fault.NO_END, at, Optional.empty());
                }
                int next = step(at);
                for (Strain strain : strains.all()) {
                    if (next > strain.last() && strain.holds(at)) {
                        passes.remove(strain);
                    }
                }
                at = next;
            }
            if (!atFine) {
                lastJump.ifPresent(this::nothingMissed);
            }
            Set<Integer> reached = new HashSet<>();
            played.forEach(p -> reached.add(p.index() - offset));
            passedOver.removeAll(reached);
            if (!passedOver.isEmpty()) {
                throw fault(Fault.ENDING_NOT_REACHED, passedOver.iterator().next(), Optional.empty());
            }
            return played;
        }

        private RoadmapException fault(Fault fault, int at, Optional<Jump> jump) {
            return new RoadmapException(fault, at + offset, jump);
        }

        private boolean repeatsCount() {
            return lastJump.isEmpty() || inCoda || options.repeatsAfterJump();
        }

        private int pass(Strain strain) {
            return passes.getOrDefault(strain, 1);
        }

        private int step(int at) {
            Signs here = signs.get(at);
            Optional<Bracket> bracket = endings.bracketOver(at);
            if (bracket.isPresent()
                    && bracket.get().first() == at
                    && !bracket.get().passes().contains(passAtBracket(at))) {
                passedOver.add(at);
                return bracket.get().last() + 1;
            }
            int pass = repeatsCount()
                    ? strains.over(at).stream().findFirst().map(this::pass).orElse(1)
                    : 1;
            played.add(new Played(at + offset, pass, lastJump.isPresent()));
            boolean jumps = here.jump().isPresent() && !jumped.contains(at) && !isPlayedAgain(at);
            Optional<Strain> closed = strains.closedAt(at);
            if (closed.isPresent()
                    && !jumps
                    && repeatsCount()
                    && pass(closed.get()) < closed.get().plays()) {
                passes.merge(closed.get(), 2, (now, two) -> now + 1);
                return closed.get().first();
            }
            return leave(at, here, jumps);
        }

        /** Brackets without a repeat, as over a D.C., are taken by the jumps made; after a jump the last one is. */
        private int passAtBracket(int at) {
            int most = endings.groupOver(at).orElseThrow().most();
            Optional<Strain> strain = strains.all().stream()
                    .filter(s -> s.last() == endings.groupOver(at).orElseThrow().last())
                    .findFirst();
            if (strain.isEmpty()) {
                return lastJump.isEmpty() ? 1 : most;
            }
            return repeatsCount() ? pass(strain.get()) : most;
        }

        /** Whether a repeat around this measure is still to be taken and comes to it, so that a jump waits for the last pass. */
        private boolean isPlayedAgain(int at) {
            if (!repeatsCount()) {
                return false;
            }
            Optional<Bracket> bracket = endings.bracketOver(at);
            for (Strain strain : strains.over(at)) {
                int from = pass(strain) + 1;
                boolean own = bracket.isPresent()
                        && endings.groupOver(at).orElseThrow().last() == strain.last();
                boolean again = own
                        ? bracket.get().passes().stream().anyMatch(p -> p >= from && p <= strain.plays())
                        : from <= strain.plays();
                if (again) {
                    return true;
                }
            }
            return false;
        }

        /** Where it goes on after a measure that no repeat sends back. */
        private int leave(int at, Signs here, boolean jumps) {
            if (lastJump.isPresent() && !inCoda) {
                Jump jump = lastJump.get();
                if (here.fine() && jump.until() != Until.CODA) {
                    atFine = true;
                    return signs.size();
                }
                if (here.toCoda().isPresent() && jump.until() != Until.FINE) {
                    Optional<OptionalInt> leads = codas.leads(at, jump, coda);
                    if (leads.isPresent()) {
                        inCoda = true;
                        passes.clear();
                        return leads.get().orElseThrow(() -> fault(Fault.NO_CODA, at, Optional.empty()));
                    }
                }
            }
            return jumps ? jump(at, here.jump().orElseThrow()) : at + 1;
        }

        private int jump(int at, Jump jump) {
            jumped.add(at);
            int target = jump.segno().isEmpty()
                    ? 0
                    : codas.segno(jump, at).orElseThrow(() -> fault(Fault.NO_SEGNO, at, Optional.of(jump)));
            if (jump.until() == Until.FINE && indexOf(Signs::fine) < 0) {
                throw fault(Fault.NO_FINE, at, Optional.of(jump));
            }
            if (jump.until() == Until.CODA && indexOf(s -> s.toCoda().isPresent()) < 0) {
                throw fault(Fault.NO_CODA, at, Optional.of(jump));
            }
            coda = codas.coda(jump, at);
            lastJump = Optional.of(jump);
            inCoda = false;
            passes.clear();
            return target;
        }

        /** A Fine or a way to the coda that was asked for and never come to is told, never played past in silence. */
        private void nothingMissed(Jump jump) {
            if (inCoda) {
                return;
            }
            int fine = indexOf(Signs::fine);
            if (fine >= 0 && jump.until() != Until.CODA) {
                throw fault(Fault.FINE_NOT_REACHED, fine, lastJump);
            }
            int toCoda = indexOf(s -> s.toCoda().isPresent());
            if (toCoda >= 0 && jump.until() != Until.FINE) {
                throw fault(Fault.TO_CODA_NOT_REACHED, toCoda, lastJump);
            }
        }

        private int indexOf(Predicate<Signs> sought) {
            for (int i = 0; i < signs.size(); i++) {
                if (sought.test(signs.get(i))) {
                    return i;
                }
            }
            return -1;
        }
    }
}
