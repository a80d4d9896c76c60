package vividroster.core.curriculum;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import vividroster.core.music.Bpm;
import vividroster.core.text.Lengths;

/** A first playing test of one line, alone: a start to edit. Its criteria, mark and floor are ours. */
public final class TestTemplate {

    private static final List<String> CRITERIA =
            List.of("Sound", "Notes", "Rhythm and pulse", "Articulation", "Hands and posture");

    /** Best score of each criterion, from 0. */
    private static final int TOP = 5;

    /** What passes, of 25. */
    private static final int MARK = 17;

    /** Under which hands and posture never pass: what hurts later. */
    private static final int FLOOR = 2;

    private TestTemplate() {}

    /** @param before how many tests there are; the new one is numbered after them */
    public static Milestone of(UUID id, Milestone line, int before) {
        String name = name(before);
        List<Criterion> criteria = new ArrayList<>();
        for (String criterion : CRITERIA) {
            boolean last = criteria.size() + 1 == CRITERIA.size();
            criteria.add(new Criterion(
                    criteria.size() + 1, criterion, TOP, last ? OptionalInt.of(FLOOR) : OptionalInt.empty()));
        }
        return new Milestone(
                id,
                MilestoneKind.PLAYING_TEST,
                name,
                title(before, line),
                false,
                Set.of(),
                1,
                new PassRule.ScoreAtLeast(MARK),
                criteria);
    }

    /** @param before how many tests there are; the new one is numbered after them */
    public static String name(int before) {
        return "Test " + (before + 1);
    }

    /** @param before how many tests there are; the new one is numbered after them */
    public static String title(int before, Milestone line) {
        return shortened(name(before) + ": " + line.title());
    }

    /** How it is held, in words. */
    public static String conditions(Bpm tempo) {
        return "Pitch check, one measure of count-in, ♩ = " + Math.round(tempo.value()) + ", alone";
    }

    private static String shortened(String title) {
        return title.length() <= Lengths.TITLE ? title : title.substring(0, Lengths.TITLE - 1) + "…";
    }
}
