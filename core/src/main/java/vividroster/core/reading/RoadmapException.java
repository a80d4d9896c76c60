package vividroster.core.reading;

import java.util.Optional;
import vividroster.core.music.Signs.Jump;

/** A roadmap that leads nowhere or never ends. Its words are made where measures are numbered for people. */
public final class RoadmapException extends IllegalArgumentException {

    private static final long serialVersionUID = 1L;

    /** Why there is no way through. */
    public enum Fault {
        /** A jump names a segno that is not there. */
        NO_SEGNO,
        /** A jump asks for a coda, or a sign leads to one, that is not there. */
        NO_CODA,
        /** A jump asks for a Fine that is not there. */
        NO_FINE,
        /** The Fine is there, and the way after the jump never comes to it. */
        FINE_NOT_REACHED,
        /** The sign that leads to the coda is there, and the way after the jump never comes to it. */
        TO_CODA_NOT_REACHED,
        /** A bracket's numbers name passes that are never made. */
        ENDING_NOT_REACHED,
        NO_END
    }

    private final Fault fault;
    private final int index;
    private final transient Optional<Jump> jump;

    RoadmapException(Fault fault, int index, Optional<Jump> jump) {
        super(fault + " at the measure of index " + index);
        this.fault = fault;
        this.index = index;
        this.jump = jump;
    }

    public Fault fault() {
        return fault;
    }

    /** Of the measure where it goes wrong, in the part. */
    public int index() {
        return index;
    }

    /** The jump that finds no target; empty for other faults. */
    public Optional<Jump> jump() {
        return jump;
    }
}
