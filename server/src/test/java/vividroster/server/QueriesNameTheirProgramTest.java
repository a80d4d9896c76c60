package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import vividroster.testkit.TestCluster;

/** No statement leaves the programme out. */
class QueriesNameTheirProgramTest {

    private static final Pattern STATEMENT =
            Pattern.compile("(?:\"\"\"(.*?)\"\"\"|\"((?:select|insert|update|delete)[^\"]*)\")", Pattern.DOTALL);
    /** Statements about the programme itself, and the one that tells which programme a person belongs to. */
    private static final Set<String> EXEMPT = Set.of("findBySignInName", "anyProgram", "insertProgram");

    private record Statement(Path file, String method, String sql) {}

    @Test
    void everyStatementIsBoundToTheProgram() throws IOException {
        List<Statement> statements = statements();
        assertThat(statements).hasSizeGreaterThan(30);
        assertThat(statements.stream()
                        .filter(s -> !EXEMPT.contains(s.method()))
                        .filter(s -> s.sql().matches("(?s).*\\b(from|into|update|join)\\b.*"))
                        .filter(s -> !s.sql().contains("program_id") && !s.sql().contains("from program")))
                .isEmpty();
    }

    @Test
    void everyTableLeadsWithItsProgram() throws Exception {
        try (var connection =
                        vividroster.testkit.RunningServer.shared().database().connect();
                var tables = connection.createStatement().executeQuery("""
                        select t.table_name, c.column_name
                        from information_schema.tables t
                        join information_schema.columns c using (table_schema, table_name)
                        where t.table_schema = 'public' and t.table_type = 'BASE TABLE' and c.ordinal_position = 1
                          and t.table_name not like 'spring_session%'
                          and t.table_name not in ('flyway_schema_history', 'sign_in_failure')
                        """)) {
            List<String> without = new ArrayList<>();
            int count = 0;
            while (tables.next()) {
                count++;
                if (!tables.getString(2).equals("program_id")
                        && !tables.getString(1).equals("program")) {
                    without.add(tables.getString(1));
                }
            }
            assertThat(count).isGreaterThan(15);
            assertThat(without).isEmpty();
        }
    }

    private static List<Statement> statements() throws IOException {
        Path main = TestCluster.projectRoot().resolve("server/src/main/java");
        List<Statement> found = new ArrayList<>();
        try (Stream<Path> files = Files.walk(main)) {
            for (Path file :
                    files.filter(f -> f.toString().endsWith("Queries.java")).toList()) {
                String text = Files.readString(file);
                Matcher matcher = STATEMENT.matcher(text);
                while (matcher.find()) {
                    String sql = matcher.group(1) != null ? matcher.group(1) : matcher.group(2);
                    found.add(new Statement(file, methodBefore(text, matcher.start()), sql));
                }
            }
        }
        return found;
    }

    private static String methodBefore(String text, int at) {
        Matcher methods = Pattern.compile("\\n {4}[\\w<>\\[\\], .]+ (\\w+)\\(").matcher(text.substring(0, at));
        String name = "";
        while (methods.find()) {
            name = methods.group(1);
        }
        return name;
    }
}
