package vividroster.server.demo;

import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Objects;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import vividroster.core.curriculum.TechniqueCheck;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.formats.checks.CheckLibraryFile;

/** The demo scenario's data files. */
final class DemoFiles {

    private static final CSVFormat FORMAT =
            CSVFormat.DEFAULT.builder().setHeader().setSkipHeaderRecord(true).get();

    private DemoFiles() {}

    static List<CSVRecord> rows(String name) {
        try (Reader reader = new InputStreamReader(file(name + ".csv"), StandardCharsets.UTF_8)) {
            return FORMAT.parse(reader).getRecords();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The director's own checks. */
    static List<TechniqueCheck> checks(InstrumentCatalog catalog) {
        try (InputStream in = file("checks.yaml")) {
            return CheckLibraryFile.read(in, "demo/checks.yaml", catalog);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    static byte[] bytes(String name) {
        try (InputStream in = file(name)) {
            return in.readAllBytes();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static InputStream file(String name) {
        return Objects.requireNonNull(DemoFiles.class.getResourceAsStream("/demo/" + name), name);
    }

    /** One tune of a volume, as it is written in ABC. */
    static String tune(String volume, int number) {
        String book = new String(bytes("lines/" + volume + ".abc"), StandardCharsets.UTF_8);
        for (String tune : book.split("(?m)^(?=X:)")) {
            if (tune.startsWith("X:" + number + "\n")) {
                return tune.strip() + "\n";
            }
        }
        throw new IllegalStateException("the " + volume + " volume has no line " + number);
    }

    static List<String> split(String cell) {
        return cell.isBlank() ? List.of() : List.of(cell.split("\\|"));
    }
}
