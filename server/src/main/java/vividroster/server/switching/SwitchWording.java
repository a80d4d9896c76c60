package vividroster.server.switching;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import vividroster.core.curriculum.BeltLook;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.instrument.HandsKept;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Pitch;
import vividroster.core.progress.InstrumentSwitch;
import vividroster.core.season.MilestoneOrder;
import vividroster.server.library.BeltView;
import vividroster.server.library.Library;
import vividroster.server.lines.HandsOnLines;
import vividroster.server.platform.Problem;
import vividroster.server.roster.Rosters;
import vividroster.server.roster.SchoolClass;
import vividroster.server.roster.Student;
import vividroster.server.switching.SwitchRequest.SwitchWanted;
import vividroster.server.switching.SwitchViews.AnewView;
import vividroster.server.switching.SwitchViews.BeltTouchedView;
import vividroster.server.switching.SwitchViews.HandView;
import vividroster.server.switching.SwitchViews.SwitchView;
import vividroster.server.switching.SwitchViews.SwitchesView;
import vividroster.server.switching.SwitchViews.ThingView;
import vividroster.server.switching.SwitchViews.TrackView;
import vividroster.server.switching.SwitchViews.TrackWeekView;
import vividroster.server.switching.Switches.SectionTrack;
import vividroster.server.switching.Switches.Told;

/** What a change of instrument means, in words. */
@Component
class SwitchWording {

    private final Rosters rosters;
    private final Library library;
    private final HandsOnLines hands;
    private final InstrumentCatalog catalog;

    SwitchWording(Rosters rosters, Library library, HandsOnLines hands, InstrumentCatalog catalog) {
        this.rosters = rosters;
        this.library = library;
        this.hands = hands;
        this.catalog = catalog;
    }

    SwitchesView view(UUID programId, Told told) {
        Map<UUID, String> classNames =
                rosters.classes(programId).stream().collect(Collectors.toMap(SchoolClass::id, SchoolClass::name));
        Map<UUID, BeltLook> looks = library.beltLooks(programId);
        List<SwitchView> students = new ArrayList<>();
        told.told().forEach((wanted, one) -> students.add(student(wanted, one, told.milestones(), classNames, looks)));
        return new SwitchesView(
                students,
                told.tracks().stream()
                        .map(track -> track(track, told.milestones(), classNames))
                        .toList());
    }

    private SwitchView student(
            SwitchWanted wanted,
            Told.One one,
            Map<UUID, Milestone> milestones,
            Map<UUID, String> classNames,
            Map<UUID, BeltLook> looks) {
        Function<Function<InstrumentSwitch, List<UUID>>, List<ThingView>> things = of ->
                one.means().map(means -> things(of.apply(means), milestones)).orElse(List.of());
        return new SwitchView(
                wanted.studentId(),
                wanted.classId(),
                one.student().map(Student::name).orElse("somebody who is not on the roster"),
                classNames.getOrDefault(wanted.classId(), "a class that is not there"),
                one.from().orElse(null),
                one.from().map(this::name).orElse(null),
                wanted.instrument(),
                name(wanted.instrument()),
                one.refused().map(Problem::getMessage).orElse(null),
                one.keepsOldIn().stream().map(classNames::get).toList(),
                things.apply(InstrumentSwitch::counts),
                things.apply(InstrumentSwitch::staysOnRecord),
                things.apply(InstrumentSwitch::passedBefore),
                things.apply(InstrumentSwitch::noLongerAsked),
                one.means().stream()
                        .flatMap(means -> means.opensAnew().stream())
                        .map(anew -> anew(anew, milestones, one.dueWithSection()))
                        .toList(),
                one.means().stream()
                        .flatMap(means -> means.belts().stream())
                        .map(touched -> new BeltTouchedView(
                                BeltView.of(
                                        touched.belt(), looks.get(touched.belt().id())),
                                touched.earnedBefore(),
                                touched.filled(),
                                touched.slots()))
                        .toList(),
                one.means().filter(means -> means.hands().keepsAll()).isPresent(),
                one.means().stream()
                        .flatMap(means -> means.hands().notes().stream())
                        .map(this::hand)
                        .toList());
    }

    private String name(InstrumentCode code) {
        return catalog.withCode(code).name();
    }

    private static AnewView anew(
            InstrumentSwitch.Anew anew, Map<UUID, Milestone> milestones, Map<UUID, LocalDate> due) {
        ThingView thing = thing(milestones.get(anew.milestoneId()));
        return new AnewView(
                thing.milestoneId(),
                thing.shortName(),
                thing.title(),
                anew.newNotes().stream().map(Pitch::name).toList(),
                anew.known(),
                due.get(anew.milestoneId()));
    }

    private HandView hand(HandsKept.Note note) {
        return new HandView(
                note.written().name(),
                hands.words(note.was()),
                note.is().map(hands::words).orElse(null),
                note.kept());
    }

    private static List<ThingView> things(Collection<UUID> ids, Map<UUID, Milestone> milestones) {
        return ids.stream().map(id -> thing(milestones.get(id))).toList();
    }

    private static ThingView thing(Milestone milestone) {
        return new ThingView(
                milestone.id(),
                milestone.kind() == MilestoneKind.LINE ? "line " + milestone.shortName() : milestone.shortName(),
                milestone.title());
    }

    private TrackView track(SectionTrack track, Map<UUID, Milestone> milestones, Map<UUID, String> classNames) {
        Map<LocalDate, List<MilestoneOrder>> byWeek = track.catchUp().orders().stream()
                .collect(Collectors.groupingBy(MilestoneOrder::dueOn, LinkedHashMap::new, Collectors.toList()));
        return new TrackView(
                track.classId(),
                classNames.get(track.classId()),
                track.instrument(),
                name(track.instrument()),
                track.students().stream().map(Student::name).toList(),
                byWeek.values().stream()
                        .map(week -> new TrackWeekView(
                                week.getFirst().setOn(),
                                week.getFirst().dueOn(),
                                things(
                                        week.stream()
                                                .map(MilestoneOrder::milestoneId)
                                                .toList(),
                                        milestones)))
                        .toList(),
                things(track.catchUp().withoutWeek(), milestones));
    }
}
