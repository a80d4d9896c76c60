package vividroster.server.hearing;

import java.time.LocalDate;
import vividroster.core.progress.Standing;
import vividroster.server.platform.Absent;

/** A standing as the API shows it; drawn as one progress mark. */
public record StandingView(
        Standing.State state,
        int tries,
        boolean carriedOver,
        int goodTries,
        @Absent LocalDate passedOn,
        @Absent LocalDate lastHeardOn) {

    public static StandingView of(Standing standing) {
        return new StandingView(
                standing.state(),
                standing.tries(),
                standing.carriedOver(),
                standing.goodTries(),
                standing.passedOn().orElse(null),
                standing.lastHeardOn().orElse(null));
    }
}
