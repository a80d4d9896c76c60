package vividroster.server.lines;

import java.util.Locale;
import vividroster.core.curriculum.BookTable.Column;
import vividroster.core.curriculum.BookTable.Outcome;
import vividroster.core.curriculum.BookTable.Refusal;
import vividroster.server.platform.Words;

/** What a row of a book's table will do, and why it cannot. */
final class BookTableWording {

    private BookTableWording() {}

    static String sentence(Outcome outcome) {
        return switch (outcome) {
            case Outcome.Added added ->
                added.lines().size() == 1
                        ? "New, page " + added.lines().getFirst().page()
                        : Words.counted(added.lines().size(), "new line") + ", pages "
                                + added.lines().getFirst().page() + " to "
                                + added.lines().getLast().page();
            case Outcome.Changed changed -> "Changes line " + changed.line().number();
            case Outcome.Unchanged unchanged -> "There already";
            case Outcome.Refused refused -> sentence(refused);
        };
    }

    static String sentence(Outcome.Refused refused) {
        return switch (refused.why()) {
            case Refusal.NotANumber not -> "\"" + not.value() + "\" is no number.";
            case Refusal.Outside outside ->
                "Give a number from 1 to " + outside.most() + ", not " + outside.value() + ".";
            case Refusal.NotUnderstood not ->
                "\"" + not.value() + "\" is not understood; write it like " + not.example() + ".";
            case Refusal.NoRange no ->
                "\"" + no.value()
                        + "\" is no range here: it ends before it begins, or it is several pages for one line.";
            case Refusal.TooLong tooLong ->
                "This has " + tooLong.letters() + " letters; at most " + tooLong.most() + " fit.";
            case Refusal.SameAsRow same -> "Line " + same.number() + " stands in row " + same.line() + " already.";
            case Refusal.RangeOverLine over ->
                "Line " + over.number() + " is in the book already; a range adds lines and changes none.";
            case Refusal.TooManyLines tooMany ->
                "A table holds at most " + tooMany.most() + " lines; take it in parts.";
        };
    }

    static String field(Column column) {
        return column == Column.NEW ? "news" : column.name().toLowerCase(Locale.ROOT);
    }
}
