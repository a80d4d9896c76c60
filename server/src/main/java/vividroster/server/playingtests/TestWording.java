package vividroster.server.playingtests;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import vividroster.core.music.Bpm;
import vividroster.core.music.Pitch;
import vividroster.core.reading.Excerpt;
import vividroster.core.testing.CountedScore;
import vividroster.core.testing.PlayingTest.Variant;
import vividroster.core.testing.RetakePolicy;
import vividroster.core.testing.TestConditions;
import vividroster.core.testing.TestStages.Stage;

/** Conditions, stages and retakes of tests in the words of the rehearsal room. */
public final class TestWording {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM", Locale.ENGLISH);

    private TestWording() {}

    /** One sentence each, in the order a director announces them. @param own of the line, where the test names none */
    static List<String> conditions(TestConditions conditions, Optional<Bpm> own) {
        List<String> words = new ArrayList<>();
        conditions.pitchCheck().ifPresent(tone -> words.add("Pitch check on concert " + plain(tone)));
        words.add(
                switch (conditions.countInMeasures()) {
                    case 0 -> "no count-in: begin by yourself";
                    case 1 -> "one measure of count-in";
                    default -> "two measures of count-in";
                });
        conditions
                .tempo()
                .or(() -> own)
                .ifPresent(tempo -> words.add("♩ = " + tempo
                        + (conditions.tolerancePercent() == 0
                                ? ", no faster and no slower"
                                : ", within " + conditions.tolerancePercent() + " %")));
        words.add(
                switch (conditions.accompaniment()) {
                    case ALONE -> "alone";
                    case METRONOME -> "alone with the metronome";
                    case FIXED_TRACK -> "with a fixed track, which waits for nobody";
                    case FOLLOWS -> "with an accompanist, who follows";
                });
        if (conditions.memory()) {
            words.add("from memory");
        }
        if (conditions.fullValues()) {
            words.add("every note its full value");
        }
        words.add(
                switch (conditions.fermata()) {
                    case STUDENT -> "the student ends a held note";
                    case DIRECTOR -> "the director ends a held note";
                    case ACCOMPANIST -> "the accompanist ends a held note";
                });
        if (!conditions.besides().isBlank()) {
            words.add(conditions.besides());
        }
        return words;
    }

    /** All in one line. */
    static String inOne(TestConditions conditions, Optional<Bpm> own) {
        return String.join(", ", conditions(conditions, own));
    }

    /** Of a tone without its octave. */
    static String plain(Pitch pitch) {
        return pitch.name().substring(0, pitch.name().lastIndexOf(' '));
    }

    static String stage(Stage stage) {
        return switch (stage) {
            case OPENING -> "The opening";
            case FIRST_HALF -> "The first half";
            case JOIN -> "The join of both halves";
            case WHOLE -> "The whole, as at the test";
        };
    }

    /** For example "measure 4", "measures 5 to 8", "measures 5 to 8, 1 to 4". */
    static String measures(List<Integer> played) {
        List<String> runs = new ArrayList<>();
        for (int i = 0; i < played.size(); ) {
            int j = i;
            while (j + 1 < played.size() && played.get(j + 1) == played.get(j) + 1) {
                j++;
            }
            runs.add(i == j ? String.valueOf(played.get(i)) : played.get(i) + " to " + played.get(j));
            i = j + 1;
        }
        return (played.size() == 1 ? "measure " : "measures ") + String.join(", ", runs);
    }

    /** What a section does otherwise, measures apart. */
    static List<String> variant(Variant variant) {
        List<String> words = new ArrayList<>();
        if (variant.octaves() != 0) {
            int octaves = Math.abs(variant.octaves());
            words.add((octaves == 1 ? "an octave " : "two octaves ") + (variant.octaves() > 0 ? "higher" : "lower"));
        }
        if (!variant.position().isBlank()) {
            words.add(variant.position());
        }
        if (!variant.string().isBlank()) {
            words.add("on the " + variant.string().replaceFirst("(?i)^on the ", ""));
        }
        return words;
    }

    /** Why a line has no such stretch. */
    static String fault(Excerpt excerpt, Excerpt.Fault fault) {
        return switch (fault) {
            case Excerpt.NoSuchMeasure none ->
                "The line has measures " + none.first() + " to " + none.last() + "; there is no measure "
                        + none.measure() + ".";
            case Excerpt.NeverAfter never ->
                "Measure " + excerpt.to() + " is never played after measure " + excerpt.from()
                        + "; say them in the order they are played.";
            case Excerpt.NoWay no -> "The line's repeats lead nowhere; mend its roadmap first.";
        };
    }

    /** What applies to retakes, late tries and substitute pieces, as a student's sheet says it. */
    public static List<String> retakes(RetakePolicy policy) {
        List<String> words = new ArrayList<>();
        if (policy.mostRetakes().isPresent() && policy.mostRetakes().getAsInt() == 0) {
            words.add("It is heard once; there is no retake.");
        } else {
            String many = policy.mostRetakes().isEmpty()
                    ? "As many retakes as you like"
                    : policy.mostRetakes().getAsInt() == 1
                            ? "One retake"
                            : policy.mostRetakes().getAsInt() + " retakes";
            String window = policy.windowDays().isEmpty()
                    ? ""
                    : ", within " + policy.windowDays().getAsInt() + " days of the first try";
            words.add(many + window + ": "
                    + switch (policy.counting()) {
                        case REPLACE -> "the last try counts.";
                        case BEST -> "the best try counts.";
                        case AVERAGE -> "all tries count together.";
                        case CAPPED ->
                            "the best try counts, a retake up to "
                                    + policy.capPercent().getAsInt() + " %.";
                    });
        }
        if (policy.late().percent() < 100) {
            words.add(
                    policy.late().percent() == 0
                            ? "Heard after the due day it counts nothing, unless you were excused."
                            : "Heard after the due day it counts "
                                    + policy.late().percent() + " %, unless you were excused.");
        }
        if (policy.substitute().percent() < 100) {
            words.add(
                    policy.substitute().percent() == 0
                            ? "A substitute piece does not count."
                            : "A substitute piece counts " + policy.substitute().percent() + " %.");
        }
        return words;
    }

    /** What applies to one student from now on. */
    public static String standing(CountedScore score) {
        if (score.tries().isEmpty()) {
            return score.excused() ? "Excused." : "Not heard yet.";
        }
        CountedScore.Retake retake = score.retake();
        if (!retake.allowed()) {
            return retake.left().isPresent() && retake.left().getAsInt() == 0
                    ? "No retake is left."
                    : "The time for retakes ended on "
                            + retake.until().map(TestWording::day).orElse("") + ".";
        }
        String many = retake.left().isEmpty()
                ? "Retakes"
                : retake.left().getAsInt() == 1 ? "One retake" : retake.left().getAsInt() + " retakes";
        return many + " left" + retake.until().map(day -> ", until " + day(day)).orElse("") + ".";
    }

    private static String day(LocalDate day) {
        return DAY.format(day);
    }
}
