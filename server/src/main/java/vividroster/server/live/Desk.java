package vividroster.server.live;

import java.util.UUID;
import vividroster.server.platform.Absent;

/**
 * Whom somebody is hearing at the moment.
 *
 * @param studentId absent when the desk was left, as the milestone
 */
record Desk(
        UUID programId,
        UUID accountId,
        String hearerName,
        @Absent UUID studentId,
        @Absent UUID milestoneId) {

    boolean isLeft() {
        return studentId == null;
    }
}
