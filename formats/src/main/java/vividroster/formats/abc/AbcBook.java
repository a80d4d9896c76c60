package vividroster.formats.abc;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A file of many tunes, each from its {@code X:} to the next. A comment {@code % page 12} before or in a tune says the
 * page from there on; meter, unit and tempo before the first tune hold for all of them.
 */
public final class AbcBook {

    private static final Pattern BEGINS = Pattern.compile("(?m)^X:(.*)$");
    private static final Pattern NUMBER = Pattern.compile("\\s*(\\d{1,5})\\b");
    private static final Pattern PAGE = Pattern.compile("(?mi)^% *page +(\\d{1,4})\\s*$");
    private static final Pattern HEAD = Pattern.compile("(?m)^[MLQ]:.*$");

    private AbcBook() {}

    /**
     * @param number as its X says, 0 where it says none
     * @param page as the comments say; empty before the first
     * @param firstLine of the file, from 1, so that errors can be told by the file's lines
     */
    public record Tune(int number, OptionalInt page, String text, int firstLine) {}

    /** In the order of the file. A file without {@code X:} is one tune. */
    public static List<Tune> tunes(String file) {
        List<Integer> starts = new ArrayList<>();
        List<Integer> numbers = new ArrayList<>();
        Matcher begins = BEGINS.matcher(file);
        while (begins.find()) {
            Matcher number = NUMBER.matcher(begins.group(1));
            starts.add(begins.start());
            numbers.add(number.lookingAt() ? Integer.parseInt(number.group(1)) : 0);
        }
        if (starts.isEmpty()) {
            return List.of(new Tune(0, page(file, file.length()), file, 1));
        }
        List<String> head = HEAD.matcher(file)
                .region(0, starts.getFirst())
                .results()
                .map(found -> found.group() + "\n")
                .toList();
        List<Tune> tunes = new ArrayList<>();
        int line = 1;
        int counted = 0;
        for (int i = 0; i < starts.size(); i++) {
            int from = starts.get(i);
            int to = i + 1 < starts.size() ? starts.get(i + 1) : file.length();
            line += (int)
                    file.substring(counted, from).chars().filter(c -> c == '\n').count();
            counted = from;
            String text = String.join("", head) + file.substring(from, to).stripTrailing() + "\n";
            tunes.add(new Tune(numbers.get(i), page(file, headEnd(file, from, to)), text, line - head.size()));
        }
        return tunes;
    }

    /** A page may be said down to the tune's own key; what stands after its music is for the next. */
    private static int headEnd(String file, int from, int to) {
        int key = file.indexOf("\nK:", from);
        return key < 0 || key > to ? to : key;
    }

    private static OptionalInt page(String file, int before) {
        OptionalInt page = OptionalInt.empty();
        Matcher said = PAGE.matcher(file).region(0, before);
        while (said.find()) {
            page = OptionalInt.of(Integer.parseInt(said.group(1)));
        }
        return page;
    }
}
