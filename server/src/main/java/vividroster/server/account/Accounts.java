package vividroster.server.account;

import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.server.account.AccountQueries.PersonRow;
import vividroster.server.platform.Ids;
import vividroster.server.platform.Problem;
import vividroster.server.platform.Role;

/** The people of a programme who may sign in. */
@Service
public class Accounts implements UserDetailsService {

    private final AccountQueries queries;
    private final PasswordEncoder encoder;

    Accounts(AccountQueries queries, PasswordEncoder encoder) {
        this.queries = queries;
        this.encoder = encoder;
    }

    @Override
    @Transactional(readOnly = true)
    public UserDetails loadUserByUsername(String signInName) {
        return queries.findBySignInName(fold(signInName))
                .orElseThrow(() -> new UsernameNotFoundException("no such person"));
    }

    @Transactional
    public UUID add(UUID programId, String signInName, String displayName, Role role, String password) {
        UUID id = Ids.next();
        if (!queries.insert(programId, id, fold(signInName), displayName.strip(), role, encoder.encode(password))) {
            throw Problem.input("signInName", "\"" + signInName + "\" is taken; choose another sign-in name.");
        }
        return id;
    }

    @Transactional(readOnly = true)
    List<PersonRow> people(UUID programId) {
        return queries.findAll(programId);
    }

    private static String fold(String signInName) {
        return signInName.strip().toLowerCase(Locale.ROOT);
    }
}
