package vividroster.formats.abc;

import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import vividroster.core.music.Note.Mark;

/** Decorations by name and by letter: what stands at a note-head, and what is only named as left out. */
final class AbcMarks {

    private static final Map<String, Mark> MARKS = Map.ofEntries(
            Map.entry("fermata", Mark.FERMATA),
            Map.entry("invertedfermata", Mark.FERMATA),
            Map.entry("accent", Mark.ACCENT),
            Map.entry(">", Mark.ACCENT),
            Map.entry("emphasis", Mark.ACCENT),
            Map.entry("tenuto", Mark.TENUTO),
            Map.entry("marcato", Mark.MARCATO),
            Map.entry("^", Mark.MARCATO),
            Map.entry("staccato", Mark.STACCATO),
            Map.entry("upbow", Mark.UP_BOW),
            Map.entry("downbow", Mark.DOWN_BOW),
            Map.entry("/", Mark.TREMOLO),
            Map.entry("//", Mark.TREMOLO),
            Map.entry("///", Mark.TREMOLO),
            Map.entry("~(", Mark.GLISSANDO),
            Map.entry("-(", Mark.GLISSANDO),
            Map.entry("glissando", Mark.GLISSANDO),
            Map.entry("pizz", Mark.PIZZICATO),
            Map.entry("pizzicato", Mark.PIZZICATO));

    private static final Set<String> ORNAMENTS = Set.of(
            "trill",
            "trill(",
            "trill)",
            "lowermordent",
            "uppermordent",
            "mordent",
            "pralltriller",
            "roll",
            "turn",
            "turnx",
            "invertedturn",
            "invertedturnx",
            "arpeggio",
            "slide",
            "~");

    private AbcMarks() {}

    static Optional<Mark> mark(String name) {
        return Optional.ofNullable(MARKS.get(folded(name)));
    }

    /** A glide goes to the next note, wherever its end is written. */
    static boolean endsGlide(String name) {
        return folded(name).equals("~)") || folded(name).equals("-)");
    }

    static boolean isBreath(String name) {
        return folded(name).equals("breath");
    }

    private static String folded(String name) {
        return name.toLowerCase(Locale.ROOT).replace(" ", "");
    }

    /** What a decoration that is not kept is called. */
    static String leftOut(String name) {
        String plain = folded(name);
        if (plain.matches("p{1,4}|f{1,4}|mp|mf|sfz|sf|fp|rfz|fz")) {
            return "dynamics";
        }
        if (plain.matches("(crescendo|diminuendo|cresc|dim|[<>])[()]?")) {
            return "hairpins";
        }
        if (ORNAMENTS.contains(plain)) {
            return "ornaments";
        }
        return plain.matches("[0-5]") ? "fingerings" : "\"" + name.strip() + "\"";
    }

    /** The mark of a letter before a note; empty for letters that stand for an ornament. */
    static Optional<Mark> letter(char c) {
        return switch (c) {
            case '.' -> Optional.of(Mark.STACCATO);
            case 'H' -> Optional.of(Mark.FERMATA);
            case 'L' -> Optional.of(Mark.ACCENT);
            case 'u' -> Optional.of(Mark.UP_BOW);
            case 'v' -> Optional.of(Mark.DOWN_BOW);
            default -> Optional.empty();
        };
    }
}
