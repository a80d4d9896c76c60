package vividroster.server.season;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import vividroster.core.plan.PlanItem;
import vividroster.core.roster.SectionScope;
import vividroster.core.season.SchoolYear.Week;
import vividroster.server.platform.Problem;
import vividroster.server.season.PlanChoices.CatchUp;
import vividroster.server.season.PlanChoices.Piece;

/** Things of a plan that are no milestones: a concert piece, minutes to catch up. */
final class TypedItems {

    /** They stand after everything that is chosen from the library. */
    private static final int LAST = 100_000;

    private TypedItems() {}

    /** A piece as its stretches of whole weeks before its day. @throws Problem where there are too few weeks */
    static List<KeptItem> piece(SeasonYear year, UUID classId, Piece piece) {
        int due = year.weekOf(piece.dueBy())
                .orElseThrow(() -> Problem.input("dueBy", "That day is not of this school year."));
        List<Week> before = year.year().weeks().subList(0, due).stream()
                .filter(week -> !week.schoolDays().isEmpty())
                .toList();
        if (before.size() < piece.parts()) {
            throw Problem.input("parts", "There are only " + before.size() + " teaching weeks before that day.");
        }
        List<KeptItem> parts = new ArrayList<>();
        for (int part = 1; part <= piece.parts(); part++) {
            Week from = before.get(before.size() - piece.parts() + part - 1);
            parts.add(own(
                    UUID.nameUUIDFromBytes((piece.id() + "/" + part).getBytes(StandardCharsets.UTF_8)),
                    classId,
                    PlanItem.Kind.PIECE,
                    piece.parts() == 1 ? piece.title() : piece.title() + " " + part + " of " + piece.parts(),
                    piece.minutes(),
                    Optional.of(from.monday()),
                    Optional.of(piece.dueBy()),
                    Optional.empty()));
        }
        return parts;
    }

    /** Minutes kept in one week. @throws Problem where there is no school in it */
    static KeptItem catchUp(SeasonYear year, UUID classId, CatchUp catchUp) {
        int week = year.weekOf(catchUp.monday())
                .filter(number -> !year.week(number).schoolDays().isEmpty())
                .orElseThrow(() -> Problem.input("monday", "There is no school in that week."));
        return own(
                catchUp.id(),
                classId,
                PlanItem.Kind.CATCH_UP,
                "Catch up",
                catchUp.minutes(),
                Optional.empty(),
                Optional.empty(),
                Optional.of(year.monday(week)));
    }

    private static KeptItem own(
            UUID id,
            UUID classId,
            PlanItem.Kind kind,
            String title,
            int minutes,
            Optional<LocalDate> notBefore,
            Optional<LocalDate> dueBy,
            Optional<LocalDate> pinnedIn) {
        return new KeptItem(
                id,
                LAST,
                kind,
                Optional.empty(),
                title,
                kind.usualValue,
                kind == PlanItem.Kind.PIECE,
                minutes,
                false,
                notBefore,
                dueBy,
                0,
                pinnedIn,
                pinnedIn.isPresent(),
                List.of(new SectionScope.Tutti(classId)));
    }
}
