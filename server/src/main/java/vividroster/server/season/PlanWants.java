package vividroster.server.season;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.curriculum.Belt;
import vividroster.core.curriculum.CheckTopic;
import vividroster.core.curriculum.Prerequisites;
import vividroster.core.plan.ChosenYear.Want;
import vividroster.core.plan.PlanItem.Kind;
import vividroster.server.checks.Checks;
import vividroster.server.checks.Checks.FirstCheck;
import vividroster.server.library.Library;
import vividroster.server.library.TestFacts;

/** What must be heard before what, besides what the pages of a book tell: topics of checks, the line of a test, belts. */
@Component
class PlanWants {

    /** Heard in a week before. */
    private static final int HEARD_BEFORE = 1;

    private final Checks checks;
    private final Library library;

    PlanWants(Checks checks, Library library) {
        this.checks = checks;
        this.library = library;
    }

    @Transactional(readOnly = true)
    List<Want> of(
            UUID programId, List<SeasonYear.Section> sections, List<SeasonYear.Item> items, List<List<String>> books) {
        List<Want> wants = new ArrayList<>();
        Map<String, Kind> kinds = new LinkedHashMap<>();
        items.forEach(item -> item.item()
                .milestone()
                .ifPresent(milestone -> kinds.put(milestone, item.item().kind())));
        List<FirstCheck> shelf = checks
                .firstChecks(
                        programId,
                        sections.stream().map(s -> s.instrument().code()).collect(Collectors.toSet()))
                .stream()
                .filter(check -> kinds.containsKey(check.id().toString()))
                .toList();
        Prerequisites<UUID> order = Checks.inOrder(shelf);
        for (SeasonYear.Section section : sections) {
            for (FirstCheck check : shelf) {
                order.directlyBefore(check.id())
                        .forEach(before -> wants.add(want(check.id().toString(), section, before.toString())));
            }
            firstLines(section, items, books)
                    .forEach(line -> shelf.stream()
                            .filter(check -> check.check().topic() == CheckTopic.FIRST_NOTES)
                            .forEach(check ->
                                    wants.add(want(line, section, check.id().toString()))));
        }
        wants.addAll(tests(programId, sections, kinds));
        wants.addAll(belts(programId, sections, kinds));
        return wants;
    }

    private static Want want(String milestone, SeasonYear.Section section, String needed) {
        return new Want(milestone, section.id(), needed, HEARD_BEFORE);
    }

    /** The line a section begins each book with. */
    private static Set<String> firstLines(
            SeasonYear.Section section, List<SeasonYear.Item> items, List<List<String>> books) {
        Set<String> own = items.stream()
                .filter(item -> item.item().sections().contains(section.id()))
                .flatMap(item -> item.item().milestone().stream())
                .collect(Collectors.toSet());
        Set<String> first = new HashSet<>();
        books.forEach(book -> book.stream().filter(own::contains).findFirst().ifPresent(first::add));
        return first;
    }

    private List<Want> tests(UUID programId, List<SeasonYear.Section> sections, Map<String, Kind> kinds) {
        List<UUID> tests = idsOf(kinds, Kind.PLAYING_TEST);
        List<Want> wants = new ArrayList<>();
        for (TestFacts test : library.tests(programId, tests).values()) {
            test.lineId()
                    .ifPresent(line -> sections.forEach(
                            section -> wants.add(want(test.milestoneId().toString(), section, line.toString()))));
        }
        return wants;
    }

    private List<Want> belts(UUID programId, List<SeasonYear.Section> sections, Map<String, Kind> kinds) {
        Set<UUID> chosen = new HashSet<>(idsOf(kinds, Kind.BELT));
        List<Want> wants = new ArrayList<>();
        if (chosen.isEmpty()) {
            return wants;
        }
        List<Belt> belts = library.allBelts(programId);
        for (Belt belt : belts) {
            if (chosen.contains(belt.id())) {
                belts.stream()
                        .filter(before -> before.ladder().equals(belt.ladder()) && before.rank() == belt.rank() - 1)
                        .forEach(before -> sections.forEach(section -> wants.add(
                                want(belt.id().toString(), section, before.id().toString()))));
                sections.forEach(section -> belt.milestonesFor(
                                section.instrument().code())
                        .forEach(slot -> wants.add(want(belt.id().toString(), section, slot.toString()))));
            }
        }
        return wants;
    }

    private static List<UUID> idsOf(Map<String, Kind> kinds, Kind kind) {
        return kinds.entrySet().stream()
                .filter(e -> e.getValue() == kind)
                .map(e -> UUID.fromString(e.getKey()))
                .toList();
    }
}
