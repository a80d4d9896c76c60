package vividroster.formats.musicxml;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.Charset;
import java.nio.charset.IllegalCharsetNameException;
import java.nio.charset.StandardCharsets;
import java.nio.charset.UnsupportedCharsetException;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import vividroster.formats.score.Limits;
import vividroster.formats.score.LineFileException;

/** The bytes of a MusicXML file, unpacked where they are compressed, and as text. */
public final class MusicXmlFile {

    private static final int MOST_ENTRIES = 200;
    private static final Pattern ENCODING = Pattern.compile("encoding=[\"']([^\"']{1,40})[\"']");
    private static final Pattern ROOT = Pattern.compile("<rootfile[^>]{0,400}full-path=\"([^\"]{1,400})\"");

    private MusicXmlFile() {}

    /** @throws LineFileException when it is too large, damaged, or holds no MusicXML */
    static byte[] plain(byte[] file) {
        if (file.length > Limits.BYTES) {
            throw new LineFileException("The file is larger than 4 MB, more than any line of a method book.");
        }
        return file.length > 1 && file[0] == 'P' && file[1] == 'K' ? unpacked(file) : file;
    }

    /**
     * The file as text to be kept, unpacked where it was compressed, in UTF-8 whatever it was.
     *
     * @throws LineFileException when it cannot be unpacked or its encoding is not known
     */
    public static String text(byte[] file) {
        byte[] xml = plain(file);
        boolean wide = xml.length > 1 && (xml[0] == (byte) 0xFE || xml[0] == (byte) 0xFF);
        String begin = new String(xml, 0, Math.min(xml.length, 200), StandardCharsets.ISO_8859_1);
        Matcher said = ENCODING.matcher(begin);
        try {
            Charset charset = wide
                    ? StandardCharsets.UTF_16
                    : said.find() ? Charset.forName(said.group(1)) : StandardCharsets.UTF_8;
            String text = new String(xml, charset);
            return ENCODING.matcher(text.startsWith("\uFEFF") ? text.substring(1) : text)
                    .replaceFirst("encoding=\"UTF-8\"");
        } catch (IllegalCharsetNameException | UnsupportedCharsetException e) {
            throw new LineFileException(
                    0, 0, "The file is no MusicXML that can be read: its encoding is not known.", e);
        }
    }

    private static byte[] unpacked(byte[] file) {
        Map<String, byte[]> entries = new LinkedHashMap<>();
        long left = 2L * Limits.BYTES;
        int count = 0;
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(file))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                Limits.goOn();
                if (entry.isDirectory()) {
                    continue;
                }
                if (++count > MOST_ENTRIES) {
                    throw new LineFileException("The compressed file holds too many files.");
                }
                byte[] content = bounded(zip, Math.min(left, Limits.BYTES));
                left -= content.length;
                if (entry.getName().endsWith(".xml") || entry.getName().endsWith(".musicxml")) {
                    entries.put(entry.getName(), content);
                }
            }
        } catch (IOException e) {
            throw new LineFileException(0, 0, "The compressed file is damaged and cannot be unpacked.", e);
        }
        return named(entries)
                .or(() -> entries.keySet().stream()
                        .filter(name -> !name.startsWith("META-INF/"))
                        .findFirst())
                .map(entries::get)
                .orElseThrow(() -> new LineFileException("The compressed file holds no MusicXML."));
    }

    private static Optional<String> named(Map<String, byte[]> entries) {
        byte[] container = entries.get("META-INF/container.xml");
        if (container == null) {
            return Optional.empty();
        }
        Matcher root = ROOT.matcher(new String(container, StandardCharsets.UTF_8));
        return root.find() ? Optional.of(root.group(1)).filter(entries::containsKey) : Optional.empty();
    }

    private static byte[] bounded(InputStream in, long most) throws IOException {
        byte[] content = in.readNBytes((int) most + 1);
        if (content.length > most) {
            throw new LineFileException("The compressed file unpacks to more than 4 MB; nothing was read.");
        }
        return content;
    }
}
