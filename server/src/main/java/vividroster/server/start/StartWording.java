package vividroster.server.start;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import vividroster.core.season.SchoolYear;
import vividroster.core.season.SchoolYear.EntryKind;
import vividroster.core.start.FirstHour.Facts;
import vividroster.core.start.FirstHour.Missing;
import vividroster.core.start.FirstHour.Told;
import vividroster.server.platform.Words;
import vividroster.server.start.Guides.Guide;

/** What the guide says of each step. */
final class StartWording {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM", Locale.ENGLISH);

    private StartWording() {}

    static String sentence(Told told, Guide guide) {
        return told.missing().map(StartWording::missing).orElseGet(() -> switch (told.state()) {
            case LEFT_OUT -> "left out; take it up whenever you like";
            case DONE -> there(told, guide);
            case OPEN, BEGUN -> ahead(told);
        });
    }

    private static String missing(Missing missing) {
        return switch (missing) {
            case Missing.Name name -> "say what the school is called, and look at the first and last day";
            case Missing.Year year -> "no school year is laid yet";
            case Missing.Students students -> "nobody sits in " + listed(students.classes()) + " yet";
            case Missing.Lines lines -> "the book has no line yet";
            case Missing.Orders orders -> "nothing is set for " + listed(orders.classes()) + " yet";
        };
    }

    private static String there(Told told, Guide guide) {
        Facts facts = guide.facts();
        return switch (told.step()) {
            case SCHOOL_AND_YEAR ->
                guide.name() + guide.year().map(StartWording::year).orElse("");
            case CLASSES -> listed(facts.classes());
            case ROSTER ->
                Words.counted(facts.students(), "student") + " in "
                        + Words.counted(facts.classes().size(), "class", "classes");
            case BOOKS -> Words.counted(facts.books(), "book") + ", " + Words.counted(facts.lines(), "line");
            case SCHOOLS -> "looked at; change what you do otherwise in Office";
            case FIRST_WEEKS -> "something is set for every class";
            case BELTS_AND_TESTS ->
                Words.counted(facts.belts(), "belt") + ", " + Words.counted(facts.tests(), "playing test");
            case WHO_ELSE -> Words.counted(facts.invited(), "other") + " here or invited";
        };
    }

    private static String ahead(Told told) {
        return switch (told.step()) {
            case SCHOOL_AND_YEAR -> "its name, first and last day, breaks and concerts";
            case CLASSES -> "who is in the room, and when they meet";
            case ROSTER -> "a CSV, pasted from a spreadsheet, or one by one";
            case BOOKS -> "the lines you will order: type them from the page, or take the shipped book";
            case SCHOOLS -> "questions on which teachers differ; ours are set, change what you do otherwise";
            case FIRST_WEEKS -> "checks in teaching order for every instrument you have";
            case BELTS_AND_TESTS -> "a first ladder and a first playing test from templates";
            case WHO_ELSE -> "an assistant, a coach, a substitute teacher";
        };
    }

    private static String year(SchoolYear year) {
        List<String> parts = new ArrayList<>(List.of("", day(year.first()) + " to " + day(year.last())));
        if (!year.rotation().isEmpty()) {
            parts.add(listed(
                    year.rotation().stream().map(letter -> letter + "-days").toList()));
        }
        long breaks =
                year.entries().stream().filter(e -> e.kind() == EntryKind.BREAK).count();
        parts.add(Words.counted(breaks, "break"));
        return String.join(", ", parts);
    }

    private static String day(LocalDate day) {
        return DAY.format(day);
    }

    private static String listed(List<String> names) {
        return names.size() < 2
                ? String.join("", names)
                : String.join(", ", names.subList(0, names.size() - 1)) + " and " + names.getLast();
    }
}
