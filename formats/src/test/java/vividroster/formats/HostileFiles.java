package vividroster.formats;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.lang.management.ThreadMXBean;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.function.Supplier;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import vividroster.formats.abc.AbcReader;
import vividroster.formats.catalog.InstrumentCatalogFile;
import vividroster.formats.musicxml.MusicXmlReader;
import vividroster.formats.score.LineFileException;

/** Files made to harm, each read once; prints how long it took and why it was refused. */
public final class HostileFiles {

    /** A reader works on the thread that called it; its own clock does not count what else the machine does. */
    private static final ThreadMXBean THREADS = ManagementFactory.getThreadMXBean();

    private static final String HEAD = "X:1\nM:4/4\nL:1/4\nK:C\n";
    private static final String OPEN = "<score-partwise><part-list><score-part id=\"P1\"><part-name>A</part-name>"
            + "</score-part></part-list><part id=\"P1\">";
    private static final String CLOSE = "</part></score-partwise>";
    private static final String FIRST = "<measure number=\"1\"><attributes><divisions>1</divisions></attributes>";
    private static final String NOTE = "<note><rest/><duration>1</duration></note>";

    private HostileFiles() {}

    /** By what it is; made when it is asked for, so that only one is held at a time. */
    public static Map<String, Supplier<byte[]>> all() {
        Map<String, Supplier<byte[]>> files = new LinkedHashMap<>();
        files.put("a rest of twenty million measures", () -> utf8(HEAD + "Z20000000|"));
        files.put("an ending list of a hundred million", () -> utf8(HEAD + "|:C4|[1-100000000 D4:|"));
        files.put("a list of ending numbers without end", () -> utf8(HEAD + "|:C4|[" + "1,".repeat(25_000) + "1 D4:|"));
        files.put("a tuplet that cannot be written", () -> utf8(HEAD + "(9:7:9CDEFGABcd|"));
        files.put(
                "an order of parts folded into itself",
                () -> utf8("X:1\nM:4/4\nL:1/4\nP:(((A32)32)32)32\nK:C\nP:A\nC4|"));
        files.put("one bar line after another", () -> utf8(HEAD + "C|".repeat(20_000)));
        files.put("a line of fifty thousand notes", () -> utf8(HEAD + "C".repeat(50_000)));
        files.put("brackets and quotes never closed", () -> utf8(HEAD + "[".repeat(50_000)));
        files.put("23 MB of XML in a small .mxl", () -> packed(23 * 1024 * 1024));
        files.put("two million empty notes", () -> packed("<note/>", 3_900_000));
        files.put("notes without end in one measure", () -> packed(NOTE, 3_900_000));
        files.put(
                "measures without end",
                () -> utf8(OPEN + FIRST + NOTE + "</measure>"
                        + ("<measure number=\"2\">" + NOTE + "</measure>").repeat(2_500) + CLOSE));
        files.put(
                "one part after another",
                () -> utf8(OPEN + FIRST + NOTE + "</measure></part>"
                        + ("<part id=\"P1\">" + FIRST + NOTE + "</measure></part>").repeat(400) + "</score-partwise>"));
        files.put(
                "a rest of twenty million beats",
                () -> utf8(OPEN + FIRST + "<note><rest/><duration>20000000</duration></note></measure>" + CLOSE));
        files.put(
                "an ending list in XML",
                () -> utf8(OPEN + FIRST + NOTE
                        + "<barline><ending number=\"1-100000000\" type=\"start\"/></barline></measure>" + CLOSE));
        files.put(
                "repeated a million times",
                () -> utf8(OPEN + FIRST + NOTE
                        + "<barline><repeat direction=\"backward\" times=\"1000000\"/></barline></measure>" + CLOSE));
        files.put(
                "a tuplet in XML that cannot be written",
                () -> utf8(OPEN
                        + FIRST.replace("<divisions>1<", "<divisions>1000003<")
                        + "<note><pitch><step>C</step><octave>4</octave></pitch><duration>70000</duration></note></measure>"
                        + CLOSE));
        files.put(
                "a text of a million letters",
                () -> utf8(OPEN + FIRST
                        + "<direction><direction-type><words>" + "a".repeat(1_000_000)
                        + "</words></direction-type></direction>"
                        + NOTE + "</measure>" + CLOSE));
        files.put("elements nested without end", () -> utf8(OPEN + "<a>".repeat(200_000)));
        files.put("entities that grow", HostileFiles::entities);
        return files;
    }

    private static byte[] entities() {
        StringBuilder dtd = new StringBuilder("<!DOCTYPE x [<!ENTITY a0 \"aaaaaaaaaa\">");
        for (int i = 1; i < 12; i++) {
            dtd.append("<!ENTITY a" + i + " \"" + ("&a" + (i - 1) + ";").repeat(10) + "\">");
        }
        return utf8(dtd + "]><score-partwise><work><work-title>&a11;</work-title></work></score-partwise>");
    }

    private static byte[] utf8(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }

    private static byte[] packed(int bytes) {
        return packed("<!-- nothing but air in here -->", bytes);
    }

    /** A compressed file of one score that repeats something, written without ever being held unpacked. */
    private static byte[] packed(String again, int bytes) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            zip.putNextEntry(new ZipEntry("score.xml"));
            zip.write(utf8(OPEN + FIRST));
            byte[] piece = utf8(again);
            for (int written = 0; written < bytes; written += piece.length) {
                zip.write(piece);
            }
            zip.write(utf8("</measure>" + CLOSE));
            zip.closeEntry();
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
        return out.toByteArray();
    }

    /** Reads each of them; ends with 1 when one was not refused. */
    public static void main(String[] args) {
        var catalog = InstrumentCatalogFile.shipped();
        boolean held = true;
        for (Map.Entry<String, Supplier<byte[]>> one : all().entrySet()) {
            byte[] file = one.getValue().get();
            boolean xml = file[0] == '<' || file[0] == 'P';
            long from = THREADS.getCurrentThreadCpuTime();
            String answer;
            try {
                if (xml) {
                    MusicXmlReader.read(file, catalog, new MusicXmlReader.Options(true))
                            .score();
                } else {
                    AbcReader.read(new String(file, StandardCharsets.UTF_8), catalog)
                            .score();
                }
                answer = "READ";
                held = false;
            } catch (LineFileException e) {
                answer = "refused: " + e.getMessage();
            }
            System.out.printf(
                    Locale.ROOT,
                    "%.0f ms  %s  %s%n",
                    (THREADS.getCurrentThreadCpuTime() - from) / 1e6,
                    one.getKey(),
                    answer);
        }
        System.exit(held ? 0 : 1);
    }
}
