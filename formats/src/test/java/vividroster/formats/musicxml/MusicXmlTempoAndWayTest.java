package vividroster.formats.musicxml;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static vividroster.formats.musicxml.XmlPage.direction;
import static vividroster.formats.musicxml.XmlPage.file;
import static vividroster.formats.musicxml.XmlPage.head;
import static vividroster.formats.musicxml.XmlPage.measure;
import static vividroster.formats.musicxml.XmlPage.metronome;
import static vividroster.formats.musicxml.XmlPage.note;
import static vividroster.formats.musicxml.XmlPage.read;

import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Measure;
import vividroster.core.music.Part;
import vividroster.core.reading.Roadmap;
import vividroster.core.reading.TimedView;
import vividroster.formats.Read;
import vividroster.formats.score.LineFile;

/** Tempos and the way through a line, as MusicXML prints them. */
class MusicXmlTempoAndWayTest {

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "<beat-unit>quarter</beat-unit>; 96-104; 100; 96–104",
                "<beat-unit>quarter</beat-unit>; ca. 72; 72; 72",
                "<beat-unit>quarter</beat-unit>; c. 66.5; 66.5; 66.5",
                "<beat-unit>quarter</beat-unit><beat-unit-dot/>; 60; 90; 60",
                "<beat-unit>half</beat-unit>; 60; 120; 60",
                "<beat-unit>eighth</beat-unit>; 120; 60; 120"
            })
    void temposAreReadAsTheyArePrinted(String unit, String perMinute, double bpm, String numbers) {
        Part part = read(measure(1, head(""), metronome(unit, perMinute), note("C5", 16)));
        assertThat(part.tempo().orElseThrow().bpm().value()).isEqualTo(bpm);
        assertThat(part.tempo().orElseThrow().numbers()).isEqualTo(numbers);
        String again = MusicXmlWriter.writeConcert("T", part);
        assertThat(Read.xmlFile(again, false).score().sounding().tempo()).isEqualTo(part.tempo());
        assertThat(MusicXmlWriter.writeConcert("T", part, MusicXmlWriter.Purpose.SCREEN))
                .as("a renderer draws one number, so a span stands in words")
                .contains(numbers.contains("–") ? ">quarter = 96–104</words>" : "<per-minute>" + numbers);
    }

    @Test
    void aTempoInTheMiddleOfABarCountsFromItsPlaceAndOverAnotherPartForAll() {
        String faster = direction("<words>faster</words>", "<sound tempo=\"120\"/>");
        String plain = measure(1, head(""), note("C5", 16));
        LineFile file = Read.xmlFile(
                file(
                        "Flute",
                        plain + measure(2, note("C5", 16)),
                        "Oboe",
                        measure(
                                        1,
                                        head(""),
                                        direction("<words>x</words>", "<sound tempo=\"60\"/>"),
                                        note("C5", 8),
                                        faster,
                                        note("C5", 8))
                                + measure(2, note("C5", 16))),
                false);
        assertThat(TimedView.of(file.score().sounding()).timeline().seconds()).isCloseTo(2 + 1 + 2, within(1e-9));
        Part oboe = file.score().partOf(new InstrumentCode("oboe"));
        Part again = Read.xmlFile(MusicXmlWriter.writeConcert("T", oboe), false)
                .score()
                .sounding();
        assertThat(TimedView.of(again).timeline().seconds()).isCloseTo(5, within(1e-9));
        Part held = file.score().sounding();
        Part heldAgain = Read.xmlFile(MusicXmlWriter.writeConcert("T", held), false)
                .score()
                .sounding();
        assertThat(TimedView.of(heldAgain).timeline().seconds())
                .as("inside a held note")
                .isCloseTo(5, within(1e-9));
    }

    @Test
    void aMarkBehindTheLastNoteBelongsToTheNextMeasure() {
        String faster = direction("<words>x</words>", "<sound tempo=\"200\"/>");
        Part part = read(measure(1, head(""), note("C5", 16), faster) + measure(2, note("C5", 16)));
        assertThat(TimedView.of(part).timeline().seconds()).isCloseTo(2.4 + 1.2, within(1e-9));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "D.C. al Fine (no repeats); Fine.; CDC",
                "D.C.  al  Fine; Fine; CDC",
                "D.C. al Coda; To Coda ⊕; !NO_CODA"
            })
    void printedWordsSayTheWay(String jump, String at, String order) {
        Part part = read(measure(1, head(""), note("C5", 16), direction("<words>" + at + "</words>", ""))
                + measure(2, note("D5", 16), direction("<words>" + jump + "</words>", "")));
        TimedView view = TimedView.of(part);
        assertThat(view.fault()
                        .map(f -> "!" + f.fault())
                        .orElseGet(() -> Roadmap.of(part, Roadmap.Options.USUAL).indices().stream()
                                .map(i -> i == 0 ? "C" : "D")
                                .collect(Collectors.joining())))
                .isEqualTo(order);
    }

    @Test
    void twoCodasAreToldByTheirNumbers() {
        Part part = read(measure(1, head(""), direction("<segno/>", ""), note("C5", 16))
                + measure(2, note("D5", 16), direction("<words>To Coda 1</words>", ""))
                + measure(3, note("E5", 16), direction("<words>D.S. al Coda 1</words>", ""))
                + measure(4, direction("<words>Coda 1</words>", ""), note("F5", 16)));
        assertThat(Roadmap.of(part, Roadmap.Options.USUAL).indices()).containsExactly(0, 1, 2, 0, 1, 3);
        Part again = Read.xmlFile(MusicXmlWriter.writeConcert("T", part), false)
                .score()
                .sounding();
        assertThat(again.measures())
                .extracting(Measure::signs)
                .isEqualTo(part.measures().stream().map(Measure::signs).toList());
    }

    @Test
    void aSignBesideAWayToTheCodaIsItsPicture() {
        Part part = read(measure(1, head(""), note("C5", 16), direction("<coda/>", "<sound tocoda=\"coda1\"/>"))
                + measure(2, note("D5", 16), direction("<words>D.C. al Coda</words>", "<sound dacapo=\"yes\"/>"))
                + measure(3, direction("<coda/>", "<sound coda=\"coda1\"/>"), note("E5", 16)));
        assertThat(Roadmap.of(part, Roadmap.Options.USUAL).indices()).containsExactly(0, 1, 0, 2);
    }
}
