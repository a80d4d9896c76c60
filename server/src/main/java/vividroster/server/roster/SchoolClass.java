package vividroster.server.roster;

import java.time.LocalTime;
import java.util.Optional;
import java.util.UUID;

/**
 * A class as it stands in the timetable.
 *
 * @param rotation letter of the days it meets on; empty meets every school day
 * @param minutes length of a meeting
 */
public record SchoolClass(
        UUID id,
        String name,
        String campus,
        ClassShape shape,
        Optional<String> rotation,
        int period,
        LocalTime startsAt,
        int minutes) {}
