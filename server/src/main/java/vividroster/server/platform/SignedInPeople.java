package vividroster.server.platform;

import java.util.Optional;
import java.util.UUID;

/** Finds the person a session belongs to. */
public interface SignedInPeople {

    /** Empty when the account is gone or disabled, or its role or password changed since. */
    Optional<SignedIn> find(UUID programId, UUID accountId, int version);
}
