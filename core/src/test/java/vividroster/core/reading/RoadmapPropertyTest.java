package vividroster.core.reading;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import vividroster.core.music.Beats;
import vividroster.core.music.Key;
import vividroster.core.music.Measure;
import vividroster.core.music.Meter;
import vividroster.core.music.Mode;
import vividroster.core.music.Note;
import vividroster.core.music.Part;
import vividroster.core.music.Pitch;
import vividroster.core.music.Signs;
import vividroster.core.music.Signs.Jump;
import vividroster.core.music.Signs.Until;

/**
 * Random roadmaps against a second unrolling that never walks: the page is built from strains, and what is played is
 * written out from the same strains by putting lists behind one another.
 */
class RoadmapPropertyTest {

    /** @param forward whether a sign opens it; plays of it; endings measures of each bracket, none for a plain strain */
    record Strain(int measures, boolean forward, int plays, List<Integer> endings) {

        boolean repeated() {
            return plays > 1;
        }
    }

    /** Where the jump leads and what it asks for; the coda has a repeat without a sign of its own. */
    record Ways(
            Optional<Until> until, boolean fromSegno, int segnoAt, int goalAt, boolean codaRepeats, boolean again) {}

    record Page(List<Strain> strains, Ways ways) {}

    @Provide
    Arbitrary<Page> pages() {
        Arbitrary<Strain> plain = Combinators.combine(
                        Arbitraries.integers().between(1, 3),
                        Arbitraries.of(true, false),
                        Arbitraries.integers().between(1, 3))
                .as((measures, forward, plays) -> new Strain(measures, forward && plays > 1, plays, List.of()));
        Arbitrary<Strain> ended = Combinators.combine(
                        Arbitraries.integers().between(1, 3),
                        Arbitraries.of(true, false),
                        Arbitraries.integers().between(1, 2).list().ofMinSize(2).ofMaxSize(3))
                .as((measures, forward, endings) -> new Strain(measures, forward, endings.size(), endings));
        Arbitrary<Ways> ways = Combinators.combine(
                        Arbitraries.of(Until.values()).optional(0.75),
                        Arbitraries.of(true, false),
                        Arbitraries.integers().between(0, 20),
                        Arbitraries.integers().between(0, 20),
                        Arbitraries.of(true, false),
                        Arbitraries.of(true, false))
                .as(Ways::new);
        return Combinators.combine(
                        Arbitraries.oneOf(plain, ended).list().ofMinSize(1).ofMaxSize(4), ways)
                .as(Page::new);
    }

    /** The page under construction, and beside it where each strain lies. */
    private static final class Built {
        final List<Signs> signs = new ArrayList<>();
        final List<int[]> strains = new ArrayList<>();
        int mainEnds;
    }

    private static Signs with(Signs s, boolean forward, int times, Set<Integer> ending, boolean stops) {
        return s.with(new Signs(
                forward,
                times,
                ending,
                stops,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                false,
                Optional.empty()));
    }

    private static void set(List<Signs> signs, int at, Signs more) {
        signs.set(at, signs.get(at).with(more));
    }

    private static Built build(Page page) {
        Built built = new Built();
        for (Strain strain : page.strains()) {
            int from = built.signs.size();
            for (int i = 0; i < strain.measures(); i++) {
                built.signs.add(Signs.NONE);
            }
            if (strain.forward()) {
                built.signs.set(from, with(built.signs.get(from), true, 0, Set.of(), false));
            }
            for (int e = 0; e < strain.endings().size(); e++) {
                int begins = built.signs.size();
                for (int i = 0; i < strain.endings().get(e); i++) {
                    built.signs.add(Signs.NONE);
                }
                int ends = built.signs.size() - 1;
                boolean last = e == strain.endings().size() - 1;
                built.signs.set(begins, with(built.signs.get(begins), false, 0, Set.of(e + 1), false));
                built.signs.set(ends, with(built.signs.get(ends), false, last ? 0 : 2, Set.of(), true));
            }
            if (strain.endings().isEmpty() && strain.repeated()) {
                int ends = built.signs.size() - 1;
                built.signs.set(ends, with(built.signs.get(ends), false, strain.plays(), Set.of(), false));
            }
            built.strains.add(new int[] {from, built.signs.size() - 1});
        }
        built.mainEnds = built.signs.size();
        return built;
    }

    /** Where the strain really begins: what was never closed before it without a sign belongs to it. */
    private static List<List<Integer>> beginnings(Page page, Built built) {
        List<List<Integer>> all = new ArrayList<>();
        int open = 0;
        for (int s = 0; s < page.strains().size(); s++) {
            Strain strain = page.strains().get(s);
            int from = strain.forward() ? built.strains.get(s)[0] : open;
            all.add(List.of(from, built.strains.get(s)[0]));
            open = strain.repeated() || !strain.endings().isEmpty()
                    ? built.strains.get(s)[1] + 1
                    : open;
        }
        return all;
    }

    private static List<Integer> range(int from, int to) {
        List<Integer> all = new ArrayList<>();
        for (int i = from; i < to; i++) {
            all.add(i);
        }
        return all;
    }

    /** Everything up to the jump, written out strain by strain. */
    private static List<Integer> firstTime(Page page, Built built) {
        List<Integer> out = new ArrayList<>();
        List<List<Integer>> beginnings = beginnings(page, built);
        for (int s = 0; s < page.strains().size(); s++) {
            Strain strain = page.strains().get(s);
            int own = built.strains.get(s)[0];
            int from = beginnings.get(s).get(0);
            int bodyEnds = own + strain.measures();
            for (int pass = 1; pass <= strain.plays(); pass++) {
                out.addAll(range(pass == 1 ? own : from, bodyEnds));
                out.addAll(ending(strain, bodyEnds, pass));
            }
        }
        return out;
    }

    private static List<Integer> ending(Strain strain, int bodyEnds, int pass) {
        int at = bodyEnds;
        for (int e = 0; e < strain.endings().size(); e++) {
            if (e + 1 == pass) {
                return range(at, at + strain.endings().get(e));
            }
            at += strain.endings().get(e);
        }
        return List.of();
    }

    /** Everything once, last endings taken. */
    private static List<Integer> once(Page page, Built built) {
        List<Integer> out = new ArrayList<>();
        for (int s = 0; s < page.strains().size(); s++) {
            Strain strain = page.strains().get(s);
            int bodyEnds = built.strains.get(s)[0] + strain.measures();
            out.addAll(range(built.strains.get(s)[0], bodyEnds));
            out.addAll(ending(strain, bodyEnds, strain.endings().size()));
        }
        return out;
    }

    private static Part part(List<Signs> signs) {
        List<Measure> measures = new ArrayList<>();
        for (int i = 0; i < signs.size(); i++) {
            measures.add(Measure.of(i + 1, List.of(Note.of(Pitch.named("C4"), Beats.of(4))))
                    .withSigns(signs.get(i)));
        }
        return new Part(new Key(0, Mode.MAJOR), new Meter(4, 4), Optional.empty(), measures);
    }

    private static Signs sign(String segno, String coda, String toCoda, boolean fine, Jump jump) {
        return new Signs(
                false,
                0,
                Set.of(),
                false,
                Optional.ofNullable(segno),
                Optional.ofNullable(coda),
                Optional.ofNullable(toCoda),
                fine,
                Optional.ofNullable(jump));
    }

    @Property(tries = 3_000)
    void theWayIsWhatTheStrainsSayPutBehindOneAnother(@ForAll("pages") Page page) {
        Built built = build(page);
        Ways ways = page.ways();
        List<Integer> expected = firstTime(page, built);
        if (ways.until().isPresent()) {
            Until until = ways.until().get();
            // The jump stands in a measure of its own behind all strains, so that no repeat holds it.
            built.signs.add(Signs.NONE);
            int jumpAt = built.signs.size() - 1;
            expected.add(jumpAt);
            List<Integer> again = once(page, built);
            int segno = ways.fromSegno() ? again.get(ways.segnoAt() % again.size()) : 0;
            again = again.subList(again.indexOf(segno), again.size());
            int goal = again.get(ways.goalAt() % again.size());
            Jump jump = ways.fromSegno() ? Jump.dalSegno("", until) : Jump.daCapo(until);
            set(built.signs, jumpAt, sign(null, null, null, false, jump));
            if (ways.fromSegno()) {
                set(built.signs, segno, sign("", null, null, false, null));
            }
            switch (until) {
                case END -> {
                    expected.addAll(again);
                    expected.add(jumpAt);
                }
                case FINE -> {
                    set(built.signs, goal, sign(null, null, null, true, null));
                    expected.addAll(again.subList(0, again.indexOf(goal) + 1));
                }
                case CODA -> {
                    set(built.signs, goal, sign(null, null, "", false, null));
                    expected.addAll(again.subList(0, again.indexOf(goal) + 1));
                    int coda = built.signs.size();
                    built.signs.add(Signs.NONE);
                    built.signs.add(Signs.NONE);
                    set(built.signs, coda, sign(null, "", null, false, null));
                    if (ways.codaRepeats()) {
                        set(built.signs, coda + 1, with(Signs.NONE, false, 2, Set.of(), false));
                    }
                    for (int pass = 0; pass < (ways.codaRepeats() ? 2 : 1); pass++) {
                        expected.addAll(List.of(coda, coda + 1));
                    }
                }
            }
        }
        assertThat(Roadmap.of(part(built.signs), Roadmap.Options.USUAL).indices())
                .isEqualTo(expected);
    }

    @Property(tries = 2_000)
    void anySignsAtAllHaveAWayThatEndsOrANamedFault(@ForAll("anySigns") List<Signs> signs) {
        Part part = part(signs);
        for (boolean again : new boolean[] {false, true}) {
            try {
                Roadmap way = Roadmap.of(part, new Roadmap.Options(again));
                assertThat(way.indices()).isNotEmpty().allMatch(i -> i >= 0 && i < signs.size());
                boolean noJump = signs.stream().allMatch(s -> s.jump().isEmpty());
                boolean noBracket =
                        signs.stream().allMatch(s -> s.endingBegins().isEmpty());
                if (noJump && noBracket) {
                    assertThat(Set.copyOf(way.indices())).hasSize(signs.size());
                    assertThat(Collections.frequency(way.indices(), signs.size() - 1))
                            .isPositive();
                }
            } catch (RoadmapException e) {
                assertThat(e.index()).isBetween(0, signs.size() - 1);
                assertThat(e.fault()).isNotNull();
            }
        }
    }

    @Provide
    Arbitrary<List<Signs>> anySigns() {
        Arbitrary<Optional<String>> name = Arbitraries.of("", "1").optional(0.12);
        Arbitrary<Jump> jump = Combinators.combine(
                        Arbitraries.of(Until.values()), Arbitraries.of("", "1").optional(0.5), Arbitraries.of("", "1"))
                .as((until, segno, coda) -> new Jump(segno, until, until == Until.CODA ? coda : ""));
        return Combinators.combine(
                        Arbitraries.of(true, false, false, false),
                        Arbitraries.of(0, 0, 0, 2, 3),
                        Arbitraries.integers().between(1, 3).set().ofMaxSize(2),
                        Arbitraries.of(true, false),
                        name,
                        name,
                        name,
                        Combinators.combine(Arbitraries.of(true, false, false), jump.optional(0.15))
                                .as((fine, to) -> new Object[] {fine, to}))
                .as((forward, times, ending, stops, segno, coda, toCoda, last) -> {
                    @SuppressWarnings("unchecked")
                    Optional<Jump> to = (Optional<Jump>) last[1];
                    return new Signs(
                            forward,
                            times,
                            stops ? ending : Set.of(),
                            stops,
                            segno,
                            coda,
                            toCoda,
                            (boolean) last[0],
                            to);
                })
                .list()
                .ofMinSize(1)
                .ofMaxSize(12);
    }
}
