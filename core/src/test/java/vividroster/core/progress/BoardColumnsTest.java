package vividroster.core.progress;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import vividroster.core.curriculum.Criterion;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.curriculum.PassRule;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.BoardColumns.Column;
import vividroster.core.progress.BoardColumns.Wanted;

class BoardColumnsTest {

    private static final LocalDate DAY = LocalDate.of(2026, 9, 4);

    private static Milestone check(String name, String... instruments) {
        return new Milestone(
                UUID.randomUUID(),
                MilestoneKind.TECHNIQUE_CHECK,
                name,
                name,
                false,
                Arrays.stream(instruments).map(InstrumentCode::new).collect(Collectors.toSet()),
                1,
                new PassRule.AllCriteria(),
                List.of(new Criterion(1, "Seen", 1, java.util.OptionalInt.empty())));
    }

    private static Milestone line(String number) {
        return new Milestone(
                UUID.randomUUID(),
                MilestoneKind.LINE,
                number,
                "A line",
                false,
                Set.of(),
                1,
                new PassRule.OneGoodTry(),
                List.of());
    }

    private static Wanted<String> wanted(Milestone milestone, int daysLater, String... players) {
        return new Wanted<>(milestone, DAY.minusDays(7), DAY.plusDays(daysLater), Set.of(players));
    }

    @Test
    void eachSectionsOwnFormOfACheckSharesAColumnDueWhenTheFirstIs() {
        List<Column> columns = BoardColumns.of(List.of(
                wanted(check("Hold", "flute"), 0, "Ana"),
                wanted(check("Sound", "flute"), 0, "Ana"),
                wanted(check("hold", "trumpet"), -2, "Flo")));
        assertThat(columns).extracting(c -> c.milestones().size()).containsExactly(2, 1);
        assertThat(columns.getFirst().dueOn()).isEqualTo(DAY.minusDays(2));
    }

    @Test
    void nobodyHasTwoMarksInOneColumn() {
        List<Column> columns = BoardColumns.of(List.of(
                wanted(check("Hold", "flute"), 0, "Ana"), wanted(check("Hold", "flute", "oboe"), 0, "Ana", "Bo")));
        assertThat(columns).hasSize(2);
    }

    @Test
    void linesOfTwoVolumesStayApartAlthoughTheirNumbersAreTheSame() {
        assertThat(BoardColumns.of(List.of(wanted(line("5"), 0, "Ana"), wanted(line("5"), 0, "Vic"))))
                .hasSize(2);
    }

    @Test
    void columnsStandByDueDayThenAsOnTheShelf() {
        Milestone late = line("1");
        Milestone first = line("3");
        Milestone second = line("2");
        assertThat(BoardColumns.of(List.of(wanted(late, 7, "Ana"), wanted(first, 0, "Ana"), wanted(second, 0, "Ana"))))
                .extracting(c -> c.milestones().getFirst())
                .containsExactly(first, second, late);
        assertThat(BoardColumns.of(List.<Wanted<String>>of())).isEmpty();
    }
}
