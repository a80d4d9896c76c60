package vividroster.server.lines;

import java.util.Collection;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.music.Bpm;
import vividroster.core.reading.Entry;
import vividroster.core.reading.Numbering;
import vividroster.core.reading.TimedView;
import vividroster.server.library.PlayedMeasures;
import vividroster.server.lines.LineNotations.Source;

/** How long lines take and how many measures are played, told from their notes by the programme's choices. */
@Service
public class LineTimes implements PlayedMeasures {

    private final LineNotations notations;
    private final Conventions.Chosen chosen;

    LineTimes(LineNotations notations, Conventions.Chosen chosen) {
        this.notations = notations;
        this.chosen = chosen;
    }

    @Override
    @Transactional(readOnly = true)
    public Map<UUID, Told> of(UUID programId, Collection<UUID> lineIds) {
        Map<UUID, Source> sources = notations.sources(programId, lineIds);
        Map<UUID, Told> told = new HashMap<>();
        if (sources.isEmpty()) {
            return told;
        }
        Conventions conventions = chosen.of(programId);
        sources.forEach((id, source) -> notations.readable(source).ifPresent(score -> {
            TimedView view = TimedView.of(score.sounding(), conventions.timing());
            Optional<Bpm> unmarked =
                    score.sounding().tempo().isPresent() ? Optional.empty() : Optional.of(view.tempo());
            view.roadmap()
                    .ifPresent(way ->
                            told.put(id, new Told(Math.max(1, Numbering.played(score.sounding(), way)), unmarked)));
        }));
        return told;
    }

    /**
     * A line with its time told as the programme reads it, at concert pitch.
     *
     * @param countInMeasures the programme's, 1 or 2
     */
    public record Timed(TimedView view, Numbering numbering, int countInMeasures) {

        /** Of playing it with the count-in; empty where there is no way through. */
        public Optional<Double> playingSeconds() {
            return view.roadmap().map(way -> view.timeline().seconds() + Entry.countInSeconds(view, countInMeasures));
        }
    }

    /** Lines of which only facts are kept are left out. */
    @Transactional(readOnly = true)
    public Map<UUID, Timed> timed(UUID programId, Collection<UUID> lineIds) {
        Map<UUID, Timed> timed = new HashMap<>();
        Map<UUID, Source> sources = notations.sources(programId, lineIds);
        if (sources.isEmpty()) {
            return timed;
        }
        Conventions conventions = chosen.of(programId);
        sources.forEach((id, source) -> notations
                .readable(source)
                .ifPresent(score -> timed.put(
                        id,
                        new Timed(
                                TimedView.of(score.sounding(), conventions.timing()),
                                conventions.numbering(),
                                conventions.countInMeasures()))));
        return timed;
    }

    /** 1 or 2. */
    @Transactional(readOnly = true)
    public int countInMeasures(UUID programId) {
        return chosen.of(programId).countInMeasures();
    }
}
