package vividroster.server.season;

import java.util.HashSet;
import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.instrument.FingerPattern;
import vividroster.server.platform.Problem;
import vividroster.server.platform.Rows;
import vividroster.server.roster.Rosters;

/** The finger patterns of a class of strings, by the names it uses. */
@Service
class FingerPatterns {

    static final int MOST = 12;

    private final FingerPatternQueries queries;
    private final Rosters rosters;

    FingerPatterns(FingerPatternQueries queries, Rosters rosters) {
        this.queries = queries;
        this.rosters = rosters;
    }

    /** Those every hand meets in its first year, where the class has none of its own. */
    @Transactional(readOnly = true)
    List<FingerPattern> of(UUID programId, UUID classId) {
        List<FingerPattern> own =
                queries.find(programId, rosters.schoolClass(programId, classId).id());
        return own.isEmpty() ? FingerPattern.USUAL : own;
    }

    /** Puts these in the place of those before; none for the usual ones. */
    @Transactional
    void put(UUID programId, UUID classId, List<FingerPattern> patterns) {
        rosters.schoolClass(programId, classId);
        if (patterns.stream().map(FingerPattern::name).distinct().count() < patterns.size()) {
            throw Problem.input("patterns", "Two patterns have one name.");
        }
        queries.replace(programId, classId, patterns);
    }

    @Repository
    static class FingerPatternQueries {

        private final JdbcClient jdbc;

        FingerPatternQueries(JdbcClient jdbc) {
            this.jdbc = jdbc;
        }

        List<FingerPattern> find(UUID programId, UUID classId) {
            return jdbc.sql("""
                            select name, close
                            from finger_pattern
                            where program_id = :programId and class_id = :classId
                            order by ordinal
                            """)
                    .param("programId", programId)
                    .param("classId", classId)
                    .query((row, n) ->
                            new FingerPattern(row.getString("name"), new HashSet<>(Rows.numbers(row, "close"))))
                    .list();
        }

        void replace(UUID programId, UUID classId, List<FingerPattern> patterns) {
            jdbc.sql("delete from finger_pattern where program_id = :programId and class_id = :classId")
                    .param("programId", programId)
                    .param("classId", classId)
                    .update();
            int ordinal = 0;
            for (FingerPattern pattern : patterns) {
                jdbc.sql("""
                                insert into finger_pattern (program_id, class_id, ordinal, name, close)
                                values (:programId, :classId, :ordinal, :name, :close)
                                """)
                        .param("programId", programId)
                        .param("classId", classId)
                        .param("ordinal", ++ordinal)
                        .param("name", pattern.name())
                        .param(
                                "close",
                                pattern.close().stream()
                                        .sorted()
                                        .map(Integer::shortValue)
                                        .toArray(Short[]::new))
                        .update();
            }
        }
    }
}
