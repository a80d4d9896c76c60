package vividroster.server.roster;

/** How a class is made up. */
public enum ClassShape {
    LIKE_INSTRUMENT,
    MIXED_BEGINNERS,
    FULL_ENSEMBLE
}
