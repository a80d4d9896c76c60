package vividroster.server.lines;

import java.util.ArrayList;
import java.util.List;
import vividroster.core.music.Signs;

/** The signs of a measure, as one says them. */
final class SignWording {

    private SignWording() {}

    static String words(Signs signs) {
        List<String> words = new ArrayList<>();
        if (signs.segno().isPresent()) {
            words.add("segno");
        }
        if (signs.coda().isPresent()) {
            words.add("coda");
        }
        if (signs.forwardRepeat()) {
            words.add("repeat begins");
        }
        if (!signs.endingBegins().isEmpty()) {
            words.add("ending " + signs.endingLabel());
        }
        if (signs.closesRepeat()) {
            words.add(signs.repeatTimes() == 2 ? "repeat" : "play " + signs.repeatTimes() + " times");
        }
        signs.toCoda().ifPresent(c -> words.add("To Coda"));
        if (signs.fine()) {
            words.add("Fine");
        }
        signs.jump().ifPresent(j -> words.add(j.words()));
        return String.join(", ", words);
    }
}
