package vividroster.server.checks;

import java.nio.charset.StandardCharsets;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.curriculum.CheckTopic;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.curriculum.Prerequisites;
import vividroster.core.curriculum.School;
import vividroster.core.curriculum.SchoolChoices;
import vividroster.core.curriculum.SchoolQuestion;
import vividroster.core.curriculum.TechniqueCheck;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Pitch;
import vividroster.core.music.Spelling;
import vividroster.core.progress.HabitWatch;
import vividroster.core.testing.HearingQueue;
import vividroster.formats.checks.CheckLibraryFile;
import vividroster.server.checks.CheckQueries.CheckRow;
import vividroster.server.library.Library;
import vividroster.server.library.WordedCriteria;
import vividroster.server.platform.Ids;
import vividroster.server.platform.Locks;
import vividroster.server.platform.Problem;

/** The starter checks that ship, the checks a programme has taken from them, and the schools it follows. */
@Service
public class Checks implements WordedCriteria {

    private final Locks locks;
    private final CheckQueries queries;
    private final Library library;
    private final Map<String, TechniqueCheck> starters;
    /** Those that reword a check or decide how lines are read; a question nothing asks is not put to anybody. */
    private final Map<String, SchoolQuestion> questions;

    Checks(CheckQueries queries, Library library, InstrumentCatalog catalog, Locks locks) {
        this.locks = locks;
        this.queries = queries;
        this.library = library;
        this.starters = CheckLibraryFile.shipped(catalog).stream()
                .collect(Collectors.toMap(TechniqueCheck::key, Function.identity(), (a, b) -> a, LinkedHashMap::new));
        Set<String> ruling = Schools.ALL.stream().map(School::question).collect(Collectors.toSet());
        this.questions = CheckLibraryFile.questions().stream()
                .filter(question -> ruling.contains(question.key())
                        || starters.values().stream().anyMatch(check -> check.asks(question.key())))
                .collect(Collectors.toMap(SchoolQuestion::key, Function.identity(), (a, b) -> a, LinkedHashMap::new));
    }

    List<SchoolQuestion> questions() {
        return List.copyOf(questions.values());
    }

    /** Whether a programme chose between schools anywhere. */
    @Transactional(readOnly = true)
    public boolean anyChosen(UUID programId) {
        return !queries.findChoices(programId).isEmpty();
    }

    /** The choice in force for every question: the programme's, else the default. */
    @Transactional(readOnly = true)
    public SchoolChoices choices(UUID programId) {
        Map<String, String> kept = queries.findChoices(programId);
        return new SchoolChoices(questions.values().stream()
                .collect(
                        Collectors.toMap(SchoolQuestion::key, q -> q.inForce(Optional.ofNullable(kept.get(q.key()))))));
    }

    /** The style that stands for all of them where a programme says one syllable. */
    private static final String NEUTRAL = "neutral";

    /**
     * What an instrument's first checks say, beside their steps.
     *
     * @param syllables by style; see {@link #syllables}
     * @param alone sounding pitch of its first sound; empty where no check names one
     */
    public record FirstWords(Map<String, String> syllables, Optional<Pitch> alone) {}

    /** By instrument. */
    @Transactional(readOnly = true)
    public Map<InstrumentCode, FirstWords> firstWords(UUID programId, List<InstrumentCode> instruments) {
        List<TechniqueCheck> own = allKept(programId).stream().map(Kept::check).toList();
        boolean one = choices(programId).of(Schools.ONE_SYLLABLE);
        Map<InstrumentCode, FirstWords> words = new HashMap<>();
        for (InstrumentCode instrument : instruments) {
            Optional<Pitch> alone = teaching(own, instrument)
                    .filter(check -> check.topic() == CheckTopic.FIRST_SOUND)
                    .flatMap(check -> Optional.ofNullable(check.tones().get(instrument)).stream())
                    .findFirst();
            words.put(instrument, new FirstWords(syllables(own, one, instrument), alone));
        }
        return words;
    }

    /** The programme's own checks for an instrument, then the starters. */
    private Stream<TechniqueCheck> teaching(List<TechniqueCheck> own, InstrumentCode instrument) {
        return Stream.concat(
                TechniqueCheck.applying(own, instrument).stream(),
                TechniqueCheck.applying(starters.values(), instrument).stream());
    }

    /**
     * The syllables an instrument says, by style: of the programme's own check for the tongue, else of the starter. Where
     * the programme says one syllable, the neutral one alone.
     */
    @Transactional(readOnly = true)
    public Map<String, String> syllables(UUID programId, InstrumentCode instrument) {
        List<TechniqueCheck> own = allKept(programId).stream().map(Kept::check).toList();
        return syllables(own, choices(programId).of(Schools.ONE_SYLLABLE), instrument);
    }

    private Map<String, String> syllables(List<TechniqueCheck> own, boolean one, InstrumentCode instrument) {
        Map<String, String> said = teaching(own, instrument)
                .filter(check -> check.topic() == CheckTopic.ARTICULATION
                        && check.syllables().containsKey(NEUTRAL))
                .findFirst()
                .map(TechniqueCheck::syllables)
                .orElse(Map.of());
        return one && !said.isEmpty() ? Map.of(NEUTRAL, said.get(NEUTRAL)) : said;
    }

    /** Who is called in a hearing run, where programmes differ. */
    @Transactional(readOnly = true)
    public HearingQueue.Policy calling(UUID programId) {
        SchoolChoices choices = choices(programId);
        return new HearingQueue.Policy(choices.of(Schools.READY_FIRST), choices.of(Schools.AGAIN_THE_SAME_DAY));
    }

    /** The signs of what usually goes wrong in a check; empty for what is no check, or says none. */
    @Transactional(readOnly = true)
    public List<String> faults(UUID programId, Milestone milestone) {
        return milestone.kind() == MilestoneKind.TECHNIQUE_CHECK
                ? check(programId, milestone.id())
                        .map(check -> check.faults().stream()
                                .map(TechniqueCheck.Fault::sign)
                                .toList())
                        .orElse(List.of())
                : List.of();
    }

    /** When passed habits are looked at again. */
    @Transactional(readOnly = true)
    public HabitWatch.Terms habitWatch(UUID programId) {
        return choices(programId).of(Schools.HABIT_WATCH);
    }

    /** Which of these milestones are checks of a habit that can be looked at again. */
    @Transactional(readOnly = true)
    public Set<UUID> habits(UUID programId, Collection<UUID> milestoneIds) {
        return queries.findTopics(programId, milestoneIds).entrySet().stream()
                .filter(check -> check.getValue().isHabit())
                .map(Map.Entry::getKey)
                .collect(Collectors.toSet());
    }

    /** How keys of six signs are written in a programme. */
    @Transactional(readOnly = true)
    public Spelling spelling(UUID programId) {
        return choices(programId).of(Schools.SIX_SIGNS);
    }

    @Transactional
    void choose(UUID programId, UUID accountId, String question, String choice) {
        SchoolQuestion asked = Optional.ofNullable(questions.get(question))
                .orElseThrow(() -> Problem.notFound("There is no such question."));
        try {
            asked.check(choice);
        } catch (IllegalArgumentException e) {
            throw Problem.input("choice", e.getMessage() + ".");
        }
        queries.putChoice(programId, question, choice, accountId);
    }

    /** The starters for an instrument in teaching order, its own before those of its family and of everybody. */
    @Transactional(readOnly = true)
    List<Starter> starters(UUID programId, InstrumentCode instrument) {
        Map<String, Starter> byKey = starters(programId).stream()
                .collect(Collectors.toMap(s -> s.check().key(), Function.identity()));
        return TechniqueCheck.applying(starters.values(), instrument).stream()
                .map(check -> byKey.get(check.key()))
                .toList();
    }

    /** @param takenAs the milestone it became in this programme */
    record Starter(TechniqueCheck check, Optional<UUID> takenAs) {}

    @Transactional(readOnly = true)
    List<Starter> starters(UUID programId) {
        Map<String, UUID> taken = new HashMap<>();
        queries.findAllCurrent(programId)
                .forEach(row -> row.starterKey().ifPresent(key -> taken.put(key, row.milestoneId())));
        return starters.values().stream()
                .map(check -> new Starter(check, Optional.ofNullable(taken.get(check.key()))))
                .toList();
    }

    /**
     * Takes a starter check onto the programme's shelf, where it can be ordered. Taking it again answers the same.
     *
     * @return the milestone's id
     */
    @Transactional
    public UUID take(UUID programId, UUID accountId, String key) {
        TechniqueCheck check = starter(key);
        locks.hold(programId, "starter " + key);
        Optional<UUID> before = starters(programId).stream()
                .filter(s -> s.check().key().equals(key))
                .flatMap(s -> s.takenAs().stream())
                .findFirst();
        if (before.isPresent()) {
            return before.get();
        }
        Milestone milestone = asMilestone(check, check.shortName());
        library.addCheckAtEnd(programId, milestone);
        describe(programId, accountId, milestone, key);
        return milestone.id();
    }

    /** Keeps what a starter check says beside a milestone that was made from it. */
    @Transactional
    public void describe(UUID programId, UUID accountId, Milestone milestone, String starterKey) {
        if (!queries.insert(programId, milestone.id(), starterKey)) {
            throw Problem.conflict("This check was taken just now; load the library again.");
        }
        queries.insertVersion(
                programId,
                milestone.id(),
                milestone.version(),
                CheckContent.of(starter(starterKey), Optional.empty()),
                accountId);
    }

    /** Puts a check of the director's own on the shelf. @return its milestone */
    @Transactional
    public Milestone addOwn(UUID programId, UUID accountId, TechniqueCheck check, int shelfOrder) {
        Milestone milestone = asMilestone(check, check.shortName());
        library.addCheck(programId, milestone, shelfOrder);
        queries.insertOwn(programId, milestone.id());
        queries.insertVersion(programId, milestone.id(), 1, CheckContent.of(check, Optional.empty()), accountId);
        return milestone;
    }

    /** The milestone a starter check becomes. */
    public Milestone asMilestone(String starterKey, String shortName) {
        return asMilestone(starter(starterKey), shortName);
    }

    private static Milestone asMilestone(TechniqueCheck check, String shortName) {
        return new Milestone(
                Ids.next(),
                MilestoneKind.TECHNIQUE_CHECK,
                shortName,
                check.title(),
                check.instrumentFree(),
                check.instruments(),
                1,
                check.passRule(),
                check.asCriteria());
    }

    /**
     * A check for the first weeks: of the programme's shelf, or a starter that is not on it yet.
     *
     * @param id of the milestone, or made for a starter
     * @param milestoneId empty for a starter that is not on the shelf yet
     * @param after checks the director put before it; empty when that is inferred
     */
    public record FirstCheck(UUID id, Optional<UUID> milestoneId, TechniqueCheck check, Optional<List<UUID>> after) {

        public Prerequisites.Place<UUID> place() {
            return new Prerequisites.Place<>(id, check.topic(), check.instruments(), after.map(LinkedHashSet::new));
        }
    }

    /**
     * The checks a class of these instruments begins with, in teaching order: the programme's own, and the starters it has
     * not taken, but for those that another school teaches later.
     */
    @Transactional(readOnly = true)
    public List<FirstCheck> firstChecks(UUID programId, Collection<InstrumentCode> instruments) {
        Set<UUID> retired = library.retired(programId);
        List<Kept> kept = allKept(programId);
        SchoolChoices choices = choices(programId);
        Set<String> taken = kept.stream().map(k -> k.check().key()).collect(Collectors.toSet());
        Stream<FirstCheck> own = kept.stream()
                .filter(k -> !retired.contains(k.milestone().id()))
                .map(k -> new FirstCheck(
                        k.milestone().id(), Optional.of(k.milestone().id()), k.check(), k.after()));
        Stream<FirstCheck> starting = starters.values().stream()
                .filter(check -> !taken.contains(check.key()) && !Schools.taughtLater(check.key(), choices))
                .map(check -> new FirstCheck(
                        UUID.nameUUIDFromBytes(check.key().getBytes(StandardCharsets.UTF_8)),
                        Optional.empty(),
                        check,
                        Optional.empty()));
        return Stream.concat(own, starting)
                .filter(first -> instruments.stream().anyMatch(first.check()::isFor))
                .sorted(Comparator.comparing(first -> first.check().topic()))
                .toList();
    }

    /** What a director put by hand may go round with starters that are not on the shelf; then the topics alone count. */
    public static Prerequisites<UUID> inOrder(List<FirstCheck> shelf) {
        try {
            return Prerequisites.ofChecks(shelf.stream().map(FirstCheck::place).toList());
        } catch (Prerequisites.CycleException e) {
            return Prerequisites.ofChecks(shelf.stream()
                    .map(FirstCheck::place)
                    .map(place -> new Prerequisites.Place<>(
                            place.id(), place.topic(), place.instruments(), Optional.<Set<UUID>>empty()))
                    .toList());
        }
    }

    /** Title of a starter; empty where the key names none. */
    Optional<String> titleOf(String key) {
        return Optional.ofNullable(starters.get(key)).map(TechniqueCheck::title);
    }

    private TechniqueCheck starter(String key) {
        return Optional.ofNullable(starters.get(key))
                .orElseThrow(() -> Problem.notFound("There is no such starter check."));
    }

    /**
     * A check of the programme as it is kept.
     *
     * @param after checks the director put before it; empty when that is inferred
     */
    record Kept(Milestone milestone, TechniqueCheck check, Optional<List<UUID>> after) {

        Prerequisites.Place<UUID> place() {
            return new Prerequisites.Place<>(
                    milestone.id(), check.topic(), check.instruments(), after.map(LinkedHashSet::new));
        }
    }

    @Transactional(readOnly = true)
    Optional<Kept> kept(UUID programId, UUID milestoneId) {
        return queries.findCurrent(programId, milestoneId)
                .map(row -> kept(row, library.milestone(programId, milestoneId)));
    }

    /** All of the programme, retired ones too, in shelf order. */
    @Transactional(readOnly = true)
    List<Kept> allKept(UUID programId) {
        Map<UUID, CheckRow> rows = queries.findAllCurrent(programId).stream()
                .collect(Collectors.toMap(CheckRow::milestoneId, Function.identity(), (a, b) -> a, LinkedHashMap::new));
        return library.milestones(programId, rows.keySet()).stream()
                .map(m -> kept(rows.get(m.id()), m))
                .toList();
    }

    private static Kept kept(CheckRow row, Milestone milestone) {
        return new Kept(
                milestone,
                row.content().with(milestone, row.starterKey().orElse("own")),
                row.content().after());
    }

    /** What a check of the programme says, for those who teach by it. */
    @Transactional(readOnly = true)
    public Optional<TechniqueCheck> check(UUID programId, UUID milestoneId) {
        return kept(programId, milestoneId).map(Kept::check);
    }

    /** Other ways of a check that a student may be given under this programme's schools. */
    @Transactional(readOnly = true)
    public List<TechniqueCheck.Variant> variants(UUID programId, TechniqueCheck check) {
        return check.variantsBeside(choices(programId), questions.values());
    }

    /** The steps for a student with this variant. */
    @Transactional(readOnly = true)
    public List<String> steps(UUID programId, TechniqueCheck check, Optional<TechniqueCheck.Variant> own) {
        return check.stepsFor(choices(programId), own);
    }

    @Override
    @Transactional(readOnly = true)
    public Map<UUID, List<String>> of(UUID programId) {
        SchoolChoices choices = choices(programId);
        Map<UUID, List<String>> worded = new HashMap<>();
        for (Kept kept : allKept(programId)) {
            List<String> names = kept.check().criteriaFor(choices);
            if (!names.equals(kept.check().criteria())) {
                worded.put(kept.milestone().id(), names);
            }
        }
        return worded;
    }

    /** The criteria for a student with this variant; for everybody where there is none. */
    @Transactional(readOnly = true)
    public List<String> criteria(UUID programId, TechniqueCheck check, Optional<TechniqueCheck.Variant> own) {
        return check.criteriaFor(choices(programId), own);
    }

    /** The criteria of a milestone as the programme's schools word them; empty where it is no check. */
    @Transactional(readOnly = true)
    public Optional<List<String>> criteria(UUID programId, UUID milestoneId) {
        return check(programId, milestoneId).map(check -> criteria(programId, check, Optional.empty()));
    }

    /** The checks of the programme that are a starter, or were made from it and still have its key. */
    @Transactional(readOnly = true)
    public Set<UUID> ofStarter(UUID programId, String starterKey) {
        return allKept(programId).stream()
                .filter(k -> k.check().key().equals(starterKey))
                .map(k -> k.milestone().id())
                .collect(Collectors.toSet());
    }

    /** The checks of the programme that come directly before this one; those retired are passed over. */
    @Transactional(readOnly = true)
    public List<Milestone> before(UUID programId, UUID milestoneId) {
        Set<UUID> retired = library.retired(programId);
        List<Kept> standing = allKept(programId).stream()
                .filter(k -> k.milestone().id().equals(milestoneId)
                        || !retired.contains(k.milestone().id()))
                .toList();
        Set<UUID> before = Prerequisites.ofChecks(
                        standing.stream().map(Kept::place).toList())
                .directlyBefore(milestoneId);
        return standing.stream()
                .map(Kept::milestone)
                .filter(m -> before.contains(m.id()))
                .toList();
    }
}
