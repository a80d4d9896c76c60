package vividroster.server.ensemble;

/** What admits to an ensemble. */
enum GateKind {
    LAST_BELT,
    BELT_OF_RANK,
    OWN_LIST
}
