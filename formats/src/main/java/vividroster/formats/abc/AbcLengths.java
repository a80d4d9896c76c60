package vividroster.formats.abc;

import java.util.regex.Matcher;
import java.util.regex.Pattern;
import vividroster.core.music.Beats;
import vividroster.core.music.Meter;
import vividroster.formats.score.Limits;

/** How long the notes of a voice last: the unit, what is written behind a note, groups like a triplet, dotted pairs. */
final class AbcLengths {

    static final Pattern LENGTH = Pattern.compile("(\\d{0,6})(/*)(\\d{0,6})");
    static final Pattern TUPLET = Pattern.compile("\\((\\d)(?::(\\d?))?(?::(\\d?))?");
    private static final int MOST_UNITS = 256;

    private Beats unit;
    private int tupletLeft;
    private int tupletNotes = 1;
    private int tupletTime = 1;
    /** Signs of a dotted pair that the next note has to answer; below 0 where it is the short one. */
    private int brokenBy;

    AbcLengths(Beats unit) {
        this.unit = unit;
    }

    void change(Beats other) {
        unit = other;
    }

    /** What a group of so many stands for where it says nothing. Source: the standard of ABC. */
    void tuplet(Matcher m, Meter meter) {
        int p = Integer.parseInt(m.group(1));
        if (p < 2) {
            throw new IllegalArgumentException("a group like (3 has at least two notes");
        }
        if (tupletLeft > 0) {
            throw new IllegalArgumentException("a group of notes cannot stand inside another");
        }
        int usual = switch (p) {
            case 2 -> 3;
            case 3, 6 -> 2;
            case 4, 8 -> 3;
            default -> meter.isCompound() ? 3 : 2;
        };
        tupletNotes = p;
        tupletTime = m.group(2) == null || m.group(2).isEmpty() ? usual : Integer.parseInt(m.group(2));
        tupletLeft = m.group(3) == null || m.group(3).isEmpty() ? p : Integer.parseInt(m.group(3));
        if (tupletTime < 1 || tupletLeft < 1) {
            throw new IllegalArgumentException("a group of notes is written like (3, (3:2 or (3:2:3");
        }
    }

    /** A group that its measure does not fill cannot be read. */
    void atBarLine() {
        if (tupletLeft > 0) {
            throw new IllegalArgumentException("a group of " + tupletNotes + " notes ends in its measure; " + tupletLeft
                    + (tupletLeft == 1 ? " is" : " are") + " missing");
        }
    }

    /** What a note lasts with so many signs of a dotted pair behind it; the next note answers. */
    Beats broken(Beats before, char sign, int count) {
        int power = 1 << count;
        Beats length = Limits.written(times(before, sign == '>' ? 2L * power - 1 : 1, power));
        brokenBy = sign == '>' ? -count : count;
        return length;
    }

    /** Of what stands behind the next note, with the group and the pair it is in. */
    Beats next(Matcher m) {
        long up = m.group(1).isEmpty() ? 1 : Long.parseLong(m.group(1));
        long down = m.group(3).isEmpty() ? 1L << Math.min(10, m.group(2).length()) : Long.parseLong(m.group(3));
        if (up == 0 || down == 0 || up > MOST_UNITS || down > MOST_UNITS) {
            throw new IllegalArgumentException("a length is written like 2, /2 or 3/2");
        }
        Beats length = times(unit, up, down);
        if (tupletLeft > 0) {
            length = times(length, tupletTime, tupletNotes);
            tupletLeft--;
        }
        if (brokenBy != 0) {
            int power = 1 << Math.abs(brokenBy);
            length = times(length, brokenBy < 0 ? 1 : 2L * power - 1, power);
            brokenBy = 0;
        }
        return Limits.written(length);
    }

    private static Beats times(Beats length, long numerator, long denominator) {
        long ticks = length.ticks() * numerator;
        if (ticks % denominator != 0 || ticks / denominator > Integer.MAX_VALUE) {
            throw new IllegalArgumentException("a note of this length cannot be written");
        }
        return new Beats((int) (ticks / denominator));
    }
}
