package vividroster.server.lines;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.core.text.Lengths;
import vividroster.server.library.Library;
import vividroster.server.lines.LineViews.RemarkView;
import vividroster.server.platform.InstrumentCodes;
import vividroster.server.platform.Problem;
import vividroster.server.platform.Rows;

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

    /** What is said of lines, by line. */
    @Transactional(readOnly = true)
    Map<UUID, List<RemarkView>> all(UUID programId, Collection<UUID> lineIds) {
        return queries.findAll(programId, lineIds);
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

    /** What is new stands before whatever else a tip says. */
    private static final Pattern NEWS = Pattern.compile("New: (.*?)(?: · (.*))?", Pattern.DOTALL);

    /** What is new on lines, by line and instrument, as {@link #putNews} kept it. */
    @Transactional(readOnly = true)
    Map<UUID, Map<InstrumentCode, String>> news(UUID programId, Collection<UUID> lineIds) {
        Map<UUID, Map<InstrumentCode, String>> news = new HashMap<>();
        queries.findAll(programId, lineIds)
                .forEach((lineId, remarks) -> remarks.forEach(remark -> {
                    Matcher tip = NEWS.matcher(remark.tip());
                    if (!ANY.equals(remark.instrument()) && tip.matches()) {
                        news.computeIfAbsent(lineId, id -> new HashMap<>())
                                .put(new InstrumentCode(remark.instrument()), tip.group(1));
                    }
                }));
        return news;
    }

    /** Says what is new for instruments; the rest of their tips, and what gives them trouble, stays. */
    @Transactional
    void putNews(UUID programId, UUID accountId, UUID lineId, Map<InstrumentCode, String> news) {
        Map<String, RemarkView> before = queries.find(programId, lineId).stream()
                .collect(Collectors.toMap(RemarkView::instrument, remark -> remark));
        news.forEach((instrument, words) -> {
            RemarkView remark = before.getOrDefault(instrument.value(), new RemarkView(instrument.value(), "", ""));
            Matcher tip = NEWS.matcher(remark.tip());
            String rest = tip.matches() ? tip.group(2) : remark.tip();
            String all = "New: " + words + (rest == null || rest.isBlank() ? "" : " · " + rest);
            if (!all.equals(remark.tip())) {
                put(programId, accountId, lineId, new RemarkView(instrument.value(), remark.trouble(), all));
            }
        });
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

        Map<UUID, List<RemarkView>> findAll(UUID programId, Collection<UUID> lineIds) {
            Map<UUID, List<RemarkView>> found = new HashMap<>();
            jdbc.sql("""
                            select line_id, instrument, trouble, tip
                            from line_remark
                            where program_id = :programId and line_id = any(:lineIds)
                            """)
                    .param("programId", programId)
                    .param("lineIds", Rows.array(lineIds))
                    .query(row -> {
                        found.computeIfAbsent(Rows.id(row, "line_id"), id -> new ArrayList<>())
                                .add(new RemarkView(
                                        row.getString("instrument"), row.getString("trouble"), row.getString("tip")));
                    });
            return found;
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
