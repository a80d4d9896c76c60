package vividroster.core.curriculum;

import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;

/** Which remedy against which fault helped the most students, so that it is tried first. */
public final class MostHelped {

    private MostHelped() {}

    /** A remedy that helped a student against a fault, by the sign it is known by. */
    public record Helped(UUID studentId, String sign, String remedy) {}

    /** @param students how many it helped, each once however often */
    public record Counted(String sign, String remedy, int students) {}

    /**
     * What is tried first with a student: what helped this one latest, else what helped the most students.
     *
     * @param helped with one check, latest first
     */
    public static Optional<String> firstToTry(UUID studentId, Collection<Helped> helped) {
        return helped.stream()
                .filter(one -> one.studentId().equals(studentId))
                .map(Helped::remedy)
                .findFirst()
                .or(() -> of(helped).stream().map(Counted::remedy).findFirst());
    }

    /** By number of students, most first; equals by sign, then by remedy. */
    public static List<Counted> of(Collection<Helped> helped) {
        record Pair(String sign, String remedy) {}
        Map<Pair, Set<UUID>> students = new LinkedHashMap<>();
        helped.forEach(
                one -> students.computeIfAbsent(new Pair(one.sign(), one.remedy()), pair -> new LinkedHashSet<>())
                        .add(one.studentId()));
        return students.entrySet().stream()
                .map(e -> new Counted(
                        e.getKey().sign(), e.getKey().remedy(), e.getValue().size()))
                .sorted(Comparator.comparingInt(Counted::students)
                        .reversed()
                        .thenComparing(Counted::sign)
                        .thenComparing(Counted::remedy))
                .toList();
    }
}
