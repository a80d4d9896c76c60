package vividroster.core.season;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import java.time.LocalDate;
import java.time.LocalTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.Evidence;
import vividroster.core.roster.Seat;
import vividroster.core.roster.SectionScope;
import vividroster.core.season.SchoolYear.Entry;
import vividroster.core.season.SchoolYear.EntryKind;

class CatchUpTest {

    private static final UUID WINDS = new UUID(0, 1);
    private static final InstrumentCode HORN = new InstrumentCode("horn");
    private static final LocalDate MONDAY = LocalDate.of(2027, 1, 4);

    /** Four weeks, the second of them a break; the class meets on every school day. */
    private static final SchoolYear YEAR = new SchoolYear(
            MONDAY,
            MONDAY.plusDays(25),
            List.of(new Entry(EntryKind.BREAK, "Ice", MONDAY.plusDays(7), MONDAY.plusDays(11))),
            List.of());

    private static final ClassTimes TIMES =
            ClassTimes.of(MeetingPattern.of(Optional.empty(), 2, LocalTime.of(9, 0), 45));

    private static CatchUp from(LocalDate since, List<List<UUID>> track, Map<UUID, Set<Evidence>> evidence) {
        return CatchUp.of(
                new SectionScope.Newcomers(WINDS, Optional.of(HORN), since),
                track,
                evidence,
                TIMES,
                YEAR,
                UUID::randomUUID);
    }

    /** Wednesday of the first week to Friday; then the third week, since the second is a break; the year has one more. */
    @Test
    void eachWeekOfTheTrackHasAWeekInWhichTheClassMeets() {
        UUID a = new UUID(1, 1);
        UUID b = new UUID(1, 2);
        UUID c = new UUID(1, 3);
        UUID d = new UUID(1, 4);
        UUID e = new UUID(1, 5);
        LocalDate wednesday = MONDAY.plusDays(2);
        CatchUp catchUp = from(
                wednesday,
                List.of(List.of(a, b), List.of(c), List.of(d), List.of(e)),
                Map.of(c, Set.of(Evidence.LIVE_ALONE)));
        assertThat(catchUp.orders())
                .extracting(MilestoneOrder::milestoneId, MilestoneOrder::setOn, MilestoneOrder::dueOn)
                .containsExactly(
                        tuple(a, wednesday, MONDAY.plusDays(4)),
                        tuple(b, wednesday, MONDAY.plusDays(4)),
                        tuple(c, MONDAY.plusDays(14), MONDAY.plusDays(18)),
                        tuple(d, MONDAY.plusDays(21), MONDAY.plusDays(25)));
        assertThat(catchUp.withoutWeek()).containsExactly(e);
        assertThat(catchUp.orders().get(2).evidence()).containsExactly(Evidence.LIVE_ALONE);
        assertThat(catchUp.orders().get(0).evidence()).isEqualTo(Evidence.countingByDefault());
    }

    @Test
    void itReachesWhoComesToThatSectionThenAndNobodyElse() {
        LocalDate since = MONDAY.plusDays(14);
        MilestoneOrder order =
                from(since, List.of(List.of(new UUID(1, 1))), Map.of()).orders().getFirst();
        InstrumentCatalog catalog = new InstrumentCatalog(List.of());
        Seat comes = new Seat(new UUID(2, 1), WINDS, HORN, "", since, Optional.empty());
        assertThat(order.reaches(comes, catalog)).isTrue();
        assertThat(order.reaches(comes.during(MONDAY, Optional.empty()), catalog))
                .isFalse();
        assertThat(order.reaches(
                        new Seat(new UUID(2, 2), WINDS, new InstrumentCode("tuba"), "", since, Optional.empty()),
                        catalog))
                .isFalse();
    }
}
