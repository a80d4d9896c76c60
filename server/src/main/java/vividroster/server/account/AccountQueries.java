package vividroster.server.account;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import vividroster.server.platform.Role;
import vividroster.server.platform.SignedIn;

@Repository
class AccountQueries {

    private final JdbcClient jdbc;

    AccountQueries(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** The one look-up without a known programme: the sign-in name tells which programme a person belongs to. */
    Optional<SignedIn> findBySignInName(String signInName) {
        return jdbc.sql("""
                        select program_id, id, sign_in_name, display_name, role, password_hash
                        from account
                        where sign_in_name = :signInName
                        """)
                .param("signInName", signInName)
                .query((row, n) -> new SignedIn(
                        row.getObject("program_id", UUID.class),
                        row.getObject("id", UUID.class),
                        row.getString("sign_in_name"),
                        row.getString("display_name"),
                        Role.valueOf(row.getString("role")),
                        row.getString("password_hash")))
                .optional();
    }

    List<PersonRow> findAll(UUID programId) {
        return jdbc.sql("""
                        select id, sign_in_name, display_name, role
                        from account
                        where program_id = :programId
                        order by role desc, display_name
                        """)
                .param("programId", programId)
                .query(PersonRow.class)
                .list();
    }

    record PersonRow(UUID id, String signInName, String displayName, Role role) {}

    /** False when the sign-in name is taken. */
    boolean insert(UUID programId, UUID id, String signInName, String displayName, Role role, String passwordHash) {
        return jdbc.sql("""
                                insert into account (program_id, id, sign_in_name, display_name, role, password_hash)
                                values (:programId, :id, :signInName, :displayName, :role, :passwordHash)
                                on conflict (sign_in_name) do nothing
                                """)
                        .param("programId", programId)
                        .param("id", id)
                        .param("signInName", signInName)
                        .param("displayName", displayName)
                        .param("role", role.name())
                        .param("passwordHash", passwordHash)
                        .update()
                == 1;
    }
}
