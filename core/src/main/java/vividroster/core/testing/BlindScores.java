package vividroster.core.testing;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import vividroster.core.progress.CriterionMark;

/**
 * What listeners gave one student on a day, as each gave it before knowing the others' scores: of what was corrected once
 * all of that day's listeners were done, agreement says nothing any more.
 */
public final class BlindScores {

    private BlindScores() {}

    /**
     * A score or a correction of one.
     *
     * @param corrects the entry it stands in place of
     * @param undone whether it says that it never was
     */
    public record Entry(
            UUID id,
            Optional<UUID> corrects,
            UUID studentId,
            UUID by,
            LocalDate on,
            Instant recordedAt,
            List<CriterionMark> marks,
            boolean undone) {}

    private record Chain(Entry root, List<Entry> entries) {

        boolean isUndone() {
            return entries.getLast().undone();
        }

        /** What stood at a moment, at least the first word. */
        Entry at(Instant moment) {
            Entry stood = root;
            for (Entry entry : entries) {
                stood = entry.recordedAt().isAfter(moment) ? stood : entry;
            }
            return stood;
        }
    }

    /** @param entries of any students, in any order; what was undone in the end is left out */
    public static List<TwoListeners.Heard> of(List<Entry> entries) {
        Map<UUID, Entry> corrections = new HashMap<>();
        entries.forEach(entry -> entry.corrects().ifPresent(id -> corrections.put(id, entry)));
        record Sitting(UUID studentId, LocalDate on) {}
        Map<Sitting, List<Chain>> sittings = new LinkedHashMap<>();
        for (Entry root : entries) {
            if (root.corrects().isPresent()) {
                continue;
            }
            List<Entry> chain = new ArrayList<>();
            for (Entry next = root; next != null; next = corrections.get(next.id())) {
                chain.add(next);
            }
            Chain own = new Chain(root, chain);
            if (!own.isUndone()) {
                sittings.computeIfAbsent(new Sitting(root.studentId(), root.on()), sitting -> new ArrayList<>())
                        .add(own);
            }
        }
        List<TwoListeners.Heard> heard = new ArrayList<>();
        sittings.forEach((sitting, chains) -> {
            Instant allDone = chains.stream()
                    .map(chain -> chain.root().recordedAt())
                    .max(Instant::compareTo)
                    .orElseThrow();
            chains.forEach(chain -> heard.add(new TwoListeners.Heard(
                    sitting.studentId(),
                    chain.root().by(),
                    sitting.on(),
                    chain.at(allDone).marks())));
        });
        return heard;
    }
}
