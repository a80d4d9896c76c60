package vividroster.core.progress;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import vividroster.core.music.InstrumentCode;

/** Which students need the director, why, and what is to be done next. (domain.md, 6.10.) */
public final class AttentionReasons {

    /** Weeks of teaching that are looked at for a pace, and as many before them; ours. */
    public static final int PACE_WEEKS = 4;

    /** So many passes are needed before a pace can be said to have fallen; ours. */
    private static final int LEAST_BEFORE = 3;

    /** Weeks of teaching without anything towards the next belt that make a stall; ours. */
    public static final int STALLED_WEEKS = 6;

    /** Days without being heard, where something is open, that are too long; ours: two weeks and a day missed. */
    public static final int TOO_LONG_UNHEARD = 15;

    private AttentionReasons() {}

    /** The gravest first. */
    public enum Kind {
        PAIN,
        TRIED_OFTEN,
        PACE_FALLEN,
        UNHEARD,
        BELT_STALLED,
        VARIANT_OVERDUE
    }

    /**
     * One reason.
     *
     * @param since the day it is counted from; empty where there is none
     * @param milestoneId what it is about or what helps: for {@code UNHEARD} what is heard first, for {@code BELT_STALLED}
     *     what brings the belt nearer; empty where there is none
     * @param count tries for {@code TRIED_OFTEN}, passes lately for {@code PACE_FALLEN}, days for {@code UNHEARD}, weeks for
     *     {@code BELT_STALLED}, days overdue for {@code VARIANT_OVERDUE}; else 0
     * @param before passes in the weeks before for {@code PACE_FALLEN}; else 0
     */
    public record Reason(Kind kind, Optional<LocalDate> since, Optional<UUID> milestoneId, int count, int before) {}

    /** Everything there is to be said of a student. @param reasons the gravest first, at least one */
    public record Attention(UUID studentId, InstrumentCode instrument, List<Reason> reasons) {

        /** Whether what a reason is about was tried so often in vain that another remedy comes before another try. */
        public boolean triedInVain(Reason about) {
            return about.milestoneId().isPresent()
                    && reasons.stream()
                            .anyMatch(reason -> reason.kind() == Kind.TRIED_OFTEN
                                    && reason.milestoneId().equals(about.milestoneId()));
        }
    }

    /**
     * What is known of one player.
     *
     * @param passes days on which something was passed
     * @param towardBelt days on which a slot of the next belt was filled, and that of the belt worn
     * @param towardNext what is set and would bring the next belt nearer; empty where nothing is
     * @param toHear of what is set and not passed what was due first; empty where nothing is open
     * @param lastHeard empty where never
     * @param seatedSince from when on the student could be heard
     * @param triedOften with the milestone tried most in vain
     * @param painSince days of reports nobody followed up
     * @param reviewsDue days on which variants or fits were to be looked at again
     */
    public record Facts(
            UUID studentId,
            InstrumentCode instrument,
            List<LocalDate> passes,
            List<LocalDate> towardBelt,
            Optional<UUID> towardNext,
            Optional<UUID> toHear,
            Optional<LocalDate> lastHeard,
            LocalDate seatedSince,
            Optional<NeedsAttention.TriedOften> triedOften,
            List<LocalDate> painSince,
            List<LocalDate> reviewsDue) {}

    /**
     * Who has the most and the gravest reasons first; who has none is left out.
     *
     * @param taughtDays the days of school up to today, in order; a break is no week without a pass
     */
    public static List<Attention> of(Collection<Facts> players, List<LocalDate> taughtDays, LocalDate on) {
        List<LocalDate> mondays = taughtDays.stream()
                .filter(day -> !day.isAfter(on))
                .map(day -> day.minusDays(day.getDayOfWeek().getValue() - 1L))
                .distinct()
                .sorted()
                .toList();
        return players.stream()
                .map(player -> new Attention(player.studentId(), player.instrument(), reasons(player, mondays, on)))
                .filter(attention -> !attention.reasons().isEmpty())
                .sorted(Comparator.comparing((Attention attention) ->
                                attention.reasons().getFirst().kind())
                        .thenComparingInt(attention -> -attention.reasons().size())
                        .thenComparingInt(
                                attention -> -attention.reasons().getFirst().count()))
                .toList();
    }

    private static List<Reason> reasons(Facts player, List<LocalDate> mondays, LocalDate on) {
        List<Reason> reasons = new ArrayList<>();
        player.painSince().stream()
                .min(Comparator.naturalOrder())
                .ifPresent(since -> reasons.add(new Reason(
                        Kind.PAIN,
                        Optional.of(since),
                        Optional.empty(),
                        player.painSince().size(),
                        0)));
        player.triedOften()
                .ifPresent(often -> reasons.add(new Reason(
                        Kind.TRIED_OFTEN, player.lastHeard(), Optional.of(often.milestoneId()), often.tries(), 0)));
        paceFallen(player, mondays, on).ifPresent(reasons::add);
        unheard(player, on).ifPresent(reasons::add);
        stalled(player, mondays, on).ifPresent(reasons::add);
        player.reviewsDue().stream()
                .min(Comparator.naturalOrder())
                .filter(due -> due.isBefore(on))
                .ifPresent(due -> reasons.add(new Reason(
                        Kind.VARIANT_OVERDUE,
                        Optional.of(due),
                        Optional.empty(),
                        (int) ChronoUnit.DAYS.between(due, on),
                        0)));
        return reasons;
    }

    /** Passes of the last weeks of teaching against as many before: fallen to less than half. */
    private static Optional<Reason> paceFallen(Facts player, List<LocalDate> mondays, LocalDate on) {
        int weeks = mondays.size();
        // The week that goes on is not over.
        if (weeks < 2 * PACE_WEEKS + 1) {
            return Optional.empty();
        }
        LocalDate lately = mondays.get(weeks - 1 - PACE_WEEKS);
        LocalDate earlier = mondays.get(weeks - 1 - 2 * PACE_WEEKS);
        if (player.seatedSince().isAfter(earlier)) {
            return Optional.empty();
        }
        int few = (int) player.passes().stream()
                .filter(day -> !day.isBefore(lately) && !day.isAfter(on))
                .count();
        int before = (int) player.passes().stream()
                .filter(day -> !day.isBefore(earlier) && day.isBefore(lately))
                .count();
        return before >= LEAST_BEFORE && 2 * few < before && player.toHear().isPresent()
                ? Optional.of(new Reason(Kind.PACE_FALLEN, Optional.of(lately), player.toHear(), few, before))
                : Optional.empty();
    }

    private static Optional<Reason> stalled(Facts player, List<LocalDate> mondays, LocalDate on) {
        // Where nothing of the next belt is set the plan stands still, not the student.
        if (player.towardNext().isEmpty()) {
            return Optional.empty();
        }
        LocalDate last = player.towardBelt().stream()
                .filter(day -> !day.isAfter(on))
                .max(Comparator.naturalOrder())
                .filter(day -> day.isAfter(player.seatedSince()))
                .orElse(player.seatedSince());
        int weeks = (int) mondays.stream()
                .filter(monday -> monday.isAfter(last) && monday.plusDays(6).isBefore(on))
                .count();
        return weeks >= STALLED_WEEKS
                ? Optional.of(new Reason(Kind.BELT_STALLED, Optional.of(last), player.towardNext(), weeks, 0))
                : Optional.empty();
    }

    private static Optional<Reason> unheard(Facts player, LocalDate on) {
        LocalDate last = player.lastHeard().orElse(player.seatedSince());
        int days = (int) ChronoUnit.DAYS.between(last, on);
        return player.toHear().isPresent() && days >= TOO_LONG_UNHEARD
                ? Optional.of(new Reason(Kind.UNHEARD, player.lastHeard(), player.toHear(), days, 0))
                : Optional.empty();
    }
}
