package vividroster.server.outfit;

import java.time.LocalDate;
import java.util.Collection;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.outfit.Fit;
import vividroster.core.outfit.Fit.BodyTest;
import vividroster.core.outfit.Review;
import vividroster.server.office.Office;
import vividroster.server.platform.ClientWrites;
import vividroster.server.platform.Ids;
import vividroster.server.platform.Problem;
import vividroster.server.platform.SignedIn;
import vividroster.server.roster.Rosters;

/** Fits: what an instrument, chair or strap should be set to for a student, and when to look again. */
@Service
public class Fits {

    private final ClientWrites writes;
    private final FitQueries queries;
    private final Rosters rosters;
    private final Office office;

    Fits(FitQueries queries, Rosters rosters, Office office, ClientWrites writes) {
        this.writes = writes;
        this.queries = queries;
        this.rosters = rosters;
        this.office = office;
    }

    /** @param confirmBy what the body says to it, to be looked at one by one */
    record Computed(String result, Optional<Double> centimetres, List<BodyTest> confirmBy, LocalDate reviewOn) {}

    /** A fit on record. @param confirmed in the order of the body tests */
    public record StudentFit(
            UUID id,
            UUID studentId,
            String kind,
            String title,
            Map<String, Double> measures,
            String result,
            Set<BodyTest> confirmed,
            String note,
            LocalDate measuredOn,
            Review review) {
        public StudentFit {
            confirmed = Collections.unmodifiableSortedSet(new TreeSet<>(confirmed));
        }
    }

    /** @throws Problem when a measure is missing, or cannot be in its unit */
    @Transactional(readOnly = true)
    Computed compute(UUID programId, FitKind kind, Map<String, Double> measures) {
        return compute(kind, measures, office.today(programId));
    }

    private static Computed compute(FitKind kind, Map<String, Double> given, LocalDate on) {
        kind.measures().stream()
                .filter(name -> given.get(name) == null && !name.equals("standing"))
                .findFirst()
                .ifPresent(name -> {
                    throw Problem.input(name, "Measure this first.");
                });
        try {
            return switch (kind) {
                case CHAIR -> length(Fit.chair(given.get("kneeCm"), on));
                case CELLO_ENDPIN ->
                    length(Fit.celloEndpin(given.get("handCm"), given.get("seatCm"), given.get("kneeCm"), on));
                case BASS_ENDPIN ->
                    length(Fit.bassEndpin(given.get("handCm"), given.getOrDefault("standing", 0.0) > 0, on));
                case VIOLIN_SIZE -> size(Fit.violin(given.get("armCm"), on));
                case VIOLA_SIZE -> size(Fit.viola(given.get("armCm"), on));
                case HORN_BELL -> {
                    Fit.Bell bell = Fit.hornBell(given.get("mouthCm"), given.get("thighCm"), on);
                    yield new Computed(
                            FitWording.bell(bell),
                            bell.raisedCm() > 0 ? Optional.of(bell.raisedCm()) : Optional.empty(),
                            bell.confirmBy(),
                            bell.reviewOn());
                }
                case TRUMPET_RING -> {
                    Fit.Ring ring = Fit.trumpetRing(given.get("reachCm"), on);
                    yield new Computed(
                            FitWording.ring(ring.finger()), Optional.empty(), ring.confirmBy(), ring.reviewOn());
                }
                case BASSOON_STRAP -> {
                    Fit.Strap strap = Fit.bassoonStrap((int) Math.floor(given.get("weeks")), on);
                    yield new Computed(
                            FitWording.strap(strap.place()), Optional.empty(), strap.confirmBy(), strap.reviewOn());
                }
            };
        } catch (IllegalArgumentException e) {
            String rule = e.getMessage();
            throw Problem.input(
                    "measures",
                    Character.toUpperCase(rule.charAt(0)) + rule.substring(1) + (rule.endsWith("?") ? "" : "."));
        }
    }

    private static Computed length(Fit.Length length) {
        return new Computed(
                FitWording.length(length.centimetres()),
                Optional.of(length.centimetres()),
                length.confirmBy(),
                length.reviewOn());
    }

    private static Computed size(Fit.Size size) {
        return new Computed(size.size(), Optional.empty(), size.confirmBy(), size.reviewOn());
    }

    /**
     * Keeps a fit. Sending it again keeps it once.
     *
     * @param setTo what was really set after the body tests, where it differs from the formula; empty otherwise
     */
    @Transactional
    void keep(
            SignedIn person,
            UUID id,
            UUID studentId,
            FitKind kind,
            Map<String, Double> measures,
            Set<BodyTest> confirmed,
            Optional<String> setTo,
            String note) {
        UUID programId = person.programId();
        if (!writes.isFirst(programId, "fit", id, studentId, kind, measures, confirmed, setTo, note)) {
            return;
        }
        rosters.student(programId, studentId);
        LocalDate today = office.today(programId);
        Computed computed = compute(kind, measures, today);
        Map<String, Double> used = new LinkedHashMap<>();
        kind.measures().forEach(name -> {
            if (measures.get(name) != null) {
                used.put(name, measures.get(name));
            }
        });
        queries.insert(
                programId,
                new StudentFit(
                        id,
                        studentId,
                        kind.name(),
                        kind.title(),
                        used,
                        setTo.orElse(computed.result()),
                        Set.copyOf(confirmed.stream()
                                .filter(computed.confirmBy()::contains)
                                .toList()),
                        note,
                        today,
                        new Review(computed.reviewOn())),
                person.accountId());
    }

    /** Puts down a fit measured on an earlier day; for data that was checked where it was made. */
    @Transactional
    public void load(
            UUID programId,
            UUID accountId,
            UUID studentId,
            String kindName,
            Map<String, Double> measures,
            LocalDate measuredOn) {
        FitKind kind = FitKind.valueOf(kindName);
        Computed computed = compute(kind, measures, measuredOn);
        queries.insert(
                programId,
                new StudentFit(
                        Ids.next(),
                        studentId,
                        kind.name(),
                        kind.title(),
                        measures,
                        computed.result(),
                        Set.copyOf(computed.confirmBy()),
                        "",
                        measuredOn,
                        new Review(computed.reviewOn())),
                accountId);
    }

    /** Latest first. */
    @Transactional(readOnly = true)
    public List<StudentFit> ofStudent(UUID programId, UUID studentId) {
        rosters.student(programId, studentId);
        return queries.findOfStudents(programId, List.of(studentId));
    }

    /** The latest fit of each kind of these students. */
    @Transactional(readOnly = true)
    public List<StudentFit> latest(UUID programId, Collection<UUID> studentIds) {
        record Of(UUID studentId, String kind) {}
        Map<Of, StudentFit> latest = new LinkedHashMap<>();
        queries.findOfStudents(programId, studentIds)
                .forEach(fit -> latest.putIfAbsent(new Of(fit.studentId(), fit.kind()), fit));
        return List.copyOf(latest.values());
    }
}
