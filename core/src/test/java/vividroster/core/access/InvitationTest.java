package vividroster.core.access;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import vividroster.core.access.Invitation.Fault;

class InvitationTest {

    private static final Instant MADE = Instant.parse("2026-08-17T08:00:00Z");
    private static final Instant NEXT_DAY = MADE.plus(Duration.ofDays(1));

    @Test
    void isGoodForFourteenDaysToTheSecond() {
        Invitation open = new Invitation(MADE, Optional.empty(), Optional.empty());
        assertThat(open.fault(MADE)).isEmpty();
        assertThat(open.fault(MADE.plus(Duration.ofDays(14)))).isEmpty();
        assertThat(open.fault(MADE.plus(Duration.ofDays(14)).plusSeconds(1))).contains(Fault.LATE);
    }

    @Test
    void isGoodOnceAndNotWhenTakenBack() {
        assertThat(new Invitation(MADE, Optional.of(NEXT_DAY), Optional.empty()).fault(NEXT_DAY))
                .contains(Fault.USED);
        assertThat(new Invitation(MADE, Optional.empty(), Optional.of(NEXT_DAY)).fault(NEXT_DAY))
                .contains(Fault.WITHDRAWN);
        assertThat(new Invitation(MADE, Optional.of(NEXT_DAY), Optional.empty()).fault(MADE.plus(Duration.ofDays(99))))
                .as("who used it long ago is told that, not that it is late")
                .contains(Fault.USED);
    }
}
