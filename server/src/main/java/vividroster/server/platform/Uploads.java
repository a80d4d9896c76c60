package vividroster.server.platform;

/** How many files may come at once; {@code server.tomcat.max-part-count} leaves room for them and what is said of them. */
public final class Uploads {

    public static final int MOST_FILES = 200;

    public static final String TOO_MANY_FILES = "Send 1 to " + MOST_FILES + " files at once; nothing was changed.";

    private Uploads() {}
}
