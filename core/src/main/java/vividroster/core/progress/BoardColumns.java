package vividroster.core.progress;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import vividroster.core.curriculum.Milestone;
import vividroster.core.text.Wording;

/**
 * The columns of a section board. Milestones that are each section's form of the same thing (every instrument's own
 * "Hold" check) share a column, so that a mixed class stays readable.
 */
public final class BoardColumns {

    private BoardColumns() {}

    /**
     * A milestone set for some players of the board.
     *
     * @param dueOn earliest due day among them
     * @param players for whom it is set
     */
    public record Wanted<P>(Milestone milestone, LocalDate setOn, LocalDate dueOn, Set<P> players) {
        public Wanted {
            players = Set.copyOf(players);
        }
    }

    /**
     * @param milestones one, or several of the same kind and short name of which nobody has two
     * @param setOn earliest among them
     * @param dueOn earliest among them
     */
    public record Column(List<Milestone> milestones, LocalDate setOn, LocalDate dueOn) {
        public Column {
            milestones = List.copyOf(milestones);
        }

        public List<UUID> milestoneIds() {
            return milestones.stream().map(Milestone::id).toList();
        }
    }

    /** @param wanted in shelf order, which settles ties between equal due days */
    public static <P> List<Column> of(List<Wanted<P>> wanted) {
        List<Shared<P>> shared = new ArrayList<>();
        for (Wanted<P> one : wanted) {
            shared.stream()
                    .filter(column -> column.takes(one))
                    .findFirst()
                    .orElseGet(() -> {
                        Shared<P> added = new Shared<>();
                        shared.add(added);
                        return added;
                    })
                    .add(one);
        }
        return shared.stream()
                .map(Shared::column)
                .sorted(Comparator.comparing(Column::dueOn))
                .toList();
    }

    private static final class Shared<P> {
        private final List<Wanted<P>> parts = new ArrayList<>();
        private final Set<P> players = new HashSet<>();

        /** Lines have numbers that two volumes share, so only what applies to named instruments may share a column. */
        boolean takes(Wanted<P> one) {
            Milestone first = parts.getFirst().milestone();
            return first.kind() == one.milestone().kind()
                    && !first.appliesTo().isEmpty()
                    && !one.milestone().appliesTo().isEmpty()
                    && Wording.fold(first.shortName())
                            .equals(Wording.fold(one.milestone().shortName()))
                    && one.players().stream().noneMatch(players::contains);
        }

        void add(Wanted<P> one) {
            parts.add(one);
            players.addAll(one.players());
        }

        Column column() {
            return new Column(
                    parts.stream().map(Wanted::milestone).collect(Collectors.toList()),
                    parts.stream()
                            .map(Wanted::setOn)
                            .min(Comparator.naturalOrder())
                            .orElseThrow(),
                    parts.stream()
                            .map(Wanted::dueOn)
                            .min(Comparator.naturalOrder())
                            .orElseThrow());
        }
    }
}
