package vividroster.formats.sheet;

import java.util.List;
import java.util.Map;
import vividroster.core.curriculum.BeltLook;

/** Belts on paper, drawn as they are on the screen. */
public final class BeltPdf {

    private static final String LOOK = """
            body { font-family: 'Sheet'; font-size: 10pt; color: #20242c; line-height: 1.3; margin: 0; }
            .soft { color: #555a66; }
            """;
    private static final String WALL = """
            @page { size: A3 landscape; margin: 14mm; @bottom-right { content: counter(page); font-size: 8pt; } }
            h1 { font-size: 26pt; margin: 0; }
            .when { font-size: 13pt; margin: 0 0 6mm 0; }
            .belt { border-top: 1.5pt solid #20242c; padding: 4mm 0; page-break-inside: avoid; }
            .belt table { width: 100%; }
            td { vertical-align: top; padding: 0; }
            td.strip { width: 78mm; }
            td.strip b { display: block; font-size: 17pt; margin-top: 1.5mm; }
            td.names { font-size: 16pt; line-height: 1.5; }
            td.names span { white-space: nowrap; padding-right: 6mm; }
            """;
    private static final String LABELS = """
            @page { size: A4; margin: 10mm 8mm; }
            table { width: 194mm; border-collapse: collapse; }
            td { width: 97mm; height: 28mm; border: .4pt dashed #9a9486; padding: 4mm 6mm; vertical-align: top; }
            tr { page-break-inside: avoid; }
            b { font-size: 14pt; }
            p { margin: 0 0 2mm 0; }
            """;
    private static final String CERTIFICATES = """
            @page { size: A5 landscape; margin: 12mm; }
            .one { text-align: center; height: 104mm; margin-right: 1mm; border: 1.5pt solid #20242c; padding: 8mm 10mm 0 10mm; }
            .apart { page-break-after: always; }
            .school { font-size: 12pt; margin: 0 0 7mm 0; }
            h1 { font-size: 24pt; margin: 0 0 2mm 0; }
            .what { font-size: 13pt; margin: 0 0 7mm 0; }
            .names { font-size: 9.5pt; margin: 6mm 0 0 0; }
            .sign { margin-top: 11mm; }
            .sign span { border-top: .6pt solid #20242c; padding: 1mm 12mm 0 12mm; font-size: 9pt; }
            """;

    /** @param wearers in the order they are to stand */
    public record OnTheWall(String belt, BeltLook look, List<String> wearers) {

        public OnTheWall {
            wearers = List.copyOf(wearers);
        }
    }

    /**
     * A belt for one student.
     *
     * @param instrument and when in words
     * @param passed what it took; may be empty
     */
    public record Award(
            String student, String belt, BeltLook look, String instrument, String when, List<String> passed) {

        public Award {
            passed = List.copyOf(passed);
        }
    }

    private BeltPdf() {}

    /** For the wall of the room: who wears which belt, and nothing of what anybody lacks. */
    public static byte[] wallBoard(String title, String when, List<OnTheWall> belts) {
        StringBuilder page = begin(title, WALL);
        page.append("<h1>").append(PdfPages.text(title)).append("</h1><p class=\"when soft\">");
        page.append(PdfPages.text(when)).append("</p>");
        for (OnTheWall belt : belts) {
            page.append("<div class=\"belt\"><table><tr><td class=\"strip\">");
            page.append(BeltDrawing.object(belt.look(), "70mm", "10mm"));
            page.append("<b>").append(PdfPages.text(belt.belt())).append("</b></td><td class=\"names\">");
            belt.wearers()
                    .forEach(name ->
                            page.append("<span>").append(PdfPages.text(name)).append("</span> "));
            page.append("</td></tr></table></div>");
        }
        return end(page);
    }

    /** Two in a row, seven rows on A4, to be cut along the dashes. */
    public static byte[] labels(String title, List<Award> awards) {
        StringBuilder page = begin(title, LABELS);
        page.append("<table>");
        for (int i = 0; i < awards.size(); i += 2) {
            page.append("<tr>");
            for (Award award : awards.subList(i, Math.min(i + 2, awards.size()))) {
                page.append("<td><b>").append(PdfPages.text(award.student()));
                page.append("</b><p class=\"soft\">")
                        .append(PdfPages.text(award.instrument()))
                        .append("</p>");
                page.append(BeltDrawing.object(award.look(), "70mm", "9mm"));
                page.append("<p>")
                        .append(PdfPages.text(award.belt()))
                        .append(" <span class=\"soft\">")
                        .append(PdfPages.text(award.when()))
                        .append("</span></p></td>");
            }
            page.append(i + 1 < awards.size() ? "</tr>" : "<td style=\"border: none\"></td></tr>");
        }
        if (awards.isEmpty()) {
            page.append("<tr><td>Nobody has a belt to be handed over.</td></tr>");
        }
        return end(page.append("</table>"));
    }

    /** A page each. */
    public static byte[] certificates(String school, List<Award> awards) {
        StringBuilder page = begin(school, CERTIFICATES);
        for (int i = 0; i < awards.size(); i++) {
            Award award = awards.get(i);
            page.append("<div class=\"one")
                    .append(i < awards.size() - 1 ? " apart" : "")
                    .append("\"><p class=\"school soft\">")
                    .append(PdfPages.text(school))
                    .append("</p><h1>")
                    .append(PdfPages.text(award.student()))
                    .append("</h1><p class=\"what\">has earned the <b>")
                    .append(PdfPages.text(award.belt()))
                    .append("</b> belt on the ")
                    .append(PdfPages.text(award.instrument()))
                    .append("</p>")
                    .append(BeltDrawing.object(award.look(), "120mm", "15mm"))
                    .append("<p class=\"names\">")
                    .append(PdfPages.text(String.join(" · ", award.passed())))
                    .append("</p><p class=\"sign\"><span>")
                    .append(PdfPages.text(award.when()))
                    .append("</span> &#160; &#160; <span>director</span></p></div>");
        }
        if (awards.isEmpty()) {
            page.append("<p>Nobody has a belt to be handed over.</p>");
        }
        return end(page);
    }

    private static StringBuilder begin(String title, String look) {
        return new StringBuilder("<html><head><title>")
                .append(PdfPages.text(title))
                .append("</title><style>")
                .append(LOOK)
                .append(look)
                .append("</style></head><body>");
    }

    private static byte[] end(StringBuilder page) {
        return PdfPages.render(page.append("</body></html>").toString(), Map.of(BeltDrawing.TYPE, new BeltDrawing()));
    }
}
