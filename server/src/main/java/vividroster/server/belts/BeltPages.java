package vividroster.server.belts;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import vividroster.core.curriculum.Belt;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;
import vividroster.core.progress.BeltProgress;
import vividroster.core.progress.HandOver;
import vividroster.formats.sheet.BeltPdf;
import vividroster.formats.sheet.BeltPdf.Award;
import vividroster.server.belts.BeltBoards.BeltBoard;
import vividroster.server.hearing.HearingRuns.Seated;
import vividroster.server.office.Office;
import vividroster.server.roster.Rosters;
import vividroster.server.roster.SchoolClass;

/** Belts on paper: the board on the wall, labels and certificates. */
@Service
class BeltPages {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM uuuu", Locale.ENGLISH);

    private final BeltBoards boards;
    private final Office office;
    private final Rosters rosters;
    private final InstrumentCatalog catalog;

    BeltPages(BeltBoards boards, Office office, Rosters rosters, InstrumentCatalog catalog) {
        this.rosters = rosters;
        this.boards = boards;
        this.office = office;
        this.catalog = catalog;
    }

    /** For the wall of the room: who wears which belt, the highest first. */
    @Transactional(readOnly = true)
    byte[] wallBoard(UUID programId, BeltBoard board) {
        Map<Belt, List<String>> wearers = new LinkedHashMap<>();
        board.sheet().ladders().stream()
                .flatMap(ladder -> ladder.everBelts().reversed().stream())
                .forEach(belt -> wearers.put(belt, new ArrayList<>()));
        board.rows()
                .forEach(row -> row.state()
                        .worn()
                        .ifPresent(belt ->
                                wearers.get(belt).add(row.seated().student().name())));
        wearers.values().removeIf(List::isEmpty);
        wearers.values().forEach(Collections::sort);
        return BeltPdf.wallBoard(
                "Belts, " + title(programId, board),
                board.on().format(DAY),
                wearers.entrySet().stream()
                        .map(entry -> new BeltPdf.OnTheWall(
                                entry.getKey().name(),
                                board.looks().get(entry.getKey().id()),
                                entry.getValue()))
                        .toList());
    }

    /** The classes, and the instrument where all play one. */
    private String title(UUID programId, BeltBoard board) {
        Map<UUID, String> names =
                rosters.classes(programId).stream().collect(Collectors.toMap(SchoolClass::id, SchoolClass::name));
        String classes = board.rows().stream()
                .map(row -> names.get(row.seated().seat().classId()))
                .distinct()
                .collect(Collectors.joining(", "));
        List<InstrumentCode> instruments = board.rows().stream()
                .map(row -> row.seated().seat().instrument())
                .distinct()
                .toList();
        return instruments.size() == 1
                ? classes + ", "
                        + catalog.withCode(instruments.getFirst()).name().toLowerCase(Locale.ENGLISH)
                : classes;
    }

    /** @param handedOn the day belts were handed over; empty for those that are to be */
    @Transactional(readOnly = true)
    byte[] labels(UUID programId, BeltBoard board, Optional<LocalDate> handedOn) {
        return BeltPdf.labels("Belts", awards(programId, board, handedOn));
    }

    /** @param handedOn the day belts were handed over; empty for those that are to be */
    @Transactional(readOnly = true)
    byte[] certificates(UUID programId, BeltBoard board, Optional<LocalDate> handedOn) {
        return BeltPdf.certificates(office.name(programId), awards(programId, board, handedOn));
    }

    private List<Award> awards(UUID programId, BeltBoard board, Optional<LocalDate> handedOn) {
        Map<UUID, List<HandOver>> handed = boards.handed(
                programId,
                board.rows().stream().map(row -> row.seated().student().id()).toList());
        return board.rows().stream()
                .flatMap(row -> handedOn.map(day -> handedOver(row, board, handed, day))
                        .orElseGet(() -> row.state().due().stream()
                                .map(due ->
                                        award(row.seated(), due.belt(), due.on().orElse(board.on()), board))))
                .toList();
    }

    private Stream<Award> handedOver(
            BeltBoards.Row row, BeltBoard board, Map<UUID, List<HandOver>> handed, LocalDate day) {
        InstrumentCode instrument = row.seated().seat().instrument();
        return handed.getOrDefault(row.seated().student().id(), List.of()).stream()
                .filter(one -> one.handedOn().equals(day) && one.instrument().equals(instrument))
                .flatMap(one -> board.sheet().belts().stream()
                        .filter(belt -> belt.id().equals(one.beltId()))
                        .limit(1)
                        .map(belt -> award(row.seated(), belt, day, board)));
    }

    private Award award(Seated seated, Belt belt, LocalDate on, BeltBoard board) {
        InstrumentCode instrument = seated.seat().instrument();
        return new Award(
                seated.student().name(),
                belt.name(),
                board.looks().get(belt.id()),
                catalog.withCode(instrument).name().toLowerCase(Locale.ENGLISH),
                on.format(DAY),
                BeltProgress.of(belt, instrument, board.sheet().standings().getOrDefault(seated.player(), Map.of()))
                        .slots()
                        .stream()
                        .filter(BeltProgress.SlotState::filled)
                        .map(slot -> BeltBoards.name(board.sheet().milestones().get(slot.milestoneId())))
                        .toList());
    }
}
