package vividroster.core.instrument;

public enum Clef {
    TREBLE,
    ALTO,
    BASS,
    PERCUSSION
}
