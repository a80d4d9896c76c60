package vividroster.server.library;

import java.util.Collections;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import vividroster.core.music.Pitch;
import vividroster.core.reading.Vocabulary.Sign;

/**
 * What a line uses, where its notes are not kept.
 *
 * @param notesUsed at concert pitch, each once
 * @param valuesIntroduced note values by name, for example "dotted quarter" or "half rest"
 * @param signsIntroduced what must be explained here first
 * @param roadmap the way through it in words
 */
public record LineDetails(
        List<Pitch> notesUsed, List<String> valuesIntroduced, Set<Sign> signsIntroduced, String roadmap) {

    public static final LineDetails NONE = new LineDetails(List.of(), List.of(), Set.of(), "");

    public LineDetails {
        notesUsed = List.copyOf(notesUsed);
        valuesIntroduced = List.copyOf(valuesIntroduced);
        signsIntroduced = Collections.unmodifiableSortedSet(new TreeSet<>(signsIntroduced));
    }
}
