package vividroster.formats.midi;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.util.ArrayList;
import java.util.List;
import javax.sound.midi.MidiSystem;
import javax.sound.midi.Sequence;
import javax.sound.midi.ShortMessage;
import javax.sound.midi.Track;
import org.junit.jupiter.api.Test;
import vividroster.core.music.Bpm;
import vividroster.core.music.Part;
import vividroster.core.reading.Roadmap;
import vividroster.core.reading.Timeline;
import vividroster.formats.abc.AbcReader;

class MidiWriterTest {

    @Test
    void whatSoundsIsWrittenInTheOrderPlayed() throws Exception {
        Part part = AbcReader.read("M:4/4\nL:1/4\nQ:1/4=90\nK:C\n|:C2 E2-|E4:|").sounding();
        Timeline timeline = Timeline.of(part, Roadmap.of(part, Roadmap.Options.USUAL), Timeline.Options.ARITHMETIC);
        byte[] file = MidiWriter.write("Two", timeline, new Bpm(90), 56);
        Sequence sequence = MidiSystem.getSequence(new ByteArrayInputStream(file));
        Track track = sequence.getTracks()[0];
        List<String> notes = new ArrayList<>();
        for (int i = 0; i < track.size(); i++) {
            if (track.get(i).getMessage() instanceof ShortMessage m && m.getCommand() == ShortMessage.NOTE_ON) {
                notes.add(m.getData1() + "@" + track.get(i).getTick() / sequence.getResolution());
            }
        }
        assertThat(notes).containsExactly("60@0", "64@2", "60@8", "64@10");
        assertThat(sequence.getMicrosecondLength()).as("16 beats at 90").isBetween(10_600_000L, 10_700_000L);
    }
}
