package vividroster.formats.abc;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import vividroster.core.hands.Fingers.FourthFinger;
import vividroster.core.instrument.FingeringChart;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.instrument.Range;
import vividroster.core.instrument.Ranges;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Note;
import vividroster.core.music.Part;
import vividroster.core.music.Pitch;
import vividroster.core.music.Score;
import vividroster.core.music.Spelling;
import vividroster.core.music.Transposition;
import vividroster.core.reading.Fitted.Compass;
import vividroster.core.reading.TimedView;
import vividroster.core.reading.Vocabulary;
import vividroster.core.rehearsal.Echoes;
import vividroster.core.rehearsal.Reading;
import vividroster.core.rehearsal.Reading.Figures;
import vividroster.core.rehearsal.Reading.Reader;
import vividroster.formats.Read;
import vividroster.formats.catalog.FingeringFile;
import vividroster.formats.catalog.InstrumentCatalogFile;
import vividroster.formats.catalog.RangeFile;
import vividroster.formats.musicxml.MusicXmlWriter;
import vividroster.formats.score.LineFileException;

/** A line is looked at while it is typed, so every half-typed one must be read or refused in words. */
class AbcTypingTest {

    private static final InstrumentCatalog CATALOG = InstrumentCatalogFile.shipped();
    private static final Ranges FLUTE = RangeFile.shipped().get(new InstrumentCode("flute"));
    private static final FingeringChart CHART = FingeringFile.shipped().get(new InstrumentCode("flute"));
    private static final String LINE = "X:1\nT:Rope and pulley\nM:4/4\nL:1/8\nQ:1/4=92\nK:Eb\n"
            + "B2|:!segno!e2 =a2 {g}a2 .a>g|(3efg (b4 c'2)|[1 z2 !fermata!e6:|[2 !tocoda!^f2-f2 z4|\n"
            + "[M:3/4] e2 g2 [K:G] b2|!fine!d6|!D.S.alcoda!g6|!coda!\"softly\"g6|]\n"
            + "V:Horn\nz2|e8|e8|z8|z8|z6|d6|g6|g6|]\nw:one two\n";
    private static final String LETTERS = "ABCabcxz^=_,'/23456789|:[]()-<>{}!~\"% \nKMLQVw.";

    /** Empty when it is refused in words that name a place inside the text. */
    private static Score readOrRefused(String text) {
        try {
            return Read.abc(text);
        } catch (LineFileException e) {
            assertThat(e.getMessage()).as(text).isNotBlank().doesNotContain("null", "Exception");
            assertThat(e.line()).as(text).isBetween(1, (int) text.lines().count() + 1);
            assertThat(e.column()).as(text).isPositive();
            return null;
        }
    }

    @Test
    void everyBeginningOfALineIsReadOrRefusedInWords() {
        for (int end = 0; end <= LINE.length(); end++) {
            readOrRefused(LINE.substring(0, end));
        }
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4})
    void aSlipOfTheFingerIsReadOrRefusedInWordsAndWhatIsReadCanBeWorkedWith(long seed) {
        Random random = new Random(seed);
        int read = 0;
        for (int i = 0; i < 1_500; i++) {
            StringBuilder text = new StringBuilder(LINE);
            for (int slips = 1 + random.nextInt(3); slips > 0; slips--) {
                int at = random.nextInt(text.length());
                char letter = LETTERS.charAt(random.nextInt(LETTERS.length()));
                switch (random.nextInt(3)) {
                    case 0 -> text.setCharAt(at, letter);
                    case 1 -> text.insert(at, letter);
                    default -> text.deleteCharAt(at);
                }
            }
            Score score = readOrRefused(text.toString());
            if (score != null) {
                read++;
                workWith(score, text.toString());
            }
        }
        assertThat(read).isPositive();
    }

    private static void workWith(Score score, String text) {
        Part part = score.sounding();
        Range range = FLUTE.firstYear();
        TimedView view = TimedView.of(part);
        assertThat(view.roadmap().isPresent())
                .as(text)
                .isNotEqualTo(view.fault().isPresent());
        assertThat(view.timeline(2).notes().isEmpty())
                .as(text)
                .isEqualTo(view.roadmap().isEmpty() || struck(part).isEmpty());
        Echoes.within(view);
        Reading.of(
                view,
                new Reader(
                        Transposition.CONCERT,
                        FLUTE.home(),
                        Compass.of(range),
                        Figures.BEGINNER,
                        CHART,
                        FourthFinger.EARLY,
                        Spelling.FLATS_AT_SIX,
                        Optional.of(Vocabulary.NOTHING)));
        String xml = MusicXmlWriter.writeConcert(score.title(), part);
        Score again = Read.xml(xml.getBytes(StandardCharsets.UTF_8), false);
        assertThat(struck(again.sounding())).as(text).isEqualTo(struck(part));
    }

    /** Pitches that are begun anew; a length with no sign of its own is written as notes tied together. */
    private static List<Pitch> struck(Part part) {
        List<Pitch> struck = new ArrayList<>();
        Note before = null;
        for (Note note :
                part.measures().stream().flatMap(m -> m.notes().stream()).toList()) {
            boolean held = before != null && before.tied() && before.pitch().equals(note.pitch());
            if (!held) {
                note.pitch().ifPresent(struck::add);
            }
            before = note;
        }
        return struck;
    }
}
