package vividroster.core.rehearsal;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import vividroster.core.music.Beats;
import vividroster.core.music.Key;
import vividroster.core.music.Mode;
import vividroster.core.music.Pitch;
import vividroster.core.reading.TimedView;
import vividroster.core.reading.TimedView.At;
import vividroster.core.reading.Vocabulary.First;
import vividroster.core.reading.Vocabulary.NewValue;
import vividroster.core.rehearsal.HotSpots.Reason;

/**
 * The daily warm-up: a few parts in order, a few minutes each, from what the week's lines ask. Source: typical parts and
 * the two orders schools follow, easy slurs before any long tone or long tones first.
 */
public final class WarmUp {

    /** A part shorter than this is left out. */
    private static final double SHORTEST_MINUTES = 0.5;

    private static final Key HOME_OF_WINDS = new Key(-2, Mode.MAJOR);
    private static final Key HOME_OF_STRINGS = new Key(2, Mode.MAJOR);

    private WarmUp() {}

    /** What is done; the minutes a warm-up of usual length gives it, and how willingly it is left out. */
    public enum Kind {
        BREATHING(1, 4),
        /** Mouthpiece or head joint alone; strings pluck. */
        SOUND_ALONE(1, 2),
        /** Through the partials, across the break, or by finger pattern. */
        EASY_SLURS(2, 6),
        ARTICULATION(2, 3),
        /** A new rhythm on one note, from its smallest parts. */
        RHYTHM(1, 2),
        SCALE(2, 5),
        LONG_TONES(1.5, 1);

        private final double usualMinutes;
        private final int worth;

        Kind(double usualMinutes, int worth) {
            this.usualMinutes = usualMinutes;
            this.worth = worth;
        }
    }

    /** Which school decides the order. */
    public enum Order {
        SLURS_FIRST(
                Kind.BREATHING,
                Kind.SOUND_ALONE,
                Kind.EASY_SLURS,
                Kind.ARTICULATION,
                Kind.RHYTHM,
                Kind.SCALE,
                Kind.LONG_TONES),
        LONG_TONES_FIRST(
                Kind.BREATHING,
                Kind.SOUND_ALONE,
                Kind.LONG_TONES,
                Kind.EASY_SLURS,
                Kind.SCALE,
                Kind.ARTICULATION,
                Kind.RHYTHM);

        private final List<Kind> kinds;

        Order(Kind... kinds) {
            this.kinds = List.of(kinds);
        }

        public List<Kind> kinds() {
            return kinds;
        }
    }

    /** Why a part has more time or stands in a key. */
    public sealed interface Why {}

    /** The key of the week's lines. */
    public record KeyOfTheWeek(Key concert) implements Why {}

    /** Notes some section meets this week first, at concert pitch. */
    public record NewNotes(List<Pitch> sounding) implements Why {}

    /** Hot spots of the week's lines, with how many measures have them. */
    public record Asked(Reason reason, int measures) implements Why {}

    /**
     * What the week brings.
     *
     * @param keys of its lines, concert, the most frequent first; empty in a week without lines
     * @param newNotes some section meets first, at concert pitch, each once
     * @param asked measures of its lines by the reason they are hot
     * @param strings whether the class has no winds
     * @param rhythms of one quarter some section meets first; a week that brings none drills none
     */
    public record Week(
            List<Key> keys,
            List<Pitch> newNotes,
            Map<Reason, Integer> asked,
            boolean strings,
            List<List<Beats>> rhythms) {}

    /** @param key concert */
    public record Part(Kind kind, double minutes, Key key, List<Why> why) {
        public Part {
            if (minutes <= 0 || minutes > 60) {
                throw new IllegalArgumentException("minutes must be more than 0 and at most 60, was " + minutes);
            }
            why = List.copyOf(why);
        }
    }

    /** Which hot spots a part prepares. */
    private static final Map<Kind, Set<Reason>> PREPARES = new EnumMap<>(Map.of(
            Kind.EASY_SLURS,
                    EnumSet.of(
                            Reason.REGISTER_BREAK,
                            Reason.WIDE_LEAP,
                            Reason.STRING_CROSSING,
                            Reason.FALLING_SLUR,
                            Reason.FOURTH_FINGER),
            Kind.ARTICULATION, EnumSet.of(Reason.FAST),
            Kind.RHYTHM, EnumSet.of(Reason.NEW_RHYTHM),
            Kind.SCALE,
                    EnumSet.of(
                            Reason.ALTERED,
                            Reason.TRAP,
                            Reason.SHIFT,
                            Reason.LONG_SLIDE,
                            Reason.SEVENTH_POSITION,
                            Reason.EXTENSION,
                            Reason.AS_SIGNED_AGAIN),
            Kind.LONG_TONES, EnumSet.of(Reason.NEW_NOTE, Reason.BEYOND_RANGE)));

    /**
     * Never longer than asked for; parts that would be too short are left out, the least worth first.
     *
     * @param minutes there are, in 1..30
     */
    public static List<Part> plan(Week week, Order order, double minutes) {
        if (minutes < 1 || minutes > 30) {
            throw new IllegalArgumentException("a warm-up has 1 to 30 minutes, was " + minutes);
        }
        Key home = week.strings() ? HOME_OF_STRINGS : HOME_OF_WINDS;
        Key key = week.keys().isEmpty() ? home : week.keys().getFirst();
        List<Kind> kinds = new ArrayList<>(order.kinds());
        kinds.removeIf(kind -> kind == Kind.RHYTHM && week.rhythms().isEmpty());
        Map<Kind, Double> shares = shares(week, kinds, minutes);
        while (kinds.size() > 1 && shares.values().stream().anyMatch(m -> m < SHORTEST_MINUTES)) {
            kinds.remove(
                    kinds.stream().min(Comparator.comparingInt(k -> k.worth)).orElseThrow());
            shares = shares(week, kinds, minutes);
        }
        List<Part> parts = new ArrayList<>();
        for (Kind kind : kinds) {
            parts.add(new Part(kind, shares.get(kind), kind == Kind.EASY_SLURS ? home : key, why(kind, week, key)));
        }
        return List.copyOf(parts);
    }

    /** Minutes by usual length and by what the week asks, down to half a minute where that is enough. */
    private static Map<Kind, Double> shares(Week week, List<Kind> kinds, double minutes) {
        Map<Kind, Double> weights = new EnumMap<>(Kind.class);
        double sum = 0;
        for (Kind kind : kinds) {
            double weight = kind.usualMinutes * (asked(kind, week).isEmpty() ? 1 : 1.5);
            weights.put(kind, weight);
            sum += weight;
        }
        Map<Kind, Double> shares = new EnumMap<>(Kind.class);
        double total = sum;
        weights.forEach((kind, weight) -> shares.put(kind, Math.floor(4 * minutes * weight / total) / 4));
        return shares;
    }

    /** The rhythms of one quarter around note values a section meets first, each once, of two notes or more. */
    public static List<List<Beats>> rhythms(TimedView written, List<First> news) {
        Set<List<Beats>> found = new LinkedHashSet<>();
        for (First first : news) {
            if (!(first.thing() instanceof NewValue value) || value.rest()) {
                continue;
            }
            int pulse = written.notes()
                            .get(first.measure())
                            .get(first.note())
                            .beat()
                            .ticks()
                    / Beats.PER_BEAT;
            List<At> inside = written.notes().get(first.measure()).stream()
                    .filter(at -> at.beat().ticks() / Beats.PER_BEAT == pulse)
                    .toList();
            boolean whole = inside.getFirst().beat().ticks() % Beats.PER_BEAT == 0
                    && inside.stream()
                                    .mapToInt(at -> at.note().length().ticks())
                                    .sum()
                            == Beats.PER_BEAT
                    && inside.stream().allMatch(At::isAttack);
            if (whole && inside.size() > 1) {
                found.add(inside.stream().map(at -> at.note().length()).toList());
            }
        }
        return List.copyOf(found);
    }

    private static List<Asked> asked(Kind kind, Week week) {
        Set<Reason> prepared = PREPARES.getOrDefault(kind, Set.of());
        return week.asked().entrySet().stream()
                .filter(e -> prepared.contains(e.getKey()) && e.getValue() > 0)
                .sorted(Map.Entry.<Reason, Integer>comparingByValue()
                        .reversed()
                        .thenComparing(Map.Entry.comparingByKey()))
                .map(e -> new Asked(e.getKey(), e.getValue()))
                .toList();
    }

    private static List<Why> why(Kind kind, Week week, Key key) {
        List<Why> why = new ArrayList<>();
        if (kind == Kind.SCALE && !week.keys().isEmpty()) {
            why.add(new KeyOfTheWeek(key));
        }
        if (kind == Kind.LONG_TONES && !week.newNotes().isEmpty()) {
            why.add(new NewNotes(week.newNotes()));
        }
        why.addAll(asked(kind, week));
        return why;
    }
}
