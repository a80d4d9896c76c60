package vividroster.core.progress;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import vividroster.core.curriculum.Belt;
import vividroster.core.curriculum.Milestone;
import vividroster.core.instrument.HandsKept;
import vividroster.core.instrument.HandsKept.Kept;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Pitch;

/**
 * What it means for one student to change instrument, told before it is done. Nothing that was passed is lost: it stays on
 * record for the old instrument, and what is instrument-free goes on counting.
 *
 * @param counts passed and instrument-free, on the new instrument too
 * @param staysOnRecord passed on the old instrument, for that one alone
 * @param passedBefore passed on the new instrument already, borrowed once
 * @param noLongerAsked open on the old instrument, which the student plays in no class any more
 * @param opensAnew what the new section was set and this student has to pass, in the order of the track
 * @param catchUp what of it was due before they come, week by week
 * @param belts of the ladders of both instruments that this touches, in rank order
 * @param hands what the hand keeps
 */
public record InstrumentSwitch(
        List<UUID> counts,
        List<UUID> staysOnRecord,
        List<UUID> passedBefore,
        List<UUID> noLongerAsked,
        List<Anew> opensAnew,
        List<List<UUID>> catchUp,
        List<BeltTouched> belts,
        HandsKept hands) {

    /** Lines whose notes the hand knows go by so many to a week, anything else one; ours, to be tuned. */
    static final int KNOWN_A_WEEK = 3;

    /**
     * Something to pass on the new instrument.
     *
     * @param newNotes written notes of it that are not known from the old instrument and met here first; empty for what
     *     has no notes
     * @param known whether it has notes and the hand knows them all
     */
    public record Anew(UUID milestoneId, List<Pitch> newNotes, boolean known) {}

    /**
     * @param earnedBefore on the old instrument; it stays
     * @param filled slots that are filled on the new instrument from the first day
     * @param slots that reach the new instrument; 0 where the belt asks nothing of it
     */
    public record BeltTouched(Belt belt, boolean earnedBefore, int filled, int slots) {}

    /**
     * One student and two instruments.
     *
     * @param old standings on the old instrument, by milestone
     * @param fresh standings on the new instrument, by milestone, instrument-free ones told from every instrument
     * @param keepsOld whether the old instrument is still played in another class
     */
    public record Between(
            InstrumentCode from,
            InstrumentCode to,
            Map<UUID, Standing> old,
            Map<UUID, Standing> fresh,
            boolean keepsOld) {}

    /**
     * What the new section was set.
     *
     * @param missed due before the student comes, in the order the section met it
     * @param withSection due later and so the student's too, in that order
     * @param notes written notes of each line on the new instrument; milestones without are left out
     */
    public record Track(List<UUID> missed, List<UUID> withSection, Map<UUID, ? extends Collection<Pitch>> notes) {

        List<UUID> whole() {
            return Stream.concat(missed.stream(), withSection.stream())
                    .distinct()
                    .toList();
        }
    }

    /**
     * @param milestones all that the standings and the track name
     * @param newNotesAWeek most notes a section meets in a week, at least 1
     */
    public static InstrumentSwitch of(
            Between between,
            Map<UUID, Milestone> milestones,
            Track track,
            Collection<Belt> belts,
            HandsKept hands,
            int newNotesAWeek) {
        List<Milestone> passed = milestones.values().stream()
                .filter(m ->
                        between.old().getOrDefault(m.id(), Standing.NOTHING).isPassed())
                .toList();
        List<Anew> anew = anew(between, milestones, track, hands);
        List<Milestone> left = between.keepsOld()
                ? List.of()
                : milestones.values().stream()
                        .filter(m -> !m.instrumentFree()
                                && between.old()
                                        .getOrDefault(m.id(), Standing.NOTHING)
                                        .state()
                                        .isOpen())
                        .toList();
        return new InstrumentSwitch(
                ids(passed.stream().filter(Milestone::instrumentFree).toList()),
                ids(passed.stream().filter(m -> !m.instrumentFree()).toList()),
                milestones.values().stream()
                        .filter(m -> !m.instrumentFree())
                        .filter(m -> between.fresh()
                                .getOrDefault(m.id(), Standing.NOTHING)
                                .isPassed())
                        .map(Milestone::id)
                        .toList(),
                ids(left),
                anew,
                weeks(
                        anew.stream()
                                .filter(one -> track.missed().contains(one.milestoneId()))
                                .toList(),
                        newNotesAWeek),
                touched(between, belts),
                hands);
    }

    private static List<UUID> ids(List<Milestone> milestones) {
        return milestones.stream().map(Milestone::id).toList();
    }

    private static List<Anew> anew(Between between, Map<UUID, Milestone> milestones, Track track, HandsKept hands) {
        Set<Pitch> known = new HashSet<>(hands.with(Kept.ALIKE));
        List<Anew> anew = new ArrayList<>();
        for (UUID id : track.whole()) {
            Milestone milestone = milestones.get(id);
            Standing standing = between.fresh().getOrDefault(id, Standing.NOTHING);
            if (milestone == null || !milestone.isFor(between.to())) {
                continue;
            }
            Collection<Pitch> played =
                    track.notes().containsKey(id) ? track.notes().get(id) : List.of();
            if (standing.isPassed() || standing.waived()) {
                known.addAll(played);
                continue;
            }
            List<Pitch> fresh = played.stream()
                    .distinct()
                    .filter(note -> !known.contains(note))
                    .toList();
            anew.add(new Anew(id, fresh, !played.isEmpty() && fresh.isEmpty()));
            known.addAll(fresh);
        }
        return anew;
    }

    /**
     * One track for several who come to the same section on the same day, at a pace none of them is hurried by: what one has
     * to pass is there, and a note that is new to one is new to it.
     *
     * @param missed what the section was set, in the order it met it
     */
    public static List<List<UUID>> together(List<UUID> missed, Collection<InstrumentSwitch> each, int newNotesAWeek) {
        Map<UUID, List<Anew>> own = each.stream()
                .flatMap(one -> one.opensAnew().stream())
                .collect(Collectors.groupingBy(Anew::milestoneId));
        return weeks(
                missed.stream()
                        .filter(own::containsKey)
                        .map(id -> new Anew(
                                id,
                                own.get(id).stream()
                                        .flatMap(anew -> anew.newNotes().stream())
                                        .distinct()
                                        .toList(),
                                own.get(id).stream().allMatch(Anew::known)))
                        .toList(),
                newNotesAWeek);
    }

    /** In the order of the track, so that nothing comes before what it needs. */
    private static List<List<UUID>> weeks(List<Anew> anew, int newNotesAWeek) {
        List<List<UUID>> weeks = new ArrayList<>();
        double room = 0;
        int notes = 0;
        for (Anew one : anew) {
            double takes = one.known() ? 1.0 / KNOWN_A_WEEK : 1;
            // A thing that alone brings more notes than a week holds has its week to itself.
            boolean fits = takes <= room + 1e-9
                    && (notes == 0 || notes + one.newNotes().size() <= newNotesAWeek);
            if (!fits) {
                weeks.add(new ArrayList<>());
                room = 1;
                notes = 0;
            }
            weeks.getLast().add(one.milestoneId());
            room -= takes;
            notes += one.newNotes().size();
        }
        return weeks.stream().map(List::copyOf).toList();
    }

    private static List<BeltTouched> touched(Between between, Collection<Belt> belts) {
        return belts.stream()
                .map(belt -> {
                    List<UUID> slots = belt.milestonesFor(between.to());
                    return new BeltTouched(
                            belt,
                            BeltLadder.isEarned(belt, between.from(), between.old()),
                            (int) slots.stream()
                                    .filter(id -> between.fresh()
                                            .getOrDefault(id, Standing.NOTHING)
                                            .fillsSlot())
                                    .count(),
                            slots.size());
                })
                .filter(touched -> touched.earnedBefore() || touched.slots() > 0)
                .sorted(Comparator.comparing(
                                (BeltTouched touched) -> touched.belt().ladder())
                        .thenComparingInt(touched -> touched.belt().rank()))
                .toList();
    }
}
