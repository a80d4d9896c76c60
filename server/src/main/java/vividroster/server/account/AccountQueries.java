package vividroster.server.account;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import vividroster.core.access.Role;
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

    String findSignInName(UUID programId, UUID accountId) {
        return jdbc.sql("select sign_in_name from account where program_id = :programId and id = :accountId")
                .param("programId", programId)
                .param("accountId", accountId)
                .query(String.class)
                .single();
    }

    /** As the account is now; empty when it is disabled. */
    Optional<SignedIn> findNow(UUID programId, UUID accountId) {
        return jdbc.sql("""
                        select program_id, id, display_name, role, version
                        from account
                        where program_id = :programId and id = :accountId and disabled_at is null
                        """)
                .param("programId", programId)
                .param("accountId", accountId)
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

    /** A new password; whoever is signed in with the old one is no longer. */
    void putPassword(UUID programId, UUID accountId, String hash) {
        jdbc.sql("""
                        update account set password_hash = :hash, version = version + 1
                        where program_id = :programId and id = :accountId
                        """)
                .param("programId", programId)
                .param("accountId", accountId)
                .param("hash", hash)
                .update();
    }

    /** Ends every session there is. */
    void growVersion(UUID programId, UUID accountId) {
        jdbc.sql("update account set version = version + 1 where program_id = :programId and id = :accountId")
                .param("programId", programId)
                .param("accountId", accountId)
                .update();
    }

    /** Sessions end where role or closing change. */
    void put(UUID programId, PersonRow person) {
        jdbc.sql("""
                        update account
                        set display_name = :displayName, role = :role,
                            disabled_at = case when :disabled then coalesce(disabled_at, now()) end,
                            version = version
                                + case when role <> :role or (disabled_at is not null) <> :disabled then 1 else 0 end
                        where program_id = :programId and id = :accountId
                        """)
                .param("programId", programId)
                .param("accountId", person.id())
                .param("displayName", person.displayName())
                .param("role", person.role().name())
                .param("disabled", person.disabled())
                .update();
    }

    List<PersonRow> findAll(UUID programId) {
        return jdbc.sql("""
                        select id, sign_in_name, display_name, role, disabled_at is not null as disabled
                        from account
                        where program_id = :programId
                        order by disabled, role desc, display_name
                        """)
                .param("programId", programId)
                .query(PersonRow.class)
                .list();
    }

    /** @param disabled whether it may not sign in any more */
    record PersonRow(UUID id, String signInName, String displayName, Role role, boolean disabled) {}

    /** Invitations that nobody used or took back. */
    int countInvited(UUID programId) {
        return jdbc.sql("""
                        select count(*) from invitation
                        where program_id = :programId and used_at is null and withdrawn_at is null
                        """).param("programId", programId).query(Integer.class).single();
    }

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
