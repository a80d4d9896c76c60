package vividroster.core.progress;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.curriculum.PassRule;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.Standings.Terms;
import vividroster.core.progress.Trail.Step;

class OutlookTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 9, 14);
    private static final InstrumentCode TRUMPET = new InstrumentCode("trumpet");
    private static final Terms SET = new Terms(Evidence.countingByDefault(), Optional.of(TODAY));

    private static Milestone milestone(PassRule rule) {
        return new Milestone(
                UUID.randomUUID(), MilestoneKind.LINE, "12", "Gull on a post", false, Set.of(), 1, rule, List.of());
    }

    private static Trail heard(String tries) {
        return new Trail(tries.chars()
                .mapToObj(c -> step(c == Outlook.GOOD, Evidence.LIVE_ALONE))
                .toList());
    }

    private static Step step(boolean good, Evidence evidence) {
        return new Step(TRUMPET, TODAY, 1, evidence, good ? Outcome.PASS : Outcome.NOT_YET, false);
    }

    @ParameterizedTest(name = "{0} of {1} after \"{2}\"")
    @CsvSource({
        // Counted by hand: the shortest ways to k good among n in a row.
        "1, 1, '',   'G,NG,NNG'",
        "1, 1, N,    'G,NG,NNG'",
        "2, 2, '',   'GG,NGG'",
        "2, 2, G,    'G,NGG'",
        "2, 3, G,    'G,NG'",
        "4, 5, GGG,  'G,NG'",
        "4, 5, GGNG, 'G,NGGG'",
        "4, 5, GGGG, ''",
    })
    void tellsTheShortestWaysToThePass(int k, int n, String before, String expected) {
        Milestone milestone = milestone(new PassRule.KOfLastN(k, n));
        assertThat(Outlook.of(milestone, heard(before), TRUMPET, SET, TODAY).passes())
                .containsExactlyInAnyOrder(expected.split(",", -1));
    }

    @Test
    void oneGoodTryPassesAndThePassStays() {
        Milestone line = milestone(new PassRule.OneGoodTry());
        Outlook before = Outlook.of(line, Trail.EMPTY, TRUMPET, SET, TODAY);
        assertThat(before.passes()).containsExactly("G", "NG", "NNG");
        assertThat(before.triesAVisit()).isOne();
        assertThat(Outlook.of(line, heard("NG"), TRUMPET, SET, TODAY).passes()).containsExactly("");
    }

    @Test
    void whatDoesNotCountMakesNoPass() {
        Milestone line = milestone(new PassRule.OneGoodTry());
        Trail byPartner = new Trail(List.of(step(true, Evidence.PARTNER_CHECK)));
        assertThat(Outlook.of(line, byPartner, TRUMPET, SET, TODAY).passes()).containsExactly("G", "NG", "NNG");
        assertThat(Outlook.of(line, Trail.EMPTY, TRUMPET, new Terms(Set.of(), Optional.empty()), TODAY)
                        .passes())
                .isEmpty();
    }

    @Test
    void aVisitIsAsLongAsTheRuleReachesBack() {
        assertThat(Outlook.of(milestone(new PassRule.KOfLastN(4, 5)), Trail.EMPTY, TRUMPET, SET, TODAY)
                        .triesAVisit())
                .isEqualTo(5);
    }

    /** What a device looks up is what the server will say once it has the tries. */
    @Property(tries = 300)
    void lookingUpIsTheSameAsJudging(
            @ForAll @IntRange(min = 1, max = 6) int n,
            @ForAll @IntRange(min = 1, max = 6) int k,
            @ForAll @Size(max = 8) List<Boolean> before,
            @ForAll @Size(max = 6) List<Boolean> after) {
        Milestone milestone = milestone(new PassRule.KOfLastN(Math.min(k, n), n));
        List<Boolean> made = after.subList(0, Math.min(after.size(), Outlook.ahead(milestone)));
        Outlook outlook = Outlook.of(milestone, heard(letters(before)), TRUMPET, SET, TODAY);
        List<Boolean> all = new ArrayList<>(before);
        all.addAll(made);
        assertThat(outlook.passes().stream().anyMatch(letters(made)::startsWith))
                .isEqualTo(Standings.of(milestone, heard(letters(all)), TRUMPET, SET, TODAY)
                        .isPassed());
    }

    private static String letters(List<Boolean> tries) {
        StringBuilder letters = new StringBuilder();
        tries.forEach(good -> letters.append(good ? Outlook.GOOD : Outlook.OTHER));
        return letters.toString();
    }
}
