package vividroster.core.music;

/** The two modes a method-book key is printed in. */
public enum Mode {
    MAJOR,
    MINOR
}
