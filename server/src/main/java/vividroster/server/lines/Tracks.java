package vividroster.server.lines;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.LocalDate;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.instrument.Instrument;
import vividroster.core.instrument.Range;
import vividroster.core.music.Beats;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Measure;
import vividroster.core.music.Note;
import vividroster.core.music.Part;
import vividroster.core.music.Pitch;
import vividroster.core.music.Score;
import vividroster.core.music.Spelling;
import vividroster.core.reading.Vocabulary;
import vividroster.core.roster.Seat;
import vividroster.core.season.MilestoneOrder;
import vividroster.core.season.Track;
import vividroster.core.season.Track.Met;
import vividroster.server.checks.Checks;
import vividroster.server.library.Library;
import vividroster.server.library.LineDetails;
import vividroster.server.library.LineFacts;
import vividroster.server.lines.Conventions.Builds;
import vividroster.server.lines.LineNotations.Source;
import vividroster.server.lines.LinePages.Asked;
import vividroster.server.lines.Readers.Stage;
import vividroster.server.office.Office;
import vividroster.server.orders.Orders;
import vividroster.server.roster.ClassShape;
import vividroster.server.roster.Rosters;

/** What the sections of a class have met so far: the lines ordered to each of them. */
@Service
class Tracks {

    private static final int REMEMBERED = 12_000;
    /** Key of the starter check that teaches it. */
    private static final String FIRST_ROLL = "rolls-start";

    private record Page(Source source, InstrumentCode instrument, Stage stage, Spelling spelling, Builds builds) {}

    private final Orders orders;
    private final Rosters rosters;
    private final Office office;
    private final Library library;
    private final LineNotations notations;
    private final Readers readers;
    private final Checks checks;
    private final Cache<Page, Asked> pages =
            Caffeine.newBuilder().maximumSize(REMEMBERED).build();

    Tracks(
            Orders orders,
            Rosters rosters,
            Office office,
            Library library,
            LineNotations notations,
            Readers readers,
            Checks checks) {
        this.checks = checks;
        this.orders = orders;
        this.rosters = rosters;
        this.office = office;
        this.library = library;
        this.notations = notations;
        this.readers = readers;
    }

    /**
     * @param instruments of the class today
     * @param met by each of them before the line was first ordered to it; up to today where it was not
     */
    record ClassTrack(Set<InstrumentCode> instruments, Map<InstrumentCode, Vocabulary> met) {
        static final ClassTrack UNKNOWN = new ClassTrack(Set.of(), Map.of());

        Optional<Vocabulary> of(InstrumentCode instrument) {
            return Optional.ofNullable(met.get(instrument));
        }
    }

    /** @param lineId null for all that is met up to today */
    @Transactional(readOnly = true)
    ClassTrack of(UUID programId, UUID classId, UUID lineId, Stage stage, Conventions conventions) {
        return ofEach(programId, classId, Collections.singletonList(lineId), stage, conventions)
                .get(lineId);
    }

    /** The same for several lines, read once. @return by line */
    @Transactional(readOnly = true)
    Map<UUID, ClassTrack> ofEach(
            UUID programId, UUID classId, Collection<UUID> lineIds, Stage stage, Conventions conventions) {
        Set<InstrumentCode> instruments = instruments(programId, classId);
        LocalDate today = office.today(programId);
        List<MilestoneOrder> set = orders.ever(programId, List.of(classId));
        Set<UUID> ids = set.stream().map(MilestoneOrder::milestoneId).collect(Collectors.toSet());
        Map<UUID, Source> sources = notations.sources(programId, ids);
        Map<UUID, LineFacts> facts = library.lines(programId, ids);
        Map<UUID, Integer> shelf = new HashMap<>();
        library.milestones(programId, ids).forEach(m -> shelf.put(m.id(), shelf.size()));
        boolean unpitched =
                instruments.stream().anyMatch(code -> !readers.withCode(code).pitched());
        Set<UUID> roll = unpitched ? checks.ofStarter(programId, FIRST_ROLL) : Set.of();
        Map<UUID, ClassTrack> tracks = new HashMap<>();
        for (UUID lineId : lineIds) {
            Map<InstrumentCode, Vocabulary> met = new HashMap<>();
            for (InstrumentCode code : instruments) {
                Instrument instrument = readers.withCode(code);
                Vocabulary own =
                        met(lineId, instrument, classId, today, set, shelf, sources, facts, stage, conventions);
                met.put(
                        code,
                        !instrument.pitched() && rolls(roll, lineId, today, asked(set, classId, instrument))
                                ? own.plus(Vocabulary.Sign.TREMOLO)
                                : own);
            }
            tracks.put(lineId, new ClassTrack(instruments, met));
        }
        return tracks;
    }

    /**
     * Beginners' classes stay in the first weeks' notes; an ensemble has the first year's.
     *
     * @param classId null where no class is asked for; then it is the first year's
     */
    @Transactional(readOnly = true)
    Stage stage(UUID programId, UUID classId) {
        return classId == null || rosters.schoolClass(programId, classId).shape() == ClassShape.FULL_ENSEMBLE
                ? Stage.FIRST_YEAR
                : Stage.BEGINNER;
    }

    /** Codes of the instruments a class has today. */
    @Transactional(readOnly = true)
    Set<InstrumentCode> instruments(UUID programId, UUID classId) {
        rosters.schoolClass(programId, classId);
        return rosters.seatsOn(programId, office.today(programId)).stream()
                .filter(seat -> seat.classId().equals(classId))
                .map(Seat::instrument)
                .collect(Collectors.toCollection(LinkedHashSet::new));
    }

    private Vocabulary met(
            UUID lineId,
            Instrument instrument,
            UUID classId,
            LocalDate today,
            Collection<MilestoneOrder> set,
            Map<UUID, Integer> shelf,
            Map<UUID, Source> sources,
            Map<UUID, LineFacts> facts,
            Stage stage,
            Conventions conventions) {
        List<MilestoneOrder> own = asked(set, classId, instrument);
        Track track = Track.of(own.stream()
                .map(order -> new Met(
                        order.milestoneId(), order.setOn(), shelf.getOrDefault(order.milestoneId(), Integer.MAX_VALUE)))
                .toList());
        Vocabulary met = Vocabulary.NOTHING;
        for (UUID before : track.before(lineId, today)) {
            Source source = sources.get(before);
            LineFacts known = facts.get(before);
            if (known != null) {
                met = met.plus(
                        asked(source, known, instrument, stage, conventions).vocabulary());
            }
        }
        return met;
    }

    /**
     * What the pages of lines ask of each instrument, new or not.
     *
     * @return by line, then by instrument; of a line that cannot be read, nothing
     */
    @Transactional(readOnly = true)
    Map<UUID, Map<InstrumentCode, Asked>> pages(
            UUID programId,
            Collection<UUID> lineIds,
            Collection<InstrumentCode> instruments,
            Stage stage,
            Conventions conventions) {
        Map<UUID, Source> sources = notations.sources(programId, lineIds);
        Map<UUID, Map<InstrumentCode, Asked>> pages = new HashMap<>();
        library.lines(programId, lineIds).forEach((lineId, facts) -> {
            Map<InstrumentCode, Asked> own = new HashMap<>();
            for (InstrumentCode code : instruments) {
                own.put(code, asked(sources.get(lineId), facts, readers.withCode(code), stage, conventions));
            }
            pages.put(lineId, own);
        });
        return pages;
    }

    /** What players of an ensemble know before its first line: the notes of the first weeks. Beginners know nothing. */
    @Transactional(readOnly = true)
    Map<InstrumentCode, Set<Vocabulary.Thing>> known(
            UUID programId, UUID classId, Collection<InstrumentCode> instruments) {
        Map<InstrumentCode, Set<Vocabulary.Thing>> known = new HashMap<>();
        if (stage(programId, classId) == Stage.FIRST_YEAR) {
            for (InstrumentCode code : instruments) {
                Range range = readers.range(readers.withCode(code), Stage.BEGINNER);
                known.put(
                        code,
                        IntStream.rangeClosed(range.low().midi(), range.high().midi())
                                .mapToObj(Vocabulary.NewNote::new)
                                .collect(Collectors.toSet()));
            }
        }
        return known;
    }

    private Asked asked(Source source, LineFacts facts, Instrument instrument, Stage stage, Conventions conventions) {
        return source == null
                ? facts(facts, instrument, stage, conventions)
                : page(source, instrument, stage, conventions);
    }

    private static List<MilestoneOrder> asked(Collection<MilestoneOrder> set, UUID classId, Instrument instrument) {
        return set.stream()
                .filter(order -> order.scopes().stream().anyMatch(scope -> scope.asks(classId, instrument)))
                .toList();
    }

    /** Whether the check that teaches the first roll was set for the section before the line was. */
    private static boolean rolls(Set<UUID> taught, UUID lineId, LocalDate today, Collection<MilestoneOrder> set) {
        LocalDate line = Optional.ofNullable(lineId)
                .flatMap(id -> firstSet(set, Set.of(id)))
                .orElse(today.plusDays(1));
        return firstSet(set, taught).filter(roll -> roll.isBefore(line)).isPresent();
    }

    private static Optional<LocalDate> firstSet(Collection<MilestoneOrder> set, Set<UUID> milestones) {
        return set.stream()
                .filter(order -> milestones.contains(order.milestoneId()))
                .map(MilestoneOrder::setOn)
                .min(Comparator.naturalOrder());
    }

    /** A line known by facts alone: its notes in the octave that fits. */
    private Asked facts(LineFacts line, Instrument instrument, Stage stage, Conventions conventions) {
        LineDetails details = line.details();
        List<Note> notes =
                details.notesUsed().stream().map(p -> Note.of(p, Beats.of(1))).toList();
        List<Measure> measures = List.of(Measure.of(1, notes.isEmpty() ? List.of(Note.rest(Beats.of(1))) : notes));
        Part written = readers.fitted(
                        new Score("", new Part(line.concertKey(), line.meter(), Optional.empty(), measures)),
                        instrument,
                        stage,
                        conventions,
                        Optional.empty())
                .part();
        return asked(
                instrument,
                Vocabulary.ofFacts(
                        written.pitches(),
                        details.valuesIntroduced(),
                        details.signsIntroduced(),
                        written.key(),
                        line.meter()),
                written);
    }

    /** A place on the staff of unpitched percussion is no note to be met. */
    private static Asked asked(Instrument instrument, Vocabulary vocabulary, Part written) {
        Map<Integer, String> names = new HashMap<>();
        List<Pitch> pitches = instrument.pitched() ? List.copyOf(written.pitches()) : List.of();
        pitches.forEach(pitch -> names.putIfAbsent(pitch.midi(), pitch.name()));
        return new Asked(vocabulary, names);
    }

    private Asked page(Source source, Instrument instrument, Stage stage, Conventions conventions) {
        return pages.get(
                new Page(source, instrument.code(), stage, conventions.spelling(), conventions.builds()), page -> {
                    return notations
                            .readable(source)
                            .map(score -> asked(
                                    instrument,
                                    readers.vocabulary(score, instrument, stage, conventions),
                                    readers.fitted(score, instrument, stage, conventions, Optional.empty())
                                            .part()))
                            .orElse(Asked.NOTHING);
                });
    }
}
