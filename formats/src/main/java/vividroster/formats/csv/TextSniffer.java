package vividroster.formats.csv;

import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.util.Optional;

/** Tells what a file's bytes are: which picture or document, or which encoding of text. */
final class TextSniffer {

    private static final Charset WINDOWS_1252 = Charset.forName("windows-1252");

    private TextSniffer() {}

    /** @param notice what the reader should know about how the text was read */
    record Decoded(String text, Optional<String> notice) {}

    static Decoded decode(byte[] bytes, String what) throws UnreadableFileException {
        Optional<String> other = otherKind(bytes);
        if (other.isPresent()) {
            throw new UnreadableFileException("This file is " + other.get() + ", not a CSV. Export the " + what
                    + " as CSV and choose that file; nothing was changed.");
        }
        if (startsWith(bytes, 0xEF, 0xBB, 0xBF)) {
            return new Decoded(strictUtf8(bytes, 3).orElseThrow(TextSniffer::broken), Optional.empty());
        }
        if (startsWith(bytes, 0xFF, 0xFE)) {
            return new Decoded(wide(bytes, StandardCharsets.UTF_16LE), Optional.empty());
        }
        if (startsWith(bytes, 0xFE, 0xFF)) {
            return new Decoded(wide(bytes, StandardCharsets.UTF_16BE), Optional.empty());
        }
        if (looksBinary(bytes)) {
            throw new UnreadableFileException("This file is not text, so it cannot be a CSV " + what + ". Export the "
                    + what + " as CSV and choose that file; nothing was changed.");
        }
        Optional<String> utf8 = strictUtf8(bytes, 0);
        if (utf8.isPresent()) {
            return new Decoded(utf8.get(), Optional.empty());
        }
        return new Decoded(
                new String(bytes, WINDOWS_1252),
                Optional.of(
                        "The file is not UTF-8; it was read as Windows Western text. Look at words with accents below"
                                + " before taking it, or save it as CSV UTF-8 and choose it again."));
    }

    private static Optional<String> otherKind(byte[] bytes) {
        if (startsWith(bytes, 0x89, 'P', 'N', 'G')) {
            return Optional.of("a PNG picture");
        }
        if (startsWith(bytes, 0xFF, 0xD8, 0xFF)) {
            return Optional.of("a JPEG picture");
        }
        if (startsWith(bytes, 'G', 'I', 'F', '8')) {
            return Optional.of("a GIF picture");
        }
        if (startsWith(bytes, 'R', 'I', 'F', 'F')) {
            return Optional.of("a sound or picture file");
        }
        if (startsWith(bytes, '%', 'P', 'D', 'F')) {
            return Optional.of("a PDF");
        }
        if (startsWith(bytes, 'P', 'K', 3, 4)) {
            return Optional.of("a workbook or zip archive");
        }
        if (startsWith(bytes, 0xD0, 0xCF, 0x11, 0xE0)) {
            return Optional.of("an old-style workbook or document");
        }
        return Optional.empty();
    }

    /** Plain text has no control bytes but tab, line feed and carriage return. */
    private static boolean looksBinary(byte[] bytes) {
        for (byte b : bytes) {
            int value = b & 0xFF;
            if (value < 0x20 && value != '\t' && value != '\n' && value != '\r') {
                return true;
            }
        }
        return false;
    }

    private static String wide(byte[] bytes, Charset charset) throws UnreadableFileException {
        if (bytes.length % 2 != 0) {
            throw broken();
        }
        return new String(bytes, 2, bytes.length - 2, charset);
    }

    private static Optional<String> strictUtf8(byte[] bytes, int from) {
        try {
            return Optional.of(StandardCharsets.UTF_8
                    .newDecoder()
                    .onMalformedInput(CodingErrorAction.REPORT)
                    .onUnmappableCharacter(CodingErrorAction.REPORT)
                    .decode(ByteBuffer.wrap(bytes, from, bytes.length - from))
                    .toString());
        } catch (CharacterCodingException e) {
            return Optional.empty();
        }
    }

    private static UnreadableFileException broken() {
        return new UnreadableFileException(
                "The file says it is Unicode text but breaks off in the middle of a letter. Save it again as CSV UTF-8;"
                        + " nothing was changed.");
    }

    private static boolean startsWith(byte[] bytes, int... signature) {
        if (bytes.length < signature.length) {
            return false;
        }
        for (int i = 0; i < signature.length; i++) {
            if ((bytes[i] & 0xFF) != signature[i]) {
                return false;
            }
        }
        return true;
    }
}
