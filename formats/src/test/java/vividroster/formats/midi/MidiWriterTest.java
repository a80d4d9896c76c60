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
import vividroster.core.music.Part;
import vividroster.core.reading.TimedView;
import vividroster.core.reading.Timeline;
import vividroster.formats.Read;

class MidiWriterTest {

    @Test
    void whatSoundsIsWrittenInTheOrderPlayed() throws Exception {
        Part part = Read.abc("M:4/4\nL:1/4\nQ:1/4=90\nK:C\n|:C2 E2-|E4:|").sounding();
        Timeline timeline = TimedView.of(part).timeline();
        byte[] file = MidiWriter.write("Two", timeline, 56);
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

    @Test
    void tempoChangesAndHeldFermatasTakeTheTimeTheyTake() throws Exception {
        Part part = Read.abc("M:4/4\nL:1/4\nQ:1/4=60\nK:C\nC2 D [Q:1/4=120]E|!fermata!F4|")
                .sounding();
        TimedView view = TimedView.of(part);
        for (double fermata : new double[] {1, 2}) {
            Timeline timeline = view.timeline(fermata);
            Sequence sequence = MidiSystem.getSequence(new ByteArrayInputStream(MidiWriter.write("T", timeline, 0)));
            assertThat(sequence.getMicrosecondLength() / 1e6)
                    .isCloseTo(timeline.seconds(), org.assertj.core.api.Assertions.within(0.01));
        }
        assertThat(view.timeline(2).seconds()).isEqualTo(3 + 0.5 + 4);
    }
}
