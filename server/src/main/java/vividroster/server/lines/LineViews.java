package vividroster.server.lines;

import java.util.List;
import vividroster.core.hands.Bowing;
import vividroster.core.hands.Demand;
import vividroster.core.hands.Fingers.Marked;
import vividroster.core.instrument.Partial.Tendency;
import vividroster.core.music.InstrumentCode;
import vividroster.core.rehearsal.Echoes;
import vividroster.core.rehearsal.HotSpots;
import vividroster.server.platform.Absent;

/** What a line says, as the API shows it. Measures are told by index in the line and by number as people count them. */
final class LineViews {

    private LineViews() {}

    /**
     * @param index in the part
     * @param number as counted
     * @param beats as long as it is
     * @param full as long as its meter makes it
     * @param pulse beats from one tap of the foot to the next
     * @param tempo printed in it, for example "quarter = 96–104"; absent where none is
     * @param spoken how it is counted aloud; held pulses in round brackets, silent ones in square ones
     */
    record MeasureView(
            int index,
            int number,
            double beats,
            double full,
            double pulse,
            String signs,
            @Absent String tempo,
            String spoken) {}

    /** @param seconds from the beginning of its measure, or of its count-in; strong on the first beat of a measure */
    record ClickView(double seconds, boolean strong) {}

    /**
     * @param seconds from the beginning to this measure when the line is played
     * @param countInSeconds to count in before it, with the clicks of it
     * @param clicks of the metronome in it
     */
    record PlayedView(
            int index,
            int number,
            int pass,
            double seconds,
            double countInSeconds,
            List<ClickView> countIn,
            List<ClickView> clicks) {}

    /**
     * One part of a file.
     *
     * @param id in the file; name as printed, may be empty
     * @param use {@code everybody}, {@code nobody}, or an instrument's code, {@code /2} behind it for its second part
     * @param problem why it cannot be used as one voice; absent where it can
     */
    record PartView(
            String id,
            String name,
            int measures,
            String use,
            @Absent String problem) {}

    /** @param midi as it sounds, 60 for middle C; onset and beats in quarters; measure by index */
    record SoundingView(int midi, double onset, double beats, double seconds, double lasts, int measure) {}

    /**
     * What sounds beside the part shown.
     *
     * @param use {@code everybody}, {@code under}, or an instrument's code, {@code /2} behind it for its second part
     */
    record BesideView(String use, String name, List<SoundingView> sounding) {}

    /** @param from and to numbers of measures; sentence for example "Measures 1 to 8: held notes, B-flat, F" */
    record BelowView(int from, int to, String sentence) {}

    /** @param toldApart a sentence for every measure that is like an earlier one and lies over something else */
    record AccompanimentView(List<BelowView> strains, List<String> toldApart) {}

    record TrapView(String kind, int measure, int number, String sentence) {}

    record EchoView(Echoes.Likeness likeness, int measure, int number, String sentence) {}

    record DemandView(Demand.Kind kind, double value, int number, String words) {}

    /**
     * @param kind NOTE, VALUE, SIGN, KEY or METER; words for example "F-sharp, 1-2" or "dotted quarter"
     * @param sentence what a new sign means, or how a new note differs from one it has; absent where there is nothing
     */
    record NewView(
            String kind, int number, String words, @Absent String sentence) {}

    /** @param kind BOW, SLIDE, GLIDE or ROLL; numbers of the measures */
    record HandNoteView(String kind, List<Integer> numbers, String sentence) {}

    /** @param sentence why, for example "Fastest: Clarinet, 4 a second in measure 5; the next has 2" */
    record HardestView(Demand.Kind kind, InstrumentCode instrument, String sentence) {}

    /**
     * @param number of the measure where it comes in
     * @param note it begins with, of unpitched percussion the hand; fingering empty where there is none
     * @param counted pulses before the entry; one breathes on the last
     */
    record ComingInView(int number, String note, @Absent String fingering, List<String> counted, String entersOn) {}

    /** @param numbers of the measures that hold it */
    record TendencyView(String note, String fingering, Tendency tendency, List<Integer> numbers) {}

    /** @param instrument or {@code any}; trouble the place that goes wrong; both empty where nothing was said */
    record RemarkView(String instrument, String trouble, String tip) {}

    /**
     * What is read in another octave than the instrument's home.
     *
     * @param from number of the first measure of it, to of the last
     * @param octaves from the home octave; of a whole line from where the page has it
     * @param sentence where and why
     */
    record MovedView(int from, int to, int octaves, String sentence) {}

    /**
     * @param pitched false for what reads a rhythm alone; its fingerings are the sticking
     * @param octaves of the home octave from concert pitch; phrases elsewhere stand in {@code moved}
     * @param soundsAbove semitones from the line at concert pitch to where the section sounds
     * @param writtenAbove semitones from the line at concert pitch to what is written here
     * @param breaths numbers of the measures after whose notes one breathes though nothing says so; of winds alone
     * @param trackKnown whether it is known what the section has met; only then something can be new
     */
    record SectionReadingView(
            InstrumentCode instrument,
            String name,
            boolean pitched,
            String writtenKey,
            int octaves,
            int soundsAbove,
            int writtenAbove,
            List<MovedView> moved,
            List<String> outside,
            List<Integer> breaths,
            @Absent ComingInView entry,
            boolean trackKnown,
            List<NewView> news,
            List<TrapView> traps,
            List<TendencyView> tendencies,
            List<HandNoteView> hands,
            List<DemandView> demand,
            List<HotSpotView> hotSpots) {}

    /** @param recalls number of an earlier measure it equals */
    record HotSpotView(
            int measure,
            int number,
            List<HotSpots.Reason> reasons,
            @Absent Integer recalls) {}

    /**
     * One note or rest as a finger-number view shows it.
     *
     * @param name without octave; empty for a rest
     * @param label the fingering, empty where there is none
     * @param string its letter, for strings
     * @param holes covered as bits, for woodwinds: 0 the left thumb, 1 to 6 the fingers
     * @param keys pressed beside, for woodwinds
     * @param alternates other fingerings
     * @param syllable it is started with; absent for strings, drums, rests and where no check says it
     * @param bow that begins here; absent where none does
     */
    record FingerView(
            String name,
            double beats,
            String label,
            @Absent String string,
            @Absent Integer holes,
            List<String> keys,
            Marked marked,
            List<String> alternates,
            @Absent String syllable,
            @Absent Bowing.Bow bow) {}

    /**
     * @param tempoBpm at the beginning; tempo as printed there, absent where none is
     * @param fault why there is no way through the measures; then nothing is played
     * @param seconds it takes to play, fermatas held; secondsWithCountIn counted in at the tempo of the beginning
     * @param countedSeconds the same as times and minutes are counted; hearing times come from these
     * @param beside what other sections play, and the accompaniment
     * @param under what lies below the tune; absent where the line has no accompaniment
     * @param parts of the file it comes from; empty where it was asked for one part, or is not asked
     * @param leftOut what of the file is not kept, each in words, for example "dynamics in 3, 7"
     */
    record AnalysisView(
            String title,
            String concertKey,
            String meter,
            double tempoBpm,
            @Absent String tempo,
            double countInBeats,
            List<MeasureView> measures,
            @Absent String fault,
            List<PlayedView> order,
            double totalBeats,
            double seconds,
            double secondsWithCountIn,
            double countedSeconds,
            double countedSecondsWithCountIn,
            int playedMeasures,
            List<SoundingView> sounding,
            List<BesideView> beside,
            @Absent AccompanimentView under,
            List<EchoView> echoes,
            List<SectionReadingView> sections,
            List<HardestView> hardest,
            List<PartView> parts,
            List<String> leftOut) {

        AnalysisView of(List<PartView> otherParts, List<String> others) {
            return new AnalysisView(
                    title,
                    concertKey,
                    meter,
                    tempoBpm,
                    tempo,
                    countInBeats,
                    measures,
                    fault,
                    order,
                    totalBeats,
                    seconds,
                    secondsWithCountIn,
                    countedSeconds,
                    countedSecondsWithCountIn,
                    playedMeasures,
                    sounding,
                    beside,
                    under,
                    echoes,
                    sections,
                    hardest,
                    otherParts,
                    others);
        }
    }

    /** @param measure number here; words for example "measure 3 of line 12" */
    record BorrowedView(int measure, String lineId, String words) {}

    /** @param sentence for example "The notes of line 34 in another rhythm"; absent where the line is new */
    record LikenessView(@Absent String lineId, @Absent String sentence, List<BorrowedView> measures) {}
}
