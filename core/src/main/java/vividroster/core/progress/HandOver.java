package vividroster.core.progress;

import java.time.LocalDate;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import vividroster.core.curriculum.Belt;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.BeltLadder.Earned;

/**
 * A belt that was put round somebody. That it was earned is told by the passes alone; this is the moment it was shown.
 *
 * @param occasion in the director's words; may be empty
 */
public record HandOver(
        UUID id, UUID studentId, UUID beltId, InstrumentCode instrument, LocalDate handedOn, String occasion) {

    /**
     * What a player wears and what is to be done.
     *
     * @param worn the highest of those handed over that are earned
     * @param due earned and not handed over, from the lowest up
     * @param withdrawn handed over and, since something was taken back, no longer earned
     */
    public record State(Optional<Belt> worn, List<Earned> due, List<HandOver> withdrawn) {}

    /**
     * @param earned of one player on one instrument, from the lowest up
     * @param handed over to this player on this instrument
     */
    public static State state(List<Earned> earned, Collection<HandOver> handed) {
        Map<UUID, HandOver> byBelt =
                handed.stream().collect(Collectors.toMap(HandOver::beltId, Function.identity(), (one, other) -> one));
        List<UUID> earnedIds = earned.stream().map(one -> one.belt().id()).toList();
        return new State(
                earned.stream()
                        .filter(one -> byBelt.containsKey(one.belt().id()))
                        .map(Earned::belt)
                        .reduce((lower, higher) -> higher),
                earned.stream()
                        .filter(one -> !byBelt.containsKey(one.belt().id()))
                        .toList(),
                handed.stream()
                        .filter(one -> !earnedIds.contains(one.beltId()))
                        .sorted(Comparator.comparing(HandOver::handedOn).thenComparing(HandOver::beltId))
                        .toList());
    }
}
