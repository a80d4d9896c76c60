package vividroster.server.platform;

import java.util.Optional;

/** What somebody typed, as it comes in. */
public final class Typed {

    private Typed() {}

    /** Without the space around it; empty where nothing or only space was typed. */
    public static Optional<String> given(String text) {
        return Optional.ofNullable(text).map(String::strip).filter(typed -> !typed.isEmpty());
    }
}
