package vividroster.server.lines;

import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.text.Lengths;
import vividroster.server.library.Library;
import vividroster.server.lines.LineViews.RemarkView;
import vividroster.server.platform.InstrumentCodes;
import vividroster.server.platform.Problem;

/** What the director says of a line, to one section or to everybody. */
@Service
public class LineRemarks {

    /** For everybody. */
    static final String ANY = "any";

    private static final int LONGEST = Lengths.REMARK;

    private final RemarkQueries queries;
    private final Library library;
    private final InstrumentCatalog catalog;

    LineRemarks(RemarkQueries queries, Library library, InstrumentCatalog catalog) {
        this.queries = queries;
        this.library = library;
        this.catalog = catalog;
    }

    @Transactional(readOnly = true)
    List<RemarkView> of(UUID programId, UUID lineId) {
        return queries.find(programId, lineId);
    }

    /** The same, for the demo's files. */
    @Transactional
    public void put(UUID programId, UUID accountId, UUID lineId, String instrument, String trouble, String tip) {
        put(programId, accountId, lineId, new RemarkView(instrument, trouble, tip));
    }

    /** Empty texts take the remark away. */
    @Transactional
    void put(UUID programId, UUID accountId, UUID lineId, RemarkView remark) {
        library.line(programId, lineId);
        if (!ANY.equals(remark.instrument())) {
            InstrumentCodes.known(catalog, remark.instrument());
        }
        String trouble = text("trouble", remark.trouble());
        String tip = text("tip", remark.tip());
        if (trouble.isEmpty() && tip.isEmpty()) {
            queries.delete(programId, lineId, remark.instrument());
        } else {
            queries.put(programId, lineId, new RemarkView(remark.instrument(), trouble, tip), accountId);
        }
    }

    private static String text(String field, String text) {
        String stripped = text == null ? "" : text.strip();
        if (stripped.length() > LONGEST) {
            throw Problem.input(field, "Keep it under " + LONGEST + " characters; it is " + stripped.length() + ".");
        }
        return stripped;
    }

    /** Remarks in the database. */
    @Repository
    static class RemarkQueries {
        private final JdbcClient jdbc;

        RemarkQueries(JdbcClient jdbc) {
            this.jdbc = jdbc;
        }

        List<RemarkView> find(UUID programId, UUID lineId) {
            return jdbc.sql("""
                            select instrument, trouble, tip
                            from line_remark
                            where program_id = :programId and line_id = :lineId
                            order by instrument
                            """)
                    .param("programId", programId)
                    .param("lineId", lineId)
                    .query((row, n) ->
                            new RemarkView(row.getString("instrument"), row.getString("trouble"), row.getString("tip")))
                    .list();
        }

        void put(UUID programId, UUID lineId, RemarkView remark, UUID accountId) {
            jdbc.sql("""
                    insert into line_remark (program_id, line_id, instrument, trouble, tip, written_by)
                    values (:programId, :lineId, :instrument, :trouble, :tip, :accountId)
                    on conflict (program_id, line_id, instrument)
                    do update set trouble = excluded.trouble, tip = excluded.tip, written_by = excluded.written_by,
                                  written_at = now()
                    """)
                    .param("programId", programId)
                    .param("lineId", lineId)
                    .param("instrument", remark.instrument())
                    .param("trouble", remark.trouble())
                    .param("tip", remark.tip())
                    .param("accountId", accountId)
                    .update();
        }

        void delete(UUID programId, UUID lineId, String instrument) {
            jdbc.sql("""
                    delete from line_remark
                    where program_id = :programId and line_id = :lineId and instrument = :instrument
                    """)
                    .param("programId", programId)
                    .param("lineId", lineId)
                    .param("instrument", instrument)
                    .update();
        }
    }
}
