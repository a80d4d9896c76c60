-- Year of school, as the school calls it; empty where nobody said.
alter table student
    add column grade text not null default '',
    add constraint student_grade_length check (length(grade) <= 40);
-- Place in the section, from 1 at the front; two neighbours share a stand.
alter table seat add column chair smallint check (chair between 1 and 400);
