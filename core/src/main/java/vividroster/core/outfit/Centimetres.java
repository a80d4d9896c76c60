package vividroster.core.outfit;

import java.util.Locale;

/** A measured length. What cannot be is refused, with a word about the unit where that is the likely reason. */
public record Centimetres(double value) {

    /**
     * @param what for the message, for example "hand width"
     * @param least smallest that can be, inclusive
     * @param most largest that can be, inclusive
     */
    public static Centimetres measured(String what, double value, double least, double most) {
        if (Double.isNaN(value) || value < least || value > most) {
            String hint = value / 10 >= least && value / 10 <= most
                    ? "; was it measured in millimetres?"
                    : value * 2.54 >= least && value * 2.54 <= most ? "; was it measured in inches?" : "";
            throw new IllegalArgumentException(String.format(
                    Locale.ROOT, "%s must be in %.0f..%.0f cm, was %s cm%s", what, least, most, plain(value), hint));
        }
        return new Centimetres(value);
    }

    private static String plain(double value) {
        return value == Math.rint(value) ? String.valueOf((long) value) : String.valueOf(value);
    }
}
