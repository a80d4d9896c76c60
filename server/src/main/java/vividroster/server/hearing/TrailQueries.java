package vividroster.server.hearing;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.nio.ByteBuffer;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalDate;
import java.util.AbstractList;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.RandomAccess;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.support.TransactionSynchronizationManager;
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
    private static final int MOST_REMEMBERED = 10_000;
    private static final Map<String, List<InstrumentCode>> INSTRUMENTS = new ConcurrentHashMap<>();
    private static final Evidence[] EVIDENCE = Evidence.values();
    private static final Outcome[] OUTCOMES = Outcome.values();

    /** Trails remembered, of less than two hundred bytes each: three schools whose students are in their fifth year. */
    private static final long MOST_TRAILS = 900_000;

    /** Steps that weigh as much as a trail: packed they are 6 bytes each, and most are never looked at. */
    private static final int STEPS_TO_A_TRAIL = 20;

    private final JdbcClient jdbc;
    /** What was read of students once, good as long as the database says that it is in the same state. */
    private final Cache<Whose, Known> read = Caffeine.newBuilder()
            .maximumWeight(MOST_TRAILS)
            .weigher((Whose whose, Known known) -> known.weight())
            .build();

    TrailQueries(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    private record Whose(UUID programId, UUID studentId) {}

    private record Known(UUID revision, Map<UUID, Trail> trails) {

        int weight() {
            int steps = trails.values().stream()
                    .mapToInt(trail -> trail.steps().size())
                    .sum();
            return trails.size() + steps / STEPS_TO_A_TRAIL;
        }
    }

    /**
     * By student and milestone; pairs never heard are left out, and there may be more than wanted.
     *
     * @param wanted milestones by student
     */
    Map<UUID, Map<UUID, Trail>> find(UUID programId, Map<UUID, Set<UUID>> wanted) {
        // Who writes sees what is not yet so for anybody else, and may never be.
        return TransactionSynchronizationManager.isCurrentTransactionReadOnly()
                ? known(
                        programId,
                        wanted.entrySet().stream()
                                .filter(entry -> !entry.getValue().isEmpty())
                                .map(Map.Entry::getKey)
                                .toList())
                : findWanted(programId, wanted);
    }

    /** All trails of these students, of those read before only what changed since. */
    private Map<UUID, Map<UUID, Trail>> known(UUID programId, List<UUID> ids) {
        Map<UUID, Map<UUID, Trail>> trails = new HashMap<>();
        if (ids.isEmpty()) {
            return trails;
        }
        List<UUID> revisions = new ArrayList<>();
        for (UUID id : ids) {
            Known known = read.getIfPresent(new Whose(programId, id));
            revisions.add(known == null ? null : known.revision());
            if (known != null) {
                trails.put(id, known.trails());
            }
        }
        Map<UUID, UUID> changed = new HashMap<>();
        Map<UUID, Map<UUID, Trail>> anew = new HashMap<>();
        // The limits keep the planner from reading everybody's trails where next to nothing changed.
        jdbc.sql("""
                        select c.student_id, c.trail_revision, t.milestone_id, t.instruments::text, t.steps
                        from (
                            select s.id as student_id, s.trail_revision
                            from unnest(:students::uuid[], :revisions::uuid[]) as k(student_id, revision)
                            join student s on s.program_id = :programId and s.id = k.student_id
                            where s.trail_revision is distinct from k.revision
                            offset 0) c
                        cross join lateral (
                            select milestone_id, instruments, steps
                            from attempt_trail
                            where program_id = :programId and student_id = c.student_id
                            offset 0) t
                        """)
                .param("programId", programId)
                .param("students", Rows.array(ids))
                .param("revisions", revisions.toArray(UUID[]::new))
                .query(row -> {
                    changed.put(Rows.id(row, "student_id"), Rows.id(row, "trail_revision"));
                    put(row, anew);
                });
        anew.forEach((student, own) -> {
            Map<UUID, Trail> whole = Collections.unmodifiableMap(own);
            trails.put(student, whole);
            read.put(new Whose(programId, student), new Known(changed.get(student), whole));
        });
        return trails;
    }

    private Map<UUID, Map<UUID, Trail>> findWanted(UUID programId, Map<UUID, Set<UUID>> wanted) {
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
                        select student_id, milestone_id, instruments::text, steps
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
                        select t.student_id, t.milestone_id, t.instruments::text, t.steps
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
                        select milestone_id, instruments::text
                        from attempt_trail
                        where program_id = :programId and student_id = :studentId
                        """)
                .param("programId", programId)
                .param("studentId", studentId)
                .query(row -> {
                    heard.put(Rows.id(row, "milestone_id"), instruments(row.getString("instruments")));
                });
        return heard;
    }

    /** All trails of these students, by student. */
    Map<UUID, List<Trail>> findAll(UUID programId, Collection<UUID> studentIds) {
        Map<UUID, List<Trail>> trails = new HashMap<>();
        jdbc.sql("""
                        select student_id, instruments::text, steps
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
        return packed.length == 0
                ? Trail.EMPTY
                : new Trail(new Packed(instruments(row.getString("instruments")), packed));
    }

    /**
     * A page reads the same few lists thousands of times; there are no more than instruments were ever played together.
     *
     * @param written as PostgreSQL writes an array of codes, which need no quotes: {@code {horn,trumpet}}
     */
    private static List<InstrumentCode> instruments(String written) {
        List<InstrumentCode> known = INSTRUMENTS.get(written);
        if (known == null) {
            known = Stream.of(written.substring(1, written.length() - 1).split(","))
                    .filter(code -> !code.isEmpty())
                    .map(InstrumentCode::new)
                    .toList();
            if (INSTRUMENTS.size() < MOST_REMEMBERED) {
                INSTRUMENTS.put(written, known);
            }
        }
        return known;
    }

    /**
     * Steps that are unpacked when they are looked at, and once: who is remembered is looked at again and again, but of the
     * trails of earlier years hardly any.
     */
    private static final class Packed extends AbstractList<Trail.Step> implements RandomAccess {

        private static final int BYTES = 6;
        private final List<InstrumentCode> instruments;
        private final ByteBuffer steps;
        /** Filled by whoever looks first; two who look at once put in the same. */
        private final Trail.Step[] unpacked;

        Packed(List<InstrumentCode> instruments, byte[] steps) {
            this.instruments = instruments;
            this.steps = ByteBuffer.wrap(steps);
            this.unpacked = new Trail.Step[steps.length / BYTES];
        }

        @Override
        public int size() {
            return unpacked.length;
        }

        @Override
        public Trail.Step get(int index) {
            Trail.Step known = unpacked[Objects.checkIndex(index, size())];
            if (known == null) {
                known = unpack(index);
                unpacked[index] = known;
            }
            return known;
        }

        private Trail.Step unpack(int index) {
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
