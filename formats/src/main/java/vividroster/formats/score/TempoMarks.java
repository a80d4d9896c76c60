package vividroster.formats.score;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import vividroster.core.music.Beats;
import vividroster.core.music.Measure;
import vividroster.core.music.Part;
import vividroster.core.music.Tempo;
import vividroster.core.music.TempoMark;

/** Tempo marks over any part hold for all. */
public final class TempoMarks {

    private TempoMarks() {}

    /** Every part's measures with the marks of all; of several at one place the uppermost part's. */
    public static Map<String, List<Measure>> ofAll(Map<String, List<Measure>> parts) {
        List<TreeMap<Beats, Tempo>> marks = new ArrayList<>();
        for (List<Measure> measures : parts.values()) {
            for (int m = 0; m < measures.size(); m++) {
                if (m == marks.size()) {
                    marks.add(new TreeMap<>());
                }
                for (TempoMark mark : measures.get(m).tempos()) {
                    marks.get(m).putIfAbsent(mark.at(), mark.tempo());
                }
            }
        }
        Map<String, List<Measure>> all = new LinkedHashMap<>();
        parts.forEach((id, measures) -> {
            List<Measure> marked = new ArrayList<>();
            for (int m = 0; m < measures.size(); m++) {
                marked.add(settled(measures, m, marks));
            }
            all.put(id, marked);
        });
        return all;
    }

    /** A mark behind the last note of a measure belongs to the next. */
    private static Measure settled(List<Measure> measures, int m, List<TreeMap<Beats, Tempo>> marks) {
        List<TempoMark> here = new ArrayList<>();
        if (m > 0) {
            Beats end = measures.get(m - 1).length();
            Optional.ofNullable(marks.get(m - 1).lastEntry())
                    .filter(late -> late.getKey().compareTo(end) >= 0)
                    .filter(late -> !marks.get(m).containsKey(Beats.ZERO))
                    .ifPresent(late -> here.add(new TempoMark(Beats.ZERO, late.getValue())));
        }
        Beats length = measures.get(m).length();
        marks.get(m).forEach((at, tempo) -> {
            if (at.compareTo(length) < 0) {
                here.add(new TempoMark(at, tempo));
            }
        });
        return measures.get(m).withTempos(here);
    }

    /** A mark at the very beginning is the part's own. */
    public static Part opened(Part part) {
        Measure first = part.measures().getFirst();
        if (first.tempos().isEmpty() || !first.tempos().getFirst().at().isZero()) {
            return part;
        }
        List<Measure> measures = new ArrayList<>(part.measures());
        measures.set(
                0, first.withTempos(first.tempos().subList(1, first.tempos().size())));
        return new Part(
                part.key(), part.meter(), Optional.of(first.tempos().getFirst().tempo()), measures, part.order());
    }
}
