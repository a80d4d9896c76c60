package vividroster.core.testing;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.UUID;

/**
 * What a student's tries with a test score by the retake policy.
 *
 * @param share of the points, 0..1; empty where no try counts
 * @param tries in the order heard, each with what came of it
 * @param late whether the first try was after the due day
 * @param excused whether the student is excused and has no try that counts
 * @param retake what applies from now on
 */
public record CountedScore(OptionalDouble share, List<TryTold> tries, boolean late, boolean excused, Retake retake) {

    public CountedScore {
        tries = List.copyOf(tries);
    }

    /**
     * A try in the order heard.
     *
     * @param share of its points, 0..1
     * @param substitute whether another piece was played
     */
    public record Try(UUID attemptId, LocalDate heardOn, double share, boolean substitute) {
        public Try {
            if (!(share >= 0 && share <= 1)) {
                throw new IllegalArgumentException("share must be in 0..1, was " + share);
            }
        }
    }

    /** What came of a try. */
    public enum Fate {
        COUNTS,
        /** Another try was better. */
        NOT_THE_BEST,
        /** A later try stands in its place. */
        REPLACED,
        /** More retakes than the policy allows. */
        TOO_MANY,
        /** After the window of retakes. */
        AFTER_WINDOW,
        /** Late, or a substitute piece, where that counts nothing. */
        NO_CREDIT
    }

    /** @param share what it counts, after caps and credit, 0..1 */
    public record TryTold(UUID attemptId, double share, Fate fate) {}

    /**
     * @param left retakes still allowed; empty for as many as one likes
     * @param until last day of the window; empty for no end, and before the first try
     */
    public record Retake(boolean allowed, OptionalInt left, Optional<LocalDate> until) {}

    /**
     * @param dueOn of the order that set the test; empty where none did, then nothing is late
     * @param tries with points, in the order heard; excuses and absences left out
     * @param excused whether the student was excused from it: a later try is not late then
     * @param today for what applies from now on
     */
    public static CountedScore of(
            RetakePolicy policy, Optional<LocalDate> dueOn, List<Try> tries, boolean excused, LocalDate today) {
        List<TryTold> told = new ArrayList<>();
        Optional<LocalDate> until = tries.isEmpty() || policy.windowDays().isEmpty()
                ? Optional.empty()
                : Optional.of(
                        tries.getFirst().heardOn().plusDays(policy.windowDays().getAsInt()));
        boolean late = !tries.isEmpty()
                && !excused
                && dueOn.map(due -> tries.getFirst().heardOn().isAfter(due)).orElse(false);
        for (int i = 0; i < tries.size(); i++) {
            Try one = tries.get(i);
            boolean retake = i > 0;
            double credit = credit(policy, one, late);
            double share = one.share() * credit;
            if (retake && policy.capPercent().isPresent()) {
                share = Math.min(share, policy.capPercent().getAsInt() / 100.0);
            }
            Fate fate = credit == 0
                    ? Fate.NO_CREDIT
                    : retake
                                    && policy.mostRetakes().isPresent()
                                    && i > policy.mostRetakes().getAsInt()
                            ? Fate.TOO_MANY
                            : until.map(last -> one.heardOn().isAfter(last)).orElse(false)
                                    ? Fate.AFTER_WINDOW
                                    : Fate.COUNTS;
            told.add(new TryTold(one.attemptId(), fate == Fate.COUNTS ? share : 0, fate));
        }
        List<TryTold> counted = counted(policy, told);
        List<TryTold> counting =
                counted.stream().filter(one -> one.fate() == Fate.COUNTS).toList();
        OptionalDouble share = counting.stream().mapToDouble(TryTold::share).average();
        if (share.isEmpty() && late) {
            // It was heard, and late counts nothing.
            share = OptionalDouble.of(0);
        }
        return new CountedScore(
                share, counted, late, excused && share.isEmpty(), retake(policy, tries.size(), until, today));
    }

    private static double credit(RetakePolicy policy, Try one, boolean late) {
        double credit = one.substitute() ? policy.substitute().percent() / 100.0 : 1;
        return late ? credit * policy.late().percent() / 100.0 : credit;
    }

    /** All but those whose score does not stand. */
    private static List<TryTold> counted(RetakePolicy policy, List<TryTold> told) {
        if (policy.counting() == RetakePolicy.Counting.AVERAGE) {
            return told;
        }
        boolean latest = policy.counting() == RetakePolicy.Counting.REPLACE;
        int stands = -1;
        for (int i = 0; i < told.size(); i++) {
            boolean better = stands < 0
                    || latest
                    || told.get(i).share() > told.get(stands).share();
            stands = told.get(i).fate() == Fate.COUNTS && better ? i : stands;
        }
        List<TryTold> counted = new ArrayList<>();
        for (int i = 0; i < told.size(); i++) {
            TryTold one = told.get(i);
            counted.add(
                    i == stands || one.fate() != Fate.COUNTS
                            ? one
                            : new TryTold(one.attemptId(), one.share(), latest ? Fate.REPLACED : Fate.NOT_THE_BEST));
        }
        return counted;
    }

    private static Retake retake(RetakePolicy policy, int heard, Optional<LocalDate> until, LocalDate today) {
        OptionalInt left = policy.mostRetakes().isEmpty()
                ? OptionalInt.empty()
                : OptionalInt.of(Math.max(0, policy.mostRetakes().getAsInt() - Math.max(0, heard - 1)));
        boolean allowed = (left.isEmpty() || left.getAsInt() > 0)
                && until.map(last -> !today.isAfter(last)).orElse(true);
        return new Retake(allowed, left, until);
    }
}
