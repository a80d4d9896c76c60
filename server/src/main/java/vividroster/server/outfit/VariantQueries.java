package vividroster.server.outfit;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;
import vividroster.core.curriculum.SchoolChoices;
import vividroster.core.outfit.Review;
import vividroster.server.platform.Rows;

/** Variants of students and the looks taken at them. */
@Repository
class VariantQueries {

    private static final TypeReference<Map<String, String>> CHOICES = new TypeReference<>() {};

    private static final String SELECT = """
            select v.id, v.student_id, v.milestone_id, v.instrument, v.name, v.note, v.choices, v.given_on,
                   case when r.id is null then v.review_on else r.review_on end as review_on,
                   case when r.review_on is null then r.reviewed_on end as withdrawn_on, coalesce(r.note, '') as last_note
            from student_variant v
            left join lateral (
                select id, reviewed_on, review_on, note
                from variant_review
                where program_id = v.program_id and variant_id = v.id
                order by reviewed_at desc
                limit 1) r on true
            """;

    private final JdbcClient jdbc;
    private final JsonMapper json = JsonMapper.builder().build();

    VariantQueries(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** False when a variant with this id is there already. */
    boolean insert(UUID programId, StudentVariant variant, LocalDate reviewOn, UUID accountId) {
        return jdbc.sql("""
                        insert into student_variant (program_id, id, student_id, milestone_id, instrument, name, note, choices,
                                                     given_on, review_on, given_by)
                        values (:programId, :id, :studentId, :milestoneId, :instrument, :name, :note, :choices::jsonb,
                                :givenOn, :reviewOn, :accountId)
                        on conflict (program_id, id) do nothing
                        """)
                        .param("programId", programId)
                        .param("id", variant.id())
                        .param("studentId", variant.studentId())
                        .param("milestoneId", variant.milestoneId())
                        .param("instrument", variant.instrument().value())
                        .param("name", variant.name())
                        .param("note", variant.note())
                        .param(
                                "choices",
                                json.writeValueAsString(variant.choices().byQuestion()))
                        .param("givenOn", variant.givenOn())
                        .param("reviewOn", reviewOn)
                        .param("accountId", accountId)
                        .update()
                == 1;
    }

    /** @param reviewOn empty when the variant is withdrawn */
    void insertReview(
            UUID programId,
            UUID id,
            UUID variantId,
            LocalDate reviewedOn,
            Optional<LocalDate> reviewOn,
            String note,
            UUID accountId) {
        jdbc.sql("""
                insert into variant_review (program_id, id, variant_id, reviewed_on, review_on, note, reviewed_by)
                values (:programId, :id, :variantId, :reviewedOn, :reviewOn, :note, :accountId)
                on conflict (program_id, id) do nothing
                """)
                .param("programId", programId)
                .param("id", id)
                .param("variantId", variantId)
                .param("reviewedOn", reviewedOn)
                .param("reviewOn", reviewOn.orElse(null), java.sql.Types.DATE)
                .param("note", note)
                .param("accountId", accountId)
                .update();
        if (reviewOn.isEmpty()) {
            jdbc.sql("update student_variant set in_use = false where program_id = :programId and id = :variantId")
                    .param("programId", programId)
                    .param("variantId", variantId)
                    .update();
        }
    }

    Optional<StudentVariant> find(UUID programId, UUID id) {
        return jdbc.sql(SELECT + " where v.program_id = :programId and v.id = :id")
                .param("programId", programId)
                .param("id", id)
                .query(this::variant)
                .optional();
    }

    /** In use and withdrawn, latest first. */
    List<StudentVariant> findOfStudents(UUID programId, Collection<UUID> studentIds) {
        return jdbc.sql(SELECT + """
                        where v.program_id = :programId and v.student_id = any(:studentIds)
                        order by v.given_on desc, v.given_at desc
                        """)
                .param("programId", programId)
                .param("studentIds", Rows.array(studentIds))
                .query(this::variant)
                .list();
    }

    private StudentVariant variant(ResultSet row, int n) throws SQLException {
        return new StudentVariant(
                Rows.id(row, "id"),
                Rows.id(row, "student_id"),
                Rows.id(row, "milestone_id"),
                Rows.instrument(row, "instrument"),
                row.getString("name"),
                row.getString("note"),
                new SchoolChoices(json.readValue(row.getString("choices"), CHOICES)),
                Rows.day(row, "given_on"),
                Rows.maybeDay(row, "review_on").map(Review::new),
                Rows.maybeDay(row, "withdrawn_on"),
                row.getString("last_note"));
    }
}
