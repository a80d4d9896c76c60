package vividroster.server.platform;

import java.util.UUID;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import vividroster.core.access.Role;

/**
 * The person a request comes from and the programme all of its data must belong to; read anew with every request.
 *
 * @param version of the account; it grows with role and password
 */
public record SignedIn(UUID programId, UUID accountId, String displayName, Role role, int version) {

    Authentication authentication() {
        return UsernamePasswordAuthenticationToken.authenticated(
                this,
                null,
                role.rights().stream()
                        .map(right -> new SimpleGrantedAuthority(right.name()))
                        .toList());
    }
}
