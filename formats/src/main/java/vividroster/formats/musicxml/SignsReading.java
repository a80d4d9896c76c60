package vividroster.formats.musicxml;

import java.math.BigDecimal;
import java.util.HashSet;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import org.audiveris.proxymusic.BackwardForward;
import org.audiveris.proxymusic.Barline;
import org.audiveris.proxymusic.Direction;
import org.audiveris.proxymusic.DirectionType;
import org.audiveris.proxymusic.FormattedTextId;
import org.audiveris.proxymusic.Metronome;
import org.audiveris.proxymusic.Sound;
import org.audiveris.proxymusic.StartStopDiscontinue;
import org.audiveris.proxymusic.YesNo;
import vividroster.core.music.Bpm;
import vividroster.core.music.Signs;
import vividroster.core.music.Signs.Jump;
import vividroster.core.music.Signs.Until;

/** Bar lines, sounds and words of one measure on their way to its signs. A sound element goes before printed words. */
final class SignsReading {

    private static final Pattern JUMP = Pattern.compile(
            "(d\\.? ?c\\.?|da capo|d\\.? ?s\\.?|dal segno)( al (fine|coda|\\S*coda))?\\.?", Pattern.CASE_INSENSITIVE);

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
    private boolean wordedToCoda;
    private final StringBuilder words = new StringBuilder();

    void read(Barline barline) {
        if (barline.getRepeat() != null) {
            if (barline.getRepeat().getDirection() == BackwardForward.FORWARD) {
                forward = true;
            } else {
                times = barline.getRepeat().getTimes() == null
                        ? 2
                        : Math.clamp(barline.getRepeat().getTimes().intValue(), 2, 20);
            }
        }
        if (barline.getEnding() != null) {
            if (barline.getEnding().getType() == StartStopDiscontinue.START) {
                String numbers = barline.getEnding().getNumber();
                for (String number : numbers == null ? new String[0] : numbers.split("[ ,]+")) {
                    if (number.matches("\\d{1,2}")) {
                        endings.add(Integer.valueOf(number));
                    }
                }
            } else {
                endingStops = true;
            }
        }
        if (barline.getSegno() != null || barline.getSegnoAttribute() != null) {
            segno = Optional.of(name(barline.getSegnoAttribute()));
        }
        if (barline.getCoda() != null || barline.getCodaAttribute() != null) {
            coda = Optional.of(name(barline.getCodaAttribute()));
        }
    }

    /** Names that only one sign can bear are all one name, so that a sign without a name is found. */
    private static String name(String given) {
        return given == null
                        || given.isBlank()
                        || given.equalsIgnoreCase("segno")
                        || given.equalsIgnoreCase("coda")
                        || given.equals("1")
                ? ""
                : given.strip();
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
            if (!type.getSegno().isEmpty() && direction.getSound() == null) {
                segno = Optional.of("");
            }
            if (!type.getCoda().isEmpty() && direction.getSound() == null) {
                coda = Optional.of("");
            }
            for (Object one : type.getWordsOrSymbol()) {
                if (one instanceof FormattedTextId text) {
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
        if (JUMP.matcher(text).matches()) {
            String low = text.toLowerCase();
            Until until = low.contains("fine") ? Until.FINE : low.contains("coda") ? Until.CODA : Until.END;
            boolean capo = low.startsWith("da capo") || low.matches("d\\.? ?c.*");
            worded = Optional.of(capo ? Jump.daCapo(until) : Jump.dalSegno("", until));
        } else if (text.equalsIgnoreCase("Fine")) {
            wordedFine = true;
        } else if (text.equalsIgnoreCase("To Coda")) {
            wordedToCoda = true;
        } else if (!text.isEmpty()) {
            words.append(words.isEmpty() ? "" : " ").append(text);
        }
    }

    static Bpm bpm(BigDecimal tempo) {
        return new Bpm(Math.clamp(Math.round(tempo.doubleValue()), 20, 400));
    }

    /** A sound's tempo beats the printed mark; a dotted beat unit is a dotted beat unit. */
    static Optional<Bpm> tempo(Direction direction) {
        if (direction.getSound() != null && direction.getSound().getTempo() != null) {
            return Optional.of(bpm(direction.getSound().getTempo()));
        }
        return direction.getDirectionType().stream()
                .map(DirectionType::getMetronome)
                .filter(m -> m != null && m.getPerMinute() != null && m.getBeatUnit() != null)
                .findFirst()
                .flatMap(SignsReading::printed);
    }

    private static Optional<Bpm> printed(Metronome mark) {
        String digits = String.valueOf(mark.getPerMinute().getValue()).replaceAll("[^0-9.]", "");
        if (!digits.matches("\\d{1,6}(\\.\\d*)?")) {
            return Optional.empty();
        }
        double quarters = switch (mark.getBeatUnit()) {
            case "whole" -> 4;
            case "half" -> 2;
            case "eighth" -> 0.5;
            case "16th" -> 0.25;
            default -> 1;
        };
        double dotted = mark.getBeatUnitDot().isEmpty() ? 1 : 1.5;
        return Optional.of(bpm(BigDecimal.valueOf(Double.parseDouble(digits) * quarters * dotted)));
    }

    String words() {
        return words.toString();
    }

    Signs toSigns() {
        Optional<Jump> made = jump.map(j -> worded.map(w -> j.segno().isPresent()
                                ? Jump.dalSegno(j.segno().get(), w.until())
                                : Jump.daCapo(w.until()))
                        .orElse(j))
                .or(() -> worded);
        return new Signs(
                forward,
                times,
                endings,
                endingStops,
                segno,
                coda,
                toCoda.or(() -> wordedToCoda ? Optional.of("") : Optional.empty()),
                fine || wordedFine,
                made);
    }
}
