package vividroster.core.curriculum;

/** A usual caution, shown short where the work is done. The words are made at the edge. */
public enum Caution {
    /** Stop playing; tell a parent or guardian; persistent trouble goes to a doctor or therapist. */
    PAIN,
    /** Lasting tension leads to overuse; rests are part of the plan. */
    OVERUSE,
    /** Light-headed from breathing: stop and breathe normally. */
    DIZZY,
    /** Mouthpieces, reeds and head joints are disinfected between players or not shared. */
    SHARED_MOUTHPIECES,
    /** A part that jams goes to the director; never to pliers. */
    JAMMED_PARTS,
    /** Pegs, fine tuners and a bridge held by the strings alone. */
    STRING_PARTS,
    /** Strap, stand or chair support for a heavy instrument. */
    HEAVY,
    /** A strap that hurts the neck is replaced. */
    STRAP,
    /** The instrument must fit the child. */
    FIT,
    /** Loud rooms: protection and distance; follow local limits. */
    HEARING
}
