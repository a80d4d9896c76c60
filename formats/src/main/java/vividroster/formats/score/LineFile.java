package vividroster.formats.score;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Part;
import vividroster.core.music.Score;
import vividroster.core.music.Voice;

/**
 * A file as it was read, before it is said which of its parts are used for whom.
 *
 * @param title as printed; may be empty
 * @param parts in the order of the file, at least one
 * @param leftOut what of the whole is not kept
 */
public record LineFile(String title, List<FilePart> parts, List<LeftOut> leftOut) {

    public LineFile {
        parts = List.copyOf(parts);
        leftOut = List.copyOf(leftOut);
        if (parts.isEmpty()) {
            throw new LineFileException("The file has no part with notes.");
        }
    }

    private static final String UNDER = "under";

    private String named(String id) {
        return parts.stream()
                .filter(p -> p.id().equals(id))
                .findFirst()
                .map(FilePart::name)
                .orElse("");
    }

    /** What one part is used for. */
    public sealed interface Use {
        /** Everybody without a part of their own reads it; and the voice, where one is named. */
        record Everybody(Optional<Voice> also) implements Use {}

        record Own(Voice voice) implements Use {}

        /** The accompaniment below all of them. */
        record Under() implements Use {}

        record Nobody() implements Use {}
    }

    /**
     * Chosen by a person for some parts by id: {@code everybody}, {@code nobody}, {@code under}, or an instrument's code, behind it
     * {@code /2} for its second part.
     */
    public record Choices(Map<String, String> byPart) {
        public static final Choices NONE = new Choices(Map.of());

        public Choices {
            byPart = Map.copyOf(byPart);
        }
    }

    /**
     * What every part is used for: as chosen, else as its name says. The first part is everybody's where nobody says
     * otherwise; of two alike the first in the file is the first.
     *
     * @return by id, in the order of the file
     */
    public Map<String, Use> uses(Choices choices) {
        Map<String, Optional<Voice>> voices = numbered(choices);
        Optional<String> chosenForAll = parts.stream()
                .map(FilePart::id)
                .filter(id -> "everybody".equals(choices.byPart().get(id)))
                .findFirst();
        String forAll = chosenForAll.orElse(parts.stream()
                .map(FilePart::id)
                .filter(id -> !choices.byPart().containsKey(id))
                .filter(id -> parts.size() == 1 || !PartNames.isAccompaniment(named(id)))
                .findFirst()
                .or(() -> parts.stream()
                        .map(FilePart::id)
                        .filter(id -> !Set.of("nobody", UNDER)
                                .contains(choices.byPart().getOrDefault(id, "")))
                        .findFirst())
                .orElseThrow(() -> new LineFileException("No part of the file is used; choose one for everybody.")));
        Map<String, Use> uses = new LinkedHashMap<>();
        boolean below = false;
        for (FilePart part : parts) {
            Optional<Voice> voice = voices.get(part.id());
            boolean under = !below && !part.id().equals(forAll) && isUnder(part, choices);
            below |= under;
            uses.put(
                    part.id(),
                    part.id().equals(forAll)
                            ? new Use.Everybody(voice)
                            : under
                                    ? new Use.Under()
                                    : voice.<Use>map(Use.Own::new).orElse(new Use.Nobody()));
        }
        return uses;
    }

    /** One accompaniment: as chosen, else by its name. */
    private static boolean isUnder(FilePart part, Choices choices) {
        String chosen = choices.byPart().get(part.id());
        return chosen == null ? PartNames.isAccompaniment(part.name()) : chosen.equals(UNDER);
    }

    /** Of several for one voice the first is its first part, the next its second. */
    private Map<String, Optional<Voice>> numbered(Choices choices) {
        Map<String, Optional<Voice>> asked = new LinkedHashMap<>();
        Map<Voice, Integer> count = new HashMap<>();
        for (FilePart part : parts) {
            Optional<Voice> voice = asked(part, choices);
            asked.put(part.id(), voice);
            voice.ifPresent(v -> count.merge(v, 1, Integer::sum));
        }
        Map<String, Optional<Voice>> numbered = new LinkedHashMap<>();
        Map<InstrumentCode, Set<Integer>> taken = new TreeMap<>();
        asked.forEach((id, voice) -> {
            Optional<Voice> own = voice.flatMap(v -> {
                Set<Integer> divisions = taken.computeIfAbsent(v.instrument(), i -> new HashSet<>());
                int division = v.division();
                if (count.get(v) > 1) {
                    division = Math.max(1, division);
                    while (divisions.contains(division)) {
                        division++;
                    }
                }
                divisions.add(division);
                return division > 9 ? Optional.empty() : Optional.of(new Voice(v.instrument(), division));
            });
            numbered.put(id, own);
        });
        return numbered;
    }

    private static Optional<Voice> asked(FilePart part, Choices choices) {
        String chosen = choices.byPart().get(part.id());
        if (chosen == null) {
            return part.meant();
        }
        if (chosen.equals("nobody") || chosen.equals("everybody") || chosen.equals(UNDER)) {
            return !chosen.equals("everybody") ? Optional.empty() : part.meant();
        }
        int slash = chosen.indexOf('/');
        return Optional.of(
                slash < 0
                        ? Voice.of(new InstrumentCode(chosen))
                        : new Voice(
                                new InstrumentCode(chosen.substring(0, slash)),
                                Integer.parseInt(chosen.substring(slash + 1).replaceAll("\\D+|^$", "0"))));
    }

    /** As its names say. @throws LineFileException when a part that is used cannot be */
    public Score score() {
        return score(Choices.NONE);
    }

    /** @throws LineFileException when a part that is used cannot be, or is longer or shorter than the others */
    public Score score(Choices choices) {
        Map<String, Use> uses = uses(choices);
        Part sounding = null;
        Part under = null;
        Map<Voice, Part> own = new LinkedHashMap<>();
        for (FilePart part : parts) {
            switch (uses.get(part.id())) {
                case Use.Everybody all -> {
                    sounding = part.used();
                    Part mine = sounding;
                    all.also().ifPresent(voice -> own.put(voice, mine));
                }
                case Use.Own mine -> own.put(mine.voice(), part.used());
                case Use.Under below -> under = part.used();
                case Use.Nobody nobody -> {}
            }
        }
        for (FilePart part : parts) {
            if (!(uses.get(part.id()) instanceof Use.Nobody)
                    && part.measures() != sounding.measures().size()) {
                throw new LineFileException(
                        part.line(),
                        1,
                        "The part \"" + part.called() + "\" has " + part.measures()
                                + " measures, the part for everybody "
                                + sounding.measures().size()
                                + "; leave one out, or choose another file.");
            }
        }
        return new Score(title, sounding, own, Optional.ofNullable(under));
    }

    /** One part alone, by its id or name. @throws LineFileException when there is none, or it cannot be used */
    public Score only(String idOrName) {
        String sought = idOrName.strip();
        FilePart part = parts.stream()
                .filter(p -> p.id().equals(sought))
                .findFirst()
                .or(() -> parts.stream()
                        .filter(p -> p.name().equalsIgnoreCase(sought))
                        .findFirst())
                .orElseThrow(() -> new LineFileException("The file has no part \"" + sought + "\"; it has "
                        + String.join(", ", parts.stream().map(FilePart::called).toList()) + "."));
        return new Score(title, part.used());
    }

    /** What is not kept: of the whole, of the parts that are used, and the parts that are not. */
    public List<LeftOut> leftOut(Choices choices) {
        Map<String, Use> uses = uses(choices);
        LeftOut.Gathered all = new LeftOut.Gathered();
        List<String> unused = new ArrayList<>();
        for (FilePart part : parts) {
            if (uses.get(part.id()) instanceof Use.Nobody) {
                unused.add(part.called());
            } else {
                all.addAll(part.leftOut());
            }
        }
        all.addAll(leftOut);
        if (!unused.isEmpty()) {
            all.add((unused.size() == 1 ? "the part " : "the parts ") + String.join(", ", unused));
        }
        return all.list();
    }
}
