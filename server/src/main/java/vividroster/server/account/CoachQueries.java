package vividroster.server.account;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import vividroster.core.instrument.Family;
import vividroster.core.roster.SectionScope;
import vividroster.server.platform.Rows;
import vividroster.server.roster.ScopeRequest;

/** The sections that coaches see and hear. */
@Repository
class CoachQueries {

    private final JdbcClient jdbc;

    CoachQueries(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    List<SectionScope> find(UUID programId, UUID accountId) {
        return findAll(programId).getOrDefault(accountId, List.of());
    }

    /** By account. */
    Map<UUID, List<SectionScope>> findAll(UUID programId) {
        Map<UUID, List<SectionScope>> sections = new HashMap<>();
        jdbc.sql("""
                        select account_id, class_id, family, instrument, division
                        from account_section
                        where program_id = :programId
                        order by class_id, instrument, division
                        """).param("programId", programId).query(row -> {
            String family = row.getString("family");
            sections.computeIfAbsent(Rows.id(row, "account_id"), id -> new ArrayList<>())
                    .add(new ScopeRequest(
                                    Rows.id(row, "class_id"),
                                    family == null ? null : Family.valueOf(family),
                                    Rows.maybeInstrument(row, "instrument").orElse(null),
                                    row.getString("division"))
                            .toScope());
        });
        return sections;
    }

    void put(UUID programId, UUID accountId, List<SectionScope> sections) {
        jdbc.sql("delete from account_section where program_id = :programId and account_id = :accountId")
                .param("programId", programId)
                .param("accountId", accountId)
                .update();
        sections.stream()
                .map(ScopeRequest::of)
                .forEach(section -> jdbc.sql("""
                                insert into account_section (program_id, account_id, class_id, family, instrument, division)
                                values (:programId, :accountId, :classId, :family, :instrument, :division)
                                """)
                        .param("programId", programId)
                        .param("accountId", accountId)
                        .param("classId", section.classId())
                        .param(
                                "family",
                                section.family() == null
                                        ? null
                                        : section.family().name())
                        .param(
                                "instrument",
                                section.instrument() == null
                                        ? null
                                        : section.instrument().value())
                        .param("division", section.division())
                        .update());
    }
}
