package vividroster.formats.sheet;

import com.openhtmltopdf.extend.FSObjectDrawer;
import com.openhtmltopdf.extend.OutputDevice;
import com.openhtmltopdf.render.RenderingContext;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.Shape;
import java.awt.geom.Arc2D;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Path2D;
import java.awt.geom.RoundRectangle2D;
import java.util.Map;
import org.w3c.dom.Element;
import vividroster.core.curriculum.BeltLook;

/**
 * A belt as a woven strip, told apart by its colour, its weave and its knots each; the same strip that is drawn on the
 * screen. It is as wide as its place and stands 18 units high.
 */
final class BeltDrawing implements FSObjectDrawer {

    /** Of the object that is drawn so; its attributes are {@code color}, {@code weave} and {@code knots}. */
    static final String TYPE = "vivid-roster/belt";

    private static final double HIGH = 18;
    private static final double KNOT = 6.4;
    private static final Color INK = new Color(0x20242C);

    /** The object in a page. @param width and height as CSS lengths */
    static String object(BeltLook look, String width, String height) {
        return "<object type=\"" + TYPE + "\" color=\"" + look.color() + "\" weave=\"" + look.weave() + "\" knots=\""
                + look.knots() + "\" style=\"display: inline-block; width: " + width + "; height: " + height
                + "\"></object>";
    }

    @Override
    public Map<Shape, String> drawObject(
            Element element,
            double x,
            double y,
            double width,
            double height,
            OutputDevice device,
            RenderingContext context,
            int dotsPerPixel) {
        BeltLook look = new BeltLook(
                element.getAttribute("color"),
                element.getAttribute("weave"),
                Integer.parseInt(element.getAttribute("knots")));
        float wide = (float) width / dotsPerPixel;
        float high = (float) height / dotsPerPixel;
        device.drawWithGraphics((float) x, (float) y, wide, high, page -> {
            Graphics2D own = (Graphics2D) page.create();
            own.scale(high / HIGH, high / HIGH);
            draw(own, look, wide * HIGH / high);
            own.dispose();
        });
        return Map.of();
    }

    private static void draw(Graphics2D page, BeltLook look, double wide) {
        Color cloth = Color.decode(look.color());
        Color thread = isLight(cloth) ? INK : Color.WHITE;
        Shape strip = new RoundRectangle2D.Double(.7, .7, wide - 1.4, HIGH - 1.4, 8, 8);
        page.setColor(cloth);
        page.fill(strip);
        page.setColor(INK);
        page.setStroke(new BasicStroke(1.3f));
        page.draw(strip);
        page.setColor(thread);
        page.setStroke(new BasicStroke(1.4f));
        double knots = look.knots() * KNOT + 6;
        page.draw(weave(look.weave(), 7, wide - knots - 4));
        for (int i = 0; i < look.knots(); i++) {
            page.fill(new Ellipse2D.Double(wide - 8 - i * KNOT - 2.2, HIGH / 2 - 2.2, 4.4, 4.4));
        }
    }

    /** Whether ink reads better on a colour than paper white does; by its relative luminance. */
    static boolean isLight(Color cloth) {
        return 0.2126 * linear(cloth.getRed()) + 0.7152 * linear(cloth.getGreen()) + 0.0722 * linear(cloth.getBlue())
                > 0.25;
    }

    private static double linear(int channel) {
        double c = channel / 255.0;
        return c <= 0.04045 ? c / 12.92 : Math.pow((c + 0.055) / 1.055, 2.4);
    }

    private static Path2D weave(String weave, double from, double to) {
        Path2D threads = new Path2D.Double();
        double step = step(weave);
        for (double x = from; x + step <= to; x += step) {
            thread(threads, weave, x);
        }
        return threads;
    }

    private static double step(String weave) {
        return switch (weave) {
            case "diagonal" -> 7;
            case "wave" -> 12;
            case "diamond", "cross" -> 11;
            case "herringbone" -> 10;
            default -> 8;
        };
    }

    private static void thread(Path2D to, String weave, double x) {
        switch (weave) {
            case "scallop" -> to.append(new Arc2D.Double(x, 7.5, 8, 8, 0, 180, Arc2D.OPEN), false);
            case "wave" -> {
                to.moveTo(x, 9);
                to.quadTo(x + 3, 3, x + 6, 9);
                to.quadTo(x + 9, 15, x + 12, 9);
            }
            case "diamond" -> line(to, x, 9, x + 4.5, 4, x + 9, 9, x + 4.5, 14, x, 9);
            case "check" -> line(to, x, 4, x + 4, 4, x + 4, 9, x + 8, 9, x + 8, 14, x + 4, 14, x + 4, 9, x, 9, x, 4);
            case "chevron" -> line(to, x, 4, x + 5, 9, x, 14);
            case "cross" -> {
                line(to, x, 9, x + 7, 9);
                line(to, x + 3.5, 4.5, x + 3.5, 13.5);
            }
            case "herringbone" -> {
                line(to, x, 4, x + 4, 9, x, 14);
                line(to, x + 9, 4, x + 5, 9, x + 9, 14);
            }
            default -> line(to, x, 14, x + 5, 4);
        }
    }

    private static void line(Path2D to, double... at) {
        to.moveTo(at[0], at[1]);
        for (int i = 2; i < at.length; i += 2) {
            to.lineTo(at[i], at[i + 1]);
        }
    }
}
