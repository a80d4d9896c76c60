package vividroster.server.hearing;

import java.nio.ByteBuffer;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalDate;
import java.util.AbstractList;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.RandomAccess;
import java.util.Set;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.Evidence;
import vividroster.core.progress.Outcome;
import vividroster.core.progress.Trail;
import vividroster.server.platform.Rows;

/** Trails of attempts, which the database keeps beside the attempts; see its function {@code attempt_trail_step}. */
@Repository
class TrailQueries {

    private static final LocalDate EPOCH = LocalDate.of(2000, 1, 1);
    private static final LocalDate[] DAYS = new LocalDate[Short.MAX_VALUE + 1];
    private static final Evidence[] EVIDENCE = Evidence.values();
    private static final Outcome[] OUTCOMES = Outcome.values();

    private final JdbcClient jdbc;

    TrailQueries(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * By student and milestone; pairs never heard are left out.
     *
     * @param wanted milestones by student
     */
    Map<UUID, Map<UUID, Trail>> find(UUID programId, Map<UUID, Set<UUID>> wanted) {
        Map<Set<UUID>, List<UUID>> alike = new HashMap<>();
        wanted.forEach((student, milestones) ->
                alike.computeIfAbsent(milestones, m -> new ArrayList<>()).add(student));
        alike.remove(Set.of());
        Map<UUID, Map<UUID, Trail>> trails = new HashMap<>();
        if (alike.size() == 1) {
            alike.forEach((milestones, students) -> findOfAll(programId, students, milestones, trails));
        } else if (alike.size() > 1) {
            findOfEach(programId, alike, trails);
        }
        return trails;
    }

    /** Every student with every milestone, which PostgreSQL plans in no time. */
    private void findOfAll(
            UUID programId,
            Collection<UUID> students,
            Collection<UUID> milestones,
            Map<UUID, Map<UUID, Trail>> trails) {
        jdbc.sql("""
                        select student_id, milestone_id, instruments, steps
                        from attempt_trail
                        where program_id = :programId and student_id = any(:students) and milestone_id = any(:milestones)
                        """)
                .param("programId", programId)
                .param("students", Rows.array(students))
                .param("milestones", Rows.array(milestones))
                .query(row -> {
                    put(row, trails);
                });
    }

    /** Students by the milestones wanted of them alike. */
    private void findOfEach(UUID programId, Map<Set<UUID>, List<UUID>> alike, Map<UUID, Map<UUID, Trail>> trails) {
        List<Integer> studentGroups = new ArrayList<>();
        List<UUID> students = new ArrayList<>();
        List<Integer> milestoneGroups = new ArrayList<>();
        List<UUID> milestones = new ArrayList<>();
        int group = 0;
        for (Map.Entry<Set<UUID>, List<UUID>> one : alike.entrySet()) {
            for (UUID student : one.getValue()) {
                studentGroups.add(group);
                students.add(student);
            }
            for (UUID milestone : one.getKey()) {
                milestoneGroups.add(group);
                milestones.add(milestone);
            }
            group++;
        }
        jdbc.sql("""
                        select t.student_id, t.milestone_id, t.instruments, t.steps
                        from unnest(:studentGroups::int[], :students::uuid[]) as who(alike, student_id)
                        join unnest(:milestoneGroups::int[], :milestones::uuid[]) as what(alike, milestone_id) using (alike)
                        join attempt_trail t
                          on t.program_id = :programId and t.student_id = who.student_id and t.milestone_id = what.milestone_id
                        """)
                .param("programId", programId)
                .param("studentGroups", studentGroups.toArray(Integer[]::new))
                .param("students", Rows.array(students))
                .param("milestoneGroups", milestoneGroups.toArray(Integer[]::new))
                .param("milestones", Rows.array(milestones))
                .query(row -> {
                    put(row, trails);
                });
    }

    private static void put(ResultSet row, Map<UUID, Map<UUID, Trail>> trails) throws SQLException {
        trails.computeIfAbsent(Rows.id(row, "student_id"), id -> new HashMap<>())
                .put(Rows.id(row, "milestone_id"), trail(row));
    }

    /** On which instruments a student was heard with each milestone; what was undone counts too. */
    Map<UUID, List<InstrumentCode>> findInstruments(UUID programId, UUID studentId) {
        Map<UUID, List<InstrumentCode>> heard = new HashMap<>();
        jdbc.sql("""
                        select milestone_id, instruments
                        from attempt_trail
                        where program_id = :programId and student_id = :studentId
                        """)
                .param("programId", programId)
                .param("studentId", studentId)
                .query(row -> {
                    heard.put(Rows.id(row, "milestone_id"), Rows.instruments(row, "instruments"));
                });
        return heard;
    }

    /** All trails of these students, by student. */
    Map<UUID, List<Trail>> findAll(UUID programId, Collection<UUID> studentIds) {
        Map<UUID, List<Trail>> trails = new HashMap<>();
        jdbc.sql("""
                        select student_id, instruments, steps
                        from attempt_trail
                        where program_id = :programId and student_id = any(:students)
                        """)
                .param("programId", programId)
                .param("students", Rows.array(studentIds))
                .query(row -> {
                    trails.computeIfAbsent(Rows.id(row, "student_id"), id -> new ArrayList<>())
                            .add(trail(row));
                });
        return trails;
    }

    /** A page looks at the same few hundred days thousands of times. */
    private static LocalDate day(int sinceEpoch) {
        if (sinceEpoch < 0) {
            return EPOCH.plusDays(sinceEpoch);
        }
        LocalDate known = DAYS[sinceEpoch];
        if (known == null) {
            known = EPOCH.plusDays(sinceEpoch);
            DAYS[sinceEpoch] = known;
        }
        return known;
    }

    private static Trail trail(ResultSet row) throws SQLException {
        byte[] packed = row.getBytes("steps");
        return packed.length == 0 ? Trail.EMPTY : new Trail(new Packed(Rows.instruments(row, "instruments"), packed));
    }

    /** Steps that are unpacked when they are looked at. */
    private static final class Packed extends AbstractList<Trail.Step> implements RandomAccess {

        private static final int BYTES = 6;
        private final List<InstrumentCode> instruments;
        private final ByteBuffer steps;

        Packed(List<InstrumentCode> instruments, byte[] steps) {
            this.instruments = instruments;
            this.steps = ByteBuffer.wrap(steps);
        }

        @Override
        public int size() {
            return steps.capacity() / BYTES;
        }

        @Override
        public Trail.Step get(int index) {
            Objects.checkIndex(index, size());
            int rest = steps.getShort(index * BYTES + 4);
            return new Trail.Step(
                    instruments.get(rest / (2 * OUTCOMES.length * EVIDENCE.length)),
                    day(steps.getShort(index * BYTES)),
                    steps.getShort(index * BYTES + 2),
                    EVIDENCE[rest / (2 * OUTCOMES.length) % EVIDENCE.length],
                    OUTCOMES[rest / 2 % OUTCOMES.length],
                    rest % 2 == 1);
        }
    }
}
