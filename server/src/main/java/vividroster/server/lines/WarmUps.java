package vividroster.server.lines;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.instrument.Family;
import vividroster.core.instrument.Instrument;
import vividroster.core.music.Beats;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Key;
import vividroster.core.music.Pitch;
import vividroster.core.music.Score;
import vividroster.core.reading.Vocabulary;
import vividroster.core.rehearsal.HotSpots;
import vividroster.core.rehearsal.Reading;
import vividroster.core.rehearsal.WarmUp;
import vividroster.core.rehearsal.WarmUpMusic;
import vividroster.core.season.MilestoneOrder;
import vividroster.server.checks.Checks;
import vividroster.server.checks.Checks.FirstWords;
import vividroster.server.checks.Demonstrations;
import vividroster.server.checks.Schools;
import vividroster.server.lines.LineNotations.Source;
import vividroster.server.lines.Readers.Stage;
import vividroster.server.lines.Tracks.ClassTrack;
import vividroster.server.lines.WarmUpQueries.KeptPart;
import vividroster.server.orders.Orders;
import vividroster.server.platform.Locks;
import vividroster.server.platform.Problem;
import vividroster.server.roster.Rosters;

/** The warm-up of a class: proposed from the week's lines, or as the director put and kept it. */
@Service
class WarmUps {

    private static final int DAYS = 6;
    private static final int MOST_NEW_NOTES = 4;
    private static final int MOST_RHYTHMS = 2;
    private static final int MOST_PARTS = 12;

    private final Locks locks;
    private final WarmUpQueries queries;
    private final Orders orders;
    private final Rosters rosters;
    private final Checks checks;
    private final Demonstrations demonstrations;
    private final LineNotations notations;
    private final Readers readers;
    private final Tracks tracks;
    private final Conventions.Chosen chosen;

    WarmUps(
            WarmUpQueries queries,
            Orders orders,
            Rosters rosters,
            Checks checks,
            Demonstrations demonstrations,
            LineNotations notations,
            Readers readers,
            Tracks tracks,
            Conventions.Chosen chosen,
            Locks locks) {
        this.locks = locks;
        this.queries = queries;
        this.orders = orders;
        this.rosters = rosters;
        this.checks = checks;
        this.demonstrations = demonstrations;
        this.notations = notations;
        this.readers = readers;
        this.tracks = tracks;
        this.chosen = chosen;
    }

    /** @param kept whether it is the director's own; instruments of the class, in score order, pitched ones only */
    record Plan(
            String className, boolean kept, WarmUp.Order order, List<KeptPart> parts, List<Instrument> instruments) {}

    @Transactional(readOnly = true)
    Plan of(UUID programId, UUID classId, LocalDate monday, double minutes) {
        WarmUp.Order order = checks.choices(programId).of(Schools.WARM_UP);
        List<Instrument> instruments = instruments(programId, classId);
        List<KeptPart> kept = queries.find(programId, classId, monday);
        try {
            List<KeptPart> parts = kept.isEmpty()
                    ? WarmUp.plan(week(programId, classId, monday, instruments).week(), order, minutes).stream()
                            .map(KeptPart::bare)
                            .toList()
                    : kept;
            return new Plan(rosters.schoolClass(programId, classId).name(), !kept.isEmpty(), order, parts, instruments);
        } catch (IllegalArgumentException e) {
            throw Problem.input("minutes", "A warm-up has 1 to 30 minutes.");
        }
    }

    @Transactional
    void keep(UUID programId, UUID accountId, UUID classId, LocalDate monday, List<KeptPart> parts) {
        rosters.schoolClass(programId, classId);
        if (parts.isEmpty() || parts.size() > MOST_PARTS) {
            throw Problem.input("parts", "A warm-up has 1 to " + MOST_PARTS + " parts.");
        }
        Set<UUID> there = demonstrations.all(programId).stream()
                .map(Demonstrations.Demonstration::id)
                .collect(Collectors.toSet());
        if (!parts.stream()
                .allMatch(p -> p.demonstrationId().map(there::contains).orElse(true))) {
            throw Problem.input("parts", "That demonstration is not here any more; choose another.");
        }
        locks.hold(programId, "warm-up " + classId + " " + monday);
        queries.put(programId, classId, monday, parts, accountId);
    }

    @Transactional
    void forget(UUID programId, UUID classId, LocalDate monday) {
        rosters.schoolClass(programId, classId);
        queries.delete(programId, classId, monday);
    }

    /** A part written out for every section of the class, at concert pitch. */
    @Transactional(readOnly = true)
    Score written(UUID programId, UUID classId, LocalDate monday, WarmUp.Part part, Stage stage, String title) {
        List<Instrument> instruments = instruments(programId, classId);
        if (instruments.isEmpty()) {
            throw Problem.notFound("Nobody in this class reads pitches, so there is nothing to write out.");
        }
        Asked asked = week(programId, classId, monday, instruments);
        Conventions conventions = chosen.of(programId);
        ClassTrack track = tracks.of(programId, classId, null, stage, conventions);
        Map<InstrumentCode, FirstWords> words = checks.firstWords(
                programId, instruments.stream().map(Instrument::code).toList());
        return WarmUpMusic.of(
                new WarmUpMusic.Wish(
                        part.kind(),
                        part.key(),
                        part.minutes(),
                        asked.week().newNotes(),
                        conventions.slurLengths(),
                        asked.week().rhythms()),
                instruments.stream()
                        .map(i -> {
                            Set<Integer> met = new HashSet<>(asked.met().getOrDefault(i.code(), Set.of()));
                            track.of(i.code()).ifPresent(v -> met.addAll(v.notes()));
                            return new WarmUpMusic.Player(
                                    i,
                                    readers.range(i, stage),
                                    readers.chart(i, conventions),
                                    met,
                                    words.get(i.code()).syllables(),
                                    words.get(i.code()).alone());
                        })
                        .toList(),
                title);
    }

    /**
     * What a week asks.
     *
     * @param met written notes of its lines by instrument, as MIDI numbers
     */
    private record Asked(WarmUp.Week week, Map<InstrumentCode, Set<Integer>> met) {}

    private List<Instrument> instruments(UUID programId, UUID classId) {
        Set<InstrumentCode> here = tracks.instruments(programId, classId);
        return readers.pitched().stream().filter(i -> here.contains(i.code())).toList();
    }

    /** What the lines ordered for a week ask of the sections there are. */
    private Asked week(UUID programId, UUID classId, LocalDate monday, List<Instrument> instruments) {
        Conventions conventions = chosen.of(programId);
        Stage stage = tracks.stage(programId, classId);
        Set<UUID> lines = orders.reaching(programId, List.of(classId), monday).stream()
                .filter(o ->
                        !o.setOn().isAfter(monday.plusDays(DAYS)) && !o.dueOn().isBefore(monday))
                .map(MilestoneOrder::milestoneId)
                .collect(Collectors.toCollection(LinkedHashSet::new));
        Map<UUID, Source> sources = notations.sources(programId, lines);
        Map<Key, Integer> keys = new LinkedHashMap<>();
        Map<String, Pitch> fresh = new LinkedHashMap<>();
        Map<InstrumentCode, Set<Integer>> met = new HashMap<>();
        Set<List<Beats>> rhythms = new LinkedHashSet<>();
        Map<HotSpots.Reason, Set<String>> asked = new EnumMap<>(HotSpots.Reason.class);
        for (UUID line : lines) {
            Source source = sources.get(line);
            Score score = source == null ? null : notations.readable(source).orElse(null);
            if (score == null) {
                continue;
            }
            keys.merge(score.sounding().key(), 1, Integer::sum);
            ClassTrack track = tracks.of(programId, classId, line, stage, conventions);
            for (Instrument instrument : instruments) {
                Reading reading = readers.read(score, instrument, stage, conventions, track.of(instrument.code()));
                met.computeIfAbsent(instrument.code(), i -> new HashSet<>())
                        .addAll(Vocabulary.of(reading.view()).notes());
                rhythms.addAll(WarmUp.rhythms(reading.view(), reading.news()));
                reading.news().stream()
                        .filter(first -> first.thing() instanceof Vocabulary.NewNote)
                        .map(first -> first.pitch().soundingOn(instrument.transposition()))
                        .forEach(p -> fresh.putIfAbsent(p.letter() + "" + p.alter(), p));
                reading.hotSpots()
                        .forEach(spot -> spot.reasons()
                                .forEach(reason -> asked.computeIfAbsent(reason, r -> new HashSet<>())
                                        .add(line + " " + spot.measure())));
            }
        }
        Map<HotSpots.Reason, Integer> counts = new HashMap<>();
        asked.forEach((reason, places) -> counts.put(reason, places.size()));
        return new Asked(
                new WarmUp.Week(
                        keys.entrySet().stream()
                                .sorted(Map.Entry.<Key, Integer>comparingByValue(Comparator.reverseOrder()))
                                .map(Map.Entry::getKey)
                                .toList(),
                        new ArrayList<>(fresh.values()).subList(0, Math.min(MOST_NEW_NOTES, fresh.size())),
                        counts,
                        instruments.stream().allMatch(i -> i.family() == Family.STRING),
                        rhythms.stream().limit(MOST_RHYTHMS).toList()),
                met);
    }
}
