package vividroster.server.hearing;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import vividroster.core.progress.Trail;
import vividroster.testkit.ApiClient;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

/** What was read once is good as long as nothing changed, and no longer; whoever changes it, and however. */
class TrailRevisionsTest {

    private final RunningServer server = RunningServer.shared();
    private final School school = School.open(server);
    private final ApiClient director = school.director();
    private final TrailQueries queries = server.bean(TrailQueries.class);
    private final TransactionTemplate reading = new TransactionTemplate(server.bean(PlatformTransactionManager.class));

    private final List<String> students = List.of("Ana Reed", "Bo Lund", "Ed Stone", "Flo Hart");
    private final List<String> milestones = List.of("line", "line 2", "sound");

    TrailRevisionsTest() {
        reading.setReadOnly(true);
    }

    private Map<UUID, Set<UUID>> wanted() {
        Set<UUID> ids = milestones.stream().map(school::id).collect(Collectors.toSet());
        return students.stream().collect(Collectors.toMap(school::id, name -> ids));
    }

    private Map<UUID, Map<UUID, Trail>> kept() {
        return reading.execute(status -> queries.find(school.programId(), wanted()));
    }

    /** As the database has them, with nothing remembered. */
    private Map<UUID, Map<UUID, Trail>> there() {
        return queries.find(school.programId(), wanted());
    }

    @Test
    void afterEveryChangeItIsWhatTheDatabaseHas() {
        Random random = new Random(7);
        List<Map<String, Object>> made = new ArrayList<>();
        for (int i = 0; i < 60; i++) {
            if (!made.isEmpty() && random.nextInt(4) == 0) {
                Map<String, Object> undone = made.remove(random.nextInt(made.size()));
                assertThat(director.post(
                                        "/api/attempts/" + undone.get("id") + "/correction",
                                        Map.of("id", UUID.randomUUID(), "outcome", "UNDONE", "reason", "slip"))
                                .status())
                        .isLessThan(300);
            } else {
                Map<String, Object> attempt = school.attempt(
                        students.get(random.nextInt(students.size())),
                        milestones.get(random.nextInt(milestones.size())),
                        random.nextBoolean() ? "PASS" : "NOT_YET");
                assertThat(director.post("/api/attempts", attempt).status()).isLessThan(300);
                made.add(attempt);
            }
            assertThat(kept()).isEqualTo(there());
        }
        assertThat(kept().values()).isNotEmpty();
    }

    @Test
    void whatIsTakenBackAtTheEndOfATransactionWasNeverThere() {
        director.post("/api/attempts", school.attempt("Ana Reed", "line", "NOT_YET"));
        Map<UUID, Map<UUID, Trail>> before = kept();
        TransactionTemplate writing = new TransactionTemplate(server.bean(PlatformTransactionManager.class));
        writing.executeWithoutResult(status -> {
            server.bean(JdbcClient.class)
                    .sql("""
                            insert into attempt (program_id, id, student_id, milestone_id, milestone_version, instrument,
                                                 class_id, heard_by, heard_on, heard_at, evidence, outcome)
                            select program_id, gen_random_uuid(), student_id, milestone_id, milestone_version, instrument,
                                   class_id, heard_by, heard_on, heard_at + interval '1 minute', evidence, 'PASS'
                            from attempt where program_id = :programId
                            """)
                    .param("programId", school.programId())
                    .update();
            assertThat(there()).as("who writes sees it").isNotEqualTo(before);
            assertThat(kept()).as("who reads in it sees it too").isNotEqualTo(before);
            status.setRollbackOnly();
        });
        assertThat(kept()).isEqualTo(before);
        director.post("/api/attempts", school.attempt("Ana Reed", "line", "PASS"));
        assertThat(kept()).isEqualTo(there()).isNotEqualTo(before);
    }

    @Test
    void whoChangesSeveralStudentsInOneTransactionTellsOfEach() {
        milestones.forEach(milestone -> students.forEach(
                student -> director.post("/api/attempts", school.attempt(student, milestone, "NOT_YET"))));
        kept();
        TransactionTemplate writing = new TransactionTemplate(server.bean(PlatformTransactionManager.class));
        for (int round = 0; round < 2; round++) {
            writing.executeWithoutResult(status -> server.bean(JdbcClient.class)
                    .sql("""
                            insert into attempt (program_id, id, student_id, milestone_id, milestone_version, instrument,
                                                 class_id, heard_by, heard_on, heard_at, evidence, outcome)
                            select program_id, gen_random_uuid(), student_id, milestone_id, milestone_version, instrument,
                                   class_id, heard_by, heard_on, heard_at + interval '1 minute', evidence, outcome
                            from attempt where program_id = :programId
                            """)
                    .param("programId", school.programId())
                    .update());
            assertThat(kept()).isEqualTo(there());
        }
    }
}
