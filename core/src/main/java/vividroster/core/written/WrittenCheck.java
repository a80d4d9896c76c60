package vividroster.core.written;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.rng.simple.RandomSource;
import vividroster.core.instrument.Fingering;
import vividroster.core.instrument.FingeringChart;
import vividroster.core.music.Key;
import vividroster.core.music.Pitch;
import vividroster.core.reading.Counting;
import vividroster.core.reading.Roadmap;
import vividroster.core.reading.TimedView;
import vividroster.core.reading.TimedView.At;
import vividroster.core.reading.Traps;
import vividroster.core.written.WrittenQuestion.Ask;
import vividroster.core.written.WrittenQuestion.CountMeasure;
import vividroster.core.written.WrittenQuestion.Finger;
import vividroster.core.written.WrittenQuestion.KeySignature;
import vividroster.core.written.WrittenQuestion.NameNote;
import vividroster.core.written.WrittenQuestion.StillAltered;
import vividroster.core.written.WrittenQuestion.WayThrough;

/** Questions on paper, made from lines and their traps as one section reads them. */
public final class WrittenCheck {

    /** On one sheet. Ours: a quarter of an hour. */
    public static final int MOST_QUESTIONS = 40;

    /** Sharps in the order of the signature; flats are the other way round. */
    private static final String SHARPS = "FCGDAEB";

    private WrittenCheck() {}

    /**
     * A line as the section reads it.
     *
     * @param chart of its fingerings; empty where none are asked, as of unpitched percussion
     */
    public record Source(UUID lineId, TimedView view, Optional<FingeringChart> chart, boolean pitched) {}

    /**
     * The same sources, asks and seed make the same questions. As many of each kind as there is something to ask, in
     * turn; no place is asked about twice, and one answer only again when every other was asked for. In the order of the
     * lines, of one line in the order of {@link Ask}.
     *
     * @param count 1..{@link #MOST_QUESTIONS}; fewer come where the lines hold no more
     */
    public static List<WrittenQuestion> of(List<Source> sources, Set<Ask> asks, int count, long seed) {
        if (count < 1 || count > MOST_QUESTIONS) {
            throw new IllegalArgumentException("count must be in 1.." + MOST_QUESTIONS + ", was " + count);
        }
        Map<Ask, List<WrittenQuestion>> open = new EnumMap<>(Ask.class);
        for (Ask ask : Ask.values()) {
            if (asks.contains(ask)) {
                // A generator of its own for each kind: leaving one out changes no other.
                UniformRandomProvider random = RandomSource.XO_RO_SHI_RO_128_PP.create(seed * 31 + ask.ordinal());
                open.put(ask, drawn(sources, ask, random));
            }
        }
        Map<Ask, List<WrittenQuestion>> asked = new EnumMap<>(Ask.class);
        int left = count;
        for (boolean more = true; more && left > 0; ) {
            more = false;
            for (Map.Entry<Ask, List<WrittenQuestion>> entry : open.entrySet()) {
                List<WrittenQuestion> chosen = asked.computeIfAbsent(entry.getKey(), ask -> new ArrayList<>());
                if (left > 0 && chosen.size() < entry.getValue().size()) {
                    chosen.add(entry.getValue().get(chosen.size()));
                    left--;
                    more = true;
                }
            }
        }
        List<UUID> lines = sources.stream().map(Source::lineId).toList();
        return asked.values().stream()
                .flatMap(List::stream)
                .sorted(Comparator.comparingInt(question -> lines.indexOf(question.lineId())))
                .toList();
    }

    private static List<WrittenQuestion> drawn(List<Source> sources, Ask ask, UniformRandomProvider random) {
        List<WrittenQuestion> all = new ArrayList<>();
        sources.forEach(source -> all.addAll(all(source, ask)));
        for (int i = all.size() - 1; i > 0; i--) {
            Collections.swap(all, i, random.nextInt(i + 1));
        }
        Set<Object> seen = new HashSet<>();
        List<WrittenQuestion> fresh = new ArrayList<>();
        List<WrittenQuestion> again = new ArrayList<>();
        all.forEach(question -> (seen.add(answer(question)) ? fresh : again).add(question));
        fresh.addAll(again);
        return fresh;
    }

    /** What is to be known for it. */
    private static Object answer(WrittenQuestion question) {
        return switch (question) {
            case NameNote named -> named.pitch();
            case CountMeasure counted -> counted.spoken();
            case StillAltered still -> List.of(still.lineId(), still.measure());
            case KeySignature signature -> signature.letters();
            case WayThrough way -> way.lineId();
            case Finger finger -> finger.pitch();
        };
    }

    private static List<WrittenQuestion> all(Source source, Ask ask) {
        TimedView view = source.view();
        List<WrittenQuestion> all = new ArrayList<>();
        switch (ask) {
            case NAME_NOTE ->
                attacks(source)
                        .forEach(at -> all.add(new NameNote(
                                source.lineId(),
                                at.measure(),
                                at.index(),
                                at.note().pitch().orElseThrow())));
            case COUNT_MEASURE -> {
                for (int measure = 0; measure < view.bars().size(); measure++) {
                    if (!view.part().measures().get(measure).isSilent()) {
                        all.add(new CountMeasure(source.lineId(), measure, Counting.spoken(view, measure)));
                    }
                }
            }
            case STILL_ALTERED -> {
                if (source.pitched()) {
                    Traps.of(view).stream()
                            .filter(Traps.StillAltered.class::isInstance)
                            .map(Traps.StillAltered.class::cast)
                            .forEach(trap -> all.add(
                                    new StillAltered(source.lineId(), trap.measure(), trap.note(), trap.pitch())));
                }
            }
            case KEY_SIGNATURE -> {
                Key key = view.part().key();
                if (source.pitched() && key.fifths() != 0) {
                    all.add(new KeySignature(source.lineId(), key, letters(key)));
                }
            }
            case WAY_THROUGH ->
                view.roadmap()
                        .map(Roadmap::indices)
                        .filter(way -> !isStraight(way, view.bars().size()))
                        .ifPresent(way -> all.add(new WayThrough(source.lineId(), way)));
            case FINGER ->
                source.chart()
                        .ifPresent(chart -> attacks(source).forEach(at -> {
                            Pitch pitch = at.note().pitch().orElseThrow();
                            List<Fingering> ways = chart.of(pitch);
                            if (!ways.isEmpty()) {
                                all.add(new Finger(source.lineId(), at.measure(), at.index(), pitch, ways));
                            }
                        }));
        }
        return all;
    }

    private static List<At> attacks(Source source) {
        return source.pitched()
                ? source.view().notes().stream()
                        .flatMap(List::stream)
                        .filter(At::isAttack)
                        .toList()
                : List.of();
    }

    /** What a signature alters, in its order. */
    private static List<Character> letters(Key key) {
        String order =
                key.fifths() > 0 ? SHARPS : new StringBuilder(SHARPS).reverse().toString();
        return order.substring(0, Math.abs(key.fifths()))
                .chars()
                .mapToObj(letter -> (char) letter)
                .toList();
    }

    private static boolean isStraight(List<Integer> way, int measures) {
        if (way.size() != measures) {
            return false;
        }
        for (int i = 0; i < measures; i++) {
            if (way.get(i) != i) {
                return false;
            }
        }
        return true;
    }
}
