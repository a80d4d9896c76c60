package vividroster.server.switching;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import vividroster.core.instrument.HandsKept;
import vividroster.core.music.InstrumentCode;
import vividroster.server.library.BeltView;
import vividroster.server.platform.Absent;

/** A change of instrument as it is told before it is done. */
final class SwitchViews {

    private SwitchViews() {}

    /** @param tracks one for each section that somebody comes to */
    record SwitchesView(List<SwitchView> students, List<TrackView> tracks) {}

    /**
     * @param refused why it cannot be done, in a sentence; the lists are empty then
     * @param alsoOn classes in which the old instrument is played on
     * @param keepsAll whether the hand loses nothing of what it knows
     * @param hands every note known on the old instrument, from low to high
     */
    record SwitchView(
            UUID studentId,
            UUID classId,
            String name,
            String className,
            @Absent InstrumentCode from,
            @Absent String fromName,
            InstrumentCode to,
            String toName,
            @Absent String refused,
            List<String> alsoOn,
            List<ThingView> counts,
            List<ThingView> staysOnRecord,
            List<ThingView> passedBefore,
            List<ThingView> noLongerAsked,
            List<AnewView> opensAnew,
            List<BeltTouchedView> belts,
            boolean keepsAll,
            List<HandView> hands) {}

    record ThingView(UUID milestoneId, String shortName, String title) {}

    /**
     * @param newNotes written notes that are new to the hand
     * @param known whether it has notes and the hand knows them all
     * @param dueOn where it is set with the section; absent where it was due before
     */
    record AnewView(
            UUID milestoneId,
            String shortName,
            String title,
            List<String> newNotes,
            boolean known,
            @Absent LocalDate dueOn) {}

    /** @param earnedBefore it stays @param filled of the slots, from the first day */
    record BeltTouchedView(BeltView belt, boolean earnedBefore, int filled, int slots) {}

    /** @param is absent where the new instrument does not have the note */
    record HandView(String note, String was, @Absent String is, HandsKept.Kept kept) {}

    /** @param withoutWeek what the year has no week for any more */
    record TrackView(
            UUID classId,
            String className,
            InstrumentCode instrument,
            String instrumentName,
            List<String> names,
            List<TrackWeekView> weeks,
            List<ThingView> withoutWeek) {}

    record TrackWeekView(LocalDate setOn, LocalDate dueOn, List<ThingView> milestones) {}

    /** @param students whose seats changed @param orders made for them */
    record SwitchedView(int students, int orders) {}
}
