package vividroster.formats.musicxml;

import java.io.StringWriter;
import java.util.List;
import java.util.Optional;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;
import vividroster.core.instrument.Clef;
import vividroster.core.instrument.Instrument;
import vividroster.core.music.Beats;
import vividroster.core.music.Key;
import vividroster.core.music.Measure;
import vividroster.core.music.Meter;
import vividroster.core.music.Notated;
import vividroster.core.music.Part;
import vividroster.core.music.Signs;
import vividroster.core.music.Tempo;
import vividroster.core.music.Transposition;

/** Writes one part as MusicXML 4.0 partwise, as an instrument reads it or at concert pitch. */
public final class MusicXmlWriter {

    static final int DIVISIONS = Beats.PER_BEAT;

    private MusicXmlWriter() {}

    /** What is written for. */
    public enum Purpose {
        /** For other programs: everything as the format has it, an order of parts written out. */
        FILE,
        /** For our own renderer: as it stands on the page, a span of tempos in words, since it draws one number only. */
        SCREEN
    }

    /** For other programs. @param written as the instrument reads it; the file tells how it sounds */
    public static String write(String title, Part written, Instrument instrument) {
        return write(title, written, instrument, Purpose.FILE);
    }

    public static String write(String title, Part written, Instrument instrument, Purpose purpose) {
        return write(title, written, instrument.name(), instrument.clef(), instrument.transposition(), purpose);
    }

    /** For other programs. @param sounding at concert pitch, in the treble clef */
    public static String writeConcert(String title, Part sounding) {
        return writeConcert(title, sounding, Purpose.FILE);
    }

    public static String writeConcert(String title, Part sounding, Purpose purpose) {
        return write(title, sounding, "Concert pitch", Clef.TREBLE, Transposition.CONCERT, purpose);
    }

    private static String write(
            String title, Part part, String name, Clef clef, Transposition transposition, Purpose purpose) {
        StringWriter text = new StringWriter();
        try {
            XMLStreamWriter xml = XMLOutputFactory.newInstance().createXMLStreamWriter(text);
            Part whole = purpose == Purpose.FILE ? part.writtenOut() : part;
            new Writing(xml, purpose).score(title, whole, name, clef, transposition);
            xml.close();
        } catch (XMLStreamException e) {
            throw new IllegalStateException(e);
        }
        return text.toString();
    }

    /** Elements, opened and closed. */
    static final class Writing {

        final XMLStreamWriter xml;

        private final Purpose purpose;

        Writing(XMLStreamWriter xml, Purpose purpose) {
            this.purpose = purpose;
            this.xml = xml;
        }

        void open(String name, String... attributes) throws XMLStreamException {
            xml.writeStartElement(name);
            attributes(attributes);
        }

        private void attributes(String... attributes) throws XMLStreamException {
            for (int i = 0; i < attributes.length; i += 2) {
                xml.writeAttribute(attributes[i], attributes[i + 1]);
            }
        }

        void close() throws XMLStreamException {
            xml.writeEndElement();
        }

        void text(String name, Object value) throws XMLStreamException {
            xml.writeStartElement(name);
            xml.writeCharacters(String.valueOf(value));
            xml.writeEndElement();
        }

        void empty(String name, String... attributes) throws XMLStreamException {
            xml.writeEmptyElement(name);
            attributes(attributes);
        }

        void score(String title, Part part, String name, Clef clef, Transposition transposition)
                throws XMLStreamException {
            xml.writeStartDocument("UTF-8", "1.0");
            open("score-partwise", "version", "4.0");
            if (!title.isEmpty()) {
                open("work");
                text("work-title", title);
                close();
            }
            open("part-list");
            open("score-part", "id", "P1");
            text("part-name", name);
            close();
            close();
            open("part", "id", "P1");
            NoteWriting notes = new NoteWriting(this, part, clef == Clef.PERCUSSION);
            for (int i = 0; i < part.measures().size(); i++) {
                measure(part, i, clef, transposition, notes);
            }
            close();
            close();
            xml.writeEndDocument();
        }

        private void measure(Part part, int index, Clef clef, Transposition transposition, NoteWriting notes)
                throws XMLStreamException {
            Measure measure = part.measures().get(index);
            boolean split = index > 0 && part.measures().get(index - 1).number() == measure.number();
            String number = split ? "X" + index : String.valueOf(measure.number());
            if (measure.number() == 0 || split) {
                open("measure", "number", number, "implicit", "yes");
            } else {
                open("measure", "number", number);
            }
            Signs signs = measure.signs();
            if (signs.forwardRepeat() || !signs.endingBegins().isEmpty()) {
                open("barline", "location", "left");
                if (!signs.endingBegins().isEmpty()) {
                    empty("ending", "number", numbers(signs), "type", "start");
                }
                if (signs.forwardRepeat()) {
                    empty("repeat", "direction", "forward");
                }
                close();
            }
            attributes(part, index, clef, transposition);
            directionsBefore(part, index);
            notes.measure(index, measure.tempos());
            directionsAfter(signs);
            endings(part, index);
            close();
        }

        private static String numbers(Signs signs) {
            return String.join(
                    ",",
                    signs.endingBegins().stream().sorted().map(String::valueOf).toList());
        }

        private void attributes(Part part, int index, Clef clef, Transposition transposition)
                throws XMLStreamException {
            Measure measure = part.measures().get(index);
            boolean first = index == 0;
            if (!first && measure.key().isEmpty() && measure.meter().isEmpty()) {
                return;
            }
            open("attributes");
            if (first) {
                text("divisions", DIVISIONS);
            }
            Optional<Key> key = measure.key().or(() -> first ? Optional.of(part.key()) : Optional.empty());
            if (key.isPresent() && clef != Clef.PERCUSSION) {
                open("key");
                text("fifths", key.get().fifths());
                text("mode", key.get().mode().word());
                close();
            }
            Optional<Meter> meter = measure.meter().or(() -> first ? Optional.of(part.meter()) : Optional.empty());
            if (meter.isPresent()) {
                open("time");
                text("beats", meter.get().counted());
                text("beat-type", meter.get().unit());
                close();
            }
            if (first) {
                open("clef");
                text(
                        "sign",
                        clef == Clef.TREBLE ? "G" : clef == Clef.BASS ? "F" : clef == Clef.ALTO ? "C" : "percussion");
                if (clef != Clef.PERCUSSION) {
                    text("line", clef == Clef.TREBLE ? 2 : clef == Clef.BASS ? 4 : 3);
                }
                close();
                if (!transposition.equals(Transposition.CONCERT)) {
                    int octaves = transposition.semitones() / 12;
                    open("transpose");
                    text("diatonic", transposition.steps() - 7 * octaves);
                    text("chromatic", transposition.semitones() - 12 * octaves);
                    if (octaves != 0) {
                        text("octave-change", octaves);
                    }
                    close();
                }
            }
            close();
        }

        private void directionsBefore(Part part, int index) throws XMLStreamException {
            Measure measure = part.measures().get(index);
            boolean opens = index == 0 && part.tempo().isPresent();
            if (opens) {
                tempo(part.tempo().get(), Beats.ZERO);
            }
            if (!measure.words().isEmpty()) {
                words(measure.words());
                close();
            }
            if (measure.signs().segno().isPresent()) {
                sign("segno", "segno", sounded(measure.signs().segno().get(), "segno"));
            }
            if (measure.signs().coda().isPresent()) {
                sign("coda", "coda", sounded(measure.signs().coda().get(), "coda"));
            }
        }

        /** A tempo mark where the next note begins, or so far behind it. */
        void tempo(Tempo tempo, Beats behind) throws XMLStreamException {
            Notated unit = Notated.of(tempo.unit()).getFirst();
            open("direction", "placement", "above");
            open("direction-type");
            if (purpose == Purpose.SCREEN && tempo.isSpan()) {
                text("words", unit.name() + " = " + tempo.numbers());
            } else {
                open("metronome");
                text("beat-unit", NoteWriting.TYPES.get(unit.halvings()));
                for (int d = 0; d < unit.dots(); d++) {
                    empty("beat-unit-dot");
                }
                text("per-minute", tempo.numbers());
                close();
            }
            close();
            if (!behind.isZero()) {
                open("offset", "sound", "yes");
                xml.writeCharacters(String.valueOf(behind.ticks()));
                close();
            }
            empty(
                    "sound",
                    "tempo",
                    java.math.BigDecimal.valueOf(tempo.bpm().value())
                            .setScale(6, java.math.RoundingMode.HALF_UP)
                            .stripTrailingZeros()
                            .toPlainString());
            close();
        }

        private static String sounded(String name, String usual) {
            return name.isEmpty() ? usual : name;
        }

        private void sign(String element, String sound, String name) throws XMLStreamException {
            open("direction", "placement", "above");
            open("direction-type");
            empty(element);
            close();
            empty("sound", sound, name);
            close();
        }

        /** Leaves the direction open for a sound. */
        void words(String words) throws XMLStreamException {
            open("direction", "placement", "above");
            open("direction-type");
            text("words", words);
            close();
        }

        private void directionsAfter(Signs signs) throws XMLStreamException {
            if (signs.toCoda().isPresent()) {
                words("To Coda");
                empty("sound", "tocoda", sounded(signs.toCoda().get(), "coda"));
                close();
            }
            if (signs.fine()) {
                words("Fine");
                empty("sound", "fine", "yes");
                close();
            }
            if (signs.jump().isPresent()) {
                Signs.Jump jump = signs.jump().get();
                words(jump.words());
                if (jump.segno().isPresent()) {
                    empty("sound", "dalsegno", sounded(jump.segno().get(), "segno"));
                } else {
                    empty("sound", "dacapo", "yes");
                }
                close();
            }
        }

        private void endings(Part part, int index) throws XMLStreamException {
            Signs signs = part.measures().get(index).signs();
            boolean last = index == part.measures().size() - 1;
            if (!signs.endingStops() && !signs.closesRepeat() && !last) {
                return;
            }
            open("barline", "location", "right");
            if (last || signs.closesRepeat()) {
                text("bar-style", "light-heavy");
            }
            if (signs.endingStops()) {
                empty(
                        "ending",
                        "number",
                        bracketNumbers(part.measures(), index),
                        "type",
                        signs.closesRepeat() ? "stop" : "discontinue");
            }
            if (signs.closesRepeat()) {
                if (signs.repeatTimes() > 2) {
                    empty("repeat", "direction", "backward", "times", String.valueOf(signs.repeatTimes()));
                } else {
                    empty("repeat", "direction", "backward");
                }
            }
            close();
        }

        private static String bracketNumbers(List<Measure> measures, int index) {
            for (int i = index; i >= 0; i--) {
                if (!measures.get(i).signs().endingBegins().isEmpty()) {
                    return numbers(measures.get(i).signs());
                }
            }
            return "1";
        }
    }
}
