package vividroster.server.library;

import java.util.UUID;
import vividroster.core.curriculum.Belt;
import vividroster.core.curriculum.BeltLook;

/** A belt as it is named and drawn. */
public record BeltView(UUID id, String ladder, int rank, String name, String color, String weave, int knots) {

    public static BeltView of(Belt belt, BeltLook look) {
        return new BeltView(
                belt.id(), belt.ladder(), belt.rank(), belt.name(), look.color(), look.weave(), look.knots());
    }
}
