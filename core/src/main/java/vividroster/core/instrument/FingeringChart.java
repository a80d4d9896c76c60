package vividroster.core.instrument;

import java.util.List;
import vividroster.core.music.Pitch;

/** All ways an instrument takes its notes. */
public interface FingeringChart {

    /** Of instruments that are struck, and of pitches nobody fingers. */
    FingeringChart NONE = written -> List.of();

    /** The default first, then the alternates; empty where the chart ends. */
    List<Fingering> of(Pitch written);
}
