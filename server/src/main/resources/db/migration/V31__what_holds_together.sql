-- A device's moment of hearing that could not be right, beside the moment that counts.
alter table attempt add column device_heard_at timestamptz;

-- An attempt names a version there is, and a correction is of the same student and milestone.
alter table attempt
    add constraint attempt_version_fk foreign key (program_id, milestone_id, milestone_version)
        references milestone_version (program_id, milestone_id, version),
    add constraint attempt_of_student_and_milestone unique (program_id, student_id, milestone_id, id);
alter table attempt
    drop constraint attempt_corrects_fk,
    add constraint attempt_corrects_fk foreign key (program_id, student_id, milestone_id, corrects_id)
        references attempt (program_id, student_id, milestone_id, id);

-- Seats of one student in one class do not overlap, nor do school years. A seat that ran into the next ends before it.
create extension if not exists btree_gist;

update seat s
set ends_on = n.starts_on - 1
from seat n
where n.program_id = s.program_id and n.student_id = s.student_id and n.class_id = s.class_id and n.id <> s.id
  and n.starts_on > s.starts_on and (s.ends_on is null or s.ends_on >= n.starts_on);

alter table seat add constraint seat_no_overlap
    exclude using gist (program_id with =, student_id with =, class_id with =, daterange(starts_on, ends_on, '[]') with &&);

alter table school_year add constraint school_year_no_overlap
    exclude using gist (program_id with =, daterange(first_day, last_day, '[]') with &&);

-- One variant of a check is in use for a student on an instrument.
alter table student_variant add column in_use boolean not null default true;

update student_variant v
set in_use = false
where exists (
    select 1
    from (select review_on
          from variant_review r
          where r.program_id = v.program_id and r.variant_id = v.id
          order by r.reviewed_at desc
          limit 1) last
    where last.review_on is null);

update student_variant v
set in_use = false
where v.in_use and exists (
    select 1
    from student_variant n
    where n.program_id = v.program_id and n.student_id = v.student_id and n.instrument = v.instrument
      and n.milestone_id = v.milestone_id and n.in_use and (n.given_at, n.id) > (v.given_at, v.id));

create unique index student_variant_in_use_once on student_variant (program_id, student_id, instrument, milestone_id)
    where in_use;
