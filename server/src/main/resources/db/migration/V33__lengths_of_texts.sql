-- How long every text that people type may be, as Lengths in the core says; a test holds both equal. What is there already is
-- left as it is.
alter table line drop constraint line_roadmap_check;
alter table line_remark drop constraint line_remark_short;
alter table practice_ladder_step drop constraint practice_ladder_step_note_check;
alter table account
    add constraint account_display_name_length check (length(display_name) <= 120) not valid,
    add constraint account_sign_in_name_length check (length(sign_in_name) <= 120) not valid;
alter table attempt
    add constraint attempt_note_length check (length(note) <= 1000) not valid,
    add constraint attempt_reason_length check (length(reason) <= 300) not valid;
alter table belt
    add constraint belt_ladder_length check (length(ladder) <= 40) not valid,
    add constraint belt_weave_length check (length(weave) <= 40) not valid;
alter table belt_slot
    add constraint belt_slot_name_length check (length(name) <= 120) not valid;
alter table book
    add constraint book_title_length check (length(title) <= 120) not valid,
    add constraint book_volume_length check (length(volume) <= 60) not valid;
alter table calendar_entry
    add constraint calendar_entry_name_length check (length(name) <= 120) not valid;
alter table criterion
    add constraint criterion_name_length check (length(name) <= 120) not valid;
alter table demonstration
    add constraint demonstration_name_length check (length(name) <= 120) not valid;
alter table line
    add constraint line_roadmap_length check (length(roadmap) <= 200) not valid;
alter table line_remark
    add constraint line_remark_tip_length check (length(tip) <= 400) not valid,
    add constraint line_remark_trouble_length check (length(trouble) <= 400) not valid;
alter table milestone
    add constraint milestone_short_name_length check (length(short_name) <= 40) not valid,
    add constraint milestone_title_length check (length(title) <= 90) not valid;
alter table order_carry
    add constraint order_carry_division_length check (length(division) <= 40) not valid,
    add constraint order_carry_drill_length check (length(drill) <= 200) not valid,
    add constraint order_carry_pattern_length check (length(pattern) <= 120) not valid,
    add constraint order_carry_place_length check (length(place) <= 120) not valid;
alter table order_scope
    add constraint order_scope_division_length check (length(division) <= 40) not valid;
alter table pain_follow_up
    add constraint pain_follow_up_note_length check (length(note) <= 1000) not valid;
alter table pain_report
    add constraint pain_report_place_length check (length(place) <= 120) not valid,
    add constraint pain_report_since_length check (length(since) <= 120) not valid;
alter table partner_measures
    add constraint partner_measures_division_length check (length(division) <= 40) not valid;
alter table playing_test
    add constraint playing_test_conditions_length check (length(conditions) <= 200) not valid;
alter table practice_ladder_step
    add constraint practice_ladder_step_note_length check (length(note) <= 200) not valid;
alter table program
    add constraint program_name_length check (length(name) <= 120) not valid;
alter table remedy_helped
    add constraint remedy_helped_remedy_length check (length(remedy) <= 240) not valid,
    add constraint remedy_helped_sign_length check (length(sign) <= 120) not valid;
alter table roster_import
    add constraint roster_import_file_name_length check (length(file_name) <= 120) not valid;
alter table school_class
    add constraint school_class_campus_length check (length(campus) <= 80) not valid,
    add constraint school_class_name_length check (length(name) <= 80) not valid,
    add constraint school_class_rotation_length check (length(rotation) <= 40) not valid;
alter table school_year
    add constraint school_year_name_length check (length(name) <= 40) not valid;
alter table seat
    add constraint seat_division_length check (length(division) <= 40) not valid;
alter table student
    add constraint student_name_length check (length(name) <= 120) not valid,
    add constraint student_sort_name_length check (length(sort_name) <= 120) not valid,
    add constraint student_student_number_length check (length(student_number) <= 40) not valid;
alter table student_fit
    add constraint student_fit_note_length check (length(note) <= 300) not valid,
    add constraint student_fit_result_length check (length(result) <= 120) not valid;
alter table student_variant
    add constraint student_variant_name_length check (length(name) <= 60) not valid,
    add constraint student_variant_note_length check (length(note) <= 240) not valid;
alter table variant_review
    add constraint variant_review_note_length check (length(note) <= 300) not valid;
