package vividroster.server.lines;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;
import vividroster.core.instrument.FingeringChart;
import vividroster.core.instrument.Instrument;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.instrument.Range;
import vividroster.core.instrument.Ranges;
import vividroster.core.music.Score;
import vividroster.core.reading.Fitted;
import vividroster.core.reading.TimedView;
import vividroster.core.reading.Vocabulary;
import vividroster.core.rehearsal.Reading;
import vividroster.core.rehearsal.Reading.Reader;
import vividroster.formats.catalog.FingeringFile;
import vividroster.formats.catalog.RangeFile;
import vividroster.server.platform.Problem;

/** The instruments of the catalog as readers of lines. */
@Component
class Readers {

    private final InstrumentCatalog catalog;
    private final Map<String, Ranges> ranges = RangeFile.shipped();
    private final Map<String, FingeringChart> charts = FingeringFile.shipped();

    Readers(InstrumentCatalog catalog) {
        this.catalog = catalog;
    }

    enum Stage {
        BEGINNER,
        FIRST_YEAR,
        FULL
    }

    /** Those that read pitches, in score order. */
    List<Instrument> pitched() {
        return catalog.inScoreOrder().stream().filter(Instrument::pitched).toList();
    }

    /** @throws Problem when the catalog has no such instrument */
    Instrument withCode(String code) {
        if (code == null || !catalog.has(code)) {
            throw Problem.input("instrument", "\"" + code + "\" is not an instrument of the catalog.");
        }
        return catalog.withCode(code);
    }

    FingeringChart chart(Instrument instrument) {
        return charts.get(instrument.code());
    }

    Range range(Instrument instrument, Stage stage) {
        Ranges of = ranges.get(instrument.code());
        return switch (stage) {
            case BEGINNER -> of.beginner();
            case FIRST_YEAR -> of.firstYear();
            case FULL -> of.full();
        };
    }

    Fitted fitted(Score score, Instrument instrument, Stage stage, Conventions conventions) {
        return Fitted.of(
                score.partOf(instrument.code()),
                instrument.transposition(),
                range(instrument, stage),
                conventions.spelling());
    }

    /** @param met what the section has met so far; empty where that is not known */
    Reading read(Score score, Instrument instrument, Stage stage, Conventions conventions, Optional<Vocabulary> met) {
        return read(
                TimedView.of(score.partOf(instrument.code()), conventions.timing()),
                instrument,
                stage,
                conventions,
                met);
    }

    /** The same of a part whose time was told before. @param sounding at concert pitch */
    Reading read(
            TimedView sounding, Instrument instrument, Stage stage, Conventions conventions, Optional<Vocabulary> met) {
        Reader reader = new Reader(
                instrument.transposition(),
                range(instrument, stage),
                chart(instrument),
                conventions.fourth(),
                conventions.spelling(),
                met);
        return Reading.of(sounding, reader);
    }

    /** What a section has met of a page. */
    Vocabulary vocabulary(Score score, Instrument instrument, Stage stage, Conventions conventions) {
        return Vocabulary.of(
                TimedView.of(fitted(score, instrument, stage, conventions).part(), conventions.timing()));
    }
}
