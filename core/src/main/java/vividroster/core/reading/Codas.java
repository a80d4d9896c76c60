package vividroster.core.reading;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.Function;
import java.util.stream.IntStream;
import vividroster.core.music.Signs;
import vividroster.core.music.Signs.Jump;

/** Where jumps lead: which segno and which coda are meant. Names must match when both sides give one. */
final class Codas {

    private final List<Signs> signs;

    Codas(List<Signs> signs) {
        this.signs = signs;
    }

    /** The segno of that name; of several without one the nearest before the jump. Empty where there is none. */
    OptionalInt segno(Jump jump, int at) {
        String name = jump.segno().orElseThrow();
        List<Integer> all = where(Signs::segno);
        List<Integer> meant = name.isEmpty()
                ? all
                : all.stream().filter(i -> named(i, Signs::segno, name)).toList();
        if (meant.isEmpty()) {
            meant = all.stream().filter(i -> named(i, Signs::segno, "")).toList();
        }
        List<Integer> before = meant.stream().filter(i -> i <= at).toList();
        return before.isEmpty() ? first(meant) : OptionalInt.of(before.getLast());
    }

    /** The coda a jump names, else the first after its place. Empty where there is none. */
    OptionalInt coda(Jump jump, int at) {
        List<Integer> all = where(Signs::coda);
        List<Integer> after = all.stream().filter(i -> i > at).toList();
        if (jump.coda().isEmpty()) {
            return after.isEmpty() ? first(all) : first(after);
        }
        List<Integer> named =
                all.stream().filter(i -> named(i, Signs::coda, jump.coda())).toList();
        if (!named.isEmpty()) {
            return first(named);
        }
        List<Integer> nameless =
                all.stream().filter(i -> named(i, Signs::coda, "")).toList();
        return nameless.size() == 1 ? first(nameless) : OptionalInt.empty();
    }

    /**
     * Where the sign To Coda at a measure leads after a jump; empty where it is not meant by it.
     *
     * @param target what {@link #coda} says of the jump
     */
    Optional<OptionalInt> leads(int at, Jump jump, OptionalInt target) {
        String name = signs.get(at).toCoda().orElseThrow();
        if (name.isEmpty() || target.isEmpty()) {
            return Optional.of(name.isEmpty() ? target : coda(jump.toCoda(name), at));
        }
        String goal = signs.get(target.getAsInt()).coda().orElseThrow();
        if (goal.isEmpty() || goal.equals(name)) {
            return Optional.of(target);
        }
        boolean another = where(Signs::toCoda).stream().anyMatch(i -> named(i, Signs::toCoda, goal));
        return another || !jump.coda().isEmpty() ? Optional.empty() : Optional.of(coda(jump.toCoda(name), at));
    }

    private List<Integer> where(Function<Signs, Optional<String>> sign) {
        return IntStream.range(0, signs.size())
                .filter(i -> sign.apply(signs.get(i)).isPresent())
                .boxed()
                .toList();
    }

    private boolean named(int at, Function<Signs, Optional<String>> sign, String name) {
        return sign.apply(signs.get(at)).filter(name::equals).isPresent();
    }

    private static OptionalInt first(List<Integer> of) {
        return of.isEmpty() ? OptionalInt.empty() : OptionalInt.of(of.getFirst());
    }
}
