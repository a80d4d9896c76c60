package vividroster.formats;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import vividroster.core.instrument.Instrument;
import vividroster.core.music.Part;
import vividroster.core.music.Score;
import vividroster.core.reading.Roadmap;
import vividroster.core.reading.TimedView;
import vividroster.formats.musicxml.MusicXmlWriter;
import vividroster.formats.score.LineFile.Choices;

/** Whatever is typed in ABC comes out of MusicXML again as the same notes at the same times. */
class RoundTripPropertyTest {

    private static final String[] KEYS = {"C", "G", "D", "F", "Bb", "Eb", "Gm", "Ddor", "F#", "Ab", "A mix"};

    @Provide
    Arbitrary<String> lines() {
        Arbitrary<String> pitch = Combinators.combine(
                        Arbitraries.of("", "", "", "^", "_", "="),
                        Arbitraries.of("C", "D", "E", "F", "G", "A", "B", "c", "d", "e", "f", "g"))
                .as(String::concat);
        Arbitrary<String> group = Arbitraries.oneOf(
                pitch.map(p -> p + "2"),
                pitch.map(p -> p + "-" + p.replaceAll("[=^_]", "")),
                Combinators.combine(pitch, pitch).as((a, b) -> a + ">" + b),
                Combinators.combine(pitch, pitch).as((a, b) -> "(" + a + b + ")"),
                Combinators.combine(pitch, pitch, pitch).as((a, b, c) -> "(3" + a + b + c),
                Combinators.combine(pitch, pitch).as((a, b) -> "." + a + " {" + b + "}" + b),
                Arbitraries.of(
                        "z2",
                        "!fermata!E2",
                        "uC vD",
                        "\"^pizz.\"E2",
                        "\"^arco\"F2",
                        "!~(!E!~)!F",
                        "[Q:1/4=88-92]F2",
                        "[Q:3/8=70]G2"));
        Arbitrary<String> measure = group.list().ofSize(4).map(groups -> String.join(" ", groups));
        Arbitrary<String> bars = Combinators.combine(
                        measure.list().ofMinSize(2).ofMaxSize(6),
                        Arbitraries.of("|", "|", "|", ":|", "||").list().ofSize(6),
                        Arbitraries.of("", "|:", "G2|"))
                .as((measures, ends, begins) -> {
                    StringBuilder line = new StringBuilder(begins);
                    for (int i = 0; i < measures.size(); i++) {
                        line.append(measures.get(i)).append(i + 1 == measures.size() ? "|]" : ends.get(i));
                    }
                    return line.toString();
                });
        return Combinators.combine(bars, Arbitraries.of(KEYS), Arbitraries.of("", "Q:1/4=72\n", "Q:\"Andante\"\n"))
                .as((line, key, tempo) -> "X:1\nT:Round\nM:4/4\nL:1/8\n" + tempo + "K:" + key + "\n" + line + "\n");
    }

    private static String sounding(Part part) {
        TimedView view = TimedView.of(part);
        return part.key().name() + " " + part.meter() + " "
                + view.timeline(2).notes().stream()
                        .map(n -> n.pitch() + "@" + n.onset().ticks() + "+"
                                + n.length().ticks() + " " + Math.round(n.seconds() * 1e6))
                        .collect(Collectors.joining(", "));
    }

    private static List<Object> printed(Part part) {
        List<Object> all = new ArrayList<>();
        part.measures()
                .forEach(m -> all.add(List.of(
                        m.number(),
                        m.signs(),
                        m.words(),
                        m.tempos(),
                        m.key(),
                        m.meter(),
                        m.notes().stream().map(n -> n.marks()).toList(),
                        m.notes().stream().map(n -> n.slurs()).toList(),
                        m.notes().stream().map(n -> n.graces()).toList())));
        return all;
    }

    @Property(tries = 400)
    void atConcertPitchNothingIsLost(@ForAll("lines") String abc) {
        Score score = Read.abc(abc);
        String xml = MusicXmlWriter.writeConcert(score.title(), score.sounding());
        var file = Read.xmlFile(xml, false);
        Part again = file.score().sounding();
        assertThat(sounding(again)).isEqualTo(sounding(score.sounding()));
        assertThat(printed(again)).isEqualTo(printed(score.sounding()));
        assertThat(file.leftOut(Choices.NONE)).as("what we write we keep").isEmpty();
        assertThat(Roadmap.of(again, Roadmap.Options.USUAL))
                .isEqualTo(Roadmap.of(score.sounding(), Roadmap.Options.USUAL));
        assertThat(MusicXmlWriter.writeConcert(score.title(), again))
                .as("and write it again alike")
                .isEqualTo(xml);
    }

    @Property(tries = 200)
    void anInstrumentsPartSoundsTheSame(@ForAll("lines") String abc, @ForAll("instruments") Instrument instrument) {
        Part sounding = Read.abc(abc).sounding();
        Part written = sounding.writtenFor(instrument.transposition());
        var file = Read.xmlFile(MusicXmlWriter.write("Round", written, instrument), false);
        Part again = file.score().sounding();
        assertThat(TimedView.of(again).timeline().notes().stream()
                        .map(n -> n.pitch().midi() + "@" + n.onset())
                        .toList())
                .isEqualTo(TimedView.of(sounding).timeline().notes().stream()
                        .map(n -> n.pitch().midi() + "@" + n.onset())
                        .toList());
        assertThat(file.parts().getFirst().meant().orElseThrow().instrument()).isEqualTo(instrument.code());
    }

    @Provide
    Arbitrary<Instrument> instruments() {
        return Arbitraries.of(
                Read.CATALOG.inScoreOrder().stream().filter(Instrument::pitched).toList());
    }
}
