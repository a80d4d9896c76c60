package vividroster.server.lines;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import vividroster.core.instrument.FingeringChart;
import vividroster.core.instrument.HomeOctave;
import vividroster.core.instrument.Instrument;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.instrument.Range;
import vividroster.core.instrument.Ranges;
import vividroster.core.instrument.StringChart;
import vividroster.core.instrument.StringPlace;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Part;
import vividroster.core.music.Score;
import vividroster.core.reading.Fitted;
import vividroster.core.reading.Fitted.Compass;
import vividroster.core.reading.OwnVoice;
import vividroster.core.reading.Strokes;
import vividroster.core.reading.TimedView;
import vividroster.core.reading.Vocabulary;
import vividroster.core.reading.Vocabulary.Sign;
import vividroster.core.rehearsal.Reading;
import vividroster.core.rehearsal.Reading.Figures;
import vividroster.core.rehearsal.Reading.Reader;
import vividroster.formats.catalog.FingeringFile;
import vividroster.formats.catalog.FingeringFile.Charts;
import vividroster.formats.catalog.RangeFile;

/** The instruments of the catalog as readers of lines. */
@Component
class Readers {

    private static final Range ANY_PLACE = Range.parse("C0-B9");

    private final InstrumentCatalog catalog;
    private final Map<InstrumentCode, Ranges> ranges = RangeFile.shipped();
    private final Map<InstrumentCode, Charts> charts = FingeringFile.charts();

    Readers(InstrumentCatalog catalog) {
        this.catalog = catalog;
    }

    enum Stage {
        BEGINNER(Figures.BEGINNER),
        FIRST_YEAR(Figures.FIRST_YEAR),
        FULL(Figures.FULL);

        private final Figures figures;

        Stage(Figures figures) {
            this.figures = figures;
        }
    }

    /** All, in score order. */
    List<Instrument> all() {
        return catalog.inScoreOrder();
    }

    /** Those that read pitches, in score order. */
    List<Instrument> pitched() {
        return catalog.inScoreOrder().stream().filter(Instrument::pitched).toList();
    }

    Instrument withCode(InstrumentCode code) {
        return catalog.withCode(code);
    }

    /** As the programme's instruments are built. */
    FingeringChart chart(Instrument instrument, Conventions conventions) {
        Charts all = charts.get(instrument.code());
        return all.byChoice().getOrDefault(conventions.builds().of(instrument.code()), all.usual());
    }

    Range range(Instrument instrument, Stage stage) {
        Ranges of = ranges.get(instrument.code());
        return switch (stage) {
            case BEGINNER -> of.beginner();
            case FIRST_YEAR -> of.firstYear();
            case FULL -> of.full();
        };
    }

    /**
     * What an instrument plays: its own voice, or everybody's; of that unpitched percussion has the rhythm.
     *
     * @param met what the section has met so far; empty where that is not known
     */
    Part part(Score score, Instrument instrument, Conventions conventions, Optional<Vocabulary> met) {
        Part part = OwnVoice.read(score, instrument.code(), conventions.builds().lowHorn());
        return instrument.pitched() || OwnVoice.has(score, instrument.code())
                ? part
                : Strokes.of(
                        TimedView.of(part, conventions.timing()),
                        met.map(m -> m.knows(Sign.TREMOLO)).orElse(false));
    }

    /** A voice written for the instrument stands where it belongs. */
    private HomeOctave home(Score score, Part part, Instrument instrument, Conventions conventions) {
        boolean own = OwnVoice.has(score, instrument.code()) && part == score.partOf(instrument.code());
        return own
                ? HomeOctave.AS_WRITTEN
                : ranges.get(instrument.code()).home().up(conventions.builds().octavesUp(instrument.code()));
    }

    /** @param met what the section has met so far; empty where that is not known */
    Fitted fitted(Score score, Instrument instrument, Stage stage, Conventions conventions, Optional<Vocabulary> met) {
        Part part = part(score, instrument, conventions, met);
        return Fitted.of(
                TimedView.of(part, conventions.timing()),
                instrument.transposition(),
                home(score, part, instrument, conventions),
                compass(instrument, stage),
                conventions.spelling());
    }

    private Compass compass(Instrument instrument, Stage stage) {
        Range full = range(instrument, Stage.FULL);
        // A place on the staff is no pitch that could be out of reach.
        return instrument.pitched() ? new Compass(range(instrument, stage), full) : Compass.of(ANY_PLACE);
    }

    /** @param met what the section has met so far; empty where that is not known */
    Reading read(Score score, Instrument instrument, Stage stage, Conventions conventions, Optional<Vocabulary> met) {
        return read(score, instrument, stage, conventions, met, Optional.empty());
    }

    /** The same by a hand that stays in a place where it can. @param place on a string instrument; empty for none */
    Reading read(
            Score score,
            Instrument instrument,
            Stage stage,
            Conventions conventions,
            Optional<Vocabulary> met,
            Optional<StringPlace> place) {
        Part part = part(score, instrument, conventions, met);
        return read(TimedView.of(part, conventions.timing()), score, instrument, stage, conventions, met, place);
    }

    private FingeringChart chart(Instrument instrument, Conventions conventions, Optional<StringPlace> place) {
        FingeringChart chart = chart(instrument, conventions);
        return chart instanceof StringChart ? place.map(p -> p.on(chart)).orElse(chart) : chart;
    }

    /** The same of a part whose time was told before. @param sounding {@link #part} at concert pitch */
    Reading read(
            TimedView sounding,
            Score score,
            Instrument instrument,
            Stage stage,
            Conventions conventions,
            Optional<Vocabulary> met) {
        return read(sounding, score, instrument, stage, conventions, met, Optional.empty());
    }

    private Reading read(
            TimedView sounding,
            Score score,
            Instrument instrument,
            Stage stage,
            Conventions conventions,
            Optional<Vocabulary> met,
            Optional<StringPlace> place) {
        Reader reader = new Reader(
                instrument.transposition(),
                home(score, sounding.part(), instrument, conventions),
                compass(instrument, stage),
                stage.figures,
                chart(instrument, conventions, place),
                conventions.fourth(),
                conventions.spelling(),
                instrument.pitched() ? met : met.map(m -> m.plusPitchesOf(sounding.part())));
        return Reading.of(sounding, reader);
    }

    /** What a section has met of a page. */
    Vocabulary vocabulary(Score score, Instrument instrument, Stage stage, Conventions conventions) {
        return Vocabulary.of(TimedView.of(
                fitted(score, instrument, stage, conventions, Optional.empty()).part(), conventions.timing()));
    }
}
