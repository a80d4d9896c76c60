package vividroster.server.platform;

/** How numbers and lists are said in sentences; what is said of a thing stands in its feature's wording. */
public final class Words {

    private Words() {}

    /** "1 position", "3 positions". */
    public static String counted(long n, String one) {
        return counted(n, one, one + "s");
    }

    /** "1 try", "3 tries". */
    public static String counted(long n, String one, String many) {
        return n + " " + agreeing(n, one, many);
    }

    /** The word that goes with a number: "measure" or "measures". */
    public static String agreeing(long n, String one, String many) {
        return n == 1 ? one : many;
    }

    /** "once", "twice", "3 times". */
    public static String times(int n) {
        return switch (n) {
            case 1 -> "once";
            case 2 -> "twice";
            default -> n + " times";
        };
    }
}
