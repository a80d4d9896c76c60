package vividroster.core.testing;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import vividroster.core.curriculum.Criterion;
import vividroster.core.progress.CriterionMark;
import vividroster.core.testing.Agreement.Pair;

/**
 * Two who heard the same students on one day, and what each gave.
 *
 * @param students heard by both
 * @param marks given by both, as many as students times criteria
 * @param same of them alike; oneApart by one point; apart the others
 * @param difference by how much the first gave more, on average
 */
public record TwoListeners(
        UUID first,
        UUID second,
        int students,
        int marks,
        int same,
        int oneApart,
        List<Apart> apart,
        double difference,
        Agreement agreement) {

    /** What one listener gave one student on a day. @param marks of the criteria marked; the others have no points */
    public record Heard(UUID studentId, UUID listener, LocalDate on, List<CriterionMark> marks) {}

    /** A mark that differs by two points or more. */
    public record Apart(UUID studentId, int ordinal, int first, int second) {}

    private record Both(UUID studentId, Heard first, Heard second) {}

    /**
     * Every two who heard a student in common, those with most in common first.
     *
     * @param heard in the order heard; of one listener, student and day the last counts
     * @param seed of the intervals
     */
    public static List<TwoListeners> of(Collection<Heard> heard, List<Criterion> criteria, long seed) {
        record Sitting(UUID studentId, LocalDate on) {}
        Map<Sitting, Map<UUID, Heard>> sittings = new LinkedHashMap<>();
        heard.forEach(
                one -> sittings.computeIfAbsent(new Sitting(one.studentId(), one.on()), sitting -> new HashMap<>())
                        .put(one.listener(), one));
        Map<List<UUID>, List<Both>> pairs = new LinkedHashMap<>();
        sittings.forEach((sitting, byListener) -> {
            List<UUID> people = byListener.keySet().stream().sorted().toList();
            for (int i = 0; i < people.size(); i++) {
                for (int j = i + 1; j < people.size(); j++) {
                    pairs.computeIfAbsent(List.of(people.get(i), people.get(j)), two -> new ArrayList<>())
                            .add(new Both(
                                    sitting.studentId(), byListener.get(people.get(i)), byListener.get(people.get(j))));
                }
            }
        });
        return pairs.entrySet().stream()
                .sorted(Comparator.comparingInt((Map.Entry<List<UUID>, List<Both>> entry) ->
                                entry.getValue().size())
                        .reversed())
                .map(entry -> compared(entry.getKey(), entry.getValue(), criteria, seed))
                .toList();
    }

    private static TwoListeners compared(List<UUID> people, List<Both> both, List<Criterion> criteria, long seed) {
        List<List<Pair>> byStudent = new ArrayList<>();
        List<Apart> apart = new ArrayList<>();
        for (Both one : both) {
            List<Pair> marks = new ArrayList<>();
            for (Criterion criterion : criteria) {
                Pair pair = new Pair(points(one.first(), criterion), points(one.second(), criterion));
                marks.add(pair);
                if (distance(pair) > 1) {
                    apart.add(new Apart(one.studentId(), criterion.ordinal(), pair.first(), pair.second()));
                }
            }
            byStudent.add(marks);
        }
        List<Pair> all = byStudent.stream().flatMap(List::stream).toList();
        return new TwoListeners(
                people.get(0),
                people.get(1),
                both.size(),
                all.size(),
                (int) all.stream().filter(pair -> distance(pair) == 0).count(),
                (int) all.stream().filter(pair -> distance(pair) == 1).count(),
                apart,
                all.stream()
                        .mapToInt(pair -> pair.first() - pair.second())
                        .average()
                        .orElse(0),
                Agreement.of(byStudent, seed));
    }

    private static int distance(Pair pair) {
        return Math.abs(pair.first() - pair.second());
    }

    private static int points(Heard heard, Criterion criterion) {
        return heard.marks().stream()
                .filter(mark -> mark.ordinal() == criterion.ordinal())
                .mapToInt(CriterionMark::points)
                .findFirst()
                .orElse(0);
    }
}
