package vividroster.server.lines;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.curriculum.Milestone;
import vividroster.core.music.Part;
import vividroster.core.rehearsal.Likeness;
import vividroster.server.library.Library;
import vividroster.server.library.LineFacts;
import vividroster.server.lines.LineNotations.Source;
import vividroster.server.lines.LineViews.BorrowedView;
import vividroster.server.lines.LineViews.LikenessView;

/** What a line repeats of the earlier ones of its book. */
@Component
class LineLikeness {

    private final Library library;
    private final LineNotations notations;

    LineLikeness(Library library, LineNotations notations) {
        this.library = library;
        this.notations = notations;
    }

    @Transactional(readOnly = true)
    LikenessView of(UUID programId, UUID lineId, Part sounding, Conventions conventions) {
        LineFacts line = library.line(programId, lineId);
        List<LineFacts> earlier = library.linesOf(programId, line.bookId()).stream()
                .filter(other -> other.number() < line.number())
                .sorted(Comparator.comparingInt(LineFacts::number))
                .toList();
        Map<UUID, Source> sources = notations.sources(
                programId, earlier.stream().map(LineFacts::milestoneId).toList());
        List<LineFacts> known = new ArrayList<>();
        List<Part> parts = new ArrayList<>();
        for (LineFacts other : earlier) {
            Optional.ofNullable(sources.get(other.milestoneId()))
                    .flatMap(notations::readable)
                    .ifPresent(score -> {
                        known.add(other);
                        parts.add(score.sounding());
                    });
        }
        List<Milestone> named = library.milestones(
                programId, known.stream().map(LineFacts::milestoneId).toList());
        List<BorrowedView> measures = Likeness.measures(sounding, parts).stream()
                .map(b -> new BorrowedView(
                        conventions.numbering().of(sounding, b.measure()),
                        known.get(b.earlier()).milestoneId().toString(),
                        "measure " + conventions.numbering().of(parts.get(b.earlier()), b.earlierMeasure())
                                + " of line " + known.get(b.earlier()).number()))
                .toList();
        return Likeness.of(sounding, parts)
                .map(like -> {
                    LineFacts other = known.get(like.earlier());
                    String title = named.stream()
                            .filter(m -> m.id().equals(other.milestoneId()))
                            .map(Milestone::title)
                            .findFirst()
                            .orElse("");
                    return new LikenessView(
                            other.milestoneId().toString(), sentence(like.kind(), other.number(), title), measures);
                })
                .orElseGet(() -> new LikenessView(null, null, measures));
    }

    private static String sentence(Likeness.Kind kind, int number, String title) {
        String line = "line " + number + ", " + title;
        return switch (kind) {
            case SAME -> "The same as " + line;
            case OTHER_SLURS -> "The notes of " + line + ", slurred or marked otherwise";
            case OTHER_OCTAVE -> "The notes of " + line + " in another octave";
            case OTHER_KEY -> "The tune of " + line + " in another key";
            case OTHER_MODE -> "The tune of " + line + " in another mode";
            case OTHER_RHYTHM -> "The notes of " + line + " in another rhythm";
        };
    }
}
