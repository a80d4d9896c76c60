package vividroster.formats.abc;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import vividroster.core.music.Beats;
import vividroster.core.music.Bpm;
import vividroster.core.music.Key;
import vividroster.core.music.Measure;
import vividroster.core.music.Meter;
import vividroster.core.music.Note;
import vividroster.core.music.Note.Mark;
import vividroster.core.music.Pitch;

/** The notes of one voice, read line by line and gathered into measures. */
final class AbcVoice {

    private static final Pattern NOTE = Pattern.compile("(\\^\\^|\\^|__|_|=)?([A-Ga-g])([,']*)");
    private static final Pattern LENGTH = Pattern.compile("(\\d*)(/*)(\\d*)");
    private static final Pattern INLINE = Pattern.compile("\\[([KMQ]):([^\\]]*)\\]");
    private static final Pattern TUPLET = Pattern.compile("\\((\\d)(?::(\\d?))?(?::(\\d?))?");

    private final Beats unit;
    private Key key;
    private Meter meter;
    private final AbcSigns signs = new AbcSigns();
    private final List<Measure> measures = new ArrayList<>();
    private final List<Note> notes = new ArrayList<>();
    private final Map<Integer, Integer> carried = new HashMap<>();
    private final Map<Integer, Integer> tiedAlters = new HashMap<>();
    private Optional<Key> newKey = Optional.empty();
    private Optional<Meter> newMeter = Optional.empty();
    private Optional<Bpm> newTempo = Optional.empty();
    private String words = "";
    private final Set<Mark> marks = EnumSet.noneOf(Mark.class);
    private final List<Pitch> graces = new ArrayList<>();
    private int slursBegin;
    private int tupletLeft;
    private int tupletNotes = 1;
    private int tupletTime = 1;
    private int brokenBy;
    private int number = -1;

    AbcVoice(Key key, Meter meter, Beats unit) {
        this.key = key;
        this.meter = meter;
        this.unit = unit;
    }

    void change(Key other) {
        key = other;
        newKey = Optional.of(other);
    }

    void change(Meter other) {
        meter = other;
        newMeter = Optional.of(other);
    }

    void change(Bpm other) {
        newTempo = Optional.of(other);
    }

    void read(int line, String text) {
        int at = 0;
        while (at < text.length()) {
            try {
                at = element(text, at, line);
            } catch (AbcException e) {
                throw e;
            } catch (IllegalArgumentException e) {
                throw new AbcException(line, at + 1, AbcReader.sentence(e));
            }
        }
    }

    private int element(String text, int at, int line) {
        char c = text.charAt(at);
        String rest = text.substring(at);
        Matcher inline = INLINE.matcher(rest);
        if (inline.lookingAt()) {
            String value = inline.group(2).strip();
            switch (inline.group(1)) {
                case "K" -> change(AbcReader.key(value));
                case "M" -> change(AbcReader.meter(value));
                default -> change(AbcReader.tempo(value));
            }
            return at + inline.end();
        }
        int bar = AbcSigns.barLength(rest);
        if (bar > 0) {
            bar(rest.substring(0, bar));
            return at + bar;
        }
        if (Character.isWhitespace(c) || c == '`' || c == '\\' || c == 'y') {
            return at + 1;
        }
        if (c == '"') {
            int end = closing(text, at, '"', line, "A word in quotes is never closed.");
            annotation(text.substring(at + 1, end));
            return end + 1;
        }
        if (c == '!') {
            int end = closing(text, at, '!', line, "A decoration between ! and ! is never closed.");
            decoration(text.substring(at + 1, end));
            return end + 1;
        }
        if (c == '{') {
            int end = closing(text, at, '}', line, "Grace notes between { and } are never closed.");
            graces(text.substring(at + 1, end));
            return end + 1;
        }
        Matcher tuplet = TUPLET.matcher(rest);
        if (c == '(' && tuplet.lookingAt()) {
            tuplet(tuplet);
            return at + tuplet.end();
        }
        if (c == '(') {
            slursBegin++;
            return at + 1;
        }
        if (c == ')') {
            last(line, at)
                    .ifPresent(n -> replaceLast(new Note(
                            n.pitch(),
                            n.length(),
                            n.tied(),
                            new Note.Slurs(n.slurs().begin(), n.slurs().end() + 1),
                            n.marks(),
                            n.graces(),
                            n.lyric())));
            return at + 1;
        }
        if (c == '-') {
            Note n = last(line, at).orElseThrow();
            if (n.isRest()) {
                throw new IllegalArgumentException("a rest cannot be tied");
            }
            replaceLast(new Note(n.pitch(), n.length(), true, n.slurs(), n.marks(), n.graces(), n.lyric()));
            Pitch tied = n.pitch().orElseThrow();
            tiedAlters.put(tied.step(), tied.alter());
            return at + 1;
        }
        if (c == '>' || c == '<') {
            return broken(text, at, line);
        }
        if ("zxZ".indexOf(c) >= 0) {
            return rest(text, at, c);
        }
        if (".~HLMTuvS".indexOf(c) >= 0) {
            letterMark(c);
            return at + 1;
        }
        if (c == '[') {
            throw new AbcException(
                    line, at + 1, "A chord stands here; a line of a method book is one voice. Keep its top note.");
        }
        Matcher note = NOTE.matcher(rest);
        if (!note.lookingAt()) {
            throw new AbcException(line, at + 1, "\"" + c + "\" is no note, rest or sign of ABC.");
        }
        Matcher length = LENGTH.matcher(rest);
        length.region(note.end(), rest.length());
        length.lookingAt();
        add(Optional.of(pitch(note)), length(length));
        return at + length.end();
    }

    private static int closing(String text, int at, char mark, int line, String sentence) {
        int end = text.indexOf(mark, at + 1);
        if (end < 0) {
            throw new AbcException(line, at + 1, sentence);
        }
        return end;
    }

    private Optional<Note> last(int line, int at) {
        if (notes.isEmpty()) {
            throw new AbcException(
                    line, at + 1, "This belongs to a note before it, and there is none in this measure.");
        }
        return Optional.of(notes.getLast());
    }

    private void replaceLast(Note note) {
        notes.set(notes.size() - 1, note);
    }

    private void annotation(String text) {
        if (!text.isEmpty() && "^_<>@".indexOf(text.charAt(0)) >= 0) {
            String said = text.substring(1).strip();
            words = words.isEmpty() ? said : words + " " + said;
        }
        // A chord symbol is left aside: a line is one voice.
    }

    private void decoration(String name) {
        switch (name.toLowerCase().replace(" ", "")) {
            case "fermata" -> marks.add(Mark.FERMATA);
            case "accent", ">", "emphasis" -> marks.add(Mark.ACCENT);
            case "tenuto" -> marks.add(Mark.TENUTO);
            case "marcato", "^" -> marks.add(Mark.MARCATO);
            case "staccato" -> marks.add(Mark.STACCATO);
            case "breath" -> markLast(Mark.BREATH);
            case "upbow" -> marks.add(Mark.UP_BOW);
            case "downbow" -> marks.add(Mark.DOWN_BOW);
            case "pizz", "pizzicato" -> marks.add(Mark.PIZZICATO);
            default -> signs.decoration(name);
        }
    }

    private void letterMark(char c) {
        switch (c) {
            case '.' -> marks.add(Mark.STACCATO);
            case 'H' -> marks.add(Mark.FERMATA);
            case 'L' -> marks.add(Mark.ACCENT);
            case 'M' -> marks.add(Mark.TENUTO);
            case 'u' -> marks.add(Mark.UP_BOW);
            case 'v' -> marks.add(Mark.DOWN_BOW);
            case 'S' -> signs.decoration("segno");
            default -> {}
        }
    }

    private void markLast(Mark mark) {
        if (!notes.isEmpty()) {
            Note n = notes.getLast();
            Set<Mark> more = EnumSet.of(mark);
            more.addAll(n.marks());
            replaceLast(new Note(n.pitch(), n.length(), n.tied(), n.slurs(), more, n.graces(), n.lyric()));
        }
    }

    private void graces(String text) {
        Matcher m = NOTE.matcher(text);
        while (m.find()) {
            graces.add(pitch(m));
        }
    }

    private void tuplet(Matcher m) {
        int p = Integer.parseInt(m.group(1));
        if (p < 2) {
            throw new IllegalArgumentException("a group like (3 has at least two notes");
        }
        boolean compound = meter.count() % 3 == 0 && meter.unit() == 8;
        int usual = switch (p) {
            case 2 -> 3;
            case 3, 6 -> 2;
            case 4, 8 -> 3;
            default -> compound ? 3 : 2;
        };
        tupletNotes = p;
        tupletTime = m.group(2) == null || m.group(2).isEmpty() ? usual : Integer.parseInt(m.group(2));
        tupletLeft = m.group(3) == null || m.group(3).isEmpty() ? p : Integer.parseInt(m.group(3));
    }

    private int broken(String text, int at, int line) {
        int count = 1;
        char c = text.charAt(at);
        while (at + count < text.length() && text.charAt(at + count) == c) {
            count++;
        }
        Note n = last(line, at).orElseThrow();
        int power = 1 << count;
        replaceLast(withLength(
                n,
                c == '>' ? n.length().times(2L * power - 1, power) : n.length().times(1, power)));
        brokenBy = c == '>' ? -count : count;
        return at + count;
    }

    private static Note withLength(Note n, Beats length) {
        return new Note(n.pitch(), length, n.tied(), n.slurs(), n.marks(), n.graces(), n.lyric());
    }

    private int rest(String text, int at, char c) {
        Matcher length = LENGTH.matcher(text);
        length.region(at + 1, text.length());
        length.lookingAt();
        if (c == 'Z') {
            int count = length.group(1).isEmpty() ? 1 : Integer.parseInt(length.group(1));
            for (int i = 0; i < count; i++) {
                notes.add(Note.rest(Beats.of(meter)));
                if (i + 1 < count) {
                    bar("|");
                }
            }
            return at + 1 + length.group(1).length();
        }
        add(Optional.empty(), length(length));
        return length.end();
    }

    private Pitch pitch(Matcher m) {
        char letter = m.group(2).charAt(0);
        int octave = Character.isUpperCase(letter) ? 4 : 5;
        for (char mark : m.group(3).toCharArray()) {
            octave += mark == '\'' ? 1 : -1;
        }
        char upper = Character.toUpperCase(letter);
        Pitch natural = new Pitch(upper, 0, octave);
        int step = natural.step();
        if (m.group(1) != null) {
            int alter = switch (m.group(1)) {
                case "^" -> 1;
                case "^^" -> 2;
                case "_" -> -1;
                case "__" -> -2;
                default -> 0;
            };
            carried.put(step, alter);
            return new Pitch(upper, alter, octave);
        }
        // A tie carries an accidental to the tied note alone; otherwise it holds to the bar line.
        Integer tied = notes.isEmpty() ? tiedAlters.get(step) : null;
        if (tied != null && !measures.isEmpty() && endsTied(step)) {
            return new Pitch(upper, tied, octave);
        }
        return new Pitch(upper, carried.getOrDefault(step, key.alterOf(upper)), octave);
    }

    private boolean endsTied(int step) {
        List<Note> before = measures.getLast().notes();
        return !before.isEmpty()
                && before.getLast().tied()
                && before.getLast().pitch().orElseThrow().step() == step;
    }

    private Beats length(Matcher m) {
        long up = m.group(1).isEmpty() ? 1 : Long.parseLong(m.group(1));
        long down = m.group(3).isEmpty() ? 1L << m.group(2).length() : Long.parseLong(m.group(3));
        if (up == 0 || down == 0 || up > 64 || down > 64) {
            throw new IllegalArgumentException("a length is written like 2, /2 or 3/2");
        }
        Beats length = unit.times(up, down);
        if (tupletLeft > 0) {
            length = length.times(tupletTime, tupletNotes);
            tupletLeft--;
        }
        if (brokenBy != 0) {
            int power = 1 << Math.abs(brokenBy);
            length = brokenBy < 0 ? length.times(1, power) : length.times(2L * power - 1, power);
            brokenBy = 0;
        }
        return length;
    }

    private void add(Optional<Pitch> pitch, Beats length) {
        notes.add(new Note(
                pitch, length, false, new Note.Slurs(slursBegin, 0), Set.copyOf(marks), List.copyOf(graces), ""));
        slursBegin = 0;
        marks.clear();
        graces.clear();
    }

    private void bar(String token) {
        if (!notes.isEmpty()) {
            boolean pickUp = number < 0 && total().compareTo(Beats.of(meter)) < 0;
            // A measure cut in two by a repeat sign shares its number.
            boolean secondHalf = number > 0
                    && !measures.isEmpty()
                    && signs.afterRepeatWithin()
                    && measures.getLast().length().plus(total()).compareTo(Beats.of(meter)) == 0;
            number = number < 0 ? (pickUp ? 0 : 1) : secondHalf ? number : number + 1;
            measures.add(new Measure(number, notes, signs.take(token), newKey, newMeter, newTempo, words));
            notes.clear();
            newKey = Optional.empty();
            newMeter = Optional.empty();
            newTempo = Optional.empty();
            words = "";
        } else if (!measures.isEmpty()) {
            measures.set(
                    measures.size() - 1,
                    measures.getLast().withSigns(signs.more(measures.getLast().signs(), token)));
        } else {
            signs.before(token);
        }
        carried.clear();
        tupletLeft = 0;
    }

    private Beats total() {
        return notes.stream().map(Note::length).reduce(Beats.ZERO, Beats::plus);
    }

    List<Measure> measures() {
        bar("|");
        return signs.closed(measures);
    }

    /** For brackets typed as numbers, like 1,3 or 1-3. */
    static Set<Integer> numbers(String text) {
        Set<Integer> numbers = new TreeSet<>();
        for (String part : text.split(",")) {
            String[] ends = part.split("-");
            for (int n = Integer.parseInt(ends[0]); n <= Integer.parseInt(ends[ends.length - 1]); n++) {
                numbers.add(n);
            }
        }
        return numbers;
    }
}
