package vividroster.core.reading;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import vividroster.core.instrument.FingeringChart;
import vividroster.core.instrument.Range;
import vividroster.core.music.Beats;
import vividroster.core.music.Bpm;
import vividroster.core.music.Key;
import vividroster.core.music.Measure;
import vividroster.core.music.Meter;
import vividroster.core.music.Note;
import vividroster.core.music.Part;
import vividroster.core.music.Pitch;
import vividroster.core.music.Signs;
import vividroster.core.music.Signs.Jump;
import vividroster.core.music.Signs.Until;
import vividroster.core.music.Spelling;
import vividroster.core.music.Transposition;
import vividroster.core.reading.Fingers.FourthFinger;
import vividroster.core.reading.Reading.Reader;

/** Short lines for tests. */
final class Lines {

    private Lines() {}

    /**
     * A roadmap by measures, each a letter with its signs: {@code |:} before it opens a repeat, {@code :|} or
     * {@code :|3} after it closes one, {@code [1} or {@code [12} before it begins a bracket and {@code ]} after it ends
     * one; {@code $} segno, {@code O} coda, {@code >} to coda, {@code F} Fine, {@code DC DCF DCC DS DSF DSC} jumps,
     * separated by commas behind the letter. A lower-case first letter is a pick-up.
     */
    static Part roadmap(String text) {
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
                            signs.contains("$") ? Optional.of("") : Optional.empty(),
                            signs.contains("O") ? Optional.of("") : Optional.empty(),
                            signs.contains(">") ? Optional.of("") : Optional.empty(),
                            signs.contains("F"),
                            jump(signs)));
            measures.add(measure);
        }
        return new Part(
                new Key(0, vividroster.core.music.Mode.MAJOR), new Meter(4, 4), Optional.of(new Bpm(60)), measures);
    }

    private static Optional<Jump> jump(List<String> signs) {
        for (String sign : signs) {
            if (sign.matches("D[CS][FC]?")) {
                Until until = sign.endsWith("F") ? Until.FINE : sign.length() == 3 ? Until.CODA : Until.END;
                return Optional.of(sign.charAt(1) == 'C' ? Jump.daCapo(until) : Jump.dalSegno("", until));
            }
        }
        return Optional.empty();
    }

    /** The order played, by the letters of the measures. */
    static String played(String text, Roadmap.Options options) {
        String[] letters =
                text.replaceAll("\\|:|\\[\\d+|:\\|\\d*|\\]", "").strip().split("\\s+");
        StringBuilder order = new StringBuilder();
        Roadmap.of(roadmap(text), options).indices().forEach(i -> order.append(letters[i].charAt(0)));
        return order.toString();
    }

    /**
     * Notes by measures: {@code C4 D4/2 E4*2 r} with {@code /2} for a half of a beat and {@code *2} for two beats,
     * measures divided by bars; a tie is {@code C4~}.
     */
    static Part notes(String key, String meter, String text) {
        List<Measure> measures = new ArrayList<>();
        for (String bar : text.split("\\|")) {
            List<Note> notes = new ArrayList<>();
            for (String token : bar.strip().split("\\s+")) {
                boolean tied = token.endsWith("~");
                String body = tied ? token.substring(0, token.length() - 1) : token;
                Beats length = Beats.of(1);
                if (body.contains("/")) {
                    length = Beats.of(1, Integer.parseInt(body.substring(body.indexOf('/') + 1)));
                    body = body.substring(0, body.indexOf('/'));
                } else if (body.contains("*")) {
                    length = Beats.of(Integer.parseInt(body.substring(body.indexOf('*') + 1)));
                    body = body.substring(0, body.indexOf('*'));
                }
                notes.add(
                        body.equals("r")
                                ? Note.rest(length)
                                : new Note(
                                        Optional.of(Pitch.named(body)),
                                        length,
                                        tied,
                                        Note.Slurs.NONE,
                                        Set.of(),
                                        List.of(),
                                        ""));
            }
            measures.add(Measure.of(measures.size() + 1, notes));
        }
        return new Part(Key.named(key), Meter.parse(meter), Optional.of(new Bpm(60)), measures);
    }

    /** As a reader at concert pitch reads it, whose track is not known. */
    static Reading reading(Part part, Range stage, FingeringChart chart) {
        return reading(part, stage, chart, Optional.empty());
    }

    static Reading reading(Part part, Range stage, FingeringChart chart, Optional<Vocabulary> met) {
        return Reading.of(
                part,
                new Reader(Transposition.CONCERT, stage, chart, FourthFinger.EARLY, Spelling.FLATS_AT_SIX, met),
                new Bpm(60));
    }
}
