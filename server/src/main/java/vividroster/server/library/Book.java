package vividroster.server.library;

import java.util.UUID;

/** A method book or a volume of one. */
public record Book(UUID id, String title, String volume) {}
