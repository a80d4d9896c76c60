package vividroster.core.roster;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/**
 * The roster as it stands, to plan an import against.
 *
 * @param seats only those held now or beginning later
 */
public record Roster(
        List<SchoolClass> classes, List<Student> students, List<Seat> seats, LocalDate yearFirst, LocalDate yearLast) {

    public Roster {
        classes = List.copyOf(classes);
        students = List.copyOf(students);
        seats = List.copyOf(seats);
    }

    public record SchoolClass(UUID id, String name) {}

    public record Student(UUID id, String name, Optional<String> number) {}
}
