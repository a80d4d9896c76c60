package vividroster.core.plan;

import java.util.LinkedHashMap;
import java.util.Map;

/** The parts of what a plan pays, in points; their sum is the total. Also the difference of two such sums. */
public record PlanPoints(long dropped, long dates, long over, long uneven, long order, long margin, long moved) {

    public static final PlanPoints NONE = new PlanPoints(0, 0, 0, 0, 0, 0, 0);

    public long total() {
        return dropped + dates + over + uneven + order + margin + moved;
    }

    public PlanPoints plus(PlanPoints other) {
        return new PlanPoints(
                dropped + other.dropped,
                dates + other.dates,
                over + other.over,
                uneven + other.uneven,
                order + other.order,
                margin + other.margin,
                moved + other.moved);
    }

    public PlanPoints minus(PlanPoints other) {
        return new PlanPoints(
                dropped - other.dropped,
                dates - other.dates,
                over - other.over,
                uneven - other.uneven,
                order - other.order,
                margin - other.margin,
                moved - other.moved);
    }

    /** The parts that are not 0, by their names, in the order of the sum. */
    public Map<String, Long> parts() {
        Map<String, Long> parts = new LinkedHashMap<>();
        parts.put("dropped", dropped);
        parts.put("dates", dates);
        parts.put("over", over);
        parts.put("uneven", uneven);
        parts.put("order", order);
        parts.put("margin", margin);
        parts.put("moved", moved);
        parts.values().removeIf(points -> points == 0);
        return parts;
    }
}
