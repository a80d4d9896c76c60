package vividroster.core.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.UnaryOperator;
import vividroster.core.hands.Fingers.FourthFinger;
import vividroster.core.instrument.FingeringChart;
import vividroster.core.instrument.HomeOctave;
import vividroster.core.instrument.Range;
import vividroster.core.music.Beats;
import vividroster.core.music.Key;
import vividroster.core.music.Measure;
import vividroster.core.music.Meter;
import vividroster.core.music.Note;
import vividroster.core.music.Note.Mark;
import vividroster.core.music.Part;
import vividroster.core.music.Pitch;
import vividroster.core.music.Signs;
import vividroster.core.music.Signs.Jump;
import vividroster.core.music.Signs.Until;
import vividroster.core.music.Spelling;
import vividroster.core.music.Tempo;
import vividroster.core.music.Transposition;
import vividroster.core.reading.Fitted.Compass;
import vividroster.core.rehearsal.Reading;
import vividroster.core.rehearsal.Reading.Figures;
import vividroster.core.rehearsal.Reading.Reader;

/** Short lines for tests. */
public final class Lines {

    private Lines() {}

    /**
     * A roadmap by measures, each a letter with its signs: {@code |:} before it opens a repeat, {@code :|} or
     * {@code :|3} after it closes one, {@code [1} or {@code [12} before it begins a bracket and {@code ]} after it ends
     * one; {@code $} segno, {@code O} coda, {@code >} to coda, {@code F} Fine, {@code DC DCF DCC DS DSF DSC} jumps,
     * separated by commas behind the letter. A lower-case first letter is a pick-up.
     */
    public static Part roadmap(String text) {
        List<Measure> measures = new ArrayList<>();
        int number = 0;
        for (String token : text.strip().split("\\s+")) {
            boolean opens = token.startsWith("|:");
            token = opens ? token.substring(2) : token;
            Set<Integer> ending = new TreeSet<>();
            if (token.startsWith("[")) {
                token = token.substring(1);
                while (Character.isDigit(token.charAt(0))) {
                    ending.add(token.charAt(0) - '0');
                    token = token.substring(1);
                }
            }
            int times = 0;
            int colon = token.indexOf(":|");
            if (colon >= 0) {
                String count = token.substring(colon + 2).replace("]", "");
                times = count.isEmpty() ? 2 : Integer.parseInt(count);
            }
            boolean stops = token.endsWith("]");
            String body = (colon >= 0 ? token.substring(0, colon) : token).replace("]", "");
            List<String> signs = List.of(body.split(","));
            boolean pickUp = number == 0 && measures.isEmpty() && Character.isLowerCase(body.charAt(0));
            number = pickUp ? 0 : number + 1;
            Measure measure = Measure.of(number, List.of(Note.of(Pitch.named("C4"), Beats.of(pickUp ? 1 : 4))))
                    .withSigns(new Signs(
                            opens,
                            times,
                            ending,
                            stops,
                            named(signs, "$"),
                            named(signs, "O"),
                            named(signs, ">"),
                            signs.contains("F"),
                            jump(signs)));
            measures.add(measure);
        }
        return new Part(
                new Key(0, vividroster.core.music.Mode.MAJOR), new Meter(4, 4), Optional.of(Tempo.of(60)), measures);
    }

    /** The name behind a sign, "" where it has none; signs stand behind the measure's letter. */
    private static Optional<String> named(List<String> signs, String sign) {
        return signs.stream()
                .skip(1)
                .filter(s -> s.startsWith(sign) && s.substring(1).matches("\\d?"))
                .map(s -> s.substring(1))
                .findFirst();
    }

    private static Optional<Jump> jump(List<String> signs) {
        for (String sign : signs) {
            if (sign.matches("D[CS][FC]?\\d?")) {
                String name = sign.replaceAll("\\D", "");
                String kind = sign.replaceAll("\\d", "");
                Until until = kind.endsWith("F") ? Until.FINE : kind.length() == 3 ? Until.CODA : Until.END;
                Jump jump = sign.charAt(1) == 'C'
                        ? Jump.daCapo(until)
                        : Jump.dalSegno(until == Until.CODA ? "" : name, until);
                return Optional.of(until == Until.CODA ? jump.toCoda(name) : jump);
            }
        }
        return Optional.empty();
    }

    /** The order played, by the letters of the measures. */
    public static String played(String text, Roadmap.Options options) {
        String[] letters =
                text.replaceAll("\\|:|\\[\\d+|:\\|\\d*|\\]", "").strip().split("\\s+");
        StringBuilder order = new StringBuilder();
        Roadmap.of(roadmap(text), options).indices().forEach(i -> order.append(letters[i].charAt(0)));
        return order.toString();
    }

    /**
     * Notes by measures: {@code C4 D4/2 E4*2 r} with {@code /2} for a half of a beat and {@code *2} for two beats,
     * measures divided by bars; a tie is {@code C4~}, a fermata {@code C4^}, slurs stand in round brackets.
     */
    public static Part notes(String key, String meter, String text) {
        List<Measure> measures = new ArrayList<>();
        for (String bar : text.split("\\|")) {
            List<Note> notes = new ArrayList<>();
            for (String token : bar.strip().split("\\s+")) {
                notes.add(note(token));
            }
            measures.add(Measure.of(measures.size() + 1, notes));
        }
        return new Part(Key.named(key), Meter.parse(meter), Optional.of(Tempo.of(60)), measures);
    }

    private static Note note(String token) {
        int begins = token.startsWith("(") ? 1 : 0;
        int ends = token.endsWith(")") ? 1 : 0;
        boolean held = token.contains("^");
        String body = token.replaceAll("[()^]", "");
        boolean tied = body.endsWith("~");
        body = body.replace("~", "");
        Beats length = Beats.of(1);
        if (body.contains("/")) {
            length = Beats.of(1, Integer.parseInt(body.substring(body.indexOf('/') + 1)));
            body = body.substring(0, body.indexOf('/'));
        } else if (body.contains("*")) {
            length = Beats.of(Integer.parseInt(body.substring(body.indexOf('*') + 1)));
            body = body.substring(0, body.indexOf('*'));
        }
        return new Note(
                body.equals("r") ? Optional.empty() : Optional.of(Pitch.named(body)),
                length,
                tied,
                new Note.Slurs(begins, ends),
                held ? Set.of(Mark.FERMATA) : Set.of(),
                List.of(),
                "");
    }

    /** The same, its time told. */
    public static TimedView timed(String key, String meter, String text) {
        return TimedView.of(notes(key, meter, text));
    }

    public static Part at(double tempo, Part part) {
        return new Part(part.key(), part.meter(), Optional.of(Tempo.of(tempo)), part.measures());
    }

    /** With the measures numbered so. */
    public static Part numbered(Part part, int... numbers) {
        List<Measure> measures = new ArrayList<>();
        for (int m = 0; m < numbers.length; m++) {
            measures.add(part.measures().get(m).withNumber(numbers[m]));
        }
        return new Part(part.key(), part.meter(), part.tempo(), measures);
    }

    /** With one measure changed. @param index from 0 */
    public static Part with(Part part, int index, UnaryOperator<Measure> change) {
        List<Measure> measures = new ArrayList<>(part.measures());
        measures.set(index, change.apply(measures.get(index)));
        return new Part(part.key(), part.meter(), part.tempo(), measures);
    }

    /** As a reader at concert pitch reads it, whose track is not known. */
    public static Reading reading(Part part, Range stage, FingeringChart chart) {
        return reading(part, stage, chart, Optional.empty());
    }

    public static Reading reading(Part part, Range stage, FingeringChart chart, Optional<Vocabulary> met) {
        return Reading.of(
                TimedView.of(part),
                new Reader(
                        Transposition.CONCERT,
                        HomeOctave.AS_WRITTEN,
                        Compass.of(stage),
                        Figures.BEGINNER,
                        chart,
                        FourthFinger.EARLY,
                        Spelling.FLATS_AT_SIX,
                        met));
    }
}
