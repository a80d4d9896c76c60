package vividroster.server.library;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.curriculum.Milestone;
import vividroster.core.curriculum.MilestoneKind;
import vividroster.core.curriculum.PassRule;
import vividroster.core.music.Bpm;
import vividroster.core.music.Key;
import vividroster.core.music.Meter;
import vividroster.core.music.Notated;
import vividroster.core.music.Pitch;
import vividroster.core.text.Lengths;
import vividroster.server.library.BookController.LineRequest;
import vividroster.server.platform.Ids;
import vividroster.server.platform.Locks;
import vividroster.server.platform.Problem;

/** Books and lines as a director enters and changes them. */
@Service
class LineEditing {

    private static final int MOST_MEASURES = 2_000;
    private static final int MOST_PLAYED = 20_000;

    private final Locks locks;
    private final Library library;

    LineEditing(Library library, Locks locks) {
        this.locks = locks;
        this.library = library;
    }

    /** @return the line's id */
    @Transactional
    UUID add(UUID programId, LineRequest request) {
        UUID id = Ids.next();
        LineFacts line = facts(id, request);
        free(programId, line);
        library.addLineAtEnd(
                programId, milestone(id, line.number(), request.title().strip()), line);
        return id;
    }

    @Transactional
    void revise(UUID programId, UUID lineId, LineRequest request) {
        library.line(programId, lineId);
        LineFacts line = facts(lineId, request);
        free(programId, line);
        Milestone now = library.milestone(programId, lineId);
        Milestone next = new Milestone(
                lineId,
                now.kind(),
                String.valueOf(line.number()),
                request.title().strip(),
                now.instrumentFree(),
                now.appliesTo(),
                now.version() + 1,
                now.passRule(),
                now.criteria());
        library.reviseLine(programId, now, next, line);
    }

    static Milestone milestone(UUID id, int number, String title) {
        return new Milestone(
                id,
                MilestoneKind.LINE,
                String.valueOf(number),
                title,
                false,
                Set.of(),
                1,
                new PassRule.OneGoodTry(),
                List.of());
    }

    /** A number stands once in a book. */
    private void free(UUID programId, LineFacts line) {
        locks.hold(programId, "book " + line.bookId());
        Book book = library.book(programId, line.bookId());
        Optional<LineFacts> other = library.linesOf(programId, line.bookId()).stream()
                .filter(l -> l.number() == line.number() && !l.milestoneId().equals(line.milestoneId()))
                .findFirst();
        if (other.isPresent()) {
            throw Problem.input("number", "\"" + book.name() + "\" has a line " + line.number() + " already.");
        }
    }

    private static LineFacts facts(UUID id, LineRequest request) {
        int measures = within("measures", request.measures(), MOST_MEASURES);
        OptionalInt played = request.playedMeasures() == 0
                ? OptionalInt.empty()
                : OptionalInt.of(within("playedMeasures", request.playedMeasures(), MOST_PLAYED));
        return new LineFacts(
                id,
                request.bookId(),
                request.page(),
                request.number(),
                read("concertKey", request.concertKey(), Key::named),
                read("meter", request.meter(), Meter::parse),
                read("tempoBpm", request.tempoBpm(), Bpm::new),
                measures,
                played,
                details(request));
    }

    private static LineDetails details(LineRequest request) {
        Set<Pitch> notes = new java.util.LinkedHashSet<>();
        for (String note : text(request.notesUsed()).split("[\\s,;]+")) {
            if (!note.isEmpty()) {
                notes.add(read("notesUsed", note, Pitch::named));
            }
        }
        List<String> values = new ArrayList<>();
        for (String value : Optional.ofNullable(request.valuesIntroduced()).orElse(List.of())) {
            read("valuesIntroduced", value.replaceFirst(" rest$", ""), Notated::named);
            values.add(value);
        }
        String roadmap = text(request.roadmap());
        if (roadmap.length() > Lengths.LINE) {
            throw Problem.input("roadmap", "Keep it under 200 characters; it is " + roadmap.length() + ".");
        }
        return new LineDetails(
                List.copyOf(notes),
                values,
                Optional.ofNullable(request.signsIntroduced()).orElse(new HashSet<>()),
                roadmap);
    }

    private static String text(String text) {
        return text == null ? "" : text.strip();
    }

    private static int within(String field, int value, int most) {
        if (value < 1 || value > most) {
            throw Problem.input(field, "Give a number from 1 to " + most + ", not " + value + ".");
        }
        return value;
    }

    private static <A, B> B read(String field, A value, Function<A, B> reader) {
        try {
            return reader.apply(value);
        } catch (NumberFormatException e) {
            throw Problem.input(field, "\"" + value + "\" is not understood here.");
        } catch (IllegalArgumentException e) {
            String message = e.getMessage();
            throw Problem.input(field, Character.toUpperCase(message.charAt(0)) + message.substring(1) + ".");
        }
    }
}
