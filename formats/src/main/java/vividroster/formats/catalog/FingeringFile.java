package vividroster.formats.catalog;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.apache.commons.csv.CSVRecord;
import vividroster.core.instrument.BrassChart;
import vividroster.core.instrument.Fingering;
import vividroster.core.instrument.Fingering.Keys;
import vividroster.core.instrument.FingeringChart;
import vividroster.core.instrument.KeyChart;
import vividroster.core.instrument.StringChart;
import vividroster.core.instrument.StringChart.Hand;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Pitch;

/**
 * How each instrument takes its notes: {@code charts.csv} says by which rule, {@code keys.csv} lists the woodwinds note
 * by note, and what differs from the kin an instrument is fingered like. A fingering reads {@code T 123|456 Eb}: left hand before the bar, right hand behind it.
 */
public final class FingeringFile {

    private FingeringFile() {}

    /**
     * The charts of one instrument.
     *
     * @param usual where nothing else was chosen
     * @param byChoice others by the programme's choice, a key of {@code schools.yaml}
     */
    public record Charts(FingeringChart usual, Map<String, FingeringChart> byChoice) {}

    /** The usual ones by instrument code, in score order. */
    public static Map<InstrumentCode, FingeringChart> shipped() {
        Map<InstrumentCode, FingeringChart> usual = new LinkedHashMap<>();
        charts().forEach((instrument, charts) -> usual.put(instrument, charts.usual()));
        return usual;
    }

    /** All by instrument code, in score order. */
    public static Map<InstrumentCode, Charts> charts() {
        Map<InstrumentCode, Map<Integer, List<Fingering>>> keys = keys();
        Map<InstrumentCode, Charts> charts = new LinkedHashMap<>();
        for (CSVRecord row : CatalogRows.of("charts.csv")) {
            FingeringChart chart = chart(row, keys);
            InstrumentCode instrument = new InstrumentCode(row.get("instrument"));
            String choice = row.get("choice");
            if (choice.isEmpty()) {
                charts.put(instrument, new Charts(chart, new LinkedHashMap<>()));
            } else {
                charts.get(instrument).byChoice().put(choice, chart);
            }
        }
        return charts;
    }

    private static Map<InstrumentCode, Map<Integer, List<Fingering>>> keys() {
        Map<InstrumentCode, Map<Integer, List<Fingering>>> keys = new HashMap<>();
        for (CSVRecord row : CatalogRows.of("keys.csv")) {
            List<Fingering> ways = new ArrayList<>();
            ways.add(keys(row.get("fingering"), row.get("register")));
            Arrays.stream(row.get("alternates").split(" / "))
                    .filter(way -> !way.isBlank())
                    .forEach(way -> ways.add(keys(way, row.get("register"))));
            keys.computeIfAbsent(new InstrumentCode(row.get("instrument")), i -> new HashMap<>())
                    .put(Pitch.named(row.get("note")).midi(), List.copyOf(ways));
        }
        return keys;
    }

    private static FingeringChart chart(CSVRecord row, Map<InstrumentCode, Map<Integer, List<Fingering>>> keys) {
        InstrumentCode instrument = new InstrumentCode(row.get("instrument"));
        if (row.get("kind").equals("keys")) {
            return new KeyChart(keys.get(instrument));
        }
        if (row.get("kind").equals("keys like")) {
            return like(row.get("base").split(" "), keys.getOrDefault(instrument, Map.of()), keys);
        }
        List<Pitch> base = Arrays.stream(row.get("base").split(" "))
                .filter(p -> !p.isBlank())
                .map(Pitch::named)
                .toList();
        return switch (row.get("kind")) {
            case "valves" -> BrassChart.valves(base.getFirst(), false);
            case "four valves" -> BrassChart.valves(base.getFirst(), true);
            case "double horn" -> BrassChart.doubleHorn(base.getFirst(), base.getLast());
            case "horn in F" -> BrassChart.singleHorn(base.getFirst(), false);
            case "horn in B-flat" -> BrassChart.singleHorn(base.getFirst(), true);
            case "slide" -> BrassChart.slide(base.getFirst());
            case "slide with attachment" -> BrassChart.slideWithAttachment(base.getFirst());
            case "letters" -> new StringChart(base, Hand.BY_LETTER, positions(row));
            case "cello" -> new StringChart(base, Hand.CELLO, positions(row));
            case "bass" -> new StringChart(base, Hand.BASS, positions(row));
            case "none" -> FingeringChart.NONE;
            default -> throw new IllegalArgumentException("no kind of chart is called " + row.get("kind"));
        };
    }

    /** @param base the kin's code, and the lowest of its notes there is here; own fingerings take the place of the kin's */
    private static KeyChart like(
            String[] base, Map<Integer, List<Fingering>> own, Map<InstrumentCode, Map<Integer, List<Fingering>>> keys) {
        int lowest = base.length < 2 ? 0 : Pitch.named(base[1]).midi();
        Map<Integer, List<Fingering>> chart = new HashMap<>();
        keys.get(new InstrumentCode(base[0])).forEach((midi, ways) -> {
            if (midi >= lowest) {
                chart.put(midi, ways);
            }
        });
        chart.putAll(own);
        return new KeyChart(chart);
    }

    private static List<Integer> positions(CSVRecord row) {
        return Arrays.stream(row.get("positions").split(" "))
                .map(Integer::valueOf)
                .toList();
    }

    private static Keys keys(String text, String register) {
        int holes = 0;
        Set<String> keys = new LinkedHashSet<>();
        for (String token : text.replace('|', ' ').trim().split(" +")) {
            if (token.matches("[1-6]+")) {
                holes |= token.chars().map(digit -> 1 << (digit - '0')).sum();
            } else if (token.equals("T")) {
                holes |= 1;
            } else if (!token.isEmpty()) {
                keys.add(token);
            }
        }
        String label = text.replaceFirst("\\|$", "").replaceFirst("^\\| ?", "");
        return new Keys(holes, keys, register, label.isEmpty() ? "open" : label);
    }
}
