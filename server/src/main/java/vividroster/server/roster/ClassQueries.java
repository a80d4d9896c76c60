package vividroster.server.roster;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalTime;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import vividroster.server.platform.Rows;

@Repository
class ClassQueries {

    private final JdbcClient jdbc;

    ClassQueries(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    List<SchoolClass> findAll(UUID programId) {
        return jdbc.sql("""
                        select id, name, campus, shape, rotation, period, starts_at, minutes
                        from school_class
                        where program_id = :programId
                        order by rotation nulls first, starts_at, name
                        """)
                .param("programId", programId)
                .query(ClassQueries::schoolClass)
                .list();
    }

    Optional<SchoolClass> find(UUID programId, UUID classId) {
        return jdbc.sql("""
                        select id, name, campus, shape, rotation, period, starts_at, minutes
                        from school_class
                        where program_id = :programId and id = :classId
                        """)
                .param("programId", programId)
                .param("classId", classId)
                .query(ClassQueries::schoolClass)
                .optional();
    }

    /** False when the programme has a class of that name. */
    boolean insert(UUID programId, SchoolClass added) {
        return jdbc.sql("""
                        insert into school_class (program_id, id, name, campus, shape, rotation, period, starts_at, minutes)
                        values (:programId, :id, :name, :campus, :shape, :rotation, :period, :startsAt, :minutes)
                        on conflict (program_id, lower(name)) do nothing
                        """)
                        .param("programId", programId)
                        .param("id", added.id())
                        .param("name", added.name())
                        .param("campus", added.campus())
                        .param("shape", added.shape().name())
                        .param("rotation", added.rotation().orElse(null))
                        .param("period", added.period())
                        .param("startsAt", added.startsAt())
                        .param("minutes", added.minutes())
                        .update()
                == 1;
    }

    private static SchoolClass schoolClass(ResultSet row, int n) throws SQLException {
        return new SchoolClass(
                Rows.id(row, "id"),
                row.getString("name"),
                row.getString("campus"),
                ClassShape.valueOf(row.getString("shape")),
                Optional.ofNullable(row.getString("rotation")),
                row.getInt("period"),
                row.getObject("starts_at", LocalTime.class),
                row.getInt("minutes"));
    }
}
