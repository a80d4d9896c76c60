package vividroster.server.lines;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import vividroster.core.hands.Gliding;
import vividroster.core.hands.Gliding.Join;
import vividroster.core.hands.Gliding.SlideSlur;
import vividroster.core.reading.Styles;
import vividroster.core.reading.Styles.Style;
import vividroster.core.rehearsal.Reading;

/** What is said at every note, in the words of the check that teaches the tongue. */
final class Syllables {

    /** Inside a slur nothing is said anew. */
    private static final String SLURRED = "–";

    private Syllables() {}

    /**
     * By measure and note; null where nothing is said.
     *
     * @param byStyle as the check has them; empty where no check says them
     */
    static List<List<String>> of(Reading reading, Map<String, String> byStyle) {
        List<List<String>> all = new ArrayList<>();
        for (List<Style> row : Styles.of(reading.view())) {
            List<String> said = new ArrayList<>();
            row.forEach(style -> said.add(byStyle.isEmpty() ? null : said(style, byStyle)));
            all.add(said);
        }
        if (!byStyle.isEmpty()) {
            for (SlideSlur slur : Gliding.slurs(reading.view(), reading.fingers())) {
                if (slur.join() != Join.NATURAL) {
                    all.get(slur.measure()).set(slur.note(), said(Style.LEGATO, byStyle));
                }
            }
        }
        return all;
    }

    /** A style the check does not name is said as the neutral one. */
    private static String said(Style style, Map<String, String> byStyle) {
        return switch (style) {
            case NONE -> null;
            case SLURRED -> SLURRED;
            default -> byStyle.getOrDefault(style.name().toLowerCase(Locale.ROOT), byStyle.get("neutral"));
        };
    }
}
