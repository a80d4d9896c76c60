package vividroster.formats.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.List;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import vividroster.formats.sheet.SheetPdf.Item;
import vividroster.formats.sheet.SheetPdf.Paper;
import vividroster.formats.sheet.SheetPdf.Part;

/** The order sheet on paper. */
class SheetPdfTest {

    private static final List<Part> PARTS = List.of(
            new Part(
                    "Flutes",
                    "6",
                    List.of(new Item("Line 24, Moon road", "by Fri 26 Feb", List.of("in B♭ major", "new: E♭, thumb"))),
                    List.of("Carried over: line 23 (2)")),
            new Part("Horns", "3", List.of(), List.of()));

    private static String text(byte[] pdf) throws IOException {
        try (PDDocument document = Loader.loadPDF(pdf)) {
            return new PDFTextStripper().getText(document);
        }
    }

    @Test
    void itHoldsEveryPartInItsOwnWords() throws IOException {
        String text = text(SheetPdf.write("Order sheet, Beginning Winds", "22–26 February", PARTS, Paper.A4));
        assertThat(text)
                .contains("Order sheet, Beginning Winds", "22–26 February", "Flutes 6", "Line 24, Moon road")
                .contains("in B♭ major", "new: E♭, thumb", "Carried over: line 23 (2)", "Nothing this week.");
    }

    @Test
    void onSmallPaperEverySectionHasItsPage() throws IOException {
        try (PDDocument a4 = Loader.loadPDF(SheetPdf.write("Sheet", "week", PARTS, Paper.A4));
                PDDocument a5 = Loader.loadPDF(SheetPdf.write("Sheet", "week", PARTS, Paper.A5))) {
            assertThat(a4.getNumberOfPages()).isEqualTo(1);
            assertThat(a5.getNumberOfPages()).isEqualTo(2);
            assertThat(a5.getPage(0).getMediaBox().getWidth())
                    .as("148 mm in points")
                    .isBetween(418f, 421f);
        }
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "Łukasz Żółw & Çağla",
                "<img src=\"http://nowhere/x.png\">",
                "a]]>b",
                "tab\tand\u0000nothing",
                "\uD800 half"
            })
    void whatPeopleTypeStaysText(String typed) throws IOException {
        String text = text(SheetPdf.write(
                typed,
                "week",
                List.of(new Part(typed, "1", List.of(new Item(typed, "", List.of(typed))), List.of())),
                Paper.A4));
        assertThat(text)
                .contains(typed.replaceAll("[\\p{Cntrl}\\p{Cs}]", "").strip().substring(0, 3));
    }
}
