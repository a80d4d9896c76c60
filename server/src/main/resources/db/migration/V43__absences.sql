-- Who is away from a class on a day, taken once and used by every run of that class.
create table absence (
    program_id uuid not null,
    class_id uuid not null,
    on_day date not null,
    student_id uuid not null,
    noted_by uuid not null,
    constraint absence_pk primary key (program_id, class_id, on_day, student_id),
    constraint absence_class_fk foreign key (program_id, class_id) references school_class (program_id, id),
    constraint absence_student_fk foreign key (program_id, student_id) references student (program_id, id),
    constraint absence_account_fk foreign key (program_id, noted_by) references account (program_id, id)
);
create index absence_by_student on absence (program_id, student_id);
