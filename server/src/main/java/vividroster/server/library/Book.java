package vividroster.server.library;

import java.util.UUID;

/**
 * A method book or a volume of one.
 *
 * @param notesKept whether the notes of its lines may be kept: one's own, free of rights, or licensed; else facts alone
 */
public record Book(UUID id, String title, String volume, boolean notesKept) {

    /** For example "Tideline Method, Winds". */
    public String name() {
        return volume.isEmpty() ? title : title + ", " + volume;
    }
}
