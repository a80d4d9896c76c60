package vividroster.core.reading;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import vividroster.core.music.Signs;

/** The brackets over a strain's last measures, as they stand on paper; those that follow one another are a group. */
final class Endings {

    /** @param first and last measure under it, by index; passes on which it is taken */
    record Bracket(int first, int last, Set<Integer> passes) {}

    /** @param most the highest of its numbers, so often its strain is played */
    record Group(List<Bracket> brackets, int most) {
        int first() {
            return brackets.getFirst().first();
        }

        int last() {
            return brackets.getLast().last();
        }
    }

    private final List<Group> groups = new ArrayList<>();
    private final int[] groupOver;

    Endings(List<Signs> signs) {
        groupOver = new int[signs.size()];
        Arrays.fill(groupOver, -1);
        List<Bracket> row = new ArrayList<>();
        for (int i = 0; i < signs.size(); i++) {
            if (signs.get(i).endingBegins().isEmpty()) {
                continue;
            }
            if (!row.isEmpty() && row.getLast().last() + 1 != i) {
                close(row);
            }
            row.add(new Bracket(i, lastOf(signs, i), signs.get(i).endingBegins()));
        }
        close(row);
    }

    private void close(List<Bracket> row) {
        if (row.isEmpty()) {
            return;
        }
        int most = row.stream()
                .flatMap(b -> b.passes().stream())
                .mapToInt(Integer::intValue)
                .max()
                .orElse(1);
        Arrays.fill(groupOver, row.getFirst().first(), row.getLast().last() + 1, groups.size());
        groups.add(new Group(List.copyOf(row), most));
        row.clear();
    }

    /** Without a sign of its end a bracket covers its own measure. */
    private static int lastOf(List<Signs> signs, int first) {
        for (int i = first; i < signs.size(); i++) {
            boolean next = i + 1 < signs.size()
                    && (!signs.get(i + 1).endingBegins().isEmpty()
                            || signs.get(i + 1).forwardRepeat());
            if (signs.get(i).endingStops() || signs.get(i).closesRepeat() || next) {
                return i;
            }
        }
        return first;
    }

    Optional<Group> groupOver(int at) {
        return groupOver[at] < 0 ? Optional.empty() : Optional.of(groups.get(groupOver[at]));
    }

    Optional<Bracket> bracketOver(int at) {
        return groupOver(at)
                .flatMap(group -> group.brackets().stream()
                        .filter(b -> b.first() <= at && at <= b.last())
                        .findFirst());
    }
}
