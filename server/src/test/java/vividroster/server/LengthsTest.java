package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;
import static vividroster.core.text.Lengths.*;

import java.sql.Connection;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import vividroster.testkit.ApiClient.Answer;
import vividroster.testkit.RunningServer;
import vividroster.testkit.School;

/** Limits of texts have one source: what the database lets in is what the core says, for every text people type. */
class LengthsTest {

    /** Codes, hashes and sources, which are checked by what they mean. */
    private static final Set<String> NO_WORDS = Set.of(
            "account.password_hash",
            "account.role",
            "belt.rule",
            "ensemble_gate.kind",
            "placing_decision.instrument",
            "placing_trial.instrument",
            "placing_trial.mouthpiece",
            "two_ways.better",
            "two_ways.instrument",
            "belt_hand_over.instrument",
            "attempt.evidence",
            "attempt.instrument",
            "attempt.outcome",
            "audit.what",
            "belt.color",
            "belt_slot_filling.instrument",
            "calendar_entry.kind",
            "class_wanted.instrument",
            "account_section.family",
            "account_section.instrument",
            "client_write.kind",
            "start_step.kept_as",
            "start_step.step",
            "invitation.role",
            "demonstration.media_type",
            "demonstration.shows",
            "line.mode",
            "line_notation.format",
            "line_notation.source",
            "line_remark.instrument",
            "habit_look.finding",
            "habit_look.instrument",
            "measurement.instrument",
            "milestone.kind",
            "milestone_order.scopes_key",
            "milestone_version.pass_rule",
            "order_carry.family",
            "order_carry.instrument",
            "order_scope.family",
            "order_scope.instrument",
            "pain_report.instrument",
            "partner_check.pairing",
            "partner_measures.instrument",
            "forecast_kept.instrument",
            "plan_class.pacing",
            "plan_look.ended_as",
            "plan_item.kind",
            "plan_item_scope.family",
            "plan_item_scope.instrument",
            "plan_proposal.aim",
            "section_decision.advised",
            "section_decision.decided",
            "section_decision.instrument",
            "section_pace.instrument",
            "practice_ladder.habit",
            "practice_ladder.instrument",
            "practice_ladder_step.instrument",
            "practice_ladder_step.kind",
            "program.zone",
            "remedy_helped.instrument",
            "school_choice.choice",
            "school_choice.question",
            "school_class.shape",
            "seat.instrument",
            "sign_in_failure.key",
            "student_fit.kind",
            "student_variant.instrument",
            "technique_check.starter_key",
            "warm_up_part.kind",
            "warm_up_part.mode");

    private static final Map<String, Integer> LONGEST = Map.ofEntries(
            Map.entry("account.display_name", NAME),
            Map.entry("account.sign_in_name", NAME),
            Map.entry("attempt.note", LONG_NOTE),
            Map.entry("attempt.reason", NOTE),
            Map.entry("attempt.substitute", NAME),
            Map.entry("account_section.division", LABEL),
            Map.entry("invitation.display_name", NAME),
            Map.entry("bell.campus", CLASS_NAME),
            Map.entry("class_meeting.campus", CLASS_NAME),
            Map.entry("class_wanted.division", LABEL),
            Map.entry("belt.ladder", LABEL),
            Map.entry("belt.weave", LABEL),
            Map.entry("belt_hand_over.occasion", WORDS),
            Map.entry("belt_slot.name", NAME),
            Map.entry("book.title", NAME),
            Map.entry("book.volume", WORDS),
            Map.entry("calendar_entry.name", NAME),
            Map.entry("criterion.name", NAME),
            Map.entry("demonstration.name", NAME),
            Map.entry("finger_pattern.name", WORDS),
            Map.entry("ladder.name", LABEL),
            Map.entry("line.roadmap", LINE),
            Map.entry("line_remark.tip", REMARK),
            Map.entry("line_remark.trouble", REMARK),
            Map.entry("marking_period.name", LABEL),
            Map.entry("milestone.short_name", LABEL),
            Map.entry("milestone.title", TITLE),
            Map.entry("order_carry.division", LABEL),
            Map.entry("order_carry.drill", LINE),
            Map.entry("order_carry.pattern", NAME),
            Map.entry("order_carry.place", NAME),
            Map.entry("order_scope.division", LABEL),
            Map.entry("pain_follow_up.note", LONG_NOTE),
            Map.entry("pain_report.place", NAME),
            Map.entry("pain_report.since", NAME),
            Map.entry("partner_measures.division", LABEL),
            Map.entry("placing_decision.why", NOTE),
            Map.entry("placing_trial.note", NOTE),
            Map.entry("plan_item.title", TITLE),
            Map.entry("plan_item_scope.division", LABEL),
            Map.entry("plan_proposal.cause", NOTE),
            Map.entry("playing_test.conditions", REMARK),
            Map.entry("practice_ladder_step.note", LINE),
            Map.entry("program.name", NAME),
            Map.entry("remedy_helped.remedy", SENTENCE),
            Map.entry("remedy_helped.sign", NAME),
            Map.entry("roster_import.file_name", NAME),
            Map.entry("rubric.name", NAME),
            Map.entry("school_class.campus", CLASS_NAME),
            Map.entry("school_class.name", CLASS_NAME),
            Map.entry("school_year.name", LABEL),
            Map.entry("seat.division", LABEL),
            Map.entry("student.grade", LABEL),
            Map.entry("student.name", NAME),
            Map.entry("student.sort_name", NAME),
            Map.entry("student.student_number", LABEL),
            Map.entry("student_fit.note", NOTE),
            Map.entry("student_fit.result", NAME),
            Map.entry("student_variant.name", WORDS),
            Map.entry("student_variant.note", SENTENCE),
            Map.entry("two_ways.about", WORDS),
            Map.entry("two_ways.one", WORDS),
            Map.entry("two_ways.other", WORDS),
            Map.entry("variant_review.note", NOTE));

    private final RunningServer server = RunningServer.shared();

    @Test
    void theDatabaseLetsInWhatTheCoreSays() throws Exception {
        Map<String, Integer> limits = new TreeMap<>();
        Set<String> texts = new TreeSet<>();
        try (Connection connection = server.database().connect()) {
            try (var row = connection.createStatement().executeQuery("""
                    select c.conrelid::regclass::text || '.' || a.attname,
                           substring(pg_get_constraintdef(c.oid) from '<= (\\d+)')
                    from pg_constraint c
                    join pg_attribute a on a.attrelid = c.conrelid and a.attnum = c.conkey[1]
                    where c.conname = c.conrelid::regclass::text || '_' || a.attname || '_length'
                    """)) {
                while (row.next()) {
                    limits.put(row.getString(1), row.getInt(2));
                }
            }
            try (var row = connection.createStatement().executeQuery("""
                    select c.table_name || '.' || c.column_name
                    from information_schema.columns c
                    join information_schema.tables t using (table_schema, table_name)
                    where c.table_schema = 'public' and c.data_type = 'text' and t.table_type = 'BASE TABLE'
                    """)) {
                while (row.next()) {
                    texts.add(row.getString(1));
                }
            }
        }
        assertThat(limits).containsExactlyInAnyOrderEntriesOf(LONGEST);
        texts.removeAll(LONGEST.keySet());
        assertThat(texts).as("say how long a new text may be").containsExactlyInAnyOrderElementsOf(NO_WORDS);
    }

    @Test
    void oneLetterTooManyIsSaidByTheApi() {
        School school = School.open(server);
        Map<String, Object> attempt = school.attempt("Ana Reed", "line", "PASS");
        attempt.put("note", "a".repeat(LONG_NOTE));
        assertThat(school.director().post("/api/attempts", attempt).status()).isEqualTo(200);
        attempt.put("note", "a".repeat(LONG_NOTE + 1));
        Answer refused = school.director().post("/api/attempts", attempt);
        assertThat(refused.status()).isEqualTo(422);
        assertThat(refused.sentence()).isEqualTo("A note has at most 1000 letters.");
    }
}
