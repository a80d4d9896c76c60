package vividroster.core.curriculum;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import vividroster.core.music.InstrumentCode;

class TechniqueCheckTest {

    private static TechniqueCheck check(
            List<String> criteria, PassRule rule, Map<String, Map<String, Map<Integer, String>>> wordings) {
        return new TechniqueCheck(
                "trumpet-left-hand",
                CheckTopic.LEFT_HAND,
                "Left hand",
                "Trumpet: the left hand carries",
                false,
                Set.of(new InstrumentCode("trumpet")),
                List.of("Carry", "Little finger"),
                wordings,
                Map.of(),
                Map.of(),
                criteria,
                Set.of(),
                "Wave with the right hand.",
                List.of(),
                Set.of(Caution.PAIN),
                List.of(),
                Map.of(),
                Guide.NONE,
                rule);
    }

    @Test
    void theProgrammesSchoolRewordsAStep() {
        TechniqueCheck check = check(
                List.of("Carries"),
                new PassRule.AllCriteria(),
                Map.of("left-little-finger", Map.of("hangs-free", Map.of(2, "It hangs free"))));
        assertThat(check.stepsFor(SchoolChoices.NONE)).containsExactly("Carry", "Little finger");
        assertThat(check.stepsFor(SchoolChoices.of("left-little-finger", "hangs-free")))
                .containsExactly("Carry", "It hangs free");
        assertThat(check.stepsFor(SchoolChoices.of("left-little-finger", "something else")))
                .containsExactly("Carry", "Little finger");
    }

    @Test
    void criteriaFollowTheSchoolAndTheStudentsVariantAsStepsDo() {
        TechniqueCheck plain = check(
                List.of("Carries", "Little finger free"),
                new PassRule.AllCriteria(),
                Map.of("little-finger", Map.of("on-hook", Map.of(2, "On top of the hook"))));
        TechniqueCheck check = guided(
                plain,
                new Guide(
                        "Because.",
                        Guide.Vantage.FRONT,
                        "",
                        "",
                        Map.of("little-finger", Map.of("on-hook", Map.of(2, "Little finger on top of the hook")))));
        assertThat(check.criteriaFor(SchoolChoices.NONE)).containsExactly("Carries", "Little finger free");
        assertThat(check.criteriaFor(SchoolChoices.of("little-finger", "on-hook")))
                .containsExactly("Carries", "Little finger on top of the hook");
        TechniqueCheck.Variant own =
                new TechniqueCheck.Variant("Hook", "", 12, SchoolChoices.of("little-finger", "on-hook"));
        assertThat(check.criteriaFor(SchoolChoices.of("little-finger", "both"), Optional.of(own)))
                .containsExactly("Carries", "Little finger on top of the hook");
        assertThatThrownBy(() -> guided(
                        plain, new Guide("", Guide.Vantage.FRONT, "", "", Map.of("q", Map.of("c", Map.of(3, "x"))))))
                .hasMessageContaining("rewords criterion 3 for q but has criteria 1 to 2");
    }

    private static TechniqueCheck guided(TechniqueCheck check, Guide guide) {
        return new TechniqueCheck(
                check.key(),
                check.topic(),
                check.shortName(),
                check.title(),
                check.instrumentFree(),
                check.instruments(),
                check.steps(),
                check.wordings(),
                check.cues(),
                check.syllables(),
                check.criteria(),
                check.mustSee(),
                check.selfTest(),
                check.faults(),
                check.cautions(),
                check.variants(),
                check.tones(),
                guide,
                check.passRule());
    }

    @Test
    void whatIsNoCheck() {
        assertThatThrownBy(() -> check(List.of(), new PassRule.AllCriteria(), Map.of()))
                .hasMessage(
                        "\"Trumpet: the left hand carries\" needs at least one criterion: a thing that can be seen or"
                                + " heard");
        assertThatThrownBy(() -> check(List.of("Carries"), new PassRule.ScoreAtLeast(3), Map.of()))
                .hasMessageContaining("passes by 3 criteria seen but has only 1");
        assertThatThrownBy(() -> check(List.of("Carries"), new PassRule.AllSlots(), Map.of()))
                .hasMessageContaining("is a technique check and has no slots");
        assertThatThrownBy(() -> check(
                        List.of("Carries"),
                        new PassRule.AllCriteria(),
                        Map.of("sitting", Map.of("hips-back", Map.of(3, "x")))))
                .hasMessageContaining("rewords step 3 for sitting but has steps 1 to 2");
        assertThatThrownBy(() -> new TechniqueCheck.Variant("Pistol grip", "", 0, SchoolChoices.NONE))
                .hasMessage("\"Pistol grip\" is reviewed after 1 to 52 weeks, was 0");
        assertThatThrownBy(() -> new TechniqueCheck.Fault("Squawk", List.of()))
                .hasMessage("\"Squawk\" needs at least one thing to try");
    }

    @Test
    void itIsForItsInstrumentsOrForAny() {
        TechniqueCheck check = check(List.of("Carries", "Straight"), new PassRule.AllCriteria(), Map.of());
        assertThat(check.isFor(new InstrumentCode("trumpet"))).isTrue();
        assertThat(check.isFor(new InstrumentCode("horn"))).isFalse();
        assertThat(check.asCriteria()).extracting(Criterion::ordinal).containsExactly(1, 2);
    }

    private static TechniqueCheck full(
            Map<Integer, String> cues, Set<Integer> mustSee, PassRule rule, List<TechniqueCheck.Variant> variants) {
        return new TechniqueCheck(
                "own",
                CheckTopic.HOLD,
                "Hold",
                "Flute: shelf",
                false,
                Set.of(new InstrumentCode("flute")),
                List.of("Index finger makes the shelf", "Thumb under"),
                Map.of("flute-first-notes", Map.of("helper-hold", Map.of(1, "A helper carries the end"))),
                cues,
                Map.of(),
                List.of("Shelf", "Thumb", "Wrist"),
                mustSee,
                "Let go",
                List.of(),
                Set.of(),
                variants,
                Map.of(),
                Guide.NONE,
                rule);
    }

    @Test
    void theDirectorsCueWordStandsInPlaceOfTheStep() {
        TechniqueCheck check = full(Map.of(2, "Thumb!"), Set.of(), new PassRule.AllCriteria(), List.of());
        assertThat(check.stepsFor(SchoolChoices.NONE)).containsExactly("Index finger makes the shelf", "Thumb!");
        assertThat(check.stepsFor(SchoolChoices.of("flute-first-notes", "helper-hold")))
                .containsExactly("A helper carries the end", "Thumb!");
        assertThatThrownBy(() -> full(Map.of(3, "x"), Set.of(), new PassRule.AllCriteria(), List.of()))
                .hasMessage("\"Flute: shelf\" has a cue word for step 3 but has steps 1 to 2");
    }

    @Test
    void aStudentsVariantGoesBeforeTheProgrammesSchool() {
        TechniqueCheck check = full(Map.of(), Set.of(), new PassRule.AllCriteria(), List.of());
        TechniqueCheck.Variant helper =
                new TechniqueCheck.Variant("Helper hold", "", 4, SchoolChoices.of("flute-first-notes", "helper-hold"));
        SchoolChoices programme = SchoolChoices.of("flute-first-notes", "both-hands-at-once");
        assertThat(check.stepsFor(programme, Optional.of(helper))).contains("A helper carries the end");
        assertThat(check.stepsFor(programme, Optional.empty())).contains("Index finger makes the shelf");
    }

    @Test
    void everySchoolTheProgrammeDoesNotFollowIsAVariantToo() {
        SchoolQuestion question = new SchoolQuestion(
                "flute-first-notes",
                "How do the first notes begin?",
                new java.util.LinkedHashMap<>(Map.of("helper-hold", "Helper hold first", "at-once", "Both hands")));
        TechniqueCheck check = full(
                Map.of(),
                Set.of(),
                new PassRule.AllCriteria(),
                List.of(new TechniqueCheck.Variant("Curved head", "short arms", 12, SchoolChoices.NONE)));
        assertThat(check.variantsBeside(SchoolChoices.of("flute-first-notes", "at-once"), List.of(question)))
                .extracting(TechniqueCheck.Variant::name)
                .containsExactly("Curved head", "Helper hold first");
        assertThat(check.variantsBeside(SchoolChoices.of("flute-first-notes", "helper-hold"), List.of(question)))
                .extracting(TechniqueCheck.Variant::name)
                .containsExactly("Curved head", "Both hands");
    }

    @Test
    void theSyllableThatWorksForAStudentIsAVariant() {
        TechniqueCheck tongue = new TechniqueCheck(
                "tongue",
                CheckTopic.ARTICULATION,
                "Tongue",
                "Tonguing by style",
                false,
                Set.of(),
                List.of("Say it"),
                Map.of(),
                Map.of(),
                new java.util.LinkedHashMap<>(Map.of("hard", "too", "soft", "doo", "neutral", "too")),
                List.of("Starts together"),
                Set.of(),
                "",
                List.of(),
                Set.of(),
                List.of(),
                Map.of(),
                Guide.NONE,
                new PassRule.AllCriteria());
        assertThat(tongue.variantsBeside(SchoolChoices.NONE, List.of()))
                .extracting(TechniqueCheck.Variant::name)
                .containsExactlyInAnyOrder("Says “too”", "Says “doo”");
        assertThat(full(Map.of(), Set.of(), new PassRule.AllCriteria(), List.of())
                        .variantsBeside(SchoolChoices.NONE, List.of()))
                .as("no syllables, no such variants")
                .isEmpty();
    }

    @Test
    void criteriaThatMustBeSeenHaveAFloor() {
        TechniqueCheck counted = full(Map.of(), Set.of(3), new PassRule.ScoreAtLeast(2), List.of());
        assertThat(counted.asCriteria())
                .extracting(c -> c.floorPoints().isPresent())
                .containsExactly(false, false, true);
        assertThatThrownBy(() -> full(Map.of(), Set.of(3), new PassRule.AllCriteria(), List.of()))
                .hasMessageContaining("names criteria that must be seen, but does not count how many are");
        assertThatThrownBy(() -> full(Map.of(), Set.of(4), new PassRule.ScoreAtLeast(2), List.of()))
                .hasMessageContaining("must show criterion 4 but has criteria 1 to 3");
    }

    @Test
    void theInstrumentsOwnChecksComeBeforeItsFamilysAndThoseForAll() {
        TechniqueCheck everybody = check(List.of("Any"), new PassRule.AllCriteria(), Map.of());
        TechniqueCheck flute = full(Map.of(), Set.of(), new PassRule.AllCriteria(), List.of());
        assertThat(TechniqueCheck.applying(List.of(everybody, flute), new InstrumentCode("flute")))
                .contains(flute);
        assertThat(TechniqueCheck.applying(List.of(flute), new InstrumentCode("tuba")))
                .isEmpty();
    }
}
