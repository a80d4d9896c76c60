package vividroster.server.outfit;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;
import vividroster.core.outfit.Fit.BodyTest;
import vividroster.core.outfit.Review;
import vividroster.server.platform.Rows;

@Repository
class FitQueries {

    private static final TypeReference<Map<String, Double>> MEASURES = new TypeReference<>() {};

    private final JdbcClient jdbc;
    private final JsonMapper json = JsonMapper.builder().build();

    FitQueries(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    void insert(UUID programId, Fits.StudentFit fit, UUID accountId) {
        jdbc.sql("""
                insert into student_fit (program_id, id, student_id, kind, measures, result, confirmed, note, measured_on,
                                         review_on, measured_by)
                values (:programId, :id, :studentId, :kind, :measures::jsonb, :result, :confirmed, :note, :measuredOn,
                        :reviewOn, :accountId)
                on conflict (program_id, id) do nothing
                """)
                .param("programId", programId)
                .param("id", fit.id())
                .param("studentId", fit.studentId())
                .param("kind", fit.kind())
                .param("measures", json.writeValueAsString(fit.measures()))
                .param("result", fit.result())
                .param(
                        "confirmed",
                        fit.confirmed().stream().map(Enum::name).sorted().toArray(String[]::new))
                .param("note", fit.note())
                .param("measuredOn", fit.measuredOn())
                .param("reviewOn", fit.review().on())
                .param("accountId", accountId)
                .update();
    }

    /** Latest first. */
    List<Fits.StudentFit> findOfStudents(UUID programId, Collection<UUID> studentIds) {
        return jdbc.sql("""
                        select id, student_id, kind, measures, result, confirmed, note, measured_on, review_on
                        from student_fit
                        where program_id = :programId and student_id = any(:studentIds)
                        order by measured_on desc, measured_at desc
                        """)
                .param("programId", programId)
                .param("studentIds", Rows.array(studentIds))
                .query((row, n) -> new Fits.StudentFit(
                        Rows.id(row, "id"),
                        Rows.id(row, "student_id"),
                        row.getString("kind"),
                        FitKind.valueOf(row.getString("kind")).title(),
                        json.readValue(row.getString("measures"), MEASURES),
                        row.getString("result"),
                        confirmed(Rows.texts(row, "confirmed")),
                        row.getString("note"),
                        Rows.day(row, "measured_on"),
                        new Review(Rows.day(row, "review_on"))))
                .list();
    }

    private static Set<BodyTest> confirmed(List<String> names) {
        return names.stream().map(BodyTest::valueOf).collect(Collectors.toSet());
    }
}
