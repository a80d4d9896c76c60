package vividroster.server.lines;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.instrument.Instrument;
import vividroster.core.music.Bpm;
import vividroster.core.music.Score;
import vividroster.core.reading.Numbering;
import vividroster.core.rehearsal.Ladder;
import vividroster.core.rehearsal.Ladder.Group;
import vividroster.core.rehearsal.Ladder.Habit;
import vividroster.core.rehearsal.Ladder.Step;
import vividroster.core.rehearsal.Reading;
import vividroster.server.lines.LineReadings.Context;
import vividroster.server.lines.Readers.Stage;
import vividroster.server.lines.Tracks.ClassTrack;
import vividroster.server.platform.Absent;
import vividroster.server.platform.Problem;

/** How a section rehearses a line: proposed in the minutes there are, or as the director put it and kept. */
@Service
class PracticeLadders {

    private static final int MOST_STEPS = 60;
    private static final int LONGEST_NOTE = 200;

    private final LadderQueries queries;
    private final Readers readers;

    PracticeLadders(LadderQueries queries, Readers readers) {
        this.queries = queries;
        this.readers = readers;
    }

    /** Notes of the measure by index, both ends included. */
    record GroupView(int from, int to) {}

    /**
     * @param from measures by index in the line, both ends included
     * @param what for example "Measure 5 alone, 3 times"
     * @param note the director's own word, may be empty
     */
    record LadderStepView(
            Ladder.Kind kind,
            int from,
            int to,
            String what,
            double tempoBpm,
            int repetitions,
            List<GroupView> groups,
            int seconds,
            String note) {}

    /** @param kept whether it is the director's own and not a proposal */
    record LadderView(
            boolean kept,
            double minutes,
            Habit habit,
            List<LadderStepView> steps,
            List<LadderStepView> dropped,
            int seconds) {}

    /** A step as it is sent. */
    record LadderStepDraft(
            Ladder.Kind kind,
            int from,
            int to,
            double tempoBpm,
            int repetitions,
            @Absent List<GroupView> groups,
            @Absent String note) {}

    record LadderDraft(double minutes, Habit habit, List<LadderStepDraft> steps) {}

    /** @param habit the programme's when null */
    LadderView propose(
            Score score,
            String code,
            Stage stage,
            Conventions conventions,
            ClassTrack track,
            Habit habit,
            double minutes) {
        Instrument instrument = readers.withCode(code);
        Reading reading = read(score, instrument, stage, conventions, track);
        Habit chosen = habit == null ? conventions.habit() : habit;
        Ladder.Line line = line(reading, conventions);
        try {
            Ladder ladder = Ladder.of(line, reading.hotSpots(), chosen, conventions.grouping(), minutes);
            return view(
                    false, minutes, chosen, ladder, reading, instrument.pitched(), conventions.numbering(), List.of());
        } catch (IllegalArgumentException e) {
            throw Problem.input("minutes", "Give between a fraction of a minute and 120 minutes.");
        }
    }

    /** The kept one of an instrument; empty where the director kept none. */
    @Transactional(readOnly = true)
    Optional<LadderView> kept(UUID programId, UUID lineId, Score score, String code, Context context) {
        return queries.find(programId, lineId, code).map(draft -> timed(score, code, context, draft));
    }

    /** Keeps steps as the director put them. @return the same, timed */
    @Transactional
    LadderView keep(
            UUID programId, UUID accountId, UUID lineId, Score score, String code, Context context, LadderDraft draft) {
        if (draft.steps() == null || draft.steps().isEmpty() || draft.steps().size() > MOST_STEPS) {
            throw Problem.input("steps", "A ladder has 1 to " + MOST_STEPS + " steps.");
        }
        if (draft.habit() == null || draft.minutes() <= 0 || draft.minutes() > 120) {
            throw Problem.input("minutes", "Give a habit, and between a fraction of a minute and 120 minutes.");
        }
        for (LadderStepDraft step : draft.steps()) {
            if (step.kind() == null || (step.note() != null && step.note().length() > LONGEST_NOTE)) {
                throw Problem.input(
                        "steps", "Every step has a kind, and a note of at most " + LONGEST_NOTE + " characters.");
            }
        }
        LadderView timed = timed(score, code, context, draft);
        queries.put(programId, lineId, code, draft, accountId);
        return timed;
    }

    @Transactional
    void forget(UUID programId, UUID lineId, String code) {
        queries.delete(programId, lineId, code);
    }

    private LadderView timed(Score score, String code, Context context, LadderDraft draft) {
        Conventions conventions = context.conventions();
        Instrument instrument = readers.withCode(code);
        Reading reading = read(score, instrument, context.stage(), conventions, context.track());
        Ladder.Line line = line(reading, conventions);
        try {
            List<Step> steps = draft.steps().stream()
                    .map(s -> new Step(
                            s.kind(),
                            s.from(),
                            s.to(),
                            new Bpm(s.tempoBpm()),
                            s.repetitions(),
                            s.groups() == null
                                    ? List.of()
                                    : s.groups().stream()
                                            .map(g -> new Group(g.from(), g.to()))
                                            .toList(),
                            0,
                            0))
                    .toList();
            Ladder ladder = Ladder.ofSteps(line, steps);
            return view(
                    true,
                    draft.minutes(),
                    draft.habit(),
                    ladder,
                    reading,
                    instrument.pitched(),
                    conventions.numbering(),
                    draft.steps().stream()
                            .map(s -> s.note() == null ? "" : s.note())
                            .toList());
        } catch (IllegalArgumentException e) {
            throw Problem.input("steps", "One of the steps cannot be: " + e.getMessage() + ".");
        }
    }

    private Reading read(Score score, Instrument instrument, Stage stage, Conventions conventions, ClassTrack track) {
        return readers.read(score, instrument, stage, conventions, track.of(instrument.code()));
    }

    private static Ladder.Line line(Reading reading, Conventions conventions) {
        reading.view().fault().ifPresent(fault -> {
            throw Problem.input("lineId", RoadmapWording.sentence(fault, reading.written(), conventions.numbering()));
        });
        return Ladder.Line.of(reading.view());
    }

    private static LadderView view(
            boolean kept,
            double minutes,
            Habit habit,
            Ladder ladder,
            Reading reading,
            boolean pitched,
            Numbering numbering,
            List<String> notes) {
        return new LadderView(
                kept,
                minutes,
                habit,
                IntStream.range(0, ladder.steps().size())
                        .mapToObj(i -> step(
                                ladder.steps().get(i),
                                reading,
                                pitched,
                                numbering,
                                i < notes.size() ? notes.get(i) : ""))
                        .toList(),
                ladder.dropped().stream()
                        .map(s -> step(s, reading, pitched, numbering, ""))
                        .toList(),
                (int) Math.round(ladder.seconds()));
    }

    private static LadderStepView step(Step step, Reading reading, boolean pitched, Numbering numbering, String note) {
        return new LadderStepView(
                step.kind(),
                step.from(),
                step.to(),
                LadderWording.words(step, reading, pitched, numbering),
                step.tempo().value(),
                step.repetitions(),
                step.groups().stream().map(g -> new GroupView(g.from(), g.to())).toList(),
                (int) Math.round(step.seconds()),
                note);
    }
}
