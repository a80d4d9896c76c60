package vividroster.server.platform;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.userdetails.UserDetails;

/** The person a request comes from and the programme all of its data must belong to. */
public final class SignedIn implements UserDetails, org.springframework.security.core.CredentialsContainer {

    private static final long serialVersionUID = 1L;

    private final UUID programId;
    private final UUID accountId;
    private final String signInName;
    private final String displayName;
    private final Role role;
    private String passwordHash;

    public SignedIn(
            UUID programId, UUID accountId, String signInName, String displayName, Role role, String passwordHash) {
        this.programId = programId;
        this.accountId = accountId;
        this.signInName = signInName;
        this.displayName = displayName;
        this.role = role;
        this.passwordHash = passwordHash;
    }

    public UUID programId() {
        return programId;
    }

    public UUID accountId() {
        return accountId;
    }

    public String displayName() {
        return displayName;
    }

    public Role role() {
        return role;
    }

    @Override
    public Collection<? extends GrantedAuthority> getAuthorities() {
        return List.of(new SimpleGrantedAuthority("ROLE_" + role));
    }

    @Override
    public String getPassword() {
        return passwordHash;
    }

    @Override
    public String getUsername() {
        return signInName;
    }

    @Override
    public void eraseCredentials() {
        passwordHash = null;
    }
}
