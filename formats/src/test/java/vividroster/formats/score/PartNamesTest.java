package vividroster.formats.score;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividroster.core.instrument.Clef;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Transposition;
import vividroster.core.music.Voice;
import vividroster.formats.Read;

/** Names as people and programs write them on parts. */
class PartNamesTest {

    @ParameterizedTest(name = "{0}, {1} semitones, {2} clef is {3} {4}")
    @CsvSource({
        "Trumpet 1,-2,TREBLE,trumpet,1",
        "Bb Clarinet 2,-2,TREBLE,clarinet,2",
        "Clarinet in B♭,-2,TREBLE,clarinet,0",
        "B♭ Trumpet 2,-2,TREBLE,trumpet,2",
        "Trumpet in Bb 1,-2,TREBLE,trumpet,1",
        "Trumpet in C,0,TREBLE,trumpet,0",
        "Violin I,0,TREBLE,violin,1",
        "Violins II,0,TREBLE,violin,2",
        "1st Violin,0,TREBLE,violin,1",
        "Second Flute,0,TREBLE,flute,2",
        "Flute,0,TREBLE,flute,0",
        "Flutes 1 & 2,0,TREBLE,flute,0",
        "F Horn,-7,TREBLE,horn,0",
        "Horn in F 3,-7,TREBLE,horn,3",
        "Alto Sax,-9,TREBLE,alto-saxophone,0",
        "Alto Sax. 2,-9,TREBLE,alto-saxophone,2",
        "E♭ Alto Saxophone 1,-9,TREBLE,alto-saxophone,1",
        "Tenor Saxophone,-14,TREBLE,tenor-saxophone,0",
        "Saxophone,-14,TREBLE,tenor-saxophone,0",
        "Saxophone,-21,TREBLE,baritone-saxophone,0",
        "Clarinet,-14,TREBLE,bass-clarinet,0",
        "Bass Clarinet in Bb,-14,TREBLE,bass-clarinet,0",
        "T.C. Baritone,-14,TREBLE,baritone-treble,0",
        "Baritone,0,BASS,baritone,0",
        "Baritone,-14,TREBLE,baritone-treble,0",
        "Baritone B.C. 2,0,BASS,baritone,2",
        "Baritone Sax,-21,TREBLE,baritone-saxophone,0",
        "English Horn,-7,TREBLE,english-horn,0",
        "Eb Clarinet,3,TREBLE,e-flat-clarinet,0",
        "Clarinet in E♭,3,TREBLE,e-flat-clarinet,0",
        "Piccolo,12,TREBLE,piccolo,0",
        "Flugelhorn 1,-2,TREBLE,flugelhorn,1",
        "Soprano Sax,-2,TREBLE,soprano-saxophone,0",
        "Xylophone,12,TREBLE,xylophone,0",
        "Marimba,0,TREBLE,marimba,0",
        "Euphonium T.C.,-14,TREBLE,euphonium-treble,0",
        "Euphonium,-14,TREBLE,euphonium-treble,0",
        "Euphonium,0,BASS,euphonium,0",
        "Trombone 2,0,BASS,trombone,2",
        "Tuba,0,BASS,tuba,0",
        "Double Bass,-12,BASS,double-bass,0",
        "Contrabass,-12,BASS,double-bass,0",
        "Viola,0,ALTO,viola,0",
        "Bells,24,TREBLE,mallets,0",
        // by transposition alone, where only one instrument has it
        "Part 2,-7,TREBLE,horn,2",
        "'',-21,TREBLE,baritone-saxophone,0"
    })
    void whosePartItIs(String name, int semitones, Clef clef, InstrumentCode instrument, int division) {
        Transposition written = new Transposition((int) Math.round(semitones * 7 / 12.0), semitones);
        assertThat(PartNames.meant(Read.CATALOG, name, written, Optional.of(clef)))
                .contains(new Voice(instrument, division));
    }

    @ParameterizedTest
    @CsvSource({"Piano,0", "Part 1,0", "'',0", "'',-2", "Kazoo,-7", "Voice,-2"})
    void whatCannotBeToldIsLeftToAPerson(String name, int semitones) {
        Transposition written = new Transposition((int) Math.round(semitones * 7 / 12.0), semitones);
        assertThat(PartNames.meant(Read.CATALOG, name, written, Optional.of(Clef.TREBLE)))
                .isEmpty();
    }
}
