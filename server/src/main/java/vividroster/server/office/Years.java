package vividroster.server.office;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.season.SchoolYears;
import vividroster.core.season.YearDraft;
import vividroster.core.season.YearFault;
import vividroster.server.office.YearQueries.KeptYear;
import vividroster.server.platform.Locks;
import vividroster.server.platform.Problem;

/** The school years of a programme, as directors type them. */
@Service
public class Years {

    /** Whoever meets on the letters of a rotation. */
    public interface LetterUsers {

        /** @param name of a class that meets on the days of this letter */
        record LetterUser(String letter, String name) {}

        List<LetterUser> letterUsers(UUID programId);
    }

    private final YearQueries queries;
    private final Locks locks;
    private final List<LetterUsers> users;

    Years(YearQueries queries, Locks locks, List<LetterUsers> users) {
        this.queries = queries;
        this.locks = locks;
        this.users = users;
    }

    @Transactional(readOnly = true)
    List<KeptYear> all(UUID programId) {
        return queries.findAll(programId);
    }

    /**
     * Keeps a year as it was typed, a new one where the id is new. The same again changes nothing.
     *
     * @throws Problem with a sentence for the first thing that stands in the way
     */
    @Transactional
    void keep(UUID programId, UUID id, YearDraft draft) {
        locks.hold(programId, "years");
        Map<Boolean, List<KeptYear>> kept = queries.findAll(programId).stream()
                .collect(Collectors.partitioningBy(year -> year.id().equals(id)));
        List<KeptYear> others = kept.get(false);
        draft
                .faults(others.stream()
                        .map(year -> new YearDraft.Other(
                                year.draft().name(),
                                new SchoolYears.Span(
                                        year.draft().first(), year.draft().last())))
                        .toList())
                .stream()
                .findFirst()
                .ifPresent(Years::refuse);
        kept.get(true).forEach(before -> refuseLettersInUse(programId, before.draft(), draft));
        queries.put(programId, id, draft);
    }

    /** A letter that is taken away would leave its classes without a day. */
    private void refuseLettersInUse(UUID programId, YearDraft before, YearDraft after) {
        users.stream()
                .flatMap(of -> of.letterUsers(programId).stream())
                .filter(user -> before.rotation().contains(user.letter())
                        && !after.rotation().contains(user.letter()))
                .findFirst()
                .ifPresent(user -> {
                    throw Problem.input(
                            "rotation", user.name() + " meets on " + user.letter() + "-days; say first when it meets.");
                });
    }

    private static void refuse(YearFault fault) {
        throw Problem.input(YearWording.field(fault), YearWording.sentence(fault));
    }
}
