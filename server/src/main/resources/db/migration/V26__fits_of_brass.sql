-- Where a horn's bell rests, and which finger takes a trumpet's third-slide ring.
alter table student_fit
    drop constraint student_fit_kind_known,
    add constraint student_fit_kind_known check (
        kind in ('CHAIR', 'CELLO_ENDPIN', 'BASS_ENDPIN', 'VIOLIN_SIZE', 'VIOLA_SIZE', 'BASSOON_STRAP', 'HORN_BELL',
                 'TRUMPET_RING'));
