package vividroster.formats;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;

import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
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
                .filteredOn(c ->
                        c.topic() == CheckTopic.FIRST_SOUND && c.instruments().contains("percussion"))
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
}
