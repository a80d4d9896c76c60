package vividroster.server.season;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import vividroster.formats.sheet.SheetPdf;
import vividroster.server.season.WeekSheets.SheetItemView;
import vividroster.server.season.WeekSheets.SheetPartView;
import vividroster.server.season.WeekSheets.SheetView;

/** An order sheet in words, for paper. */
final class SheetWording {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH);

    private SheetWording() {}

    static byte[] pdf(SheetView sheet, SheetPdf.Paper paper) {
        return SheetPdf.write(
                "Order sheet, " + sheet.className(),
                (sheet.week() == null ? "" : "Week " + sheet.week() + ", ") + PlanSentences.day(sheet.monday()) + " to "
                        + PlanSentences.day(sheet.friday()),
                sheet.parts().stream().map(SheetWording::part).toList(),
                paper);
    }

    private static SheetPdf.Part part(SheetPartView part) {
        List<String> foot = new ArrayList<>();
        if (!part.carriedOver().isEmpty()) {
            foot.add("Carried over: "
                    + part.carriedOver().stream()
                            .map(c -> c.title() + " (" + c.students() + ")")
                            .collect(Collectors.joining(", ")));
        }
        if (part.care() != null) {
            foot.add("Care this week: " + part.care());
        }
        return new SheetPdf.Part(
                part.name() + (part.division().isEmpty() ? "" : ", " + part.division()),
                String.valueOf(part.students()),
                part.items().stream().map(SheetWording::item).toList(),
                foot);
    }

    private static SheetPdf.Item item(SheetItemView item) {
        List<String> notes = new ArrayList<>();
        if (item.line() != null) {
            notes.add(item.line()
                    + (item.writtenKey() == null ? "" : " in " + item.writtenKey())
                    + (item.comingIn() == null ? "" : ", begins on " + item.comingIn()));
        }
        if (item.place() != null || item.pattern() != null) {
            notes.add(List.of(or(item.place()), or(item.pattern())).stream()
                    .filter(text -> !text.isEmpty())
                    .collect(Collectors.joining(" · ")));
        }
        if (!item.fingers().isEmpty()) {
            notes.add(String.join("; ", item.fingers()));
        }
        if (!item.news().isEmpty()) {
            notes.add("New: " + String.join("; ", item.news()));
        }
        if (item.roadmap() != null) {
            notes.add("Played: " + item.roadmap());
        }
        item.rehearsed().forEach(stage -> notes.add("This week: " + stage));
        notes.addAll(item.applies());
        notes.addAll(item.traps());
        for (String said : new String[] {item.tip(), item.trouble(), item.drill()}) {
            if (said != null) {
                notes.add(said);
            }
        }
        if (item.substituteAccepted()) {
            notes.add("A piece of your own instead is welcome.");
        }
        return new SheetPdf.Item(item.title(), (item.heard() ? "heard, by " : "by ") + day(item.dueOn()), notes);
    }

    private static String or(String text) {
        return text == null ? "" : text;
    }

    private static String day(LocalDate day) {
        return DAY.format(day);
    }
}
