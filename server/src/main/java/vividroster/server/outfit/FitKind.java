package vividroster.server.outfit;

import java.util.List;

/** What is fitted, and which measures it is computed from. */
enum FitKind {
    CHAIR("Chair height", "kneeCm"),
    CELLO_ENDPIN("Cello endpin", "handCm", "seatCm", "kneeCm"),
    BASS_ENDPIN("Double bass endpin", "handCm", "standing"),
    VIOLIN_SIZE("Violin size", "armCm"),
    VIOLA_SIZE("Viola size", "armCm"),
    BASSOON_STRAP("Bassoon seat strap", "weeks"),
    HORN_BELL("Horn bell height", "mouthCm", "thighCm"),
    TRUMPET_RING("Trumpet third-slide ring", "reachCm");

    private final String title;
    private final List<String> measures;

    FitKind(String title, String... measures) {
        this.title = title;
        this.measures = List.of(measures);
    }

    String title() {
        return title;
    }

    List<String> measures() {
        return measures;
    }
}
