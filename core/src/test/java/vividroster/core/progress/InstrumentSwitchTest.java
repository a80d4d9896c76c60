package vividroster.core.progress;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import vividroster.core.curriculum.Belt;
import vividroster.core.curriculum.BeltSlot;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.curriculum.PassRule;
import vividroster.core.instrument.Fingering;
import vividroster.core.instrument.HandsKept;
import vividroster.core.instrument.HandsKept.Kept;
import vividroster.core.instrument.HandsKept.Note;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Pitch;
import vividroster.core.progress.InstrumentSwitch.Between;
import vividroster.core.progress.InstrumentSwitch.Track;
import vividroster.core.progress.Standing.State;

class InstrumentSwitchTest {

    private static final LocalDate DAY = LocalDate.of(2027, 1, 25);
    private static final InstrumentCode TRUMPET = new InstrumentCode("trumpet");
    private static final InstrumentCode HORN = new InstrumentCode("horn");
    private static final Standing PASSED =
            new Standing(State.PASSED, 1, false, false, Optional.of(DAY), Optional.of(DAY), 0);
    private static final Standing SET = new Standing(State.SET, 0, false, false, Optional.empty(), Optional.empty(), 0);

    private final Map<UUID, Milestone> milestones = new LinkedHashMap<>();

    private UUID milestone(String name, boolean free, InstrumentCode... appliesTo) {
        Milestone made = new Milestone(
                UUID.randomUUID(),
                MilestoneKind.LINE,
                name,
                name,
                free,
                Set.of(appliesTo),
                1,
                new PassRule.OneGoodTry(),
                List.of());
        milestones.put(made.id(), made);
        return made.id();
    }

    private static HandsKept knows(String... notes) {
        return new HandsKept(List.of(notes).stream()
                .map(Pitch::named)
                .map(pitch -> new Note(pitch, new Fingering.Slide(1, 2), Optional.empty(), Kept.ALIKE))
                .toList());
    }

    private static List<Pitch> notes(String... names) {
        return List.of(names).stream().map(Pitch::named).toList();
    }

    private static Between between(Map<UUID, Standing> old, Map<UUID, Standing> fresh) {
        return new Between(TRUMPET, HORN, old, fresh, false);
    }

    private static Track missed(List<UUID> track, Map<UUID, List<Pitch>> notes) {
        return new Track(track, List.of(), notes);
    }

    @Test
    void whatIsFreeCountsAndTheRestStaysOnRecordAndOpensAnew() {
        UUID rhythm = milestone("rhythm", true);
        UUID hold = milestone("trumpet hold", false, TRUMPET);
        UUID line = milestone("line 9", false);
        UUID hornHold = milestone("horn hold", false, HORN);
        InstrumentSwitch preview = InstrumentSwitch.of(
                between(
                        Map.of(rhythm, PASSED, hold, PASSED, line, PASSED),
                        Map.of(rhythm, PASSED, line, SET, hornHold, SET)),
                milestones,
                missed(List.of(hold, hornHold, rhythm, line), Map.of()),
                List.of(),
                knows(),
                2);
        assertThat(preview.counts()).containsExactly(rhythm);
        assertThat(preview.staysOnRecord()).containsExactly(hold, line);
        assertThat(preview.opensAnew())
                .extracting(InstrumentSwitch.Anew::milestoneId)
                .as("what the new section was set, without what is for other instruments or counts already")
                .containsExactly(hornHold, line);
        assertThat(preview.passedBefore()).isEmpty();
    }

    @Test
    void whatWasPassedOnABorrowedInstrumentIsNotAskedTwice() {
        UUID line = milestone("line 9", false);
        InstrumentSwitch preview = InstrumentSwitch.of(
                between(Map.of(line, PASSED), Map.of(line, PASSED)),
                milestones,
                missed(List.of(line), Map.of(line, notes("C4"))),
                List.of(),
                knows(),
                2);
        assertThat(preview.passedBefore()).containsExactly(line);
        assertThat(preview.opensAnew()).isEmpty();
        assertThat(preview.catchUp()).isEmpty();
    }

    /** Three known lines go into one week; two with two new notes each have a week each; a check has one. */
    @Test
    void theCatchUpTrackGoesFastWhereTheHandKnowsTheNotes() {
        UUID a = milestone("a", false);
        UUID b = milestone("b", false);
        UUID c = milestone("c", false);
        UUID d = milestone("d", false);
        UUID check = milestone("check", false);
        UUID e = milestone("e", false);
        InstrumentSwitch preview = InstrumentSwitch.of(
                between(Map.of(), Map.of()),
                milestones,
                missed(
                        List.of(a, b, c, d, check, e),
                        Map.of(
                                a, notes("C4", "D4"),
                                b, notes("C4"),
                                c, notes("D4", "C4"),
                                d, notes("E4", "F4", "C4"),
                                e, notes("E4", "F4"))),
                List.of(),
                knows("C4", "D4"),
                2);
        assertThat(preview.catchUp()).containsExactly(List.of(a, b, c), List.of(d), List.of(check), List.of(e));
        assertThat(preview.opensAnew().get(3).newNotes()).isEqualTo(notes("E4", "F4"));
        assertThat(preview.opensAnew().get(5).known())
                .as("its notes are met a week before")
                .isTrue();
        assertThat(preview.opensAnew().get(4).known())
                .as("a check has no notes")
                .isFalse();
    }

    @Test
    void anEarnedBeltStaysAndTheNewOneSaysWhatFillsIt() {
        UUID rhythm = milestone("rhythm", true);
        UUID trumpetHold = milestone("trumpet hold", false, TRUMPET);
        UUID hornHold = milestone("horn hold", false, HORN);
        Belt belt = new Belt(
                UUID.randomUUID(),
                "winds",
                1,
                "Driftwood",
                List.of(
                        new BeltSlot(1, "rhythm", Map.of(BeltSlot.ANY, rhythm)),
                        new BeltSlot(2, "hold", Map.of(TRUMPET, trumpetHold, HORN, hornHold))));
        InstrumentSwitch preview = InstrumentSwitch.of(
                between(Map.of(rhythm, PASSED, trumpetHold, PASSED), Map.of(rhythm, PASSED, hornHold, SET)),
                milestones,
                missed(List.of(hornHold), Map.of()),
                List.of(belt),
                knows(),
                2);
        assertThat(preview.belts()).containsExactly(new InstrumentSwitch.BeltTouched(belt, true, 1, 2));
    }

    /** Whatever was passed is somewhere, and nothing is asked that counts; every week holds something. */
    @Property(tries = 200)
    void nothingIsLost(@ForAll long seed) {
        Random random = new Random(seed);
        Map<UUID, Standing> old = new HashMap<>();
        Map<UUID, Standing> fresh = new HashMap<>();
        Map<UUID, List<Pitch>> notes = new HashMap<>();
        List<UUID> track = new ArrayList<>();
        List<UUID> later = new ArrayList<>();
        milestones.clear();
        for (int i = 0; i < random.nextInt(25); i++) {
            boolean free = random.nextInt(4) == 0;
            UUID id = milestone("m" + i, free);
            if (random.nextBoolean()) {
                old.put(id, PASSED);
                if (free) {
                    fresh.put(id, PASSED);
                }
            }
            if (random.nextInt(3) > 0) {
                (random.nextInt(4) == 0 ? later : track).add(id);
                notes.put(id, notes("C4", "DEFG".charAt(random.nextInt(4)) + "4"));
            }
        }
        InstrumentSwitch preview = InstrumentSwitch.of(
                between(old, fresh), milestones, new Track(track, later, notes), List.of(), knows("C4"), 2);
        Set<UUID> passed = old.keySet();
        assertThat(preview.counts()).noneMatch(preview.staysOnRecord()::contains);
        assertThat(preview.counts().size() + preview.staysOnRecord().size()).isEqualTo(passed.size());
        Set<UUID> anew = preview.opensAnew().stream()
                .map(InstrumentSwitch.Anew::milestoneId)
                .collect(Collectors.toSet());
        assertThat(anew).noneMatch(preview.counts()::contains);
        assertThat(preview.catchUp()).allSatisfy(week -> assertThat(week).isNotEmpty());
        assertThat(preview.catchUp().stream().flatMap(List::stream).toList())
                .isEqualTo(preview.opensAnew().stream()
                        .map(InstrumentSwitch.Anew::milestoneId)
                        .filter(track::contains)
                        .toList());
    }

    @Test
    void whatIsDueLaterIsTheirsWithTheSectionAndNoPartOfTheTrack() {
        UUID a = milestone("a", false);
        UUID b = milestone("b", false);
        InstrumentSwitch preview = InstrumentSwitch.of(
                between(Map.of(), Map.of()),
                milestones,
                new Track(List.of(a), List.of(b), Map.of(a, notes("C4"), b, notes("C4", "D4"))),
                List.of(),
                knows(),
                2);
        assertThat(preview.opensAnew())
                .extracting(InstrumentSwitch.Anew::newNotes)
                .containsExactly(notes("C4"), notes("D4"));
        assertThat(preview.catchUp()).containsExactly(List.of(a));
    }

    @Test
    void whatIsOpenOnTheOldInstrumentIsNoLongerAskedUnlessItIsPlayedElsewhere() {
        UUID line = milestone("line 9", false);
        UUID rhythm = milestone("rhythm", true);
        Map<UUID, Standing> old = Map.of(line, SET, rhythm, SET);
        Track nothing = missed(List.of(), Map.of());
        assertThat(InstrumentSwitch.of(between(old, Map.of()), milestones, nothing, List.of(), knows(), 2)
                        .noLongerAsked())
                .containsExactly(line);
        assertThat(InstrumentSwitch.of(
                                new Between(TRUMPET, HORN, old, Map.of(), true),
                                milestones,
                                nothing,
                                List.of(),
                                knows(),
                                2)
                        .noLongerAsked())
                .isEmpty();
    }

    /** One knows C and D, the other nothing: the line with both is a week's work for them together. */
    @Test
    void aTrackForTwoHurriesNeither() {
        UUID a = milestone("a", false);
        UUID b = milestone("b", false);
        UUID c = milestone("c", false);
        Track track = missed(List.of(a, b, c), Map.of(a, notes("C4", "D4"), b, notes("C4"), c, notes("C4", "E4")));
        InstrumentSwitch quick =
                InstrumentSwitch.of(between(Map.of(), Map.of()), milestones, track, List.of(), knows("C4", "D4"), 2);
        InstrumentSwitch slow =
                InstrumentSwitch.of(between(Map.of(), Map.of(b, PASSED)), milestones, track, List.of(), knows(), 2);
        assertThat(quick.catchUp()).containsExactly(List.of(a, b), List.of(c));
        assertThat(slow.catchUp()).containsExactly(List.of(a), List.of(c));
        assertThat(InstrumentSwitch.together(track.missed(), List.of(quick, slow), 2))
                .containsExactly(List.of(a), List.of(b), List.of(c));
    }
}
