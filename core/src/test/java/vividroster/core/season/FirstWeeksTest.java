package vividroster.core.season;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import vividroster.core.curriculum.CheckTopic;
import vividroster.core.curriculum.PassRule;
import vividroster.core.curriculum.Prerequisites;
import vividroster.core.music.InstrumentCode;
import vividroster.core.season.FirstWeeks.Piece;
import vividroster.core.season.FirstWeeks.Placed;
import vividroster.core.season.FirstWeeks.Proposal;
import vividroster.core.season.FirstWeeks.Room;
import vividroster.core.season.FirstWeeks.Why;

class FirstWeeksTest {

    private static final LocalDate MONDAY = LocalDate.of(2026, 8, 31);
    private static final InstrumentCode TRUMPET = new InstrumentCode("trumpet");
    private static final InstrumentCode HORN = new InstrumentCode("horn");

    private static List<Room> rooms(int weeks, int minutes) {
        List<Room> rooms = new ArrayList<>();
        for (int i = 0; i < weeks; i++) {
            rooms.add(new Room(MONDAY.plusWeeks(i), minutes));
        }
        return rooms;
    }

    private static Piece<String> piece(String key, CheckTopic topic, InstrumentCode... instruments) {
        return new Piece<>(key, topic, Set.of(instruments), Set.of(), 2, 2, new PassRule.AllCriteria());
    }

    private static Piece<String> after(Piece<String> piece, String... needs) {
        return new Piece<>(
                piece.key(),
                piece.topic(),
                piece.instruments(),
                Set.of(needs),
                piece.steps(),
                piece.criteria(),
                piece.passRule());
    }

    private static Piece<String> overDays(Piece<String> piece) {
        return new Piece<>(
                piece.key(), piece.topic(), piece.instruments(), piece.needs(), 2, 1, new PassRule.KOfLastN(4, 5));
    }

    private static Map<String, Integer> weeks(Proposal<String> proposal) {
        Map<String, Integer> weeks = new LinkedHashMap<>();
        proposal.placed().forEach(p -> weeks.put(p.piece().key(), p.week()));
        return weeks;
    }

    @Test
    void topicsStandInTeachingOrderAndASoundWantsDays() {
        List<Piece<String>> pieces = List.of(
                after(piece("notes", CheckTopic.FIRST_NOTES, TRUMPET), "sound"),
                overDays(after(piece("sound", CheckTopic.FIRST_SOUND, TRUMPET), "case")),
                piece("tall", CheckTopic.BODY),
                piece("case", CheckTopic.HANDLING, TRUMPET));
        Proposal<String> proposal = FirstWeeks.of(pieces, Map.of(TRUMPET, 8), rooms(4, 60));
        assertThat(weeks(proposal))
                .containsExactly(
                        Map.entry("case", 0), Map.entry("tall", 0), Map.entry("sound", 0), Map.entry("notes", 1));
        assertThat(proposal.placed().getLast().why()).isEqualTo(new Why.After<>("sound", true));
        assertThat(proposal.firstLine()).as("the week after the first notes").contains(2);
        assertThat(proposal.left()).isEmpty();
    }

    @Test
    void whatNobodyPlaysIsNotAsked() {
        Proposal<String> proposal =
                FirstWeeks.of(List.of(piece("hand", CheckTopic.RIGHT_HAND, HORN)), Map.of(TRUMPET, 8), rooms(2, 60));
        assertThat(proposal.placed()).isEmpty();
        assertThat(proposal.left()).isEmpty();
        assertThat(proposal.firstLine()).as("nothing to wait for").contains(0);
    }

    @Test
    void sectionsReadTheirOwnStepsSideBySide() {
        // 2 steps of 30 s; 2 looks of 3 s at each of 8 and of 2 students: 60 + 48 + 12.
        Proposal<String> proposal = FirstWeeks.of(
                List.of(
                        piece("trumpet case", CheckTopic.HANDLING, TRUMPET),
                        piece("horn case", CheckTopic.HANDLING, HORN)),
                Map.of(TRUMPET, 8, HORN, 2),
                rooms(1, 60));
        assertThat(proposal.secondsWanted()).containsExactly(120);
        // For everybody: steps are read to all, then all ten are looked at.
        assertThat(FirstWeeks.of(
                                List.of(piece("tall", CheckTopic.BODY), piece("easy", CheckTopic.BODY)),
                                Map.of(TRUMPET, 8, HORN, 2),
                                rooms(1, 60))
                        .secondsWanted())
                .containsExactly(240);
    }

    @Test
    void aFullWeekPushesOnAndNothingLaterSlipsInBefore() {
        // Each takes 60 + 48 s: three fit five minutes and a half.
        List<Piece<String>> pieces = List.of(
                piece("a", CheckTopic.BODY),
                piece("b", CheckTopic.BODY),
                piece("c", CheckTopic.BODY),
                new Piece<>("long", CheckTopic.RELEASE, Set.of(), Set.of(), 20, 1, new PassRule.AllCriteria()),
                piece("short", CheckTopic.READING));
        Proposal<String> proposal = FirstWeeks.of(pieces, Map.of(TRUMPET, 8), rooms(3, 6));
        assertThat(weeks(proposal))
                .containsExactly(
                        Map.entry("a", 0),
                        Map.entry("b", 0),
                        Map.entry("c", 0),
                        Map.entry("long", 1),
                        Map.entry("short", 2));
        assertThat(proposal.placed().get(3).why()).isEqualTo(new Why.NoRoomBefore<>());
        assertThat(proposal.secondsWanted().get(1))
                .as("more than there is, alone in its week")
                .isGreaterThan(360);
    }

    @Test
    void aSectionIsAskedForSevenThingsAWeek() {
        List<Piece<String>> pieces = new ArrayList<>();
        for (int i = 0; i < 9; i++) {
            pieces.add(piece("t" + i, CheckTopic.BODY, TRUMPET));
        }
        pieces.add(piece("horn", CheckTopic.BODY, HORN));
        Map<String, Integer> weeks = weeks(FirstWeeks.of(pieces, Map.of(TRUMPET, 2, HORN, 2), rooms(3, 200)));
        assertThat(weeks.values().stream().filter(w -> w == 0)).hasSize(8);
        assertThat(weeks).containsEntry("t7", 1).containsEntry("horn", 0);
    }

    @Test
    void whatNoWeekHoldsIsLeftAndTold() {
        Proposal<String> proposal = FirstWeeks.of(
                List.of(
                        overDays(piece("sound", CheckTopic.FIRST_SOUND, TRUMPET)),
                        after(piece("notes", CheckTopic.FIRST_NOTES, TRUMPET), "sound")),
                Map.of(TRUMPET, 8),
                rooms(1, 60));
        assertThat(proposal.left()).extracting(Piece::key).containsExactly("notes");
        assertThat(proposal.firstLine()).isEmpty();
    }

    @Test
    void linesBeginWhereTheyCan() {
        List<Integer> lines = List.of(1, 2, 3, 4, 5);
        assertThat(FirstWeeks.lines(lines, 5, Optional.of(2), 2))
                .containsExactly(List.of(), List.of(), List.of(1, 2), List.of(3, 4), List.of(5));
        assertThat(FirstWeeks.lines(lines, 2, Optional.empty(), 2)).containsExactly(List.of(), List.of());
    }

    /** On random shelves: nothing before what it needs, nothing lost or twice, no week overfilled but by one thing alone. */
    @Property(tries = 300)
    void holdsWhatItPromises(@ForAll long seed) {
        Random dice = new Random(seed);
        InstrumentCode[] instruments = {TRUMPET, HORN, new InstrumentCode("tuba")};
        List<Prerequisites.Place<String>> places = new ArrayList<>();
        int count = dice.nextInt(1, 30);
        for (int i = 0; i < count; i++) {
            Set<InstrumentCode> own =
                    dice.nextInt(3) == 0 ? Set.of() : Set.of(instruments[dice.nextInt(instruments.length)]);
            CheckTopic topic = CheckTopic.values()[dice.nextInt(CheckTopic.values().length)];
            places.add(new Prerequisites.Place<>("p" + i, topic, own, Optional.empty()));
        }
        Prerequisites<String> before = Prerequisites.ofChecks(places);
        List<Piece<String>> pieces = places.stream()
                .map(place -> new Piece<>(
                        place.id(),
                        place.topic(),
                        place.instruments(),
                        before.directlyBefore(place.id()),
                        dice.nextInt(1, 9),
                        dice.nextInt(1, 6),
                        dice.nextInt(4) == 0 ? new PassRule.KOfLastN(3, 4) : new PassRule.AllCriteria()))
                .collect(Collectors.toCollection(ArrayList::new));
        Collections.shuffle(pieces, dice);
        Map<InstrumentCode, Integer> students = Map.of(TRUMPET, dice.nextInt(1, 20), HORN, dice.nextInt(1, 5));
        List<Room> rooms = rooms(dice.nextInt(1, 12), dice.nextInt(5, 120));
        Proposal<String> proposal = FirstWeeks.of(pieces, students, rooms);
        Map<String, Placed<String>> placed = proposal.placed().stream()
                .collect(Collectors.toMap(p -> p.piece().key(), p -> p));
        List<String> asked = pieces.stream()
                .filter(p -> students.keySet().stream().anyMatch(p::isFor))
                .map(Piece::key)
                .toList();
        List<String> all = new ArrayList<>(placed.keySet());
        proposal.left().forEach(piece -> all.add(piece.key()));
        assertThat(all).containsExactlyInAnyOrderElementsOf(asked);
        Map<Integer, List<Placed<String>>> byWeek =
                proposal.placed().stream().collect(Collectors.groupingBy(Placed::week));
        byWeek.forEach((week, there) -> {
            int seconds = there.stream().mapToInt(Placed::seconds).sum();
            assertThat(seconds).isEqualTo(proposal.secondsWanted().get(week));
            if (there.size() > 1) {
                assertThat(seconds).isLessThanOrEqualTo(rooms.get(week).minutes() * 60);
            }
            Map<InstrumentCode, Integer> counts = new HashMap<>();
            there.forEach(p ->
                    students.keySet().stream().filter(p.piece()::isFor).forEach(i -> counts.merge(i, 1, Integer::sum)));
            assertThat(counts.values()).allMatch(n -> n <= FirstWeeks.MOST_A_WEEK);
        });
        placed.values()
                .forEach(p -> p.piece().needs().stream().filter(asked::contains).forEach(need -> {
                    assertThat(placed).as("%s needs %s", p.piece().key(), need).containsKey(need);
                    int days = placed.get(need).piece().isPassedOverDays() ? 1 : 0;
                    assertThat(p.week()).isGreaterThanOrEqualTo(placed.get(need).week() + days);
                }));
        assertThat(FirstWeeks.of(pieces, students, rooms)).as("the same again").isEqualTo(proposal);
    }

    @Test
    void whatIsLaidOtherwiseIsToldByWeek() {
        Piece<String> sound = overDays(piece("sound", CheckTopic.FIRST_SOUND, TRUMPET));
        Piece<String> tongue = after(piece("tongue", CheckTopic.ARTICULATION, TRUMPET), "sound");
        Piece<String> tall = piece("tall", CheckTopic.BODY);
        Map<InstrumentCode, Integer> students = Map.of(TRUMPET, 5);
        assertThat(FirstWeeks.look(List.of(List.of(tall, sound), List.of(tongue)), students))
                .allSatisfy(look -> assertThat(look.tooEarly()).isEmpty());
        assertThat(FirstWeeks.look(List.of(List.of(tongue, sound), List.of()), students)
                        .getFirst()
                        .tooEarly())
                .as("a sound wants days")
                .containsExactly(new FirstWeeks.TooEarly<>("tongue", "sound"));
        assertThat(FirstWeeks.look(List.of(List.of(tongue), List.of(sound)), students)
                        .getFirst()
                        .tooEarly())
                .containsExactly(new FirstWeeks.TooEarly<>("tongue", "sound"));
        assertThat(FirstWeeks.look(List.of(List.of(tongue)), students)
                        .getFirst()
                        .tooEarly())
                .as("what is left out was met before")
                .isEmpty();
    }

    @Property(tries = 200)
    void aProposalThatIsLeftAsItIsWantsWhatItSaysAndIsNowhereTooEarly(@ForAll Random random) {
        List<Piece<String>> pieces = new ArrayList<>();
        CheckTopic[] topics = CheckTopic.values();
        for (int i = 0; i < 25; i++) {
            InstrumentCode[] own = List.of(
                            new InstrumentCode[0], new InstrumentCode[] {TRUMPET}, new InstrumentCode[] {HORN})
                    .get(random.nextInt(3));
            Piece<String> made = piece("p" + i, topics[i * topics.length / 25], own);
            made = random.nextInt(4) == 0 ? overDays(made) : made;
            pieces.add(i > 0 && random.nextBoolean() ? after(made, "p" + random.nextInt(i)) : made);
        }
        Map<InstrumentCode, Integer> students = Map.of(TRUMPET, 1 + random.nextInt(9), HORN, 1 + random.nextInt(9));
        Proposal<String> proposal = FirstWeeks.of(pieces, students, rooms(6, 20 + random.nextInt(40)));
        List<List<Piece<String>>> weeks = new ArrayList<>();
        for (int week = 0; week < 6; week++) {
            int at = week;
            List<Piece<String>> left = new ArrayList<>(proposal.placed().stream()
                    .filter(placed -> placed.week() == at)
                    .map(Placed::piece)
                    .toList());
            Collections.shuffle(left, random);
            weeks.add(left);
        }
        List<FirstWeeks.Look<String>> looks = FirstWeeks.look(weeks, students);
        assertThat(looks).extracting(FirstWeeks.Look::seconds).isEqualTo(proposal.secondsWanted());
        assertThat(looks).allSatisfy(look -> assertThat(look.tooEarly()).isEmpty());
    }
}
