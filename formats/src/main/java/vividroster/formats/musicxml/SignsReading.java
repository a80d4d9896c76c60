package vividroster.formats.musicxml;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.audiveris.proxymusic.BackwardForward;
import org.audiveris.proxymusic.Barline;
import org.audiveris.proxymusic.Direction;
import org.audiveris.proxymusic.DirectionType;
import org.audiveris.proxymusic.FormattedTextId;
import org.audiveris.proxymusic.Metronome;
import org.audiveris.proxymusic.RightLeftMiddle;
import org.audiveris.proxymusic.Sound;
import org.audiveris.proxymusic.StartStopDiscontinue;
import org.audiveris.proxymusic.YesNo;
import vividroster.core.music.Beats;
import vividroster.core.music.Signs;
import vividroster.core.music.Signs.Jump;
import vividroster.core.music.Signs.Until;
import vividroster.core.music.Tempo;
import vividroster.formats.score.JumpWords;
import vividroster.formats.score.JumpWords.Said;
import vividroster.formats.score.Plucking;
import vividroster.formats.score.TempoWords;

/** Bar lines, sounds and words of one measure on their way to its signs. A sound element goes before printed words. */
final class SignsReading {

    private static final Pattern RANGE = Pattern.compile("(\\d{1,3})(?:-(\\d{1,3}))?");

    private boolean forward;
    private int times;
    private final Set<Integer> endings = new HashSet<>();
    private boolean endingStops;
    private Optional<String> segno = Optional.empty();
    private Optional<String> coda = Optional.empty();
    private Optional<String> toCoda = Optional.empty();
    private boolean fine;
    private Optional<Jump> jump = Optional.empty();
    private Optional<Jump> worded = Optional.empty();
    private boolean wordedFine;
    private Optional<String> wordedToCoda = Optional.empty();
    private Optional<String> wordedCoda = Optional.empty();
    private Optional<String> wordedSegno = Optional.empty();
    private boolean endsDouble;
    private final Plucking plucking;
    private final StringBuilder words = new StringBuilder();

    /** @param plucking as it goes on from the measure before */
    SignsReading(Plucking plucking) {
        this.plucking = plucking;
    }

    void read(Barline barline) {
        if (barline.getRepeat() != null) {
            if (barline.getRepeat().getDirection() == BackwardForward.FORWARD) {
                forward = true;
            } else {
                times = barline.getRepeat().getTimes() == null
                        ? 2
                        : barline.getRepeat().getTimes().intValue();
            }
        }
        if (barline.getEnding() != null) {
            if (barline.getEnding().getType() == StartStopDiscontinue.START) {
                endings.addAll(numbers(barline.getEnding().getNumber()));
            } else {
                endingStops = true;
            }
        }
        boolean left = barline.getLocation() == RightLeftMiddle.LEFT;
        if (barline.getBarStyle() != null && !left) {
            String style = String.valueOf(barline.getBarStyle().getValue());
            endsDouble |= style.contains("LIGHT_") || style.contains("HEAVY") || style.contains("light-");
        }
        if (barline.getSegno() != null || barline.getSegnoAttribute() != null) {
            segno = Optional.of(name(barline.getSegnoAttribute()));
        }
        if (barline.getCoda() != null || barline.getCodaAttribute() != null) {
            coda = Optional.of(name(barline.getCodaAttribute()));
        }
    }

    /** The printed numbers of a bracket, as "1, 2." or "1-3". @throws IllegalArgumentException for too many or too high ones */
    private static Set<Integer> numbers(String text) {
        Set<Integer> numbers = new HashSet<>();
        for (String part : (text == null ? "" : text.strip()).split("[ ,.]+", Signs.MOST_NUMBERS + 2)) {
            Matcher range = RANGE.matcher(part);
            if (part.isEmpty()) {
                continue;
            }
            if (!range.matches()) {
                throw new IllegalArgumentException(
                        "a bracket's numbers are written like 1, 2, were \"" + short20(text) + "\"");
            }
            int from = Integer.parseInt(range.group(1));
            int to = range.group(2) == null ? from : Integer.parseInt(range.group(2));
            if (from < 1 || to > Signs.MOST_TIMES || from > to) {
                throw new IllegalArgumentException(
                        "a bracket's numbers go up from 1 to " + Signs.MOST_TIMES + ", were \"" + short20(text) + "\"");
            }
            for (int n = from; n <= to; n++) {
                numbers.add(n);
            }
        }
        return numbers;
    }

    private static String short20(String text) {
        return text.length() > 20 ? text.substring(0, 20) + "…" : text;
    }

    private static String name(String given) {
        return JumpWords.name(given);
    }

    /** Whether its bar line is a double one. */
    boolean endsDouble() {
        return endsDouble || times > 0;
    }

    void read(Sound sound) {
        Until until = worded.map(Jump::until).orElse(Until.END);
        if (sound.getDacapo() == YesNo.YES) {
            jump = Optional.of(Jump.daCapo(until));
        }
        if (sound.getDalsegno() != null) {
            jump = Optional.of(Jump.dalSegno(name(sound.getDalsegno()), until));
        }
        if (sound.getSegno() != null) {
            segno = Optional.of(name(sound.getSegno()));
        }
        if (sound.getCoda() != null) {
            coda = Optional.of(name(sound.getCoda()));
        }
        if (sound.getTocoda() != null) {
            toCoda = Optional.of(name(sound.getTocoda()));
        }
        if (sound.getFine() != null) {
            fine = true;
        }
        if (sound.getForwardRepeat() == YesNo.YES) {
            forward = true;
        }
    }

    void read(Direction direction) {
        for (DirectionType type : direction.getDirectionType()) {
            Sound sound = direction.getSound();
            // Beside a D.S. or a way to the coda the sign is only their picture.
            if (!type.getSegno().isEmpty() && (sound == null || sound.getDalsegno() == null)) {
                segno = segno.or(() -> Optional.of(""));
            }
            if (!type.getCoda().isEmpty() && (sound == null || sound.getTocoda() == null)) {
                coda = coda.or(() -> Optional.of(""));
            }
            for (Object one : type.getWordsOrSymbol()) {
                if (one instanceof FormattedTextId text
                        && !plucking.said(text.getValue() == null ? "" : text.getValue())) {
                    word(text.getValue() == null ? "" : text.getValue().strip());
                }
            }
        }
        if (direction.getSound() != null) {
            read(direction.getSound());
        }
    }

    /** Whole phrases only: a text that happens to hold such a word is no jump. */
    private void word(String text) {
        switch (JumpWords.in(text).orElse(null)) {
            case null -> {
                if (!text.isEmpty()) {
                    words.append(words.isEmpty() ? "" : " ").append(text);
                }
            }
            case Said.Jumps jumps -> worded = Optional.of(jumps.jump());
            case Said.Fine end -> wordedFine = true;
            case Said.ToCoda to -> wordedToCoda = Optional.of(to.name());
            case Said.Coda here -> wordedCoda = Optional.of(here.name());
            case Said.Segno here -> wordedSegno = Optional.of(here.name());
        }
    }

    static Optional<Tempo> tempo(Sound sound) {
        return Optional.ofNullable(sound.getTempo()).map(t -> Tempo.of(t.doubleValue()));
    }

    /** A sound's tempo beats the printed mark, which is shown; a dotted beat unit is a dotted beat unit. */
    static Optional<Tempo> tempo(Direction direction) {
        Optional<Tempo> printed = direction.getDirectionType().stream()
                .map(DirectionType::getMetronome)
                .filter(m -> m != null && m.getPerMinute() != null && m.getBeatUnit() != null)
                .findFirst()
                .flatMap(SignsReading::printed);
        Optional<Tempo> sounding = Optional.ofNullable(direction.getSound()).flatMap(SignsReading::tempo);
        return sounding.map(s -> printed.map(p -> p.playedAt(s.bpm())).orElse(s))
                .or(() -> printed);
    }

    private static Optional<Tempo> printed(Metronome mark) {
        long quarter = Beats.PER_BEAT;
        long unit = switch (mark.getBeatUnit()) {
            case "breve" -> 8 * quarter;
            case "whole" -> 4 * quarter;
            case "half" -> 2 * quarter;
            case "eighth" -> quarter / 2;
            case "16th" -> quarter / 4;
            case "32nd" -> quarter / 8;
            default -> quarter;
        };
        long dotted = mark.getBeatUnitDot().isEmpty() ? unit : unit * 3 / 2;
        return TempoWords.in(String.valueOf(mark.getPerMinute().getValue()), new Beats((int) dotted));
    }

    /** What of a direction is not kept. */
    static List<String> leftOut(Direction direction) {
        List<String> aside = new ArrayList<>();
        for (DirectionType type : direction.getDirectionType()) {
            if (!type.getDynamics().isEmpty()) {
                aside.add("dynamics");
            }
            if (type.getWedge() != null) {
                aside.add("hairpins");
            }
            if (!type.getRehearsal().isEmpty()) {
                aside.add("rehearsal marks");
            }
            if (type.getPedal() != null) {
                aside.add("pedal signs");
            }
            if (type.getOctaveShift() != null) {
                aside.add("octave signs");
            }
        }
        return aside;
    }

    String words() {
        return words.toString();
    }

    Signs toSigns() {
        Optional<Jump> made = jump.map(j -> worded.map(w -> new Jump(j.segno(), w.until(), w.coda()))
                        .orElse(j))
                .or(() -> worded);
        return new Signs(
                forward,
                times,
                endings,
                endingStops,
                segno.or(() -> wordedSegno),
                coda.or(() -> wordedCoda),
                toCoda.or(() -> wordedToCoda),
                fine || wordedFine,
                made);
    }
}
