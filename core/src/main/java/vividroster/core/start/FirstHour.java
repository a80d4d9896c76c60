package vividroster.core.start;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** What stands between an empty programme and its first lesson, in any order, each to be left out. */
public final class FirstHour {

    private FirstHour() {}

    public enum Step {
        SCHOOL_AND_YEAR,
        CLASSES,
        ROSTER,
        BOOKS,
        SCHOOLS,
        FIRST_WEEKS,
        BELTS_AND_TESTS,
        WHO_ELSE
    }

    public enum State {
        OPEN,
        /** Something is there, and something is missing. */
        BEGUN,
        DONE,
        LEFT_OUT
    }

    /**
     * What is there.
     *
     * @param named whether a director has said what the school is called
     * @param schoolDays of the present year; 0 where no year is laid
     * @param classes names of those that go on
     * @param emptyClasses names of those nobody sits in
     * @param students on the roster
     * @param schoolsSeen whether somebody looked at the questions between schools, or chose
     * @param classesWithoutOrders names of those that somebody sits in and nothing is set for
     * @param invited how many others there are, or are invited
     * @param leftOut by the director
     */
    public record Facts(
            boolean named,
            int schoolDays,
            List<String> classes,
            List<String> emptyClasses,
            int students,
            int books,
            int lines,
            boolean schoolsSeen,
            List<String> classesWithoutOrders,
            int belts,
            int tests,
            int invited,
            Set<Step> leftOut) {}

    /** @param missing what a begun step still lacks; empty otherwise */
    public record Told(Step step, State state, Optional<Missing> missing) {}

    /** What a step that is begun still lacks. */
    public sealed interface Missing {
        record Name() implements Missing {}

        record Year() implements Missing {}

        /** @param classes that nobody sits in */
        record Students(List<String> classes) implements Missing {}

        record Lines() implements Missing {}

        /** @param classes that nothing is set for */
        record Orders(List<String> classes) implements Missing {}
    }

    /** Every step in the order it is shown. */
    public static List<Told> of(Facts facts) {
        List<Told> told = new ArrayList<>();
        for (Step step : Step.values()) {
            Optional<Missing> missing = missing(step, facts);
            State state = missing.isPresent() ? State.BEGUN : isDone(step, facts) ? State.DONE : State.OPEN;
            boolean leftOut = state != State.DONE && facts.leftOut().contains(step);
            told.add(new Told(step, leftOut ? State.LEFT_OUT : state, leftOut ? Optional.empty() : missing));
        }
        return List.copyOf(told);
    }

    /** What a first lesson needs; the others wait for nobody. */
    private static final Set<Step> NEEDED =
            EnumSet.of(Step.SCHOOL_AND_YEAR, Step.CLASSES, Step.ROSTER, Step.BOOKS, Step.FIRST_WEEKS);

    /** Whether the guide goes away: nothing that a first lesson needs is open or half done. */
    public static boolean isOver(List<Told> steps) {
        return steps.stream()
                .filter(told -> NEEDED.contains(told.step()))
                .allMatch(told -> told.state() == State.DONE || told.state() == State.LEFT_OUT);
    }

    private static boolean isDone(Step step, Facts facts) {
        return switch (step) {
            case SCHOOL_AND_YEAR -> facts.named() && facts.schoolDays() > 0;
            case CLASSES -> !facts.classes().isEmpty();
            case ROSTER -> facts.students() > 0 && facts.emptyClasses().isEmpty();
            case BOOKS -> facts.lines() > 0;
            case SCHOOLS -> facts.schoolsSeen();
            case FIRST_WEEKS ->
                facts.students() > 0 && facts.classesWithoutOrders().isEmpty();
            case BELTS_AND_TESTS -> facts.belts() + facts.tests() > 0;
            case WHO_ELSE -> facts.invited() > 0;
        };
    }

    private static Optional<Missing> missing(Step step, Facts facts) {
        return switch (step) {
            case SCHOOL_AND_YEAR ->
                facts.named() && facts.schoolDays() == 0
                        ? Optional.of(new Missing.Year())
                        : !facts.named()
                                        && facts.schoolDays() > 0
                                        && !facts.classes().isEmpty()
                                ? Optional.of(new Missing.Name())
                                : Optional.empty();
            case ROSTER ->
                facts.students() > 0 && !facts.emptyClasses().isEmpty()
                        ? Optional.of(new Missing.Students(facts.emptyClasses()))
                        : Optional.empty();
            case BOOKS -> facts.books() > 0 && facts.lines() == 0 ? Optional.of(new Missing.Lines()) : Optional.empty();
            case FIRST_WEEKS -> {
                int seated = facts.classes().size() - facts.emptyClasses().size();
                boolean some = facts.classesWithoutOrders().size() < seated;
                yield some && !facts.classesWithoutOrders().isEmpty()
                        ? Optional.of(new Missing.Orders(facts.classesWithoutOrders()))
                        : Optional.empty();
            }
            case CLASSES, SCHOOLS, BELTS_AND_TESTS, WHO_ELSE -> Optional.empty();
        };
    }
}
