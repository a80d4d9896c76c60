package vividroster.server.account;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import vividroster.server.platform.Role;
import vividroster.server.platform.Rows;
import vividroster.server.platform.SignedIn;

@Repository
class AccountQueries {

    private final JdbcClient jdbc;

    AccountQueries(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** @param passwordHash as the encoder made it */
    record AccountRow(SignedIn person, String passwordHash) {}

    /** The one look-up without a known programme: the sign-in name tells which programme a person belongs to. */
    Optional<AccountRow> findBySignInName(String signInName) {
        return jdbc.sql("""
                        select program_id, id, display_name, role, version, password_hash
                        from account
                        where sign_in_name = :signInName and disabled_at is null
                        """)
                .param("signInName", signInName)
                .query((row, n) -> new AccountRow(person(row), row.getString("password_hash")))
                .optional();
    }

    /** Empty when it is disabled or has another version by now. */
    Optional<SignedIn> find(UUID programId, UUID accountId, int version) {
        return jdbc.sql("""
                        select program_id, id, display_name, role, version
                        from account
                        where program_id = :programId and id = :accountId and version = :version and disabled_at is null
                        """)
                .param("programId", programId)
                .param("accountId", accountId)
                .param("version", version)
                .query((row, n) -> person(row))
                .optional();
    }

    private static SignedIn person(ResultSet row) throws SQLException {
        return new SignedIn(
                Rows.id(row, "program_id"),
                Rows.id(row, "id"),
                row.getString("display_name"),
                Role.valueOf(row.getString("role")),
                row.getInt("version"));
    }

    /** The same password, kept with more work; sessions go on. */
    void putHash(UUID programId, UUID accountId, String before, String after) {
        jdbc.sql("""
                        update account set password_hash = :after
                        where program_id = :programId and id = :accountId and password_hash = :before
                        """)
                .param("programId", programId)
                .param("accountId", accountId)
                .param("before", before)
                .param("after", after)
                .update();
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
