package vividroster.server.platform;

import org.springframework.web.multipart.MultipartFile;
import vividroster.core.text.Lengths;

/** How many files may come at once; {@code server.tomcat.max-part-count} leaves room for them and what is said of them. */
public final class Uploads {

    public static final int MOST_FILES = 200;

    public static final String TOO_MANY_FILES = "Send 1 to " + MOST_FILES + " files at once; nothing was changed.";

    private Uploads() {}

    /** The name a file came with, as a text that can be kept; the end of one that is too long. @throws Problem like any text */
    public static String name(MultipartFile file, String otherwise) {
        String name = file.getOriginalFilename();
        String normal = TextEdge.normal(name == null || name.isBlank() ? otherwise : name);
        return normal.length() > Lengths.NAME ? normal.substring(normal.length() - Lengths.NAME) : normal;
    }
}
