package vividroster.server.lines;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import vividroster.core.music.Part;
import vividroster.core.music.Pitch;
import vividroster.core.music.Score;
import vividroster.core.reading.TimedView;
import vividroster.core.rehearsal.Accompaniment;
import vividroster.server.lines.LineViews.AccompanimentView;
import vividroster.server.lines.LineViews.BelowView;
import vividroster.server.lines.LineViews.BesideView;
import vividroster.server.lines.LineViews.SoundingView;

/** What sounds beside the part that is shown: the other sections' own parts and the accompaniment. */
final class Beside {

    private static final String[] ORDINALS = {"", ", first", ", second", ", third", ", fourth"};

    private Beside() {}

    /** @param shown is left out; so is whatever has no way through */
    static List<BesideView> of(Score score, Part shown, Conventions conventions, Readers readers) {
        List<BesideView> all = new ArrayList<>();
        if (!shown.equals(score.sounding())) {
            add(all, "everybody", "Everybody else", score.sounding(), conventions);
        }
        score.own().entrySet().stream()
                .filter(e -> !e.getValue().equals(shown) && !e.getValue().equals(score.sounding()))
                .sorted((a, b) -> PartViews.code(a.getKey()).compareTo(PartViews.code(b.getKey())))
                .forEach(e -> add(
                        all,
                        PartViews.code(e.getKey()),
                        readers.withCode(e.getKey().instrument()).plural()
                                + (e.getKey().division() < ORDINALS.length
                                        ? ORDINALS[e.getKey().division()]
                                        : ", part " + e.getKey().division()),
                        e.getValue(),
                        conventions));
        score.under().ifPresent(under -> add(all, "under", "Accompaniment", under, conventions));
        return all;
    }

    private static void add(List<BesideView> all, String use, String name, Part part, Conventions conventions) {
        TimedView view = TimedView.of(part, conventions.timing());
        if (view.fault().isEmpty()) {
            List<SoundingView> sounding = view.timeline(conventions.fermataPlayed()).notes().stream()
                    .map(s -> new SoundingView(
                            s.pitch().midi(),
                            s.onset().value(),
                            s.length().value(),
                            s.seconds(),
                            s.lasts(),
                            s.measure()))
                    .toList();
            if (!sounding.isEmpty()) {
                all.add(new BesideView(use, name, sounding));
            }
        }
    }

    /** Null where the line has no accompaniment. */
    static AccompanimentView under(Score score, TimedView tune, Conventions conventions) {
        return score.under()
                .map(under -> Accompaniment.of(tune, TimedView.of(under, conventions.timing())))
                .map(found -> new AccompanimentView(
                        found.strains().stream()
                                .map(strain -> below(strain, tune.part(), conventions))
                                .toList(),
                        found.toldApart().stream()
                                .map(apart -> "Measure "
                                        + conventions.numbering().of(tune.part(), apart.measure())
                                        + " is measure "
                                        + conventions.numbering().of(tune.part(), apart.earlier())
                                        + " again, over something else")
                                .toList()))
                .orElse(null);
    }

    private static BelowView below(Accompaniment.Below strain, Part part, Conventions conventions) {
        int from = conventions.numbering().of(part, strain.from());
        int to = conventions.numbering().of(part, strain.to());
        String measures = from == to ? "Measure " + from : "Measures " + from + " to " + to;
        String notes = strain.notes().stream().map(Pitch::name).collect(Collectors.joining(", "));
        String what = switch (strain.motion()) {
            case SILENT -> "nothing below, you are alone";
            case HELD -> "held notes, " + notes;
            case WITH_THE_BEAT -> "a note to the beat, " + notes;
            case MOVING -> "quicker than the beat, " + notes;
        };
        return new BelowView(from, to, measures + ": " + what);
    }
}
