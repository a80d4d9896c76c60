package vividroster.formats.musicxml;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.audiveris.proxymusic.Attributes;
import org.audiveris.proxymusic.Backup;
import org.audiveris.proxymusic.Barline;
import org.audiveris.proxymusic.Direction;
import org.audiveris.proxymusic.Forward;
import org.audiveris.proxymusic.ScorePartwise;
import org.audiveris.proxymusic.Sound;
import vividroster.core.music.Beats;
import vividroster.core.music.Bpm;
import vividroster.core.music.Key;
import vividroster.core.music.Measure;
import vividroster.core.music.Meter;
import vividroster.core.music.Mode;
import vividroster.core.music.Note;
import vividroster.core.music.Part;
import vividroster.core.music.Pitch;
import vividroster.core.music.Signs;
import vividroster.core.music.Transposition;

/** One part of a file, read measure by measure into one voice. */
final class PartReading {

    private final String name;
    private final MusicXmlReader.Options options;
    private final List<Measure> measures = new ArrayList<>();
    private Optional<Key> firstKey = Optional.empty();
    private Optional<Meter> firstMeter = Optional.empty();
    private Optional<Bpm> firstTempo = Optional.empty();
    private Key key = new Key(0, Mode.MAJOR);
    private Meter meter = new Meter(4, 4);
    private Transposition transposition = Transposition.CONCERT;
    private double divisions = 1;
    private String mainVoice;
    private int number;
    private boolean firstMeasure = true;

    private PartReading(String name, MusicXmlReader.Options options) {
        this.name = name;
        this.options = options;
    }

    static PartReading of(ScorePartwise.Part part, String name, MusicXmlReader.Options options) {
        PartReading reading = new PartReading(name, options);
        if (part.getMeasure().size() > 2_000) {
            throw new MusicXmlException("The part \"" + name + "\" has more than 2,000 measures.");
        }
        part.getMeasure().forEach(reading::measureOrRefuse);
        return reading;
    }

    String name() {
        return name;
    }

    List<Measure> measures() {
        return measures;
    }

    /** At concert pitch, with the signs that hold for all parts. */
    Part part(List<Signs> signs) {
        List<Measure> marked = new ArrayList<>();
        for (int i = 0; i < measures.size(); i++) {
            marked.add(measures.get(i).withSigns(signs.get(i)));
        }
        if (marked.isEmpty()) {
            throw new MusicXmlException("The part \"" + name + "\" has no measures.");
        }
        try {
            return new Part(firstKey.orElse(new Key(0, Mode.MAJOR)), firstMeter.orElse(meter), firstTempo, marked)
                    .soundingOn(transposition);
        } catch (IllegalArgumentException e) {
            throw new MusicXmlException(
                    "The part \"" + name + "\" cannot be turned to concert pitch: " + e.getMessage() + ".", e);
        }
    }

    /** Values that no music can have are told with the measure where they stand. */
    private void measureOrRefuse(ScorePartwise.Part.Measure measure) {
        try {
            measure(measure);
        } catch (MusicXmlException e) {
            throw e;
        } catch (IllegalArgumentException | ArithmeticException e) {
            throw new MusicXmlException(place(measure.getNumber()) + " cannot be read: " + e.getMessage() + ".", e);
        }
    }

    private String place(String measure) {
        return "Measure " + measure + (name.isEmpty() ? "" : " of \"" + name + "\"");
    }

    private void measure(ScorePartwise.Part.Measure measure) {
        SignsReading signs = new SignsReading();
        List<Note> notes = new ArrayList<>();
        List<Pitch> graces = new ArrayList<>();
        Optional<Key> newKey = Optional.empty();
        Optional<Meter> newMeter = Optional.empty();
        Optional<Bpm> newTempo = Optional.empty();
        Beats reached = Beats.ZERO;
        Beats position = Beats.ZERO;
        for (Object element : measure.getNoteOrBackupOrForward()) {
            switch (element) {
                case Attributes attributes -> {
                    Optional<Key> k = key(attributes);
                    Optional<Meter> m = meter(attributes);
                    transposition(attributes);
                    if (attributes.getDivisions() != null) {
                        divisions = Math.max(1e-6, attributes.getDivisions().doubleValue());
                    }
                    newKey = k.or(() -> Optional.empty()).isPresent() ? k : newKey;
                    newMeter = m.isPresent() ? m : newMeter;
                }
                case org.audiveris.proxymusic.Note note -> {
                    if (note.getCue() != null) {
                        continue;
                    }
                    if (note.getGrace() != null) {
                        NoteReading.pitch(note).ifPresent(graces::add);
                        continue;
                    }
                    Beats length = length(note.getDuration());
                    if (note.getChord() != null) {
                        chord(note, notes, measure.getNumber());
                        continue;
                    }
                    if (isMain(note, measure.getNumber())) {
                        if (position.compareTo(reached) > 0) {
                            notes.add(Note.rest(position.minus(reached)));
                        }
                        if (length.ticks() > 0) {
                            notes.add(NoteReading.of(note, length, List.copyOf(graces)));
                        }
                        graces.clear();
                        reached = position.plus(length);
                    }
                    position = position.plus(length);
                }
                case Backup backup -> position = position.minus(length(backup.getDuration()));
                case Forward forward -> position = position.plus(length(forward.getDuration()));
                case Direction direction -> {
                    signs.read(direction);
                    newTempo = SignsReading.tempo(direction)
                                    .or(() -> Optional.empty())
                                    .isPresent()
                            ? SignsReading.tempo(direction)
                            : newTempo;
                }
                case Sound sound -> {
                    signs.read(sound);
                    newTempo = sound.getTempo() == null ? newTempo : Optional.of(SignsReading.bpm(sound.getTempo()));
                }
                case Barline barline -> signs.read(barline);
                default -> {}
            }
        }
        if (notes.isEmpty()) {
            notes.add(Note.rest(Beats.of(newMeter.orElse(meter))));
        }
        key = newKey.orElse(key);
        meter = newMeter.orElse(meter);
        keep(measure, notes, signs, newKey, newMeter, newTempo);
    }

    private void keep(
            ScorePartwise.Part.Measure measure,
            List<Note> notes,
            SignsReading signs,
            Optional<Key> newKey,
            Optional<Meter> newMeter,
            Optional<Bpm> newTempo) {
        Beats length = notes.stream().map(Note::length).reduce(Beats.ZERO, Beats::plus);
        boolean implicit = measure.getImplicit() == org.audiveris.proxymusic.YesNo.YES;
        boolean pickUp = firstMeasure && (implicit || length.compareTo(Beats.of(meter)) < 0);
        boolean half = !firstMeasure && implicit;
        number = firstMeasure ? (pickUp ? 0 : 1) : half ? number : number + 1;
        if (firstMeasure) {
            firstKey = newKey;
            firstMeter = newMeter;
            firstTempo = newTempo;
        }
        measures.add(new Measure(
                number,
                notes,
                signs.toSigns(),
                firstMeasure ? Optional.empty() : newKey,
                firstMeasure ? Optional.empty() : newMeter,
                firstMeasure ? Optional.empty() : newTempo,
                signs.words()));
        firstMeasure = false;
    }

    private boolean isMain(org.audiveris.proxymusic.Note note, String measure) {
        String voice = Optional.ofNullable(note.getVoice()).orElse("1");
        boolean secondStaff = note.getStaff() != null && note.getStaff().intValue() > 1;
        if (mainVoice == null) {
            mainVoice = voice;
        }
        if (voice.equals(mainVoice) && !secondStaff) {
            return true;
        }
        if (!options.topLine() && note.getRest() == null) {
            throw new MusicXmlException(place(measure)
                    + " has a second voice; a line of a method book is one voice. Keep the top line, or choose another"
                    + " file.");
        }
        return false;
    }

    private void chord(org.audiveris.proxymusic.Note note, List<Note> notes, String measure) {
        boolean main = Optional.ofNullable(note.getVoice()).orElse("1").equals(mainVoice);
        if (!main) {
            return;
        }
        if (!options.topLine()) {
            throw new MusicXmlException(place(measure)
                    + " has a chord; a line of a method book is one voice. Keep the top line, or choose another file.");
        }
        Optional<Pitch> pitch = NoteReading.pitch(note);
        if (!notes.isEmpty() && pitch.isPresent()) {
            Note before = notes.getLast();
            if (before.pitch().isPresent()
                    && pitch.get().midi() > before.pitch().get().midi()) {
                notes.set(notes.size() - 1, before.withPitch(pitch.get()));
            }
        }
    }

    private Beats length(BigDecimal duration) {
        return duration == null
                ? Beats.ZERO
                : Beats.of(Math.round(duration.doubleValue() / divisions * Beats.PER_BEAT), Beats.PER_BEAT);
    }

    private static Optional<Key> key(Attributes attributes) {
        return attributes.getKey().stream()
                .filter(k -> k.getFifths() != null)
                .findFirst()
                .map(k -> new Key(
                        Math.clamp(k.getFifths().intValue(), -7, 7),
                        "minor".equalsIgnoreCase(k.getMode()) ? Mode.MINOR : Mode.MAJOR));
    }

    private static Optional<Meter> meter(Attributes attributes) {
        return attributes.getTime().stream().findFirst().flatMap(time -> {
            int count = 0;
            int unit = 0;
            for (var one : time.getTimeSignature()) {
                String value = String.valueOf(one.getValue()).strip();
                if (one.getName().getLocalPart().equals("beats")) {
                    for (String part : value.split("\\+")) {
                        count += whole(part.strip());
                    }
                } else {
                    unit = whole(value);
                }
            }
            return time.getTimeSignature().isEmpty() ? Optional.empty() : Optional.of(new Meter(count, unit));
        });
    }

    private static int whole(String text) {
        if (!text.matches("\\d{1,3}")) {
            throw new IllegalArgumentException("a meter of \"" + text + "\"");
        }
        return Integer.parseInt(text);
    }

    private void transposition(Attributes attributes) {
        attributes.getTranspose().stream().findFirst().ifPresent(t -> {
            int octaves = t.getOctaveChange() == null ? 0 : t.getOctaveChange().intValue();
            int semitones = t.getChromatic() == null ? 0 : t.getChromatic().intValue();
            int steps = t.getDiatonic() == null
                    ? (int) Math.round(semitones * 7 / 12.0)
                    : t.getDiatonic().intValue();
            transposition = new Transposition(steps + 7 * octaves, semitones + 12 * octaves);
        });
    }
}
