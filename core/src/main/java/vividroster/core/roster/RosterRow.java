package vividroster.core.roster;

/**
 * One row of a roster file as it was typed; nothing is judged yet.
 *
 * @param line line of the file where the row begins, from 1
 */
public record RosterRow(
        int line,
        String name,
        String studentNumber,
        String className,
        String instrument,
        String division,
        String startDate) {}
