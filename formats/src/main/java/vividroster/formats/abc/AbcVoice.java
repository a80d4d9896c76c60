package vividroster.formats.abc;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import vividroster.core.music.Beats;
import vividroster.core.music.Key;
import vividroster.core.music.Measure;
import vividroster.core.music.Meter;
import vividroster.core.music.Note;
import vividroster.core.music.Note.Mark;
import vividroster.core.music.Pitch;
import vividroster.core.music.TempoMark;
import vividroster.formats.abc.AbcFields.TempoField;
import vividroster.formats.score.Cuts.Cut;
import vividroster.formats.score.JumpWords;
import vividroster.formats.score.LeftOut;
import vividroster.formats.score.Limits;
import vividroster.formats.score.LineFileException;
import vividroster.formats.score.Plucking;

/** The notes of one voice, read line by line and gathered into measures. What one voice cannot hold makes it unusable. */
final class AbcVoice {

    private static final Pattern INLINE = Pattern.compile("\\[([A-Za-z]):([^\\]]*)\\]");
    private static final Pattern CHORD = Pattern.compile("\\[[^\\]|:]*\\]");

    /** What an inline field asks of the tune, since it holds for more than this voice. */
    interface Tune {
        void inline(int line, int column, char field, String value);
    }

    private final Tune tune;
    private final AbcPitches pitches;
    private final AbcLengths lengths;
    private Meter meter;
    private final Plucking plucking = new Plucking();
    private final AbcSigns signs = new AbcSigns();
    private final List<Measure> measures = new ArrayList<>();
    private final List<Note> notes = new ArrayList<>();
    private Optional<Key> newKey = Optional.empty();
    private Optional<Meter> newMeter = Optional.empty();
    private final List<TempoMark> newTempos = new ArrayList<>();
    private String words = "";
    private final Set<Mark> marks = EnumSet.noneOf(Mark.class);
    private final List<Pitch> graces = new ArrayList<>();
    private final List<String> leftOutHere = new ArrayList<>();
    private final LeftOut.Gathered leftOut = new LeftOut.Gathered();
    private final Map<String, Integer> labels = new LinkedHashMap<>();
    private Optional<LineFileException> refused = Optional.empty();
    private int slursBegin;
    private int number = -1;
    private int count;
    private int lastLine;
    private final List<Cut> cutsHere = new ArrayList<>();
    private final Map<Integer, List<Cut>> cuts = new HashMap<>();

    AbcVoice(Tune tune, Key key, Meter meter, Beats unit) {
        this.tune = tune;
        this.meter = meter;
        pitches = new AbcPitches(key);
        lengths = new AbcLengths(unit);
    }

    /** From here on; inside a measure it is cut in two. */
    void change(Key other) {
        pitches.change(other);
        pitches.atBarLine();
        if (notes.isEmpty()) {
            newKey = Optional.of(other);
        } else {
            cutsHere.add(new Cut(total(), Optional.of(other), Optional.empty()));
        }
    }

    void change(Meter other) {
        if (!notes.isEmpty()) {
            throw new IllegalArgumentException("a meter changes at a bar line");
        }
        meter = other;
        newMeter = Optional.of(other);
    }

    void change(Beats otherUnit) {
        lengths.change(otherUnit);
    }

    void change(TempoField tempo) {
        tempo.tempo().ifPresent(t -> newTempos.add(new TempoMark(total(), t)));
        addWords(tempo.words());
    }

    /** A part begins here, by the letter of P:. */
    void label(String letter) {
        if (!notes.isEmpty()) {
            bar(AbcBars.plain());
        }
        labels.putIfAbsent(letter, measures.size());
    }

    Map<String, Integer> labels() {
        return labels;
    }

    void leaveOut(String what) {
        leftOutHere.add(what);
    }

    Map<Integer, List<Cut>> cuts() {
        return cuts;
    }

    void read(int line, String text) {
        lastLine = line;
        int at = 0;
        while (at < text.length()) {
            Limits.goOn();
            try {
                at = element(text, at, line);
            } catch (LineFileException e) {
                throw e;
            } catch (IllegalArgumentException | ArithmeticException e) {
                throw new LineFileException(line, at + 1, LineFileException.sentence(e));
            }
        }
    }

    private static Matcher at(Pattern pattern, String text, int at) {
        return pattern.matcher(text).region(at, text.length()).useTransparentBounds(true);
    }

    private int element(String text, int at, int line) {
        char c = text.charAt(at);
        Matcher inline = c == '[' ? at(INLINE, text, at) : null;
        if (inline != null && inline.lookingAt()) {
            tune.inline(line, at + 1, inline.group(1).charAt(0), inline.group(2).strip());
            return inline.end();
        }
        if (c == '.' && at + 1 < text.length() && "|-(".indexOf(text.charAt(at + 1)) >= 0) {
            // A dotted bar line divides nothing; a dotted tie or slur is one.
            return text.charAt(at + 1) == '|' ? at + 2 : at + 1;
        }
        AbcBars bar = AbcBars.at(text, at);
        if (bar != null) {
            bar(bar);
            return at + bar.letters();
        }
        if (Character.isWhitespace(c) || "`\\y$*".indexOf(c) >= 0) {
            return at + 1;
        }
        switch (c) {
            case '"' -> {
                int end = closing(text, at, line, "A word in quotes is never closed.");
                annotation(text.substring(at + 1, end));
                return end + 1;
            }
            case '!', '+' -> {
                int end = closing(text, at, line, "A decoration between " + c + " and " + c + " is never closed.");
                decoration(text.substring(at + 1, end));
                return end + 1;
            }
            case '{' -> {
                int end = text.indexOf('}', at + 1);
                if (end < 0) {
                    throw new LineFileException(line, at + 1, "Grace notes between { and } are never closed.");
                }
                graces(text.substring(at + 1, end));
                return end + 1;
            }
            case '(' -> {
                return open(text, at);
            }
            case ')' -> {
                Note n = last(line, at);
                replaceLast(
                        n.withSlurs(new Note.Slurs(n.slurs().begin(), n.slurs().end() + 1)));
                return at + 1;
            }
            case '-' -> {
                tie(line, at);
                return at + 1;
            }
            case '>', '<' -> {
                return broken(text, at, line);
            }
            case 'z', 'x', 'Z', 'X' -> {
                return rest(text, at, c);
            }
            case '[' -> {
                return chord(text, at, line);
            }
            case '&' -> {
                refuse(line, at, "A second voice begins here; a line of a method book is one voice.");
                // Up to the bar line it is over again what stands before.
                int end = text.indexOf('|', at);
                return end < 0 ? text.length() : end;
            }
            default -> {
                return letter(text, at, line, c);
            }
        }
    }

    private int letter(String text, int at, int line, char c) {
        if (".~HLMOPSTuvJR".indexOf(c) >= 0) {
            letterMark(c);
            return at + 1;
        }
        Matcher note = at(AbcPitches.NOTE, text, at);
        if (!note.lookingAt()) {
            throw new LineFileException(line, at + 1, "\"" + c + "\" is no note, rest or sign of ABC.");
        }
        Matcher length = at(AbcLengths.LENGTH, text, note.end());
        length.lookingAt();
        add(Optional.of(pitch(note)), lengths.next(length));
        return length.end();
    }

    private int open(String text, int at) {
        Matcher tuplet = at(AbcLengths.TUPLET, text, at);
        if (tuplet.lookingAt()) {
            lengths.tuplet(tuplet, meter);
            return tuplet.end();
        }
        slursBegin++;
        return at + 1;
    }

    /** Only its top note could be kept, and nobody has said so. */
    private int chord(String text, int at, int line) {
        refuse(line, at, "A chord stands here; a line of a method book is one voice. Keep its top note.");
        Matcher chord = at(CHORD, text, at);
        if (!chord.lookingAt()) {
            throw new LineFileException(line, at + 1, "A chord between [ and ] is never closed.");
        }
        Pitch top = null;
        int end = chord.end();
        Matcher inside = at(AbcPitches.NOTE, text.substring(0, end), at + 1);
        while (inside.find()) {
            Pitch pitch = pitch(inside);
            top = top == null || pitch.midi() > top.midi() ? pitch : top;
        }
        Matcher length = at(AbcLengths.LENGTH, text, end);
        length.lookingAt();
        add(Optional.ofNullable(top), lengths.next(length));
        return length.end();
    }

    private void refuse(int line, int at, String sentence) {
        if (refused.isEmpty()) {
            refused = Optional.of(new LineFileException(line, at + 1, sentence));
        }
    }

    private static int closing(String text, int at, int line, String sentence) {
        int end = text.indexOf(text.charAt(at), at + 1);
        if (end < 0) {
            throw new LineFileException(line, at + 1, sentence);
        }
        return end;
    }

    private Note last(int line, int at) {
        if (notes.isEmpty()) {
            throw new LineFileException(
                    line, at + 1, "This belongs to a note before it, and there is none in this measure.");
        }
        return notes.getLast();
    }

    private void replaceLast(Note note) {
        notes.set(notes.size() - 1, note);
    }

    private void tie(int line, int at) {
        Note n = last(line, at);
        if (n.isRest()) {
            throw new IllegalArgumentException("a rest cannot be tied");
        }
        replaceLast(n.withTie(true));
        pitches.tied(n.pitch().orElseThrow());
    }

    private void addWords(String said) {
        words = words.isEmpty() ? said : said.isEmpty() ? words : words + " " + said;
    }

    private void annotation(String text) {
        if (text.isEmpty() || "^_<>@".indexOf(text.charAt(0)) < 0) {
            leaveOut("chord symbols");
            return;
        }
        String said = text.substring(1).strip();
        if (plucking.said(said)) {
            return;
        }
        boolean ofTheWay = JumpWords.in(said).filter(signs::said).isPresent();
        addWords(ofTheWay ? "" : said);
    }

    private void decoration(String name) {
        Optional<Mark> mark = AbcMarks.mark(name);
        if (mark.isPresent()) {
            marks.add(mark.get());
        } else if (AbcMarks.isBreath(name)) {
            markLast(Mark.BREATH);
        } else if (!AbcMarks.endsGlide(name) && !signs.decoration(name)) {
            leaveOut(AbcMarks.leftOut(name));
        }
    }

    private void letterMark(char c) {
        Optional<Mark> mark = AbcMarks.letter(c);
        if (mark.isPresent()) {
            marks.add(mark.get());
        } else if (c == 'S' || c == 'O') {
            signs.decoration(c == 'S' ? "segno" : "coda");
        } else {
            leaveOut("ornaments");
        }
    }

    private void markLast(Mark mark) {
        if (!notes.isEmpty()) {
            Set<Mark> more = EnumSet.of(mark);
            more.addAll(notes.getLast().marks());
            replaceLast(notes.getLast().withMarks(more));
        }
    }

    private void graces(String text) {
        Matcher m = AbcPitches.NOTE.matcher(text);
        while (m.find()) {
            graces.add(pitch(m));
        }
    }

    private int broken(String text, int at, int line) {
        int count = 1;
        char c = text.charAt(at);
        while (at + count < text.length() && text.charAt(at + count) == c) {
            count++;
        }
        if (count > 3) {
            throw new IllegalArgumentException("a dotted pair has at most three " + c);
        }
        Note n = last(line, at);
        replaceLast(n.withLength(lengths.broken(n.length(), c, count)));
        return at + count;
    }

    private int rest(String text, int at, char c) {
        Matcher length = at(AbcLengths.LENGTH, text, at + 1);
        length.lookingAt();
        if (c == 'Z' || c == 'X') {
            int rests = length.group(1).isEmpty() ? 1 : Integer.parseInt(length.group(1));
            if (rests < 1 || measures.size() + rests > Limits.MEASURES) {
                throw new IllegalArgumentException("a line has at most " + Limits.MEASURES + " measures");
            }
            for (int i = 0; i < rests; i++) {
                keep(Note.rest(Beats.of(meter)));
                if (i + 1 < rests) {
                    bar(AbcBars.plain());
                }
            }
            return at + 1 + length.group(1).length();
        }
        add(Optional.empty(), lengths.next(length));
        return length.end();
    }

    private Pitch pitch(Matcher m) {
        return pitches.of(m, measures, notes.isEmpty());
    }

    private void add(Optional<Pitch> pitch, Beats length) {
        keep(new Note(pitch, length, false, new Note.Slurs(slursBegin, 0), Set.copyOf(marks), List.copyOf(graces), ""));
        slursBegin = 0;
        marks.clear();
        graces.clear();
    }

    private void keep(Note note) {
        if (++count > Limits.NOTES) {
            throw new IllegalArgumentException("a part has at most " + Limits.NOTES + " notes");
        }
        notes.add(plucking.played(note));
    }

    private void bar(AbcBars bar) {
        if (!notes.isEmpty()) {
            lengths.atBarLine();
            close(bar);
        } else if (!measures.isEmpty()) {
            measures.set(
                    measures.size() - 1,
                    measures.getLast().withSigns(signs.more(measures.getLast().signs(), bar)));
        } else {
            signs.before(bar);
        }
        pitches.atBarLine();
    }

    private void close(AbcBars bar) {
        if (measures.size() >= Limits.MEASURES) {
            throw new IllegalArgumentException("a line has at most " + Limits.MEASURES + " measures");
        }
        Beats full = Beats.of(meter);
        boolean pickUp = number < 0 && total().compareTo(full) < 0;
        // A measure cut in two by a repeat sign or a double bar shares its number.
        boolean secondHalf = !measures.isEmpty()
                && number > 0
                && signs.afterRepeatWithin()
                && measures.getLast().length().plus(total()).compareTo(full) == 0;
        number = number < 0 ? (pickUp ? 0 : 1) : secondHalf ? number : number + 1;
        if (!cutsHere.isEmpty()) {
            cuts.put(measures.size(), List.copyOf(cutsHere));
            cutsHere.clear();
        }
        measures.add(new Measure(number, notes, signs.take(bar), newKey, newMeter, newTempos, words));
        leftOutHere.forEach(what -> leftOut.add(what, number));
        leftOutHere.clear();
        notes.clear();
        pitches.atBarLine();
        newKey = Optional.empty();
        newMeter = Optional.empty();
        newTempos.clear();
        words = "";
    }

    private Beats total() {
        int ticks = 0;
        for (Note note : notes) {
            ticks = Math.addExact(ticks, note.length().ticks());
        }
        return new Beats(ticks);
    }

    /** All of it; nothing can be read after. */
    List<Measure> measures() {
        bar(AbcBars.plain());
        leftOutHere.forEach(leftOut::add);
        leftOutHere.clear();
        return signs.closed(measures);
    }

    List<LeftOut> leftOut() {
        return leftOut.list();
    }

    int lastLine() {
        return lastLine;
    }

    Optional<LineFileException> refused() {
        return refused;
    }
}
