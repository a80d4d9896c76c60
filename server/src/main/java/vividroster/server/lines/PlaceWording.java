package vividroster.server.lines;

import java.util.List;
import vividroster.core.instrument.StringPlace.Finger;

/** What fingers meet in a place, in words. */
final class PlaceWording {

    private static final List<String> ORDINALS = List.of("", "first", "second", "third", "fourth");

    private PlaceWording() {}

    static List<String> of(List<Finger> fingers) {
        return fingers.stream().map(PlaceWording::words).toList();
    }

    private static String words(Finger finger) {
        String what = finger.finger() + " on " + finger.string() + ": "
                + finger.pitch().name();
        if (finger.tape().isPresent()) {
            return what + ", on the " + ORDINALS.get(finger.tape().getAsInt()) + " finger's tape";
        }
        if (finger.above().isEmpty()) {
            return what;
        }
        return what
                + switch (finger.above().getAsInt()) {
                    case 1 -> ", close to the one below";
                    case 2 -> ", a whole step above the one below";
                    default -> ", apart from the one below";
                };
    }
}
