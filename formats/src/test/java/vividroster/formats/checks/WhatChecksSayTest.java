package vividroster.formats.checks;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import vividroster.core.curriculum.CheckTopic;
import vividroster.core.curriculum.Guide.Vantage;
import vividroster.core.curriculum.SchoolChoices;
import vividroster.core.curriculum.SchoolQuestion;
import vividroster.core.curriculum.TechniqueCheck;
import vividroster.core.instrument.Family;
import vividroster.core.instrument.Instrument;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.formats.catalog.InstrumentCatalogFile;

/** What the starter checks must say: a reason, from where it is seen, every point of the job, no contradiction. */
class WhatChecksSayTest {

    private static final InstrumentCatalog CATALOG = InstrumentCatalogFile.shipped();
    private static final Map<String, TechniqueCheck> CHECKS = CheckLibraryFile.shipped(CATALOG).stream()
            .collect(Collectors.toMap(TechniqueCheck::key, Function.identity()));

    static Stream<Instrument> instruments() {
        return CATALOG.inScoreOrder().stream();
    }

    private static String all(TechniqueCheck check) {
        return Stream.of(
                        List.of(
                                check.title(),
                                check.selfTest(),
                                check.guide().why(),
                                check.guide().notFor()),
                        check.steps(),
                        check.criteria(),
                        check.faults().stream()
                                .flatMap(f -> Stream.concat(Stream.of(f.sign()), f.remedies().stream()))
                                .toList(),
                        check.variants().stream()
                                .map(v -> v.name() + " " + v.note())
                                .toList())
                .flatMap(List::stream)
                .collect(Collectors.joining("\n"));
    }

    @Test
    void everyCheckSaysWhyAndFromWhereAndWhatToTry() {
        for (TechniqueCheck check : CHECKS.values()) {
            assertThat(check.guide().why())
                    .as(check.key())
                    .hasSizeBetween(20, 120)
                    .doesNotContain("\n");
            assertThat(check.faults()).as(check.key()).isNotEmpty();
        }
        assertThat(CHECKS.values())
                .extracting(c -> c.guide().seenFrom())
                .contains(Vantage.FRONT, Vantage.SIDE, Vantage.ABOVE, Vantage.NEAR, Vantage.BY_EAR);
        assertThat(CHECKS.values())
                .filteredOn(c -> !c.guide().notFor().isEmpty())
                .as("for whom a rule does not fit")
                .hasSizeGreaterThan(15);
    }

    @Test
    void aStageToFallBackToIsACheckOfTheSameInstruments() {
        for (TechniqueCheck check : CHECKS.values()) {
            if (!check.guide().backTo().isEmpty()) {
                TechniqueCheck stage = CHECKS.get(check.guide().backTo());
                assertThat(stage).as(check.key()).isNotNull();
                assertThat(check.instruments()).as(check.key()).allMatch(stage::isFor);
            }
        }
        assertThat(CHECKS.values())
                .filteredOn(c -> !c.guide().backTo().isEmpty())
                .hasSizeGreaterThan(20);
    }

    /** Every sentence of the further points of the job, with the check that holds it and its words there. */
    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource(
            delimiter = ';',
            value = {
                "parts are named, by a quiz on a drawing; parts-named; The quiz on the drawing",
                "ready first, then pick up; ready-first; Only then the instrument comes up",
                "what stays in the case for now; string-first-week; The bow stays in the case",
                "case right way up; case-closed; right side up before it is opened",
                "all latches closed, stowed beside the chair; case-closed; Stowed beside or under the chair",
                "own mouthpiece marked; own-mouthpiece; A dot of tape",
                "why a bent back matters; sit-tall; A bent back takes breath",
                "upper arms off the ribs; ready-first; Upper arms off the ribs, elbows not lifted",
                "mouthpiece to the stop with a part turn, never knocked; trumpet-mouthpiece-in; To its stop with a small turn, never knocked",
                "the same on low brass; low-brass-mouthpiece; never knocked",
                "every note tongued at first; brass-tongue; at first every note is tongued",
                "the first note of a slur tongued; brass-slur-start; The same with the tongue on the first alone",
                "then only air and fingers or slide; brass-slur-start; only air and fingers, or air and slide",
                "a straw in the forming lips; brass-buzz; A straw held in the forming lips and drawn out",
                "a larger mouthpiece for a moment; brass-buzz; Buzz on a larger mouthpiece for a moment",
                "the movable ring set to the hand; trumpet-third-slide; The movable ring is set to the hand",
                "the third slide free and stopped; trumpet-third-slide; The stop or screw is on",
                "thumb straight in its saddle; trumpet-third-slide; Left thumb straight in its saddle",
                "two water keys; trumpet-grease; Water out by both keys",
                "main slide a little out; trumpet-grease; Main slide a little out",
                "thick grease and thin; trumpet-grease; Thick grease on the main slide, thin on the third",
                "oil on the piston's working part alone; valve-care; working part of the piston and nowhere else",
                "drawn half out by beginners; valve-care; draw the valve half way up and no further",
                "its own guide in its own casing; valve-care; into its own guide in its own casing",
                "horn out of its case, in two steps; horn-standing; Two steps, nothing touched in between",
                "horn standing; horn-standing; carry the bell",
                "the second slope; horn-left-hand; the second to the side",
                "one partial more only when the last is sure; lip-slurs; One partial more only when the last is sure",
                "natural slur against the slide; trombone-legato; the partial changes against the slide, no tongue",
                "legato tongue where it does not; trombone-legato; where it does not",
                "no smear; trombone-legato; No smear",
                "hit, travel, arrive; trombone-glide; Arrive on the next in time",
                "short notes with the slide between the clicks; trombone-slide-timing; The slide moves only between the clicks",
                "the left thumb on the B-natural key; flute-first-notes; the right one of the two as you see them",
                "not on the B-flat lever; flute-first-notes; not on the B-flat lever",
                "the longest tone in seconds; longest-tone; seconds",
                "a finger in the head joint; flute-head-joint; like a slide whistle",
                "how much mouthpiece; sax-sound; one to one and a half centimetres",
                "the start like an L corrected at once; clarinet-tongue; a start like \"L\"",
                "the middle of the tongue corrected at once; sax-tongue; Correct it the same day",
                "the free hand marks the collarbone; upper-placement; the free hand marks the collarbone",
                "the arm swings before it lifts; upper-placement; the arm swings loosely",
                "the thumb a centimetre from the nut; upper-left-hand; a centimetre from the nut or at the mark",
                "palm and third crease; upper-left-hand; third crease level with the fingerboard",
                "the pluck follows through; upper-pluck; in a small circle so that it rings",
                "the same on cello; cello-pluck; in a small circle so that it rings",
                "the same on bass; bass-pluck; in a small circle so that it rings",
                "lift and release in the middle of a class; lift-and-release; In the middle of a line",
                "early loosening; vibrato-loosening; Polish the string with one finger",
                "first tunes plucked; first-tune-plucked; Pluck it once slowly",
                "a harmony part; harmony-part; Play the second part alone",
                "the endpin screw one or two turns; cello-endpin; one or two turns only",
                "the same on bass; bass-endpin; one or two turns only",
                "which finger meets which place; upper-shift; to the place of the third",
                "the same on cello; cello-shift; beyond the place of the fourth",
                "the same on bass; bass-shift; beyond the fourth's place",
                "an unused holder is taken off; bassoon-right-hand; taken off where it rubs"
            })
    void everyFurtherPointStandsInACheck(String point, String key, String words) {
        assertThat(CHECKS).as(point).containsKey(key);
        assertThat(all(CHECKS.get(key))).as(point).contains(words);
    }

    /** Checks by name, with an instrument each must be for. */
    @ParameterizedTest
    @CsvSource({
        "clarinet-break,clarinet",
        "clarinet-register-key,bass-clarinet",
        "reed-set,clarinet",
        "reed-set,tenor-saxophone",
        "sax-dry,alto-saxophone",
        "sax-octave-key,soprano-saxophone",
        "sax-cheeks,baritone-saxophone",
        "bassoon-half-hole,bassoon",
        "bassoon-flick,bassoon",
        "oboe-half-hole,oboe",
        "oboe-octave-keys,english-horn",
        "trombone-slide-care,trombone",
        "trombone-legato,trombone",
        "lip-slurs,tuba",
        "brass-high-notes,horn",
        "bass-drum,percussion",
        "cymbals,percussion",
        "small-percussion,percussion",
        "closed-roll,percussion",
        "open-roll,percussion",
        "flam,percussion",
        "drum-dynamics,percussion",
        "upper-pattern-three-four,viola",
        "upper-crossing,violin",
        "cello-extension,cello",
        "bow-ready,double-bass",
        "staff-reading,flute",
        "longest-tone,trumpet",
        "bass-clarinet-hold,bass-clarinet",
        "bass-clarinet-sound,bass-clarinet",
        "first-tune-plucked,double-bass"
    })
    void theCheckIsThere(String key, InstrumentCode instrument) {
        assertThat(CHECKS).containsKey(key);
        assertThat(CHECKS.get(key).isFor(instrument)).isTrue();
    }

    @ParameterizedTest
    @MethodSource("instruments")
    void everybodyHasAFirstTune(Instrument instrument) {
        assertThat(CHECKS.values())
                .as(instrument.name())
                .anyMatch(c -> c.topic() == CheckTopic.FIRST_TUNE && c.isFor(instrument.code()));
    }

    @Test
    void theSlideIsLateTooAndTooMuchTongueIsAFaultOfEveryTongue() {
        assertThat(CHECKS.get("trombone-slide-timing").faults())
                .extracting(TechniqueCheck.Fault::sign)
                .anyMatch(sign -> sign.startsWith("Slide late"));
        CHECKS.values().stream()
                .filter(c -> c.topic() == CheckTopic.ARTICULATION)
                .filter(c -> c.instruments().stream()
                        .map(code -> CATALOG.withCode(code).family())
                        .anyMatch(f -> f == Family.WOODWIND || f == Family.BRASS))
                .forEach(c -> assertThat(c.faults())
                        .as(c.key())
                        .extracting(TechniqueCheck.Fault::sign)
                        .anyMatch(sign -> sign.startsWith("Too much tongue")));
    }

    /** Under a school no criterion asks for what another school teaches. */
    @ParameterizedTest(name = "{0} under {1} = {2}")
    @CsvSource({
        "sit-tall,sitting,hips-back,Clear of the backrest,Comes forward",
        "trumpet-left-hand,trumpet-level,level,Level to a little down,Level with the floor",
        "trumpet-left-hand,trumpet-level,downward,Level to a little down,A slight downward slope",
        "trumpet-right-hand,finger-shape,flatter-arch,Fingers curved,Pads of the fingers",
        "trumpet-right-hand,little-finger,floating,not hooked,floats free",
        "trumpet-right-hand,little-finger,on-hook,not hooked,on top of its hook",
        "low-brass-right-hand,finger-shape,flatter-arch,Fingertips,Pads of the fingers",
        "horn-left-hand,finger-shape,flatter-arch,Fingertips,Pads of the fingers",
        "trombone-left-hand,trombone-left-hand,pinch,Left hand in an L,Thumb and first finger",
        "trombone-handling,slide-lock,trust-it,Little finger round,whenever the hand leaves",
        "flute-balance,flute-first-notes,helper-hold,Right thumb under,helping hand",
        "bassoon-right-hand,bassoon-hand-rest,without,Rest or contact,Side of the hand",
        "upper-left-hand,index-side,stays-on,a gap at the palm,stays on the neck",
        "upper-left-hand,index-side,keeps-a-gap,Light contact,A gap at the index side",
        "bass-bow-hold,bass-bow-hold,german,Hand over the stick,from below"
    })
    void noCriterionContradictsTheSchool(String key, String question, String choice, String not, String instead) {
        String worded = String.join("\n", CHECKS.get(key).criteriaFor(SchoolChoices.of(question, choice)));
        assertThat(worded).doesNotContain(not).contains(instead);
    }

    /** What a school says in a step it says in words of its own; what it leaves alone stays. */
    @Test
    void everySchoolThatIsOfferedRewordsSomethingOrIsReadByARule() {
        Set<String> ofRules = Set.of(
                "calling-order",
                "same-day",
                "habit-watch",
                "horn-build",
                "horn-first-notes",
                "b-flat-saxophones",
                "trombone-build",
                "sticking",
                "warm-up",
                "rehearsing",
                "note-groups",
                "lip-slurs",
                "note-names",
                "repeats-after-jump",
                "pick-up",
                "six-signs",
                "count-in",
                "tempo-without-mark",
                "fermata-counted",
                "fermata-played");
        for (SchoolQuestion question : CheckLibraryFile.questions()) {
            assertThat(ofRules.contains(question.key())
                            || CHECKS.values().stream().anyMatch(c -> c.asks(question.key())))
                    .as(question.key())
                    .isTrue();
        }
        assertThat(CheckLibraryFile.questions())
                .extracting(SchoolQuestion::key)
                .contains(
                        "trumpet-level",
                        "vibrato",
                        "first-notes-stage",
                        "first-instrument-size",
                        "bass-bow-hold",
                        "fermata-alone",
                        "beginner-mouthpiece");
    }

    @Test
    void firstNotesNameNoNotesOfTheirOwn() {
        assertThat(CHECKS.values())
                .filteredOn(c -> c.topic() == CheckTopic.FIRST_NOTES && !c.key().equals("rolls-start"))
                .allSatisfy(c -> assertThat(c.title()).as(c.key()).doesNotContainPattern("\\b[A-G](-flat)?, "));
    }
}
