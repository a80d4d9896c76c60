package vividroster.server.office;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.season.CalendarProposals;
import vividroster.core.season.SchoolYear;
import vividroster.core.season.SchoolYear.EntryKind;
import vividroster.core.season.SchoolYears;
import vividroster.core.season.YearDraft;
import vividroster.core.season.YearDraft.EntryDraft;
import vividroster.core.season.YearFault;
import vividroster.formats.calendar.CalendarFile;
import vividroster.formats.csv.UnreadableFileException;
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
    private final Office office;
    private final List<LetterUsers> users;

    Years(YearQueries queries, Locks locks, Office office, List<LetterUsers> users) {
        this.office = office;
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

    /** @param unread how many events have no day that can be read */
    record CalendarRead(CalendarProposals.Found found, int unread) {}

    /** What the events of a calendar file would be in a year. @throws Problem where it cannot be read */
    CalendarRead readCalendar(UUID programId, byte[] bytes, LocalDate first, LocalDate last) {
        if (!last.isAfter(first) || last.isAfter(first.plusDays(SchoolYear.MOST_DAYS))) {
            refuse(
                    last.isAfter(first)
                            ? new YearFault.TooLong(SchoolYear.MOST_DAYS)
                            : new YearFault.EndsBeforeItBegins(first));
        }
        try {
            CalendarFile.Read read = CalendarFile.read(bytes, first, last, office.zone(programId));
            return new CalendarRead(CalendarProposals.of(read.events(), first, last), read.unread());
        } catch (UnreadableFileException e) {
            throw Problem.input("file", e.getMessage());
        }
    }

    /**
     * School does not meet on a day: an entry of its year. The same again changes nothing.
     *
     * @throws Problem where school does not meet then anyway
     */
    @Transactional
    public void loseDay(UUID programId, LocalDate day, String name) {
        EntryDraft lost = new EntryDraft(EntryKind.LOST_DAY, name, day, day);
        locks.hold(programId, "years");
        KeptYear year = yearWith(programId, day);
        if (year.draft().entries().contains(lost)) {
            return;
        }
        SchoolYear before = year.draft().toYear();
        if (!before.isSchoolDay(day)) {
            throw Problem.input(
                    "day",
                    "School does not meet then anyway"
                            + before.closedFor(day).map(why -> ": " + why).orElse("") + ".");
        }
        List<EntryDraft> entries = new ArrayList<>(year.draft().entries());
        entries.add(lost);
        queries.put(programId, year.id(), year.draft().with(entries));
    }

    /** School meets after all. */
    @Transactional
    void regainDay(UUID programId, LocalDate day) {
        locks.hold(programId, "years");
        KeptYear year = yearWith(programId, day);
        List<EntryDraft> entries = year.draft().entries().stream()
                .filter(entry -> entry.kind() != EntryKind.LOST_DAY
                        || !entry.first().equals(day)
                        || !entry.last().equals(day))
                .toList();
        queries.put(programId, year.id(), year.draft().with(entries));
    }

    private KeptYear yearWith(UUID programId, LocalDate day) {
        return queries.findAll(programId).stream()
                .filter(year -> !day.isBefore(year.draft().first())
                        && !day.isAfter(year.draft().last()))
                .findFirst()
                .orElseThrow(() -> Problem.input("day", day + " lies in no school year."));
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
