package vividroster.server.account;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.ObjectMapper;
import vividroster.core.access.Invitation;
import vividroster.core.access.Role;
import vividroster.core.roster.SectionScope;
import vividroster.server.platform.Rows;
import vividroster.server.roster.ScopeRequest;

@Repository
class InvitationQueries {

    private static final String COLUMNS =
            "program_id, id, display_name, role, sections, made_by, made_at, used_at, withdrawn_at";

    private final JdbcClient jdbc;
    private final ObjectMapper json;

    InvitationQueries(JdbcClient jdbc, ObjectMapper json) {
        this.jdbc = jdbc;
        this.json = json;
    }

    record InvitationRow(
            UUID programId,
            UUID id,
            String displayName,
            Role role,
            List<SectionScope> sections,
            UUID madeBy,
            Invitation invitation) {}

    /** Latest first. */
    List<InvitationRow> findAll(UUID programId) {
        return jdbc.sql("select " + COLUMNS
                        + " from invitation where program_id = :programId order by made_at desc, id limit 100")
                .param("programId", programId)
                .query(this::row)
                .list();
    }

    /** By the hash of its link alone; it tells its programme. Held until the transaction ends. */
    Optional<InvitationRow> findByToken(byte[] hash) {
        return jdbc.sql("select " + COLUMNS + " from invitation where token_hash = :hash for update")
                .param("hash", hash)
                .query(this::row)
                .optional();
    }

    void insert(InvitationRow made, byte[] hash) {
        jdbc.sql("""
                        insert into invitation
                            (program_id, id, token_hash, display_name, role, sections, made_by, made_at)
                        values (:programId, :id, :hash, :displayName, :role, :sections::jsonb, :madeBy, :madeAt)
                        """)
                .param("programId", made.programId())
                .param("id", made.id())
                .param("hash", hash)
                .param("displayName", made.displayName())
                .param("role", made.role().name())
                .param(
                        "sections",
                        json.writeValueAsString(
                                made.sections().stream().map(ScopeRequest::of).toList()))
                .param("madeBy", made.madeBy())
                .param("madeAt", at(made.invitation().madeAt()))
                .update();
    }

    void putUsed(UUID programId, UUID id, Instant at) {
        jdbc.sql("update invitation set used_at = :at where program_id = :programId and id = :id")
                .param("programId", programId)
                .param("id", id)
                .param("at", at(at))
                .update();
    }

    /** False when there is none that could still be taken. */
    boolean putWithdrawn(UUID programId, UUID id, Instant at) {
        return jdbc.sql("""
                        update invitation set withdrawn_at = :at
                        where program_id = :programId and id = :id and used_at is null and withdrawn_at is null
                        """)
                        .param("programId", programId)
                        .param("id", id)
                        .param("at", at(at))
                        .update()
                == 1;
    }

    private static OffsetDateTime at(Instant moment) {
        return moment.atOffset(ZoneOffset.UTC);
    }

    private InvitationRow row(ResultSet row, int n) throws SQLException {
        List<ScopeRequest> sections = json.readValue(row.getString("sections"), new TypeReference<>() {});
        return new InvitationRow(
                Rows.id(row, "program_id"),
                Rows.id(row, "id"),
                row.getString("display_name"),
                Role.valueOf(row.getString("role")),
                sections.stream().map(ScopeRequest::toScope).toList(),
                Rows.id(row, "made_by"),
                new Invitation(
                        moment(row, "made_at").orElseThrow(), moment(row, "used_at"), moment(row, "withdrawn_at")));
    }

    private static Optional<Instant> moment(ResultSet row, String column) throws SQLException {
        return Optional.ofNullable(row.getObject(column, OffsetDateTime.class)).map(OffsetDateTime::toInstant);
    }
}
