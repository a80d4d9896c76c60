package vividroster.core.season;

import java.time.LocalDate;

/** Why a school year as it was typed is none yet. Entries are told by their place in the list, from 0. */
public sealed interface YearFault {

    record NoName() implements YearFault {}

    record EndsBeforeItBegins(LocalDate first) implements YearFault {}

    /** @param most days from the first day to the last */
    record TooLong(int most) implements YearFault {}

    /** Runs into another year of the programme. */
    record RunsInto(String other, LocalDate otherFirst, LocalDate otherLast) implements YearFault {}

    /** A letter of the rotation is empty, longer than four letters, or there twice. */
    record Letter(String letter) implements YearFault {}

    /** One letter alone turns nothing. */
    record OneLetter() implements YearFault {}

    record TooManyLetters(int most) implements YearFault {}

    record TooManyEntries(int most) implements YearFault {}

    record EntryWithoutName(int place) implements YearFault {}

    record EntryEndsBeforeItBegins(int place, String name) implements YearFault {}

    record EntryOutside(int place, String name) implements YearFault {}

    /** Two entries that close the school share a day. */
    record ClosedTwice(int place, String name, String other, LocalDate day) implements YearFault {}

    /** Two marking periods share a day. */
    record MarkedTwice(int place, String name, String other, LocalDate day) implements YearFault {}

    /** Periods are given for what is no assembly and no testing. */
    record TakesNoPeriods(int place, String name) implements YearFault {}

    record EntryOfNoPeriod(int place) implements YearFault {}

    record TooManyBells(int most) implements YearFault {}

    record BellOfNoPeriod(int place) implements YearFault {}

    record BellTwice(int place, int period, String campus) implements YearFault {}

    record BellTooLongOrShort(int place) implements YearFault {}

    record BellOverMidnight(int place, int period) implements YearFault {}

    record EntryTwice(int place, String name) implements YearFault {}

    /** No day is left on which school meets. */
    record NoSchoolDay() implements YearFault {}
}
