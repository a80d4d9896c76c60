package vividroster.core.instrument;

import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import vividroster.core.instrument.Fingering.Keys;
import vividroster.core.instrument.Fingering.OnString;
import vividroster.core.instrument.Fingering.Slide;
import vividroster.core.instrument.Fingering.Valves;
import vividroster.core.music.Pitch;

/**
 * What a hand keeps that goes from one instrument to another: for every written note it knows, whether the same note on the
 * page is taken in the same way.
 *
 * @param notes from low to high, each once; empty where nothing was known
 */
public record HandsKept(List<Note> notes) {

    /** How much of a note stays. */
    public enum Kept {
        /** Same fingers and the same partial or register: the note is known. */
        ALIKE,
        /** Same fingers, but another partial, register or string: the hand knows it, lip, breath or bow does not. */
        SAME_FINGERS,
        NEW
    }

    /**
     * @param was how it was taken
     * @param is how it is taken now; empty where the new instrument does not have the note
     */
    public record Note(Pitch written, Fingering was, Optional<Fingering> is, Kept kept) {}

    public HandsKept {
        notes = List.copyOf(notes);
    }

    /** @param known written notes on the old instrument; those it does not finger are left out */
    public static HandsKept of(FingeringChart from, FingeringChart to, Collection<Pitch> known) {
        return new HandsKept(known.stream()
                .distinct()
                .sorted(Comparator.comparingInt(Pitch::midi).thenComparing(Pitch::letter))
                .flatMap(written -> from.of(written).stream().limit(1).map(was -> note(written, was, to.of(written))))
                .toList());
    }

    /**
     * The same way on the new instrument, among its others too where it is the same partial or register; else the usual one:
     * what only the fingers of a rare way share with the old instrument nobody would teach.
     */
    private static Note note(Pitch written, Fingering was, List<Fingering> ways) {
        Optional<Fingering> alike =
                ways.stream().filter(is -> kept(was, is) == Kept.ALIKE).findFirst();
        if (alike.isPresent()) {
            return new Note(written, was, alike, Kept.ALIKE);
        }
        Optional<Fingering> usual = ways.stream().findFirst();
        return new Note(written, was, usual, usual.map(is -> kept(was, is)).orElse(Kept.NEW));
    }

    private static Kept kept(Fingering was, Fingering is) {
        return switch (was) {
            case Valves old
            when is instanceof Valves now ->
                fingers(old.down().equals(now.down()), old.thumb() == now.thumb() && old.partial() == now.partial());
            case Slide old
            when is instanceof Slide now ->
                fingers(
                        old.position() == now.position() && old.attachment() == now.attachment(),
                        old.partial() == now.partial());
            case Keys old
            when is instanceof Keys now ->
                fingers(
                        old.holes() == now.holes() && old.keys().equals(now.keys()),
                        old.register().equals(now.register()));
            case OnString old
            when is instanceof OnString now ->
                fingers(
                        old.finger() == now.finger() && old.reach() == now.reach() && old.position() == now.position(),
                        old.string().equals(now.string()));
            default -> Kept.NEW;
        };
    }

    private static Kept fingers(boolean same, boolean soundsAlike) {
        return !same ? Kept.NEW : soundsAlike ? Kept.ALIKE : Kept.SAME_FINGERS;
    }

    /** Whether nothing of what the hand knew is lost; not where it knew nothing. */
    public boolean keepsAll() {
        return !notes.isEmpty() && notes.stream().allMatch(note -> note.kept() == Kept.ALIKE);
    }

    /** Written notes of which so much is kept, from low to high. */
    public List<Pitch> with(Kept kept) {
        return notes.stream()
                .filter(note -> note.kept() == kept)
                .map(Note::written)
                .toList();
    }
}
