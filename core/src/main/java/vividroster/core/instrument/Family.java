package vividroster.core.instrument;

/** Families in score order, as bracketed on a conductor's score. */
public enum Family {
    WOODWIND,
    BRASS,
    PERCUSSION,
    STRING
}
