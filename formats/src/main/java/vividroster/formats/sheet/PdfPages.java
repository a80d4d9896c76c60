package vividroster.formats.sheet;

import com.openhtmltopdf.extend.FSObjectDrawer;
import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.render.DefaultObjectDrawerFactory;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Map;
import java.util.Objects;

/** Pages of words to a PDF, in fonts that come with it. */
final class PdfPages {

    private static final String FONTS = "/net/sf/jasperreports/fonts/dejavu/";

    private PdfPages() {}

    /** What people typed stays text. Letters that no page can hold are left out. */
    static String text(String typed) {
        StringBuilder safe = new StringBuilder();
        typed.codePoints()
                .filter(c -> c == ' ' || !Character.isISOControl(c))
                .filter(c -> c < 0xD800 || c > 0xDFFF)
                .forEach(c -> safe.append(
                        switch (c) {
                            case '&' -> "&amp;";
                            case '<' -> "&lt;";
                            case '>' -> "&gt;";
                            case '"' -> "&quot;";
                            default -> Character.toString(c);
                        }));
        return safe.toString();
    }

    static byte[] render(String html) {
        return render(html, Map.of());
    }

    /** @param drawers who draws the objects of a type */
    static byte[] render(String html, Map<String, FSObjectDrawer> drawers) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        PdfRendererBuilder builder = new PdfRendererBuilder();
        builder.useFastMode();
        DefaultObjectDrawerFactory factory = new DefaultObjectDrawerFactory();
        drawers.forEach(factory::registerDrawer);
        builder.useObjectDrawerFactory(factory);
        font(builder, "DejaVuSansCondensed.ttf", 400);
        font(builder, "DejaVuSansCondensed-Bold.ttf", 700);
        // A sheet looks nothing up, wherever it is said to lie.
        builder.useUriResolver((base, uri) -> null);
        builder.withHtmlContent(html, null);
        builder.toStream(out);
        try {
            builder.run();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    private static void font(PdfRendererBuilder builder, String file, int weight) {
        builder.useFont(() -> stream(file), "Sheet", weight, BaseRendererBuilder.FontStyle.NORMAL, true);
    }

    private static InputStream stream(String file) {
        return Objects.requireNonNull(PdfPages.class.getResourceAsStream(FONTS + file), file);
    }
}
