package vividroster.formats.musicxml;

/** A MusicXML file that cannot be taken, with a sentence for whoever chose it. */
public final class MusicXmlException extends IllegalArgumentException {

    private static final long serialVersionUID = 1L;

    MusicXmlException(String sentence) {
        super(sentence);
    }

    MusicXmlException(String sentence, Exception cause) {
        super(sentence, cause);
    }
}
