package vividroster.core.music;

/** A tempo that holds from its place on. @param at beats after the measure's first note, not negative */
public record TempoMark(Beats at, Tempo tempo) {

    public TempoMark {
        if (at.ticks() < 0) {
            throw new IllegalArgumentException("a tempo stands at or after its measure's beginning");
        }
    }
}
