package vividroster.server.library;

import java.util.List;
import java.util.Map;
import java.util.UUID;

/** How the criteria of technique checks are worded by the schools a programme follows; told by who knows the schools. */
public interface WordedCriteria {

    /** By milestone, one text for each criterion; only of checks that are worded otherwise than they are kept. */
    Map<UUID, List<String>> of(UUID programId);
}
