package vividroster.core.access;

import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/** Which passwords are taken. Length matters most; nothing is asked of capitals or digits. */
public final class Passwords {

    /** In letters as a person counts them. */
    public static final int SHORTEST = 10;

    /** In bytes of UTF-8; bcrypt looks at no more. */
    public static final int MOST_BYTES = 72;

    private static final String[] ROWS = {
        "abcdefghijklmnopqrstuvwxyz",
        "0123456789012345678901234567890",
        "qwertyuiop",
        "asdfghjkl",
        "zxcvbnm",
        "qwertzuiop"
    };
    /** So many letters of a row in a row are what makes a password easy. */
    private static final int RUN = 6;

    private final Set<String> common;

    /** @param common in lower case */
    public Passwords(Set<String> common) {
        this.common = Set.copyOf(common);
    }

    public enum Fault {
        TOO_SHORT,
        TOO_LONG,
        COMMON,
        LIKE_THE_NAME,
        TOO_EVEN
    }

    /** Why a password is not taken for a person of this sign-in name; empty when it is. */
    public Optional<Fault> fault(String password, String signInName) {
        String folded = password.toLowerCase(Locale.ROOT);
        String name = signInName.strip().toLowerCase(Locale.ROOT);
        if (password.codePointCount(0, password.length()) < SHORTEST) {
            return Optional.of(Fault.TOO_SHORT);
        }
        if (!fits(password)) {
            return Optional.of(Fault.TOO_LONG);
        }
        if (common.contains(folded) || common.contains(withoutTail(folded))) {
            return Optional.of(Fault.COMMON);
        }
        if (name.length() >= 3 && folded.contains(name) && folded.length() < name.length() + 6) {
            return Optional.of(Fault.LIKE_THE_NAME);
        }
        if (folded.codePoints().distinct().count() < 4 || isARun(folded)) {
            return Optional.of(Fault.TOO_EVEN);
        }
        return Optional.empty();
    }

    /** Whether a password is no longer than what is looked at. */
    public static boolean fits(String password) {
        return password.getBytes(StandardCharsets.UTF_8).length <= MOST_BYTES;
    }

    /** "password2026!" is "password". */
    private static String withoutTail(String password) {
        return password.replaceAll("[0-9\\p{Punct}]+$", "");
    }

    /** Most of it letters that follow one another in the alphabet, in numbers or on the keys. */
    private static boolean isARun(String password) {
        int inRuns = 0;
        int i = 0;
        while (i < password.length()) {
            int length = runAt(password, i);
            inRuns += length >= RUN ? length : 0;
            i += Math.max(1, length >= RUN ? length : 1);
        }
        return password.length() - inRuns < 4;
    }

    private static int runAt(String password, int from) {
        int longest = 0;
        for (String row : ROWS) {
            for (String direction :
                    new String[] {row, new StringBuilder(row).reverse().toString()}) {
                int length = Math.min(password.length() - from, direction.length());
                while (length > longest && !direction.contains(password.substring(from, from + length))) {
                    length--;
                }
                longest = Math.max(longest, length);
            }
        }
        return longest;
    }
}
