package vividroster.server.lines;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.instrument.FingeringChart;
import vividroster.core.instrument.Instrument;
import vividroster.core.instrument.StringChart;
import vividroster.core.instrument.StringPlace;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Pitch;
import vividroster.core.music.Score;
import vividroster.core.reading.Roadmap;
import vividroster.core.reading.TimedView;
import vividroster.core.reading.Vocabulary;
import vividroster.core.rehearsal.Reading;
import vividroster.server.lines.LineNotations.Source;
import vividroster.server.lines.LineReadings.Context;
import vividroster.server.lines.LineViews.NewView;
import vividroster.server.lines.LineViews.RemarkView;
import vividroster.server.lines.LineViews.SectionReadingView;
import vividroster.server.lines.Readers.Stage;

/** What a director tells a section of a line in a breath: its key, what is new, what misleads, how it comes in. */
@Service
public class LineBriefs {

    /** More than a section keeps in mind. */
    private static final int MOST = 3;

    private static final int REMEMBERED = 2_000;

    /**
     * @param key as the section writes it; empty for unpitched percussion
     * @param news with fingerings
     * @param traps sentences
     * @param comingIn the note it begins with and its fingering; empty where the line has none
     * @param tip and trouble in the director's words; empty where nothing is said
     * @param pitches written, of the page of a string player; empty for others and where facts alone are known
     */
    public record Brief(
            String key,
            List<String> news,
            List<String> traps,
            String comingIn,
            String tip,
            String trouble,
            List<Pitch> pitches,
            FingeringChart chart) {

        /**
         * What each finger of a string player meets in a place: the note, and the tape or the neighbour it finds it by.
         *
         * @param place as the director says it, for example "A string, third position"
         * @return empty where it is no place on strings, or the line is known by facts alone
         */
        public List<String> fingersIn(String place) {
            return chart instanceof StringChart strings
                    ? StringPlace.read(place)
                            .map(where -> PlaceWording.of(where.fingers(strings, pitches)))
                            .orElse(List.of())
                    : List.of();
        }
    }

    /** @param roadmap the measures in the order played, where it is not as printed; empty else */
    public record Briefs(Map<InstrumentCode, Brief> bySection, String roadmap) {}

    private record Page(
            Source source, InstrumentCode instrument, Stage stage, Conventions conventions, Optional<Vocabulary> met) {}

    private final LineNotations notations;
    private final Contexts contexts;
    private final Readers readers;
    private final LineRemarks remarks;
    private final Cache<Page, SectionReadingView> read =
            Caffeine.newBuilder().maximumSize(REMEMBERED).build();

    LineBriefs(LineNotations notations, Contexts contexts, Readers readers, LineRemarks remarks) {
        this.notations = notations;
        this.contexts = contexts;
        this.readers = readers;
        this.remarks = remarks;
    }

    /** By line; lines of which only facts are kept say nothing but what the director said of them. */
    @Transactional(readOnly = true)
    public Map<UUID, Briefs> of(
            UUID programId, UUID classId, Collection<UUID> lineIds, Collection<InstrumentCode> instruments) {
        Map<UUID, Source> sources = notations.sources(programId, lineIds);
        Map<UUID, List<RemarkView>> said = remarks.all(programId, lineIds);
        Map<UUID, Context> contexts = lineIds.isEmpty() ? Map.of() : this.contexts.ofEach(programId, classId, lineIds);
        Map<UUID, Briefs> briefs = new HashMap<>();
        for (UUID lineId : lineIds) {
            Optional<Score> score = Optional.ofNullable(sources.get(lineId)).flatMap(notations::readable);
            Context context = contexts.get(lineId);
            Map<InstrumentCode, Brief> own = new HashMap<>();
            for (InstrumentCode code : instruments) {
                List<RemarkView> remarked = said.getOrDefault(lineId, List.of()).stream()
                        .filter(r -> r.instrument().equals(code.value())
                                || r.instrument().equals(LineRemarks.ANY))
                        .toList();
                Instrument instrument = readers.withCode(code);
                FingeringChart chart = readers.chart(instrument, context.conventions());
                own.put(
                        code,
                        brief(
                                score.map(s -> reading(s, sources.get(lineId), instrument, context)),
                                remarked,
                                chart instanceof StringChart
                                        ? score.map(s -> pitches(s, instrument, context))
                                                .orElse(List.of())
                                        : List.of(),
                                chart));
            }
            briefs.put(
                    lineId, new Briefs(own, score.map(s -> roadmap(s, context)).orElse("")));
        }
        return briefs;
    }

    private SectionReadingView reading(Score score, Source source, Instrument instrument, Context context) {
        Optional<Vocabulary> met = context.track().of(instrument.code());
        return read.get(new Page(source, instrument.code(), context.stage(), context.conventions(), met), page -> {
            Reading reading = readers.read(score, instrument, context.stage(), context.conventions(), met);
            return SectionReadings.of(
                    instrument, reading, readers.chart(instrument, context.conventions()), context.conventions(), met);
        });
    }

    private List<Pitch> pitches(Score score, Instrument instrument, Context context) {
        return List.copyOf(readers.fitted(
                        score,
                        instrument,
                        context.stage(),
                        context.conventions(),
                        context.track().of(instrument.code()))
                .part()
                .pitches());
    }

    private static Brief brief(
            Optional<SectionReadingView> reading, List<RemarkView> said, List<Pitch> pitches, FingeringChart chart) {
        return new Brief(
                reading.filter(SectionReadingView::pitched)
                        .map(SectionReadingView::writtenKey)
                        .orElse(""),
                reading.map(view -> view.news().stream()
                                .map(NewView::words)
                                .distinct()
                                .toList())
                        .orElse(List.of()),
                reading.map(view -> view.traps().stream()
                                .map(LineViews.TrapView::sentence)
                                .limit(MOST)
                                .toList())
                        .orElse(List.of()),
                reading.flatMap(view -> Optional.ofNullable(view.entry()))
                        .map(in -> in.note() + (in.fingering() == null ? "" : ", " + in.fingering()))
                        .orElse(""),
                words(said, RemarkView::tip),
                words(said, RemarkView::trouble),
                pitches,
                chart);
    }

    private static String words(List<RemarkView> said, Function<RemarkView, String> words) {
        return said.stream().map(words).filter(text -> !text.isBlank()).collect(Collectors.joining(" "));
    }

    /** "1–8, 1–7, 9–16"; empty where the measures are played as they are printed. */
    private static String roadmap(Score score, Context context) {
        TimedView view = TimedView.of(score.sounding(), context.conventions().timing());
        List<Integer> numbers = view.roadmap().map(Roadmap::played).orElse(List.of()).stream()
                .map(played -> context.conventions().numbering().of(view.part(), played.index()))
                .distinct()
                .toList();
        List<Integer> all = view.roadmap().map(Roadmap::played).orElse(List.of()).stream()
                .map(played -> context.conventions().numbering().of(view.part(), played.index()))
                .toList();
        if (all.size() == numbers.size() && inOrder(all)) {
            return "";
        }
        List<String> runs = new ArrayList<>();
        int from = 0;
        for (int i = 1; i <= all.size(); i++) {
            if (i == all.size() || all.get(i) != all.get(i - 1) + 1) {
                runs.add(
                        all.get(from).equals(all.get(i - 1))
                                ? "" + all.get(from)
                                : all.get(from) + "–" + all.get(i - 1));
                from = i;
            }
        }
        return String.join(", ", runs);
    }

    private static boolean inOrder(List<Integer> numbers) {
        for (int i = 1; i < numbers.size(); i++) {
            if (numbers.get(i) < numbers.get(i - 1)) {
                return false;
            }
        }
        return true;
    }
}
