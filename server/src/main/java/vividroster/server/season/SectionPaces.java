package vividroster.server.season;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.instrument.Instrument;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.core.plan.PlanItem;
import vividroster.core.plan.SectionPace;
import vividroster.core.progress.Standing;
import vividroster.server.hearing.Player;
import vividroster.server.hearing.Progress;

/** What is known of how fast the sections of a class go through lines; every forecast stands on it. */
@Service
public class SectionPaces {

    private final PlanYears plans;
    private final InstrumentCatalog catalog;

    SectionPaces(PlanYears plans, InstrumentCatalog catalog) {
        this.plans = plans;
        this.catalog = catalog;
    }

    /**
     * @param weeks to come until a day is over, of the calendar; 0 where it is past
     * @param planned lines that stand in the plan of the class, by the week they stand in
     */
    public record Ahead(Map<InstrumentCode, SectionPace> sections, int weeks, Map<UUID, Integer> planned) {

        /** Weeks with a lesson until then. */
        public int lessonWeeks() {
            return sections.values().stream()
                    .mapToInt(pace -> pace.lessonWeeks(weeks))
                    .max()
                    .orElse(0);
        }
    }

    /**
     * @param players by instrument
     * @param lines whose passes tell the pace
     * @param sheet that holds the standings of these players with these lines
     */
    @Transactional(readOnly = true)
    public Ahead ahead(
            UUID programId,
            UUID classId,
            Map<InstrumentCode, List<Player>> players,
            Collection<UUID> lines,
            Progress.Sheet sheet,
            LocalDate by) {
        SeasonYear year = plans.of(programId, List.of(classId));
        List<Integer> meetings = meetings(year, classId);
        Map<InstrumentCode, SectionPace> sections = new LinkedHashMap<>();
        players.forEach((code, own) ->
                sections.put(code, of(year, classId, catalog.withCode(code), own, lines, meetings, sheet)));
        Map<UUID, Integer> planned = new HashMap<>();
        year.items().stream()
                .map(SeasonYear.Item::item)
                .filter(item ->
                        item.kind() == PlanItem.Kind.LINE && item.stands().isPresent())
                .forEach(item -> item.milestone()
                        .ifPresent(id ->
                                planned.merge(UUID.fromString(id), item.stands().getAsInt(), Math::min)));
        return new Ahead(sections, weeksLeft(year, year.weekOf(by)), planned);
    }

    static int weeksLeft(SeasonYear year, Optional<Integer> targetWeek) {
        return Math.max(0, targetWeek.orElse(year.year().weeks().size()) - year.firstFree() + 1);
    }

    /** Of a class in each week of the year. */
    static List<Integer> meetings(SeasonYear year, UUID classId) {
        return year.classes().stream()
                .filter(one -> one.id().equals(classId))
                .findFirst()
                .map(one -> year.year().weeks().stream()
                        .map(week -> one.times().daysIn(year.year(), week).size())
                        .toList())
                .orElseThrow();
    }

    /** How many of these players have passed a line. */
    public static int passedBy(Collection<Player> players, UUID line, Progress.Sheet sheet) {
        return (int) players.stream()
                .filter(player -> sheet.standing(player, line).isPassed())
                .count();
    }

    static SectionPace of(
            SeasonYear year,
            UUID classId,
            Instrument instrument,
            List<Player> players,
            Collection<UUID> lines,
            List<Integer> meetings,
            Progress.Sheet sheet) {
        List<Integer> passWeeks = new ArrayList<>();
        for (Player player : players) {
            for (UUID line : lines) {
                Standing standing = sheet.standing(player, line);
                if (standing.isPassed()) {
                    standing.passedOn().flatMap(year::weekOf).ifPresent(passWeeks::add);
                }
            }
        }
        List<SeasonYear.Item> own = year.items().stream()
                .filter(item -> item.item().kind() == PlanItem.Kind.LINE
                        && item.item().stands().isPresent()
                        && year.sections().stream()
                                .anyMatch(section -> section.classId().equals(classId)
                                        && section.instrument().equals(instrument)
                                        && item.item().sections().contains(section.id())))
                .toList();
        int first = own.stream()
                .flatMap(item -> item.orders().stream())
                .flatMap(order -> year.weekOf(order.setOn()).stream())
                .min(Comparator.naturalOrder())
                .orElse(year.firstFree());
        return new SectionPace(players.size(), meetings, first, year.firstFree(), passWeeks, own.size());
    }
}
