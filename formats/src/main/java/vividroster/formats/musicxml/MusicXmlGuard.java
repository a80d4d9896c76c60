package vividroster.formats.musicxml;

import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import java.util.regex.Pattern;
import org.xml.sax.Attributes;
import org.xml.sax.Locator;
import org.xml.sax.SAXException;
import org.xml.sax.XMLReader;
import org.xml.sax.helpers.XMLFilterImpl;
import vividroster.formats.score.Limits;
import vividroster.formats.score.LineFileException;

/**
 * Stands between the parser and the objects made of it: counts what comes, refuses values that no music has with the
 * place where they stand, and lets nothing through that is never read.
 */
final class MusicXmlGuard extends XMLFilterImpl {

    private static final int DEEPEST = 40;
    private static final int MOST_ELEMENTS = 300_000;
    private static final int MOST_NOTES = 60_000;
    private static final int LONGEST_TEXT = 10_000;

    /** Looks, links and sounds of machines: never read, so never made into objects. */
    private static final Set<String> ASIDE = Set.of(
            "identification",
            "defaults",
            "credit",
            "print",
            "midi-device",
            "midi-instrument",
            "stem",
            "beam",
            "notehead",
            "notehead-text",
            "level",
            "footnote",
            "play",
            "listen",
            "listening",
            "appearance",
            "staff-details",
            "part-link",
            "player",
            "group",
            "accidental",
            "instrument",
            "measure-style",
            "part-symbol");

    private static final Pattern WHOLE = Pattern.compile("[+-]?\\d{1,9}");
    private static final Pattern DECIMAL = Pattern.compile("[+-]?(\\d{1,9}(\\.\\d{0,9})?|\\.\\d{1,9})");

    /** A value that is asked for, with what it may be and how that is said. */
    private record Rule(Predicate<String> holds, String sentence) {}

    private static final Map<String, Rule> TEXTS = Map.of(
            "duration", new Rule(t -> decimal(t, 0, 1e9), "a duration is a number not below 0"),
            "divisions", new Rule(t -> decimal(t, 1e-6, 1e7), "divisions are a number above 0"),
            "octave", new Rule(t -> whole(t, 0, 9), "a pitch's octave must be in 0..9"),
            "step",
                    new Rule(
                            t -> t.length() == 1 && t.charAt(0) >= 'A' && t.charAt(0) <= 'G',
                            "a note has no letter from A to G"),
            "alter", new Rule(t -> decimal(t, -2, 2), "a note is altered by at most two semitones"),
            "fifths", new Rule(t -> whole(t, -7, 7), "a key has at most seven signs"),
            "chromatic", new Rule(t -> decimal(t, -36, 36), "a transposition is at most three octaves"),
            "octave-change", new Rule(t -> whole(t, -4, 4), "a transposition is at most four octaves"),
            "diatonic", new Rule(t -> whole(t, -30, 30), "a transposition in steps is a whole number"));

    private static final Map<String, Rule> ATTRIBUTES = Map.of(
            "repeat times", new Rule(t -> whole(t, 2, 32), "a repeat plays 2 to 32 times"),
            "sound tempo", new Rule(t -> decimal(t, 20, 400), "a tempo is 20 to 400 quarters a minute"));

    private final StringBuilder text = new StringBuilder();
    private Locator locator;
    private int depth;
    private int aside;
    private int elements;
    private int notes;
    private int notesOfPart;
    private int measures;
    private int parts;
    private boolean divided;
    private boolean graced;
    private boolean lasting;
    private String measure = "";
    private String part = "";
    private String listed = "";
    private final Map<String, String> names = new HashMap<>();
    private String inside = "";
    private String seen = "";

    MusicXmlGuard(XMLReader parent) {
        super(parent);
    }

    private static boolean whole(String text, int low, int high) {
        if (text.length() == 1 && Character.isDigit(text.charAt(0)) && text.charAt(0) < 128) {
            return text.charAt(0) - '0' >= low && text.charAt(0) - '0' <= high;
        }
        return WHOLE.matcher(text).matches() && Integer.parseInt(text) >= low && Integer.parseInt(text) <= high;
    }

    private static boolean decimal(String text, double low, double high) {
        return DECIMAL.matcher(text).matches() && Double.parseDouble(text) >= low && Double.parseDouble(text) <= high;
    }

    @Override
    public void setDocumentLocator(Locator where) {
        locator = where;
        super.setDocumentLocator(where);
    }

    private LineFileException refused(String sentence) {
        int line = locator == null ? 0 : Math.max(0, locator.getLineNumber());
        int column = locator == null ? 0 : Math.max(0, locator.getColumnNumber());
        String name = names.getOrDefault(part, "");
        String place =
                measure.isEmpty() ? "The file" : "Measure " + measure + (name.isEmpty() ? "" : " of \"" + name + "\"");
        return new LineFileException(line, column, place + " cannot be read: " + sentence + ".");
    }

    @Override
    public void startElement(String uri, String localName, String qName, Attributes attributes) throws SAXException {
        if (++elements > MOST_ELEMENTS) {
            throw refused("more than " + MOST_ELEMENTS + " elements are no line of a method book");
        }
        if ((elements & 0xFF) == 0) {
            Limits.goOn();
        }
        if (++depth > DEEPEST) {
            throw refused("elements are nested deeper than " + DEEPEST);
        }
        if (aside > 0 || ASIDE.contains(localName)) {
            aside++;
            return;
        }
        count(localName, attributes);
        text.setLength(0);
        inside = localName;
        boolean asked = localName.equals("repeat") || localName.equals("sound");
        for (int i = 0; asked && i < attributes.getLength(); i++) {
            Rule rule = ATTRIBUTES.get(localName + " " + attributes.getLocalName(i));
            if (rule != null && !rule.holds().test(attributes.getValue(i).strip())) {
                throw refused(rule.sentence() + ", was \"" + shortened(attributes.getValue(i)) + "\"");
            }
        }
        super.startElement(uri, localName, qName, attributes);
    }

    private void count(String name, Attributes attributes) {
        switch (name) {
            case "score-part" -> listed = String.valueOf(attributes.getValue("id"));
            case "part" -> {
                part = String.valueOf(attributes.getValue("id"));
                divided = false;
                notesOfPart = 0;
                measures = 0;
                measure = "";
                if (++parts > Limits.PARTS) {
                    throw refused("a file has at most " + Limits.PARTS + " parts");
                }
            }
            case "measure" -> {
                String number = attributes.getValue("number");
                measure = shortened(number == null ? String.valueOf(measures + 1) : number);
                if (++measures > Limits.MEASURES) {
                    throw refused("a line has at most " + Limits.MEASURES + " measures");
                }
            }
            case "note" -> {
                graced = false;
                lasting = false;
                if (++notesOfPart > Limits.NOTES || ++notes > MOST_NOTES) {
                    throw refused("a part has at most " + Limits.NOTES + " notes, a file " + MOST_NOTES);
                }
            }
            case "backup", "forward" -> lasting = false;
            case "pitch" -> seen = "";
            case "grace" -> graced = true;
            default -> {}
        }
    }

    private static String shortened(String value) {
        return value.length() > 40 ? value.substring(0, 40) + "…" : value;
    }

    @Override
    public void characters(char[] ch, int start, int length) throws SAXException {
        if (aside > 0) {
            return;
        }
        if (text.length() + length > LONGEST_TEXT) {
            throw refused("a text of more than " + LONGEST_TEXT + " letters is no music");
        }
        text.append(ch, start, length);
        super.characters(ch, start, length);
    }

    @Override
    public void endElement(String uri, String localName, String qName) throws SAXException {
        depth--;
        if (aside > 0) {
            aside--;
            return;
        }
        Rule rule = localName.equals(inside) ? TEXTS.get(localName) : null;
        String value = rule == null ? "" : text.toString().strip();
        if (rule != null && !rule.holds().test(value)) {
            throw refused(rule.sentence() + ", was \"" + shortened(value) + "\"");
        }
        whole(localName);
        inside = "";
        super.endElement(uri, localName, qName);
    }

    /** What an element must have held when it ends. */
    private void whole(String name) {
        switch (name) {
            case "part-name" -> names.put(listed, shortened(text.toString().strip()));
            case "divisions" -> divided = true;
            case "duration" -> {
                lasting = true;
                if (!divided) {
                    throw refused("a duration stands before the divisions it counts in");
                }
            }
            case "step", "octave" -> seen += name;
            case "pitch" -> {
                if (!seen.contains("step") || !seen.contains("octave")) {
                    throw refused("a note has no " + (seen.contains("step") ? "octave" : "letter from A to G"));
                }
            }
            case "note" -> {
                if (!lasting && !graced) {
                    throw refused("a note has no duration");
                }
            }
            case "backup", "forward" -> {
                if (!lasting) {
                    throw refused("a " + name + " has no duration");
                }
            }
            default -> {}
        }
    }
}
