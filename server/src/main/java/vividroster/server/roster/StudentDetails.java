package vividroster.server.roster;

import java.util.Optional;
import java.util.UUID;

/**
 * A student as a director types it.
 *
 * @param name as said
 * @param sortName on lists: family name, comma, given name
 * @param number as the school numbers them; empty where it does not
 * @param grade year of school in the school's words; may be empty
 */
public record StudentDetails(UUID id, String name, String sortName, Optional<String> number, String grade) {}
