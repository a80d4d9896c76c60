package vividroster.server.season;

import java.util.Locale;
import java.util.Optional;
import vividroster.core.curriculum.Milestone;
import vividroster.core.plan.PlanItem;

/** How the things of a plan are spoken of. */
final class PlanNames {

    private PlanNames() {}

    /** In the middle of a sentence. @param title of what is no milestone */
    static String of(PlanItem.Kind kind, Optional<Milestone> milestone, String title) {
        return switch (kind) {
            case LINE -> "line " + milestone.orElseThrow().shortName();
            case TECHNIQUE_CHECK, WRITTEN_CHECK -> "“" + milestone.orElseThrow().title() + "”";
            case PLAYING_TEST -> milestone.orElseThrow().shortName();
            case FREE_CHOICE -> milestone.orElseThrow().title();
            case BELT -> "the " + milestone.orElseThrow().title() + " belt";
            case PIECE, CATCH_UP -> "“" + title + "”";
        };
    }

    static String capital(String sentence) {
        return sentence.isEmpty()
                ? sentence
                : sentence.substring(0, 1).toUpperCase(Locale.ROOT) + sentence.substring(1);
    }
}
