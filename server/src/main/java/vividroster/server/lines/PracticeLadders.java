package vividroster.server.lines;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.instrument.Instrument;
import vividroster.core.music.Bpm;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Part;
import vividroster.core.music.Score;
import vividroster.core.reading.Numbering;
import vividroster.core.rehearsal.Ladder;
import vividroster.core.rehearsal.Ladder.Group;
import vividroster.core.rehearsal.Ladder.Habit;
import vividroster.core.rehearsal.Ladder.Step;
import vividroster.core.rehearsal.PassageLadder;
import vividroster.core.rehearsal.Reading;
import vividroster.core.rehearsal.ThemedLadder;
import vividroster.core.rehearsal.Themes;
import vividroster.core.rehearsal.Themes.Theme;
import vividroster.core.text.Lengths;
import vividroster.server.lines.LineReadings.Context;
import vividroster.server.lines.Readers.Stage;
import vividroster.server.lines.Tracks.ClassTrack;
import vividroster.server.platform.Absent;
import vividroster.server.platform.Locks;
import vividroster.server.platform.Problem;

/** How a section rehearses a line: proposed in the minutes there are, or as the director put it and kept. */
@Service
class PracticeLadders {

    private static final int MOST_STEPS = 60;
    private static final int LONGEST_NOTE = Lengths.LINE;

    private final Locks locks;
    private final LadderQueries queries;
    private final Readers readers;

    PracticeLadders(LadderQueries queries, Readers readers, Locks locks) {
        this.locks = locks;
        this.queries = queries;
        this.readers = readers;
    }

    /** Notes of the measure by index, both ends included. */
    record GroupView(int from, int to) {}

    /**
     * @param from measures by index in the line, both ends included
     * @param what for example "Measure 5 alone, 3 times"
     * @param bows to every note in one run after another; of a shift alone
     * @param listenFor what to listen for; absent where there is nothing of its own
     * @param tempos it is taken through, clean goes one on and again one back; none of a silent step
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
            List<Integer> bows,
            @Absent String listenFor,
            List<Double> tempos,
            int seconds,
            String note) {}

    /**
     * @param kept whether it is the director's own and not a proposal
     * @param theme it follows; absent where it follows the spots
     * @param nothingOfIt said where the line has nothing of the theme
     */
    record LadderView(
            boolean kept,
            double minutes,
            Habit habit,
            @Absent Theme theme,
            @Absent String nothingOfIt,
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
            @Absent List<Integer> bows,
            @Absent String note) {}

    record LadderDraft(double minutes, Habit habit, List<LadderStepDraft> steps) {}

    /**
     * What a director asks for.
     *
     * @param habit the programme's when null
     * @param theme null where the spots are followed
     * @param groupSize null for the usual
     * @param passage the measures it is for; null for the whole line
     */
    record Asked(Habit habit, Theme theme, Integer groupSize, double minutes, Passage passage) {}

    /** @param from and {@code to}, both included, as measures are numbered */
    record Passage(int from, int to) {

        /** @return both ends by index in the part, the earlier on the page first @throws Problem where there is none */
        int[] within(Part part, Numbering numbering) {
            int first = Math.min(from, to);
            int last = Math.max(from, to);
            int[] found = IntStream.range(0, part.measures().size())
                    .filter(i -> numbering.of(part, i) >= first && numbering.of(part, i) <= last)
                    .toArray();
            if (found.length == 0) {
                throw Problem.input("from", "The line has no measures " + first + " to " + last + ".");
            }
            return new int[] {found[0], found[found.length - 1]};
        }
    }

    LadderView propose(Score score, InstrumentCode code, Context context, Asked asked) {
        Conventions conventions = context.conventions();
        Instrument instrument = readers.withCode(code);
        Reading reading = read(score, instrument, context.stage(), conventions, context.track());
        Habit habit = asked.habit() == null ? conventions.habit() : asked.habit();
        int size = asked.groupSize() == null ? Ladder.Wish.USUAL_GROUP : asked.groupSize();
        if (size < 2 || size > 8) {
            throw Problem.input("groupSize", "A group has 2 to 8 notes.");
        }
        Ladder.Line line = line(reading, conventions);
        Shown shown = new Shown(line, reading, instrument.pitched(), conventions.numbering());
        try {
            if (asked.theme() != null) {
                List<Themes.Stretch> stretches = Themes.of(asked.theme(), reading, conventions.grouping());
                Ladder themed = ThemedLadder.of(line, asked.theme(), stretches, asked.minutes());
                String nothing = stretches.isEmpty() ? LadderWording.nothingOf(asked.theme()) : null;
                return view(false, asked.minutes(), habit, asked.theme(), nothing, themed, shown, List.of());
            }
            Ladder.Wish wish = new Ladder.Wish(habit, conventions.grouping(), size);
            int[] ends = asked.passage() == null ? null : asked.passage().within(line.part(), conventions.numbering());
            Ladder ladder = ends == null
                    ? Ladder.of(line, reading.hotSpots(), wish, asked.minutes())
                    : PassageLadder.of(line, reading.hotSpots(), wish, ends[0], ends[1], asked.minutes());
            return view(false, asked.minutes(), habit, null, null, ladder, shown, List.of());
        } catch (IllegalArgumentException e) {
            throw Problem.input("minutes", "Give between a fraction of a minute and 120 minutes.");
        }
    }

    /** The kept one of an instrument; empty where the director kept none. */
    @Transactional(readOnly = true)
    Optional<LadderView> kept(UUID programId, UUID lineId, Score score, InstrumentCode code, Context context) {
        return queries.find(programId, lineId, code).map(draft -> timed(score, code, context, draft));
    }

    /** Keeps steps as the director put them. @return the same, timed */
    @Transactional
    LadderView keep(
            UUID programId,
            UUID accountId,
            UUID lineId,
            Score score,
            InstrumentCode code,
            Context context,
            LadderDraft draft) {
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
        locks.hold(programId, "ladder " + lineId + " " + code);
        queries.put(programId, lineId, code, draft, accountId);
        return timed;
    }

    @Transactional
    void forget(UUID programId, UUID lineId, InstrumentCode code) {
        queries.delete(programId, lineId, code);
    }

    private LadderView timed(Score score, InstrumentCode code, Context context, LadderDraft draft) {
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
                            s.bows() == null ? List.of() : s.bows(),
                            Optional.empty(),
                            0,
                            0))
                    .toList();
            Ladder ladder = Ladder.ofSteps(line, steps);
            return view(
                    true,
                    draft.minutes(),
                    draft.habit(),
                    null,
                    null,
                    ladder,
                    new Shown(line, reading, instrument.pitched(), conventions.numbering()),
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

    /** What its steps are told of. */
    private record Shown(Ladder.Line line, Reading reading, boolean pitched, Numbering numbering) {

        LadderStepView step(Step step, String note) {
            return new LadderStepView(
                    step.kind(),
                    step.from(),
                    step.to(),
                    LadderWording.words(step, reading, pitched, numbering),
                    step.tempo().value(),
                    step.repetitions(),
                    step.groups().stream()
                            .map(g -> new GroupView(g.from(), g.to()))
                            .toList(),
                    step.bows(),
                    step.listen().map(LadderWording::listenFor).orElse(null),
                    Ladder.tempos(line, step).stream().map(Bpm::value).toList(),
                    (int) Math.round(step.seconds()),
                    note);
        }
    }

    private static LadderView view(
            boolean kept,
            double minutes,
            Habit habit,
            Theme theme,
            String nothingOfIt,
            Ladder ladder,
            Shown shown,
            List<String> notes) {
        return new LadderView(
                kept,
                minutes,
                habit,
                theme,
                nothingOfIt,
                IntStream.range(0, ladder.steps().size())
                        .mapToObj(i -> shown.step(ladder.steps().get(i), i < notes.size() ? notes.get(i) : ""))
                        .toList(),
                ladder.dropped().stream().map(s -> shown.step(s, "")).toList(),
                (int) Math.round(ladder.seconds()));
    }
}
