package vividroster.formats.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import vividroster.core.curriculum.BeltLook;
import vividroster.formats.sheet.BeltPdf.Award;
import vividroster.formats.sheet.BeltPdf.OnTheWall;

/** Belts on paper: who wears them, and the strip drawn in its own weave. */
class BeltPdfTest {

    private static final BeltLook KELP = new BeltLook("#5F7F3B", "wave", 3);

    private static Award award(String student) {
        return new Award(student, "Kelp", KELP, "trumpet", "12 February 2027", List.of("line 6", "line 7"));
    }

    private static String text(PDDocument document) throws IOException {
        return new PDFTextStripper().getText(document);
    }

    @Test
    void theWallSaysWhoWearsWhat() throws IOException {
        byte[] pdf = BeltPdf.wallBoard(
                "Belts, Beginning Winds",
                "12 February 2027",
                List.of(new OnTheWall("Kelp", KELP, List.of("Sunniva Drake", "Łukasz <b>"))));
        try (PDDocument document = Loader.loadPDF(pdf)) {
            assertThat(text(document))
                    .contains("Belts, Beginning Winds", "12 February 2027", "Kelp", "Sunniva Drake", "Łukasz <b>");
        }
    }

    @Test
    void fourteenLabelsStandOnAPageAndCertificatesHaveOneEach() throws IOException {
        List<Award> many = new ArrayList<>();
        for (int i = 1; i <= 15; i++) {
            many.add(award("Student " + i));
        }
        try (PDDocument labels = Loader.loadPDF(BeltPdf.labels("Belts", many));
                PDDocument sheets = Loader.loadPDF(BeltPdf.certificates("Tern Sound", many))) {
            assertThat(labels.getNumberOfPages()).isEqualTo(2);
            assertThat(text(labels)).contains("Student 1", "Student 15", "trumpet");
            assertThat(sheets.getNumberOfPages()).isEqualTo(15);
            assertThat(text(sheets)).contains("Tern Sound", "belt on the trumpet", "line 6 · line 7");
        }
        try (PDDocument none = Loader.loadPDF(BeltPdf.labels("Belts", List.of()))) {
            assertThat(text(none)).contains("Nobody has a belt to be handed over.");
        }
    }

    @Test
    void everyWeaveIsDrawnInItsColourAndUnlikeEveryOther() throws IOException {
        Set<String> drawn = new HashSet<>();
        for (String weave : BeltLook.WEAVES) {
            byte[] pdf = BeltPdf.certificates(
                    "", List.of(new Award("", "", new BeltLook("#5F7F3B", weave, 1), "", "", List.of())));
            try (PDDocument document = Loader.loadPDF(pdf)) {
                BufferedImage page = new PDFRenderer(document).renderImageWithDPI(0, 50);
                StringBuilder dark = new StringBuilder();
                int cloth = 0;
                for (int y = 0; y < page.getHeight(); y++) {
                    for (int x = 0; x < page.getWidth(); x++) {
                        int rgb = page.getRGB(x, y) & 0xFFFFFF;
                        cloth += rgb == 0x5F7F3B ? 1 : 0;
                        dark.append(rgb == 0x5F7F3B ? '#' : '.');
                    }
                }
                assertThat(cloth).as(weave).isGreaterThan(300);
                assertThat(drawn.add(dark.toString())).as(weave).isTrue();
            }
        }
    }
}
