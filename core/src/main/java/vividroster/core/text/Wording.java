package vividroster.core.text;

import java.text.Normalizer;
import java.util.Collection;
import java.util.Comparator;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;
import org.apache.commons.text.similarity.LevenshteinDistance;

/** How words that people typed are compared. */
public final class Wording {

    private static final Pattern ASIDE = Pattern.compile("[^\\p{L}\\p{M}\\p{N}']+");

    private Wording() {}

    /**
     * Folds a text so that spellings of the same name compare equal: compatibility forms, case, flats and sharps,
     * punctuation and runs of spaces fall away; accents stay, since they tell names apart.
     */
    public static String fold(String text) {
        String folded = Normalizer.normalize(text, Normalizer.Form.NFKC)
                .replace('’', '\'')
                .replace("\u266D", " flat")
                .replace("\u266F", " sharp")
                .toLowerCase(Locale.ROOT);
        return ASIDE.matcher(folded).replaceAll(" ").strip();
    }

    /**
     * The candidate nearest to a text by edit distance, if it is at most a third of the text away.
     *
     * @param folded candidates as {@link #fold} leaves them
     */
    public static Optional<String> nearest(String text, Collection<String> folded) {
        String sought = fold(text);
        int limit = Math.max(1, sought.length() / 3);
        LevenshteinDistance distance = new LevenshteinDistance(limit);
        record Near(String word, int distance) {}
        return folded.stream()
                .map(word -> new Near(word, distance.apply(sought, word)))
                .filter(near -> near.distance() >= 0)
                .min(Comparator.comparingInt(Near::distance).thenComparing(Near::word))
                .map(Near::word);
    }
}
