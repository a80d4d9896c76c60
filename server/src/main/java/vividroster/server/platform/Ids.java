package vividroster.server.platform;

import com.github.f4b6a3.uuid.UuidCreator;
import java.util.UUID;

/** New ids: UUID version 7, so that rows made together lie together. */
public final class Ids {

    private Ids() {}

    public static UUID next() {
        return UuidCreator.getTimeOrderedEpoch();
    }
}
