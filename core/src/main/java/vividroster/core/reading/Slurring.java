package vividroster.core.reading;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import vividroster.core.music.Measure;
import vividroster.core.music.Note;
import vividroster.core.music.Part;

/** The slurs of a part from note to note. One that ends without a beginning, or begins and never ends, says nothing. */
final class Slurring {

    private Slurring() {}

    /** @param from and to, by place among all notes and rests of the part */
    record Slur(int from, int to) {}

    static List<Slur> of(Part part) {
        List<Slur> slurs = new ArrayList<>();
        Deque<Integer> open = new ArrayDeque<>();
        int at = 0;
        for (Measure measure : part.measures()) {
            for (Note note : measure.notes()) {
                // What ends here began before; what begins here goes on from here.
                for (int i = 0; i < note.slurs().end() && !open.isEmpty(); i++) {
                    int from = open.pop();
                    if (from < at) {
                        slurs.add(new Slur(from, at));
                    }
                }
                for (int i = 0; i < note.slurs().begin(); i++) {
                    open.push(at);
                }
                at++;
            }
        }
        return slurs;
    }

    /** For every note and rest of a part, by place among all, whether a slur leads to it from the one before. */
    static boolean[] leadsTo(List<Slur> slurs, int notes) {
        int[] opens = new int[notes + 1];
        for (Slur slur : slurs) {
            opens[slur.from() + 1]++;
            if (slur.to() + 1 <= notes) {
                opens[slur.to() + 1]--;
            }
        }
        boolean[] leads = new boolean[notes];
        int depth = 0;
        for (int i = 0; i < notes; i++) {
            depth += opens[i];
            leads[i] = depth > 0;
        }
        return leads;
    }
}
