package vividroster.server.hearing;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.namedparam.MapSqlParameterSource;
import org.springframework.jdbc.core.namedparam.NamedParameterJdbcTemplate;
import org.springframework.jdbc.core.namedparam.SqlParameterSource;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.Attempt;
import vividroster.core.progress.CriterionMark;
import vividroster.core.progress.Evidence;
import vividroster.core.progress.FaultHeard;
import vividroster.core.progress.Outcome;
import vividroster.server.platform.Rows;

/** Attempts: rows are added and read, nothing else. */
@Repository
class AttemptQueries {

    private static final String COLUMNS = """
            id, student_id, milestone_id, milestone_version, instrument, class_id, heard_by, heard_on, heard_at, recorded_at,
            evidence, outcome, mark_ordinals, mark_points, waived, reason, note, fault_signs, fault_measures, tempo_bpm,
            substitute, corrects_id, device_heard_at, as_substitute
            """;

    private static final String INSERT = """
            insert into attempt (program_id, id, student_id, milestone_id, milestone_version, instrument, class_id, heard_by,
                                 heard_on, heard_at, evidence, outcome, mark_ordinals, mark_points, waived, reason, note,
                                 fault_signs, fault_measures, tempo_bpm, substitute, corrects_id, device_heard_at,
                                 as_substitute)
            values (:programId, :id, :studentId, :milestoneId, :version, :instrument, :classId, :heardBy,
                    :heardOn, :heardAt, :evidence, :outcome, :ordinals, :points, :waived, :reason, :note,
                    :faultSigns, :faultMeasures, :tempoBpm, :substitute, :corrects, :deviceHeardAt,
                    :asSubstitute)
            """;

    private static final Instant EARLIEST = Instant.parse("1900-01-01T00:00:00Z");
    private static final Instant LATEST = Instant.parse("2199-12-31T00:00:00Z");

    private static final int NO_MEASURE = 0;

    private final JdbcClient jdbc;
    private final NamedParameterJdbcTemplate batch;

    AttemptQueries(JdbcClient jdbc, NamedParameterJdbcTemplate batch) {
        this.jdbc = jdbc;
        this.batch = batch;
    }

    /** Inserts what is not there yet. False when an attempt with this id, or a correction of the same one, was there. */
    boolean insert(UUID programId, HeardAttempt heard) {
        return jdbc.sql(INSERT + " on conflict do nothing")
                        .paramSource(parameters(programId, heard))
                        .update()
                == 1;
    }

    void insertAll(UUID programId, List<HeardAttempt> heard) {
        batch.batchUpdate(
                INSERT, heard.stream().map(h -> parameters(programId, h)).toArray(SqlParameterSource[]::new));
    }

    Optional<HeardAttempt> find(UUID programId, UUID id) {
        return jdbc.sql("select " + COLUMNS + " from attempt where program_id = :programId and id = :id")
                .param("programId", programId)
                .param("id", id)
                .query(AttemptQueries::heard)
                .optional();
    }

    boolean isCorrected(UUID programId, UUID id) {
        return jdbc.sql("select exists (select 1 from attempt where program_id = :programId and corrects_id = :id)")
                .param("programId", programId)
                .param("id", id)
                .query(Boolean.class)
                .single();
    }

    /** Tries of these students with one milestone, with what was written beside them. */
    List<HeardAttempt> findHeard(UUID programId, Collection<UUID> studentIds, UUID milestoneId) {
        return jdbc.sql("select " + COLUMNS + """
                        from attempt
                        where program_id = :programId and student_id = any(:students) and milestone_id = :milestoneId
                        """)
                .param("programId", programId)
                .param("students", Rows.array(studentIds))
                .param("milestoneId", milestoneId)
                .query(AttemptQueries::heard)
                .list();
    }

    /** Attempts of these students from a day on that have faults, and what corrects them. */
    List<HeardAttempt> findFaultyAndCorrecting(UUID programId, Collection<UUID> studentIds, LocalDate from) {
        return jdbc.sql("""
                        with faulty as materialized (
                            select id
                            from attempt
                            where program_id = :programId and student_id = any(:students) and heard_on >= :from
                              and fault_signs <> '{}')
                        select %1$s
                        from attempt
                        where program_id = :programId and id in (select id from faulty)
                        union
                        select %1$s
                        from attempt
                        where program_id = :programId and corrects_id in (select id from faulty)
                        """.formatted(COLUMNS))
                .param("programId", programId)
                .param("students", Rows.array(studentIds))
                .param("from", from)
                .query(AttemptQueries::heard)
                .list();
    }

    /** The latest attempts of each player with each milestone, corrections included, latest first. */
    List<HeardAttempt> findLatest(UUID programId, Map<Player, Set<UUID>> asked, int most) {
        List<UUID> students = new ArrayList<>();
        List<InstrumentCode> instruments = new ArrayList<>();
        List<UUID> milestones = new ArrayList<>();
        asked.forEach((player, ids) -> ids.forEach(id -> {
            students.add(player.studentId());
            instruments.add(player.instrument());
            milestones.add(id);
        }));
        return jdbc.sql("""
                        select latest.*
                        from unnest(:students::uuid[], :instruments::text[], :milestones::uuid[])
                            as asked(student, on_instrument, milestone)
                        cross join lateral (
                            select %s
                            from attempt
                            where program_id = :programId and student_id = asked.student and milestone_id = asked.milestone
                              and instrument = asked.on_instrument
                            order by heard_at desc, recorded_at desc
                            limit :most) latest
                        """.formatted(COLUMNS))
                .param("programId", programId)
                .param("students", Rows.array(students))
                .param("instruments", Rows.codes(instruments))
                .param("milestones", Rows.array(milestones))
                .param("most", most)
                .query(AttemptQueries::heard)
                .list();
    }

    /** What these students were heard with on a day, corrections of it included, whenever they were made. */
    List<Attempt> findOnDay(UUID programId, Collection<UUID> studentIds, LocalDate day) {
        return jdbc.sql("""
                        select id, student_id, milestone_id, milestone_version, instrument, class_id, heard_on, heard_at,
                               recorded_at, evidence, outcome, waived, corrects_id
                        from attempt
                        where program_id = :programId and heard_on = :day and student_id = any(:students)
                        """)
                .param("programId", programId)
                .param("students", Rows.array(studentIds))
                .param("day", day)
                .query((row, n) -> attempt(row, List.of()))
                .list();
    }

    /** When somebody marked tries with a milestone in these classes on a day, in order; corrections left out. */
    List<Instant> findMoments(
            UUID programId, Collection<UUID> classIds, LocalDate day, UUID milestoneId, UUID heardBy) {
        return jdbc.sql("""
                        select heard_at from attempt
                        where program_id = :programId and class_id = any(:classIds) and heard_on = :day
                          and milestone_id = :milestoneId and heard_by = :heardBy
                          and corrects_id is null and outcome in ('PASS', 'NOT_YET')
                        order by heard_at
                        """)
                .param("programId", programId)
                .param("classIds", Rows.array(classIds))
                .param("day", day)
                .param("milestoneId", milestoneId)
                .param("heardBy", heardBy)
                .query((row, n) ->
                        row.getObject("heard_at", OffsetDateTime.class).toInstant())
                .list();
    }

    /** Tries of the students of classes within days that were not undone, partner checks aside, in the order heard. */
    List<Turn> findTurns(UUID programId, Collection<UUID> classIds, LocalDate from, LocalDate to) {
        return jdbc.sql("""
                        select a.student_id, a.class_id, a.instrument, a.milestone_id, a.heard_by, a.heard_on, a.heard_at,
                               a.evidence
                        from attempt a
                        where a.program_id = :programId and a.class_id = any(:classIds)
                          and a.heard_on between :from and :to
                          and a.corrects_id is null and a.outcome in ('PASS', 'NOT_YET')
                          and a.evidence <> 'PARTNER_CHECK'
                          and not exists (
                              select from attempt c
                              where c.program_id = a.program_id and c.corrects_id = a.id and c.outcome = 'UNDONE')
                        order by a.heard_at, a.id
                        """)
                .param("programId", programId)
                .param("classIds", Rows.array(classIds))
                .param("from", from)
                .param("to", to)
                .query((row, n) -> new Turn(
                        Rows.id(row, "student_id"),
                        Rows.id(row, "class_id"),
                        Rows.instrument(row, "instrument"),
                        Rows.id(row, "milestone_id"),
                        Rows.id(row, "heard_by"),
                        Rows.day(row, "heard_on"),
                        row.getObject("heard_at", OffsetDateTime.class).toInstant(),
                        Evidence.valueOf(row.getString("evidence"))))
                .list();
    }

    private static MapSqlParameterSource parameters(UUID programId, HeardAttempt heard) {
        Attempt attempt = heard.attempt();
        return new MapSqlParameterSource("programId", programId)
                .addValue("id", attempt.id())
                .addValue("studentId", attempt.studentId())
                .addValue("milestoneId", attempt.milestoneId())
                .addValue("version", attempt.milestoneVersion())
                .addValue("instrument", attempt.instrument().value())
                .addValue("classId", attempt.classId())
                .addValue("heardBy", heard.heardBy())
                .addValue("heardOn", attempt.heardOn())
                .addValue("heardAt", attempt.heardAt().atOffset(ZoneOffset.UTC))
                .addValue("evidence", attempt.evidence().name())
                .addValue("outcome", attempt.outcome().name())
                .addValue(
                        "ordinals",
                        attempt.marks().stream().map(CriterionMark::ordinal).toArray(Integer[]::new))
                .addValue(
                        "points",
                        attempt.marks().stream().map(CriterionMark::points).toArray(Integer[]::new))
                .addValue("waived", attempt.waived())
                .addValue("reason", heard.reason())
                .addValue("note", heard.beside().note())
                .addValue(
                        "faultSigns",
                        heard.beside().faults().stream().map(FaultHeard::sign).toArray(String[]::new))
                .addValue(
                        "faultMeasures",
                        heard.beside().faults().stream()
                                .map(fault -> fault.measure().orElse(NO_MEASURE))
                                .toArray(Integer[]::new))
                .addValue("tempoBpm", heard.beside().tempoBpm().orElse(null), java.sql.Types.SMALLINT)
                .addValue("substitute", heard.beside().substitute())
                .addValue("corrects", attempt.corrects().orElse(null), java.sql.Types.OTHER)
                .addValue(
                        "deviceHeardAt",
                        heard.deviceSaid().map(AttemptQueries::kept).orElse(null),
                        java.sql.Types.TIMESTAMP_WITH_TIMEZONE)
                .addValue("asSubstitute", heard.asSubstitute());
    }

    /** A device may say anything; what no calendar of ours reaches is kept as its edge. */
    static OffsetDateTime kept(Instant moment) {
        Instant edge = moment.isBefore(EARLIEST) ? EARLIEST : moment.isAfter(LATEST) ? LATEST : moment;
        return edge.atOffset(ZoneOffset.UTC);
    }

    private static HeardAttempt heard(ResultSet row, int n) throws SQLException {
        List<Integer> ordinals = Rows.numbers(row, "mark_ordinals");
        List<Integer> points = Rows.numbers(row, "mark_points");
        List<CriterionMark> marks = new ArrayList<>();
        for (int i = 0; i < ordinals.size(); i++) {
            marks.add(new CriterionMark(ordinals.get(i), points.get(i)));
        }
        return new HeardAttempt(
                attempt(row, marks),
                Rows.id(row, "heard_by"),
                row.getString("reason"),
                beside(row),
                Optional.ofNullable(row.getObject("device_heard_at", OffsetDateTime.class))
                        .map(OffsetDateTime::toInstant),
                row.getBoolean("as_substitute"));
    }

    private static Beside beside(ResultSet row) throws SQLException {
        List<Integer> measures = Rows.numbers(row, "fault_measures");
        List<FaultHeard> faults = new ArrayList<>();
        for (String sign : (String[]) row.getArray("fault_signs").getArray()) {
            int measure = measures.get(faults.size());
            faults.add(new FaultHeard(sign, measure == NO_MEASURE ? OptionalInt.empty() : OptionalInt.of(measure)));
        }
        int tempo = row.getInt("tempo_bpm");
        Optional<Integer> tempoBpm = row.wasNull() ? Optional.empty() : Optional.of(tempo);
        return new Beside(row.getString("note"), faults, tempoBpm, row.getString("substitute"));
    }

    private static Attempt attempt(ResultSet row, List<CriterionMark> marks) throws SQLException {
        return new Attempt(
                Rows.id(row, "id"),
                Rows.id(row, "student_id"),
                Rows.id(row, "milestone_id"),
                row.getInt("milestone_version"),
                Rows.instrument(row, "instrument"),
                Rows.id(row, "class_id"),
                Rows.day(row, "heard_on"),
                row.getObject("heard_at", OffsetDateTime.class).toInstant(),
                row.getObject("recorded_at", OffsetDateTime.class).toInstant(),
                Evidence.valueOf(row.getString("evidence")),
                Outcome.valueOf(row.getString("outcome")),
                marks,
                row.getBoolean("waived"),
                Optional.ofNullable(Rows.id(row, "corrects_id")));
    }

    /** Names of who heard. */
    Map<UUID, String> findNames(UUID programId, Set<UUID> accountIds) {
        record Named(UUID id, String displayName) {}
        return jdbc
                .sql("select id, display_name from account where program_id = :programId and id = any(:ids)")
                .param("programId", programId)
                .param("ids", Rows.array(accountIds))
                .query(Named.class)
                .list()
                .stream()
                .collect(Collectors.toMap(Named::id, Named::displayName));
    }
}
