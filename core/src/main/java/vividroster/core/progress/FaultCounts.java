package vividroster.core.progress;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;

/** Which faults come back: of a section over a year, of a student over tries. */
public final class FaultCounts {

    private FaultCounts() {}

    /** A try with faults that stands. @param faults in any order; the same sign twice counts once */
    public record FaultyTry(UUID studentId, UUID milestoneId, LocalDate heardOn, List<FaultHeard> faults) {
        public FaultyTry {
            faults = List.copyOf(faults);
        }
    }

    /**
     * @param tries in how many tries it was noted, at least 1
     * @param students in those of how many students
     * @param lastOn the latest of them
     * @param measure where it was tapped most, of the milestone where it was tapped most; empty where never
     */
    public record Counted(String sign, int tries, int students, LocalDate lastOn, OptionalInt measure) {}

    /** A fault of one student recurs from so many tries on; ours. */
    public static final int RECURS_FROM = 2;

    /** By number of students, then of tries, most first; equals by the latest, then by the sign. */
    public static List<Counted> of(Collection<FaultyTry> tries) {
        Map<String, List<FaultyTry>> bySign = new TreeMap<>();
        for (FaultyTry one : tries) {
            one.faults().stream()
                    .map(FaultHeard::sign)
                    .distinct()
                    .forEach(sign ->
                            bySign.computeIfAbsent(sign, s -> new ArrayList<>()).add(one));
        }
        List<Counted> counted = new ArrayList<>();
        bySign.forEach((sign, heard) -> {
            Set<UUID> students = new HashSet<>();
            heard.forEach(one -> students.add(one.studentId()));
            counted.add(new Counted(
                    sign,
                    heard.size(),
                    students.size(),
                    heard.stream()
                            .map(FaultyTry::heardOn)
                            .max(Comparator.naturalOrder())
                            .orElseThrow(),
                    measure(sign, heard)));
        });
        counted.sort(Comparator.comparingInt(Counted::students)
                .thenComparingInt(Counted::tries)
                .thenComparing(Counted::lastOn)
                .reversed()
                .thenComparing(Counted::sign));
        return counted;
    }

    /** A fault where it was noted. @param measure empty where none was tapped; students of whom, each once */
    public record Place(OptionalInt measure, String sign, int students) {}

    /** Where it failed, most students first, then by measure. */
    public static List<Place> places(Collection<FaultyTry> tries) {
        Map<FaultHeard, Set<UUID>> students = new HashMap<>();
        tries.forEach(one -> one.faults()
                .forEach(fault ->
                        students.computeIfAbsent(fault, f -> new HashSet<>()).add(one.studentId())));
        return students.entrySet().stream()
                .map(entry -> new Place(
                        entry.getKey().measure(),
                        entry.getKey().sign(),
                        entry.getValue().size()))
                .sorted(Comparator.comparingInt(Place::students)
                        .reversed()
                        .thenComparingInt(place -> place.measure().orElse(Integer.MAX_VALUE))
                        .thenComparing(Place::sign))
                .toList();
    }

    /** Those of one student that came back, most often first. */
    public static List<Counted> recurring(Collection<FaultyTry> ofOneStudent) {
        return of(ofOneStudent).stream()
                .filter(counted -> counted.tries() >= RECURS_FROM)
                .toList();
    }

    private static OptionalInt measure(String sign, List<FaultyTry> heard) {
        record Place(UUID milestoneId, int measure) {}
        Map<Place, Long> taps = heard.stream()
                .flatMap(one -> one.faults().stream()
                        .filter(fault ->
                                fault.sign().equals(sign) && fault.measure().isPresent())
                        .map(fault ->
                                new Place(one.milestoneId(), fault.measure().getAsInt())))
                .collect(Collectors.groupingBy(place -> place, Collectors.counting()));
        return taps.entrySet().stream()
                .max(Map.Entry.<Place, Long>comparingByValue()
                        .thenComparing(entry -> -entry.getKey().measure())
                        .thenComparing(entry -> entry.getKey().milestoneId()))
                .map(entry -> OptionalInt.of(entry.getKey().measure()))
                .orElse(OptionalInt.empty());
    }
}
