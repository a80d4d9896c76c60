package vividroster.formats.midi;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import javax.sound.midi.InvalidMidiDataException;
import javax.sound.midi.MetaMessage;
import javax.sound.midi.MidiEvent;
import javax.sound.midi.MidiSystem;
import javax.sound.midi.Sequence;
import javax.sound.midi.ShortMessage;
import javax.sound.midi.Track;
import vividroster.core.music.Beats;
import vividroster.core.reading.Timeline;
import vividroster.core.reading.Timeline.Pace;
import vividroster.core.reading.Timeline.Sounding;

/** Writes what sounds as a standard MIDI file of one track, in the order really played. */
public final class MidiWriter {

    private static final int TICKS_PER_BEAT = 480;
    private static final int TEMPO = 0x51;
    private static final int NAME = 0x03;
    private static final int VELOCITY = 84;

    private MidiWriter() {}

    /** Tempo changes and stretched fermatas included. @param program MIDI program of the sound, from 0 */
    public static byte[] write(String title, Timeline timeline, int program) {
        try {
            Sequence sequence = new Sequence(Sequence.PPQ, TICKS_PER_BEAT);
            Track track = sequence.createTrack();
            byte[] name = title.getBytes(StandardCharsets.UTF_8);
            track.add(new MidiEvent(new MetaMessage(NAME, name, name.length), 0));
            for (Pace pace : timeline.paces()) {
                int micros = (int) Math.round(pace.secondsPerBeat() * 1e6);
                byte[] data = {(byte) (micros >> 16), (byte) (micros >> 8), (byte) micros};
                track.add(new MidiEvent(new MetaMessage(TEMPO, data, 3), ticks(pace.from())));
            }
            track.add(new MidiEvent(new ShortMessage(ShortMessage.PROGRAM_CHANGE, 0, program, 0), 0));
            for (Sounding note : timeline.notes()) {
                int key = note.pitch().midi();
                track.add(new MidiEvent(new ShortMessage(ShortMessage.NOTE_ON, 0, key, VELOCITY), ticks(note.onset())));
                track.add(new MidiEvent(
                        new ShortMessage(ShortMessage.NOTE_OFF, 0, key, 0),
                        ticks(note.onset().plus(note.length()))));
            }
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            MidiSystem.write(sequence, 0, out);
            return out.toByteArray();
        } catch (InvalidMidiDataException | IOException e) {
            throw new IllegalStateException(e);
        }
    }

    private static long ticks(Beats beats) {
        return Math.round(beats.value() * TICKS_PER_BEAT);
    }
}
