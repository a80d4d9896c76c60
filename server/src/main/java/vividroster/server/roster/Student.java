package vividroster.server.roster;

import java.util.UUID;

/** A student on the roster, as named on screen and as sorted. */
public record Student(UUID id, String name, String sortName) {}
