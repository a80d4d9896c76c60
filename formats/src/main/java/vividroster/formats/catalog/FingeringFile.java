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
import vividroster.core.music.Pitch;

/**
 * How each instrument takes its notes: {@code charts.csv} says by which rule, {@code keys.csv} lists the woodwinds note
 * by note. A fingering reads {@code T 123|456 Eb}: left hand before the bar, right hand behind it.
 */
public final class FingeringFile {

    private FingeringFile() {}

    /** By instrument code, in score order. */
    public static Map<String, FingeringChart> shipped() {
        Map<String, Map<Integer, List<Fingering>>> keys = new HashMap<>();
        for (CSVRecord row : CatalogRows.of("keys.csv")) {
            List<Fingering> ways = new ArrayList<>();
            ways.add(keys(row.get("fingering"), row.get("register")));
            Arrays.stream(row.get("alternates").split(" / "))
                    .filter(way -> !way.isBlank())
                    .forEach(way -> ways.add(keys(way, row.get("register"))));
            keys.computeIfAbsent(row.get("instrument"), i -> new HashMap<>())
                    .put(Pitch.named(row.get("note")).midi(), List.copyOf(ways));
        }
        Map<String, FingeringChart> charts = new LinkedHashMap<>();
        for (CSVRecord row : CatalogRows.of("charts.csv")) {
            List<Pitch> base = Arrays.stream(row.get("base").split(" "))
                    .filter(p -> !p.isBlank())
                    .map(Pitch::named)
                    .toList();
            charts.put(
                    row.get("instrument"),
                    switch (row.get("kind")) {
                        case "keys" -> new KeyChart(keys.get(row.get("instrument")));
                        case "valves" -> BrassChart.valves(base.getFirst(), false);
                        case "four valves" -> BrassChart.valves(base.getFirst(), true);
                        case "double horn" -> BrassChart.doubleHorn(base.getFirst(), base.getLast());
                        case "slide" -> BrassChart.slide(base.getFirst());
                        case "letters" -> new StringChart(base, Hand.BY_LETTER);
                        case "cello" -> new StringChart(base, Hand.CELLO);
                        case "bass" -> new StringChart(base, Hand.BASS);
                        case "none" -> FingeringChart.NONE;
                        default -> throw new IllegalArgumentException("no kind of chart is called " + row.get("kind"));
                    });
        }
        return charts;
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
