package vividroster.formats.musicxml;

import jakarta.xml.bind.JAXBException;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.StringReader;
import java.nio.charset.Charset;
import java.nio.charset.IllegalCharsetNameException;
import java.nio.charset.StandardCharsets;
import java.nio.charset.UnsupportedCharsetException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import javax.xml.parsers.ParserConfigurationException;
import javax.xml.parsers.SAXParserFactory;
import javax.xml.transform.sax.SAXSource;
import org.audiveris.proxymusic.ScorePart;
import org.audiveris.proxymusic.ScorePartwise;
import org.audiveris.proxymusic.util.Marshalling;
import org.xml.sax.InputSource;
import org.xml.sax.SAXException;
import org.xml.sax.XMLReader;
import vividroster.core.instrument.Instrument;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.Measure;
import vividroster.core.music.Part;
import vividroster.core.music.Score;
import vividroster.core.music.Signs;

/**
 * Reads MusicXML partwise, plain or compressed. The first part is everybody's; further parts named after an instrument
 * are that instrument's own. Transposing parts are turned to concert pitch. What is not known is left aside.
 */
public final class MusicXmlReader {

    private static final int MOST_BYTES = 10 * 1024 * 1024;
    private static final int MOST_UNPACKED = 40 * 1024 * 1024;
    private static final int MOST_ENTRIES = 200;
    private static final int DEEPEST = 40;

    private static final Pattern ENCODING = Pattern.compile("encoding=[\"']([^\"']{1,40})[\"']");

    private MusicXmlReader() {}

    /** @param topLine whether chords and further voices are reduced to the top line instead of refused */
    public record Options(boolean topLine) {}

    /** @throws MusicXmlException with a sentence that says what is wrong */
    public static Score read(byte[] file, InstrumentCatalog catalog, Options options) {
        ScorePartwise score = parsed(plain(file));
        if (score.getPart().isEmpty()) {
            throw new MusicXmlException("The file has no part with notes.");
        }
        Map<String, String> names = names(score);
        List<PartReading> readings = new ArrayList<>();
        for (ScorePartwise.Part part : score.getPart()) {
            readings.add(PartReading.of(part, name(part, names), options));
        }
        List<Signs> signs = signsOfAll(readings);
        Part sounding = readings.getFirst().part(signs);
        Map<String, Part> own = new LinkedHashMap<>();
        for (int i = 1; i < readings.size(); i++) {
            Optional<Instrument> instrument = catalog.spelled(readings.get(i).name());
            if (instrument.isPresent()
                    && readings.get(i).measures().size() == sounding.measures().size()) {
                own.putIfAbsent(instrument.get().code(), readings.get(i).part(signs));
            }
        }
        return new Score(title(score), sounding, own);
    }

    private static byte[] plain(byte[] file) {
        if (file.length > MOST_BYTES) {
            throw new MusicXmlException("The file is larger than 10 MB, more than any line of a method book.");
        }
        return file.length > 1 && file[0] == 'P' && file[1] == 'K' ? unpacked(file) : file;
    }

    /**
     * The file as text to be kept, unpacked where it was compressed, in UTF-8 whatever it was.
     *
     * @throws MusicXmlException when it cannot be unpacked or its encoding is not known
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
            throw new MusicXmlException("The file is no MusicXML that can be read: its encoding is not known.", e);
        }
    }

    /** Signs in any part hold for all. */
    private static List<Signs> signsOfAll(List<PartReading> readings) {
        List<Signs> all = new ArrayList<>(
                readings.getFirst().measures().stream().map(Measure::signs).toList());
        for (PartReading reading : readings.subList(1, readings.size())) {
            for (int i = 0; i < Math.min(all.size(), reading.measures().size()); i++) {
                all.set(i, all.get(i).with(reading.measures().get(i).signs()));
            }
        }
        return all;
    }

    private static String title(ScorePartwise score) {
        if (score.getWork() != null && score.getWork().getWorkTitle() != null) {
            return score.getWork().getWorkTitle().strip();
        }
        return score.getMovementTitle() == null ? "" : score.getMovementTitle().strip();
    }

    private static Map<String, String> names(ScorePartwise score) {
        Map<String, String> names = new LinkedHashMap<>();
        if (score.getPartList() != null) {
            for (Object one : score.getPartList().getPartGroupOrScorePart()) {
                if (one instanceof ScorePart part && part.getPartName() != null) {
                    names.put(part.getId(), part.getPartName().getValue());
                }
            }
        }
        return names;
    }

    private static String name(ScorePartwise.Part part, Map<String, String> names) {
        String id = part.getId() instanceof ScorePart listed ? listed.getId() : String.valueOf(part.getId());
        return Optional.ofNullable(names.get(id)).orElse("").strip();
    }

    /** An ordinary DOCTYPE line is accepted; nothing it names is ever fetched, and nesting is limited. */
    private static ScorePartwise parsed(byte[] xml) {
        try {
            SAXParserFactory factory = SAXParserFactory.newInstance();
            factory.setNamespaceAware(true);
            factory.setFeature("http://xml.org/sax/features/external-general-entities", false);
            factory.setFeature("http://xml.org/sax/features/external-parameter-entities", false);
            factory.setFeature("http://apache.org/xml/features/nonvalidating/load-external-dtd", false);
            factory.setFeature("http://javax.xml.XMLConstants/feature/secure-processing", true);
            XMLReader reader = new DepthLimit(factory.newSAXParser().getXMLReader(), DEEPEST);
            reader.setEntityResolver((publicId, systemId) -> new InputSource(new StringReader("")));
            Object read = Marshalling.getContext(ScorePartwise.class)
                    .createUnmarshaller()
                    .unmarshal(new SAXSource(reader, new InputSource(new ByteArrayInputStream(xml))));
            if (read instanceof ScorePartwise score) {
                return score;
            }
            throw new MusicXmlException("The file is MusicXML, but not by parts; save it as partwise MusicXML.");
        } catch (JAXBException | SAXException | ParserConfigurationException e) {
            throw new MusicXmlException("The file is no MusicXML that can be read: " + why(e), e);
        }
    }

    private static String why(Exception e) {
        Throwable cause = e;
        while (cause.getCause() != null) {
            cause = cause.getCause();
        }
        if (e instanceof JAXBException jaxb && jaxb.getLinkedException() != null) {
            cause = jaxb.getLinkedException();
        }
        String message = String.valueOf(cause.getMessage());
        return message.endsWith(".") ? message : message + ".";
    }

    /** The score inside a compressed file: the one its container names, else the first. */
    private static byte[] unpacked(byte[] file) {
        Map<String, byte[]> entries = new LinkedHashMap<>();
        long total = 0;
        try (ZipInputStream zip = new ZipInputStream(new ByteArrayInputStream(file))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                if (entry.isDirectory()) {
                    continue;
                }
                if (entries.size() >= MOST_ENTRIES) {
                    throw new MusicXmlException("The compressed file holds too many files.");
                }
                byte[] content = bounded(zip, MOST_UNPACKED - total);
                total += content.length;
                entries.put(entry.getName(), content);
            }
        } catch (IOException e) {
            throw new MusicXmlException("The compressed file is damaged and cannot be unpacked.", e);
        }
        Optional<String> named = Optional.ofNullable(entries.get("META-INF/container.xml"))
                .map(String::new)
                .map(text -> text.replaceAll("(?s).*?<rootfile[^>]*full-path=\"([^\"]*)\".*", "$1"))
                .filter(entries::containsKey);
        return named.or(() -> entries.keySet().stream()
                        .filter(name ->
                                !name.startsWith("META-INF/") && (name.endsWith(".xml") || name.endsWith(".musicxml")))
                        .findFirst())
                .map(entries::get)
                .orElseThrow(() -> new MusicXmlException("The compressed file holds no MusicXML."));
    }

    private static byte[] bounded(InputStream in, long most) throws IOException {
        byte[] content = in.readNBytes((int) Math.min(Integer.MAX_VALUE - 8, most + 1));
        if (content.length > most) {
            throw new MusicXmlException("The compressed file unpacks to more than 40 MB; nothing was read.");
        }
        return content;
    }
}
