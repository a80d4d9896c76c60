package vividroster.formats.musicxml;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.audiveris.proxymusic.Attributes;
import org.audiveris.proxymusic.Backup;
import org.audiveris.proxymusic.Barline;
import org.audiveris.proxymusic.Direction;
import org.audiveris.proxymusic.FiguredBass;
import org.audiveris.proxymusic.Forward;
import org.audiveris.proxymusic.Harmony;
import org.audiveris.proxymusic.ScorePartwise;
import org.audiveris.proxymusic.Sound;
import org.audiveris.proxymusic.YesNo;
import vividroster.core.instrument.Clef;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.Beats;
import vividroster.core.music.Key;
import vividroster.core.music.Measure;
import vividroster.core.music.Meter;
import vividroster.core.music.Mode;
import vividroster.core.music.Moving;
import vividroster.core.music.Note;
import vividroster.core.music.Part;
import vividroster.core.music.Pitch;
import vividroster.core.music.Signs;
import vividroster.core.music.TempoMark;
import vividroster.core.music.Transposition;
import vividroster.formats.score.Cuts.Cut;
import vividroster.formats.score.FilePart;
import vividroster.formats.score.LeftOut;
import vividroster.formats.score.Limits;
import vividroster.formats.score.LineFileException;
import vividroster.formats.score.PartNames;
import vividroster.formats.score.Plucking;
import vividroster.formats.score.TempoMarks;

/** One part of a file, read measure by measure into one voice at concert pitch. */
final class PartReading {

    private final String name;
    private final MusicXmlReader.Options options;
    private final List<Measure> measures = new ArrayList<>();
    private final LeftOut.Gathered leftOut = new LeftOut.Gathered();
    private Optional<LineFileException> refused = Optional.empty();
    private Key key = new Key(0, Mode.MAJOR);
    private final Map<Integer, List<Cut>> cuts = new HashMap<>();
    private Optional<Key> told = Optional.empty();
    private Key firstKey = key;
    private Meter meter = new Meter(4, 4);
    private Meter firstMeter = meter;
    private Transposition transposition = Transposition.CONCERT;
    private Transposition firstTransposition = Transposition.CONCERT;
    private Optional<Clef> clef = Optional.empty();
    private final Plucking plucking = new Plucking();
    private double divisions = 1;
    private int number;
    private boolean doubleBefore;

    private PartReading(String name, MusicXmlReader.Options options) {
        this.name = name;
        this.options = options;
    }

    static PartReading of(ScorePartwise.Part part, String name, MusicXmlReader.Options options) {
        PartReading reading = new PartReading(name, options);
        for (ScorePartwise.Part.Measure measure : part.getMeasure()) {
            Limits.goOn();
            reading.measureOrRefuse(measure);
        }
        if (reading.measures.isEmpty()) {
            throw new LineFileException("The part \"" + name + "\" has no measures.");
        }
        return reading;
    }

    List<Signs> signs() {
        return measures.stream().map(Measure::signs).toList();
    }

    /** With the signs that hold for all parts. */
    List<Measure> measures(List<Signs> signs) {
        List<Measure> marked = new ArrayList<>();
        for (int i = 0; i < measures.size(); i++) {
            marked.add(i < signs.size() ? measures.get(i).withSigns(signs.get(i)) : measures.get(i));
        }
        return marked;
    }

    Map<Integer, List<Cut>> cuts() {
        return cuts;
    }

    FilePart part(String id, List<Measure> timed, InstrumentCatalog catalog) {
        return new FilePart(
                id,
                name,
                PartNames.meant(catalog, name, firstTransposition, clef),
                timed.size(),
                Optional.of(TempoMarks.opened(new Part(firstKey, firstMeter, Optional.empty(), timed))),
                refused,
                leftOut.list(),
                0);
    }

    private String place(String measure) {
        return "Measure " + measure + (name.isEmpty() ? "" : " of \"" + name + "\"");
    }

    /** Values that no music can have are told with the measure where they stand. */
    private void measureOrRefuse(ScorePartwise.Part.Measure measure) {
        try {
            new MeasureReading(measure).read();
        } catch (LineFileException e) {
            throw e;
        } catch (IllegalArgumentException | ArithmeticException e) {
            throw new LineFileException(
                    0, 0, place(measure.getNumber()) + " cannot be read: " + e.getMessage() + ".", e);
        }
    }

    /** The first thing one voice cannot hold; it matters only where the part is used. */
    private void refuse(String measure, String what) {
        if (!options.topLine() && refused.isEmpty()) {
            refused = Optional.of(new LineFileException(place(measure) + " has " + what
                    + "; a line of a method book is one voice. Keep the top line, or choose another file."));
        }
    }

    /** One measure on its way. */
    private final class MeasureReading {

        private final ScorePartwise.Part.Measure measure;
        private final SignsReading signs = new SignsReading(plucking);
        private final Map<String, VoiceLine> voices = new LinkedHashMap<>();
        private final List<Pitch> graces = new ArrayList<>();
        private final List<TempoMark> tempos = new ArrayList<>();
        private final List<String> aside = new ArrayList<>();
        private Optional<Meter> newMeter = Optional.empty();
        private VoiceLine last;
        private final List<Beats> changes = new ArrayList<>();
        private final List<Key> keysInside = new ArrayList<>();
        private Key keyAtStart;
        private double position;
        private double furthest;

        MeasureReading(ScorePartwise.Part.Measure measure) {
            this.measure = measure;
        }

        void read() {
            keyAtStart = key;
            for (Object element : measure.getNoteOrBackupOrForward()) {
                switch (element) {
                    case Attributes attributes -> attributes(attributes);
                    case org.audiveris.proxymusic.Note note -> note(note);
                    case Backup backup -> move(-beats(backup.getDuration()));
                    case Forward forward -> move(beats(forward.getDuration()));
                    case Direction direction -> {
                        signs.read(direction);
                        aside.addAll(SignsReading.leftOut(direction));
                        SignsReading.tempo(direction).ifPresent(t -> tempos.add(new TempoMark(here(direction), t)));
                    }
                    case Sound sound -> {
                        signs.read(sound);
                        SignsReading.tempo(sound)
                                .ifPresent(t -> tempos.add(new TempoMark(Lengths.ticks(Math.max(0, position)), t)));
                    }
                    case Barline barline -> signs.read(barline);
                    case Harmony harmony -> aside.add("chord symbols");
                    case FiguredBass bass -> aside.add("figured bass");
                    default -> {}
                }
            }
            keep(chosen());
        }

        /** A direction may stand apart from its place only where the file says that it sounds there. */
        private Beats here(Direction direction) {
            double at = position;
            if (direction.getOffset() != null
                    && direction.getOffset().getSound() == YesNo.YES
                    && direction.getOffset().getValue() != null) {
                at += direction.getOffset().getValue().doubleValue() / divisions;
            }
            return Lengths.ticks(Math.max(0, at));
        }

        private double beats(BigDecimal duration) {
            return Lengths.beats(duration, divisions);
        }

        private void move(double beats) {
            position += beats;
            if (position < -Lengths.NEAR) {
                throw new IllegalArgumentException("it goes back to before its beginning");
            }
            furthest = Math.max(furthest, position);
        }

        private void note(org.audiveris.proxymusic.Note note) {
            if (note.getGrace() != null) {
                if (note.getCue() == null) {
                    NoteReading.pitch(note, aside).map(this::sounding).ifPresent(graces::add);
                }
                return;
            }
            if (note.getCue() != null) {
                aside.add("cue notes");
                if (note.getChord() == null) {
                    move(beats(note.getDuration()));
                }
                return;
            }
            if (note.getChord() != null) {
                if (last != null) {
                    last.chord(read(note, Beats.of(1), List.of()));
                }
                return;
            }
            double from = Math.max(0, position);
            double lasts = beats(note.getDuration());
            move(lasts);
            if (lasts == 0) {
                throw new IllegalArgumentException("a note lasts no time");
            }
            last = voice(note, from);
            last.add(from, read(note, Lengths.of(note, divisions), List.copyOf(graces)), position);
            graces.clear();
        }

        private Note read(org.audiveris.proxymusic.Note note, Beats length, List<Pitch> before) {
            Note written = plucking.played(NoteReading.of(note, length, before, aside));
            return written.isRest()
                    ? written
                    : written.withPitch(sounding(written.pitch().orElseThrow()));
        }

        private Pitch sounding(Pitch written) {
            return Limits.sounding(Moving.sounding(transposition).pitch(written, key));
        }

        /** By its number and staff; what begins before the last of its own has ended is another voice. */
        private VoiceLine voice(org.audiveris.proxymusic.Note note, double from) {
            int staff = note.getStaff() == null ? 1 : note.getStaff().intValue();
            String number = Optional.ofNullable(note.getVoice()).orElse("1").strip();
            StringBuilder id = new StringBuilder(staff + " " + number);
            while (voices.containsKey(id.toString())
                    && voices.get(id.toString()).reached() > from + Lengths.NEAR) {
                id.append('\'');
            }
            return voices.computeIfAbsent(id.toString(), i -> new VoiceLine());
        }

        /** The one voice that sounds; of several the top one. */
        private Optional<VoiceLine> chosen() {
            List<Map.Entry<String, VoiceLine>> sounding = voices.entrySet().stream()
                    .filter(e -> e.getValue().sounds())
                    .toList();
            List<VoiceLine> upper = sounding.stream()
                    .filter(e -> e.getKey().startsWith("1 "))
                    .map(Map.Entry::getValue)
                    .toList();
            if (sounding.size() > 1) {
                refuse(measure.getNumber(), "a second voice");
                aside.add(upper.size() < sounding.size() ? "the second staff" : "further voices");
            } else if (upper.isEmpty() && !sounding.isEmpty()) {
                refuse(measure.getNumber(), "its notes on a second staff");
                aside.add("the second staff");
            }
            Optional<VoiceLine> top = upper.stream().max(Comparator.comparingDouble(VoiceLine::height));
            top.filter(VoiceLine::hasChords).ifPresent(line -> {
                refuse(measure.getNumber(), "a chord");
                aside.add("lower notes of chords");
            });
            return top.or(
                    () -> voices.values().stream().findFirst().filter(line -> upper.isEmpty() && sounding.isEmpty()));
        }

        private void keep(Optional<VoiceLine> line) {
            List<Note> notes = new ArrayList<>(line.map(l -> l.notes(furthest)).orElse(List.of()));
            meter = newMeter.orElse(meter);
            if (notes.isEmpty()) {
                Beats silent = Lengths.ticks(furthest);
                notes.add(Note.rest(silent.isZero() ? Beats.of(meter) : Limits.written(silent)));
            }
            boolean first = measures.isEmpty();
            Signs read = signs.toSigns();
            number = number(first, notes, read);
            Moving sounding = Moving.sounding(transposition);
            Key concert = sounding.key(keysInside.isEmpty() ? key : keyAtStart);
            boolean changed = told.isPresent() && !told.get().equals(concert);
            told = Optional.of(sounding.key(key));
            List<Cut> here = new ArrayList<>();
            for (int i = 0; i < changes.size(); i++) {
                here.add(new Cut(changes.get(i), Optional.of(sounding.key(keysInside.get(i))), Optional.empty()));
            }
            if (!here.isEmpty()) {
                cuts.put(measures.size(), here);
            }
            if (first) {
                firstKey = concert;
                firstMeter = meter;
                firstTransposition = transposition;
            }
            doubleBefore = signs.endsDouble();
            aside.forEach(what -> leftOut.add(what, number));
            measures.add(new Measure(
                    number,
                    notes,
                    read,
                    changed ? Optional.of(concert) : Optional.empty(),
                    first ? Optional.empty() : newMeter,
                    tempos,
                    signs.words()));
        }

        /** Halves of a measure that a repeat or double bar cuts share its number. */
        private int number(boolean first, List<Note> notes, Signs read) {
            boolean implicit = measure.getImplicit() == YesNo.YES;
            Beats full = Beats.of(meter);
            Beats length = notes.stream().map(Note::length).reduce(Beats.ZERO, Beats::plus);
            if (first) {
                return implicit || length.compareTo(full) < 0 ? 0 : 1;
            }
            Measure before = measures.getLast();
            boolean cut = before.signs().closesRepeat() || read.forwardRepeat() || doubleBefore;
            boolean completes = number > 0
                    && cut
                    && before.length().compareTo(full) < 0
                    && before.length().plus(length).compareTo(full) == 0;
            return implicit || completes ? number : number + 1;
        }

        private void attributes(Attributes attributes) {
            if (attributes.getDivisions() != null) {
                divisions = attributes.getDivisions().doubleValue();
            }
            boolean inside = position > Lengths.NEAR;
            key(attributes).ifPresent(k -> {
                if (!inside) {
                    keyAtStart = k;
                }
                key = k;
                if (inside) {
                    changes.add(Lengths.ticks(position));
                    keysInside.add(k);
                }
            });
            meter(attributes).ifPresent(m -> {
                if (inside && !m.equals(meter)) {
                    throw new IllegalArgumentException("the meter changes inside it");
                }
                newMeter = inside ? newMeter : Optional.of(m);
            });
            transposition(attributes);
            clef(attributes);
        }

        private void transposition(Attributes attributes) {
            attributes.getTranspose().stream().findFirst().ifPresent(t -> {
                int octaves =
                        t.getOctaveChange() == null ? 0 : t.getOctaveChange().intValue();
                int semitones = t.getChromatic() == null
                        ? 0
                        : t.getChromatic()
                                .setScale(0, java.math.RoundingMode.HALF_UP)
                                .intValue();
                int steps = t.getDiatonic() == null
                        ? (int) Math.round(semitones * 7 / 12.0)
                        : t.getDiatonic().intValue();
                if (t.getDouble() != null) {
                    boolean above = t.getDouble().getAbove() == YesNo.YES;
                    octaves += above ? 1 : -1;
                    aside.add(above ? "the doubling an octave lower" : "the doubling an octave higher");
                }
                transposition = new Transposition(steps + 7 * octaves, semitones + 12 * octaves);
            });
        }
    }

    private static Optional<Key> key(Attributes attributes) {
        return attributes.getKey().stream()
                .filter(k -> k.getFifths() != null)
                .findFirst()
                .map(k -> new Key(k.getFifths().intValue(), mode(k.getMode())));
    }

    private static Mode mode(String said) {
        String word = said == null ? "" : said.strip().toLowerCase(java.util.Locale.ROOT);
        return switch (word) {
            case "minor", "aeolian" -> Mode.MINOR;
            case "dorian" -> Mode.DORIAN;
            case "phrygian" -> Mode.PHRYGIAN;
            case "lydian" -> Mode.LYDIAN;
            case "mixolydian" -> Mode.MIXOLYDIAN;
            case "locrian" -> Mode.LOCRIAN;
            default -> Mode.MAJOR;
        };
    }

    private static Optional<Meter> meter(Attributes attributes) {
        return attributes.getTime().stream()
                .filter(time -> !time.getTimeSignature().isEmpty())
                .findFirst()
                .map(time -> {
                    List<String> counts = new ArrayList<>();
                    List<String> units = new ArrayList<>();
                    time.getTimeSignature()
                            .forEach(one -> (one.getName().getLocalPart().equals("beats") ? counts : units)
                                    .add(String.valueOf(one.getValue()).strip()));
                    if (counts.size() != 1 || units.size() != 1) {
                        throw new IllegalArgumentException("two meters in one are not read here");
                    }
                    return Meter.parse(counts.getFirst() + "/" + units.getFirst());
                });
    }

    private void clef(Attributes attributes) {
        if (clef.isPresent() || attributes.getClef().isEmpty()) {
            return;
        }
        var said = attributes.getClef().getFirst();
        String sign = String.valueOf(said.getSign());
        int line = said.getLine() == null ? 0 : said.getLine().intValue();
        clef = switch (sign) {
            case "G" -> Optional.of(Clef.TREBLE);
            case "F" -> Optional.of(Clef.BASS);
            case "C" -> line == 3 ? Optional.of(Clef.ALTO) : Optional.empty();
            default -> Optional.empty();
        };
    }
}
