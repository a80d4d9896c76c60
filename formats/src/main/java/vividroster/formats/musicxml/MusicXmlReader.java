package vividroster.formats.musicxml;

import jakarta.xml.bind.JAXBContext;
import jakarta.xml.bind.JAXBException;
import java.io.ByteArrayInputStream;
import java.io.StringReader;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javax.xml.parsers.ParserConfigurationException;
import javax.xml.parsers.SAXParser;
import javax.xml.parsers.SAXParserFactory;
import javax.xml.transform.sax.SAXSource;
import org.audiveris.proxymusic.ScorePart;
import org.audiveris.proxymusic.ScorePartwise;
import org.audiveris.proxymusic.util.Marshalling;
import org.xml.sax.InputSource;
import org.xml.sax.SAXException;
import org.xml.sax.XMLReader;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.Measure;
import vividroster.core.music.Signs;
import vividroster.formats.score.Cuts;
import vividroster.formats.score.Cuts.Cut;
import vividroster.formats.score.FilePart;
import vividroster.formats.score.LeftOut;
import vividroster.formats.score.LineFile;
import vividroster.formats.score.LineFileException;
import vividroster.formats.score.TempoMarks;

/**
 * Reads MusicXML partwise, plain or compressed. Transposing parts are turned to concert pitch; whose a part is, is told by
 * its name and transposition. What is not kept is named.
 */
public final class MusicXmlReader {

    private MusicXmlReader() {}

    /** @param topLine whether chords and further voices are reduced to the top line instead of refused */
    public record Options(boolean topLine) {}

    /** @throws LineFileException with a sentence that says what is wrong, and where */
    public static LineFile read(byte[] file, InstrumentCatalog catalog, Options options) {
        ScorePartwise score = parsed(MusicXmlFile.plain(file));
        if (score.getPart().isEmpty()) {
            throw new LineFileException("The file has no part with notes.");
        }
        Map<String, ScorePart> listed = listed(score);
        Map<String, PartReading> readings = new LinkedHashMap<>();
        for (ScorePartwise.Part part : score.getPart()) {
            String id = id(part);
            readings.put(id, PartReading.of(part, name(listed.get(id)), options));
        }
        List<Signs> signs = signsOfAll(new ArrayList<>(readings.values()));
        Map<String, List<Measure>> measures = new LinkedHashMap<>();
        readings.forEach((id, reading) -> measures.put(id, reading.measures(signs)));
        Map<String, Map<Integer, List<Cut>>> cuts = new LinkedHashMap<>();
        readings.forEach((id, reading) -> cuts.put(id, reading.cuts()));
        Map<String, List<Measure>> timed = Cuts.applied(TempoMarks.ofAll(measures), cuts);
        List<FilePart> parts = new ArrayList<>();
        readings.forEach((id, reading) -> parts.add(reading.part(id, timed.get(id), catalog)));
        return new LineFile(title(score), parts, leftOut(score));
    }

    private static List<LeftOut> leftOut(ScorePartwise score) {
        LeftOut.Gathered gathered = new LeftOut.Gathered();
        boolean twoTitles = score.getWork() != null
                && score.getWork().getWorkTitle() != null
                && score.getMovementTitle() != null
                && !score.getMovementTitle()
                        .strip()
                        .equals(score.getWork().getWorkTitle().strip());
        if (twoTitles) {
            gathered.add("the title of the movement");
        }
        return gathered.list();
    }

    /** Signs in any part hold for all. */
    private static List<Signs> signsOfAll(List<PartReading> readings) {
        List<Signs> all = new ArrayList<>(readings.getFirst().signs());
        for (PartReading reading : readings.subList(1, readings.size())) {
            for (int i = 0; i < Math.min(all.size(), reading.signs().size()); i++) {
                all.set(i, all.get(i).with(reading.signs().get(i)));
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

    private static Map<String, ScorePart> listed(ScorePartwise score) {
        Map<String, ScorePart> parts = new LinkedHashMap<>();
        if (score.getPartList() != null) {
            for (Object one : score.getPartList().getPartGroupOrScorePart()) {
                if (one instanceof ScorePart part) {
                    parts.put(part.getId(), part);
                }
            }
        }
        return parts;
    }

    private static String id(ScorePartwise.Part part) {
        return part.getId() instanceof ScorePart listed ? listed.getId() : String.valueOf(part.getId());
    }

    /** As printed, else as its instrument or short name says. */
    private static String name(ScorePart part) {
        if (part == null) {
            return "";
        }
        return Optional.ofNullable(part.getPartName())
                .map(n -> n.getValue())
                .filter(n -> !n.isBlank())
                .or(() -> part.getScoreInstrument().stream()
                        .map(i -> i.getInstrumentName())
                        .filter(n -> n != null && !n.isBlank())
                        .findFirst())
                .or(() -> Optional.ofNullable(part.getPartAbbreviation()).map(n -> n.getValue()))
                .orElse("")
                .strip();
    }

    /** An ordinary DOCTYPE line is accepted; nothing it names is ever fetched, and all is counted while it is read. */
    private static ScorePartwise parsed(byte[] xml) {
        try {
            XMLReader reader = new MusicXmlGuard(parser().getXMLReader());
            reader.setEntityResolver((publicId, systemId) -> new InputSource(new StringReader("")));
            JAXBContext context = Marshalling.getContext(ScorePartwise.class);
            Object read = context.createUnmarshaller()
                    .unmarshal(new SAXSource(reader, new InputSource(new ByteArrayInputStream(xml))));
            if (read instanceof ScorePartwise score) {
                return score;
            }
            throw new LineFileException("The file is MusicXML, but not by parts; save it as partwise MusicXML.");
        } catch (JAXBException | SAXException | ParserConfigurationException e) {
            throw own(e).orElseGet(() ->
                    new LineFileException(0, 0, "The file is no MusicXML that can be read: " + why(e), e));
        }
    }

    /** Found once: looking for a parser takes longer than a short line takes to read. */
    private static final SAXParserFactory PARSERS = parsers();

    private static SAXParserFactory parsers() {
        try {
            SAXParserFactory factory = SAXParserFactory.newInstance();
            factory.setNamespaceAware(true);
            factory.setFeature("http://xml.org/sax/features/external-general-entities", false);
            factory.setFeature("http://xml.org/sax/features/external-parameter-entities", false);
            factory.setFeature("http://apache.org/xml/features/nonvalidating/load-external-dtd", false);
            factory.setFeature("http://javax.xml.XMLConstants/feature/secure-processing", true);
            return factory;
        } catch (SAXException | ParserConfigurationException e) {
            throw new IllegalStateException(e);
        }
    }

    private static SAXParser parser() throws SAXException, ParserConfigurationException {
        synchronized (PARSERS) {
            return PARSERS.newSAXParser();
        }
    }

    /** What the guard refused, wherever it was wrapped. */
    private static Optional<LineFileException> own(Throwable e) {
        Throwable cause = e;
        for (int i = 0; i < 8 && cause != null; i++) {
            if (cause instanceof LineFileException ours) {
                return Optional.of(ours);
            }
            cause = cause.getCause();
        }
        return Optional.empty();
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
        return message.length() > 200 ? message.substring(0, 200) + "…" : message;
    }
}
