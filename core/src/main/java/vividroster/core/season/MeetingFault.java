package vividroster.core.season;

import java.time.LocalTime;
import java.util.List;

/** Why times of meeting as they were typed are none yet. Slots are told by their place in the list, from 0. */
public sealed interface MeetingFault {

    record MeetsOnNoDay() implements MeetingFault {}

    record TooMany(int most) implements MeetingFault {}

    record NoSuchPeriod(int place) implements MeetingFault {}

    record TooLongOrShort(int place) implements MeetingFault {}

    record OverMidnight(int place, LocalTime startsAt, int minutes) implements MeetingFault {}

    record OnAWeekend(int place) implements MeetingFault {}

    record NoSuchLetter(int place, String letter, List<String> known) implements MeetingFault {}

    /** Another slot may fall on the same day. */
    record TwiceOnADay(int place, int other) implements MeetingFault {}
}
