package vividroster.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;

import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import vividroster.core.curriculum.Caution;
import vividroster.core.curriculum.CheckTopic;
import vividroster.core.curriculum.PassRule;
import vividroster.core.curriculum.Prerequisites;
import vividroster.core.curriculum.SchoolQuestion;
import vividroster.core.curriculum.TechniqueCheck;
import vividroster.core.instrument.Family;
import vividroster.core.instrument.Instrument;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.formats.catalog.InstrumentCatalogFile;
import vividroster.formats.checks.CheckLibraryFile;

class CheckLibraryFileTest {

    private static final InstrumentCatalog CATALOG = InstrumentCatalogFile.shipped();
    private static final List<TechniqueCheck> CHECKS = CheckLibraryFile.shipped(CATALOG);

    static Stream<Instrument> instruments() {
        return CATALOG.inScoreOrder().stream();
    }

    private static List<TechniqueCheck> of(Instrument instrument) {
        return CHECKS.stream().filter(c -> c.isFor(instrument.code())).toList();
    }

    @ParameterizedTest
    @MethodSource("instruments")
    void everyInstrumentHasAtLeastSixChecksMadeForIt(Instrument instrument) {
        assertThat(of(instrument).stream().filter(c -> !c.instruments().isEmpty()))
                .as(instrument.name())
                .hasSizeGreaterThanOrEqualTo(6);
    }

    @ParameterizedTest
    @MethodSource("instruments")
    void theFirstWeeksHaveTheirTopics(Instrument instrument) {
        Set<CheckTopic> topics =
                of(instrument).stream().map(TechniqueCheck::topic).collect(Collectors.toSet());
        assertThat(topics).as(instrument.name()).contains(CheckTopic.HANDLING, CheckTopic.BODY, CheckTopic.FIRST_SOUND);
        if (instrument.pitched()) {
            assertThat(topics).as(instrument.name()).containsAnyOf(CheckTopic.FIRST_NOTES, CheckTopic.FINGER_PATTERN);
        }
        switch (instrument.family()) {
            case STRING ->
                assertThat(topics)
                        .contains(
                                CheckTopic.BOW_HOLD, CheckTopic.BOW_PATH, CheckTopic.FINGER_PATTERN, CheckTopic.SHIFT);
            case WOODWIND, BRASS -> assertThat(topics).contains(CheckTopic.ARTICULATION, CheckTopic.BREATH);
            case PERCUSSION -> assertThat(topics).contains(CheckTopic.HOLD);
        }
    }

    @ParameterizedTest
    @MethodSource("instruments")
    void whatComesBeforeWhatHasNoRing(Instrument instrument) {
        List<Prerequisites.Place<String>> places = of(instrument).stream()
                .map(c -> new Prerequisites.Place<>(c.key(), c.topic(), c.instruments(), Optional.<Set<String>>empty()))
                .toList();
        assertThatCode(() -> Prerequisites.ofChecks(places)).doesNotThrowAnyException();
        Prerequisites<String> order = Prerequisites.ofChecks(places);
        of(instrument).stream()
                .filter(c -> c.topic() == CheckTopic.FIRST_NOTES)
                .forEach(notes -> assertThat(order.allBefore(notes.key()))
                        .as("sound and handling come before the first notes of the " + instrument.name())
                        .anyMatch(key -> topicOf(key) == CheckTopic.FIRST_SOUND)
                        .anyMatch(key -> topicOf(key) == CheckTopic.ASSEMBLY || topicOf(key) == CheckTopic.BODY));
    }

    private static CheckTopic topicOf(String key) {
        return CHECKS.stream()
                .filter(c -> c.key().equals(key))
                .findFirst()
                .orElseThrow()
                .topic();
    }

    @Test
    void everyCheckCanBeRunFromTheFrontOfTheRoom() {
        for (TechniqueCheck check : CHECKS) {
            assertThat(check.criteria()).as(check.key()).hasSizeBetween(3, 8);
            assertThat(check.steps()).as(check.key()).hasSizeBetween(3, 9);
            assertThat(check.faults()).as(check.key()).hasSizeBetween(1, 6);
            assertThat(check.selfTest()).as(check.key()).isNotBlank();
            assertThat(check.shortName().length()).as(check.key()).isBetween(3, 16);
            Stream.of(
                            check.steps(),
                            check.criteria(),
                            check.faults().stream()
                                    .flatMap(f -> Stream.concat(Stream.of(f.sign()), f.remedies().stream()))
                                    .toList())
                    .flatMap(List::stream)
                    .forEach(words -> assertThat(words)
                            .as(check.key())
                            .hasSizeBetween(3, 160)
                            .matches("(?s)[\\p{Lu}\"(].*"));
        }
    }

    @Test
    void cautionsStandWhereTheWorkIsDone() {
        for (TechniqueCheck check : CHECKS) {
            boolean mouth = check.topic() == CheckTopic.FIRST_SOUND
                    && check.instruments().stream()
                            .map(code -> CATALOG.withCode(code).family())
                            .anyMatch(f -> f == Family.BRASS || f == Family.WOODWIND);
            if (mouth) {
                assertThat(check.cautions()).as(check.key()).contains(Caution.SHARED_MOUTHPIECES);
            }
            if (EnumSet.of(CheckTopic.HOLD, CheckTopic.LEFT_HAND, CheckTopic.BOW_HOLD)
                            .contains(check.topic())
                    && !check.key().equals("clarinet-roll")) {
                assertThat(check.cautions()).as(check.key()).contains(Caution.PAIN);
            }
        }
        assertThat(CHECKS)
                .filteredOn(c -> c.topic() == CheckTopic.FIRST_SOUND
                        && c.instruments().contains(new InstrumentCode("percussion")))
                .allSatisfy(c -> assertThat(c.cautions()).contains(Caution.HEARING));
    }

    @Test
    void firstSoundsMustComeDependably() {
        assertThat(CHECKS)
                .filteredOn(c -> c.topic() == CheckTopic.FIRST_SOUND)
                .hasSizeGreaterThan(10)
                .allSatisfy(c -> assertThat(c.passRule()).isEqualTo(new PassRule.KOfLastN(4, 5)));
    }

    @Test
    void everyWordingBelongsToAQuestionAndAChoice() {
        Map<String, SchoolQuestion> questions =
                CheckLibraryFile.questions().stream().collect(Collectors.toMap(SchoolQuestion::key, q -> q));
        assertThat(questions).hasSizeGreaterThanOrEqualTo(20);
        for (TechniqueCheck check : CHECKS) {
            check.wordings().forEach((question, choices) -> {
                assertThat(questions).as(check.key()).containsKey(question);
                choices.keySet()
                        .forEach(choice -> assertThatCode(
                                        () -> questions.get(question).check(choice))
                                .as(check.key())
                                .doesNotThrowAnyException());
            });
        }
    }

    @Test
    void aSaxophoneSquawkIsTriedInTheOrderOfTheJob() {
        TechniqueCheck sound = CHECKS.stream()
                .filter(c -> c.key().equals("sax-sound"))
                .findFirst()
                .orElseThrow();
        assertThat(sound.faults()).anySatisfy(fault -> {
            assertThat(fault.sign()).isEqualTo("Squawk");
            assertThat(fault.remedies().getFirst()).isEqualTo("Less mouthpiece");
            assertThat(fault.remedies()).hasSize(5);
        });
    }

    /** What teachers of the instrument found wrong: what a check now says, and what it must not say again. */
    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "upper-handling; hangs slack; a pencil fits between",
                "upper-shift; octave above the next lower open string; matches the open string above",
                "upper-pattern-two-three; Third finger sounds an octave above the string below; with the open string above",
                "upper-pattern-two-three; Fourth finger matches the string above; -",
                "upper-left-hand; small hammer; Nails look at the nose",
                "cello-sit; Left knee at the corner and right knee inside; Left knee inside",
                "cello-pattern; First to third a whole step, third to fourth a half step; Third and fourth each a half",
                "bass-pattern; first finger on D is E; matches open D",
                "bass-endpin; first finger in first position is at eye height; half position",
                "clarinet-roll; No note between; coin",
                "clarinet-roll; Thumb stays off for G, A and F-sharp; Thumb leaves its hole",
                "oboe-reed-crow; until its sides seal; both blades meet",
                "horn-water; Levers at rest except the one that is named; Valve levers still",
                "flute-first-notes; octave high; -",
                "flute-first-notes; Left thumb on the B-natural key; -",
                "trumpet-left-hand; chin height; Stand higher",
                "stick-grip; between thumb, index and middle finger; three fingers only"
            })
    void aSpecialistAccepts(String key, String says, String saysNoMore) {
        TechniqueCheck check =
                CHECKS.stream().filter(c -> c.key().equals(key)).findFirst().orElseThrow();
        String all = String.join(
                "\n",
                Stream.of(
                                check.steps(),
                                check.criteria(),
                                List.of(check.selfTest()),
                                check.faults().stream()
                                        .flatMap(f -> Stream.concat(Stream.of(f.sign()), f.remedies().stream()))
                                        .toList())
                        .flatMap(List::stream)
                        .toList());
        assertThat(all).as(key).contains(says).doesNotContain(saysNoMore.equals("-") ? "\u0000" : saysNoMore);
    }

    /** What is put together differently has a check of its own for that, everything else from its kin. */
    @ParameterizedTest
    @CsvSource({
        "piccolo,flute",
        "english-horn,oboe",
        "e-flat-clarinet,clarinet",
        "soprano-saxophone,alto-saxophone",
        "flugelhorn,trumpet",
        "baritone,euphonium",
        "baritone-treble,euphonium-treble",
        "xylophone,mallets",
        "marimba,mallets"
    })
    void anInstrumentHasTheChecksOfItsKin(InstrumentCode instrument, String kin) {
        Set<String> own = new TreeSet<>(keys(instrument));
        Set<String> ofKin = new TreeSet<>(keys(new InstrumentCode(kin)));
        Set<String> differ = new TreeSet<>(own);
        differ.addAll(ofKin);
        differ.removeIf(key -> own.contains(key) && ofKin.contains(key));
        assertThat(differ).allSatisfy(key -> assertThat(topicOf(key)).isEqualTo(CheckTopic.ASSEMBLY));
        assertThat(own).anyMatch(key -> topicOf(key) == CheckTopic.ASSEMBLY);
    }

    private static List<String> keys(InstrumentCode instrument) {
        return of(CATALOG.withCode(instrument)).stream()
                .map(TechniqueCheck::key)
                .toList();
    }
}
