package vividroster.formats.sheet;

import java.util.List;

/** The order sheet of a week as a PDF to hand out: words, note names and fingerings. */
public final class SheetPdf {

    private static final String LOOK = """
            @page { size: %s; margin: %s; @bottom-right { content: counter(page); font-size: 8pt; color: #555a66; } }
            body { font-family: 'Sheet'; font-size: %s; color: #20242c; line-height: 1.35; }
            h1 { font-size: 1.5em; margin: 0 0 .1em 0; }
            .when { color: #555a66; margin: 0 0 .8em 0; }
            .part { page-break-inside: avoid; border-top: 2pt solid #20242c; padding-top: .3em; margin-bottom: 1.1em; }
            .alone { page-break-after: always; }
            h2 { font-size: 1.25em; margin: 0 0 .2em 0; }
            h2 span { font-size: .75em; font-weight: normal; color: #555a66; }
            .item { border-bottom: .6pt solid #cfc3aa; padding: .3em 0; page-break-inside: avoid; }
            .item b { font-size: 1.05em; }
            .due { color: #555a66; }
            .note { margin: .1em 0 0 0; }
            .soft { color: #555a66; }
            .foot { margin: .35em 0 0 0; }
            """;

    /** The paper it is printed on. */
    public enum Paper {
        /** All sections one after another. */
        A4("A4", "16mm 15mm", "10pt"),
        /** A page for each section, to glue in. */
        A5("A5", "11mm 10mm", "9.5pt");

        private final String size;
        private final String margin;
        private final String text;

        Paper(String size, String margin, String text) {
            this.size = size;
            this.margin = margin;
            this.text = text;
        }
    }

    /** @param notes one below the other, may be empty */
    public record Item(String title, String due, List<String> notes) {

        public Item {
            notes = List.copyOf(notes);
        }
    }

    /** @param foot carry-overs and care; may be empty */
    public record Part(String name, String students, List<Item> items, List<String> foot) {

        public Part {
            items = List.copyOf(items);
            foot = List.copyOf(foot);
        }
    }

    private SheetPdf() {}

    /**
     * @param title of the sheet
     * @param when its week in words
     */
    public static byte[] write(String title, String when, List<Part> parts, Paper paper) {
        StringBuilder page = new StringBuilder("<html><head><title>")
                .append(PdfPages.text(title))
                .append("</title><style>")
                .append(LOOK.formatted(paper.size, paper.margin, paper.text))
                .append("</style></head><body>");
        boolean apart = paper == Paper.A5;
        if (!apart || parts.isEmpty()) {
            heading(page, title, when);
        }
        for (int i = 0; i < parts.size(); i++) {
            page.append("<div class=\"part")
                    .append(apart && i < parts.size() - 1 ? " alone" : "")
                    .append("\">");
            if (apart) {
                heading(page, title, when);
            }
            part(page, parts.get(i));
            page.append("</div>");
        }
        return PdfPages.render(page.append("</body></html>").toString());
    }

    private static void heading(StringBuilder page, String title, String when) {
        page.append("<h1>")
                .append(PdfPages.text(title))
                .append("</h1><p class=\"when\">")
                .append(PdfPages.text(when))
                .append("</p>");
    }

    private static void part(StringBuilder page, Part part) {
        page.append("<h2>")
                .append(PdfPages.text(part.name()))
                .append(" <span>")
                .append(PdfPages.text(part.students()))
                .append("</span></h2>");
        if (part.items().isEmpty()) {
            page.append("<p class=\"soft\">Nothing this week.</p>");
        }
        for (Item item : part.items()) {
            page.append("<div class=\"item\"><b>")
                    .append(PdfPages.text(item.title()))
                    .append("</b> <span class=\"due\">")
                    .append(PdfPages.text(item.due()))
                    .append("</span>");
            item.notes()
                    .forEach(note -> page.append("<p class=\"note\">")
                            .append(PdfPages.text(note))
                            .append("</p>"));
            page.append("</div>");
        }
        part.foot()
                .forEach(line -> page.append("<p class=\"foot soft\">")
                        .append(PdfPages.text(line))
                        .append("</p>"));
    }
}
