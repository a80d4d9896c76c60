package vividroster.server.lines;

import java.util.List;
import java.util.Map;
import java.util.Set;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.Voice;
import vividroster.formats.score.LeftOut;
import vividroster.formats.score.LineFile;
import vividroster.formats.score.LineFile.Choices;
import vividroster.formats.score.LineFile.Use;
import vividroster.formats.score.LineFileException;
import vividroster.server.lines.LineViews.PartView;
import vividroster.server.platform.InstrumentCodes;
import vividroster.server.platform.Problem;

/** The parts of a file and what each is used for, as the API shows and takes them. */
final class PartViews {

    private static final Set<String> NO_INSTRUMENT = Set.of("everybody", "nobody", "under");

    private PartViews() {}

    static List<PartView> of(LineFile file, Choices choices) {
        Map<String, Use> uses = file.uses(choices);
        return file.parts().stream()
                .map(part -> new PartView(
                        part.id(),
                        part.name(),
                        part.measures(),
                        switch (uses.get(part.id())) {
                            case Use.Everybody all -> "everybody";
                            case Use.Nobody nobody -> "nobody";
                            case Use.Under under -> "under";
                            case Use.Own own -> code(own.voice());
                        },
                        part.refused().map(LineFileException::getMessage).orElse(null)))
                .toList();
    }

    static String code(Voice voice) {
        return voice.division() == 0 ? voice.instrument().value() : voice.instrument() + "/" + voice.division();
    }

    static List<String> leftOut(LineFile file, Choices choices) {
        return file.leftOut(choices).stream().map(LeftOut::words).toList();
    }

    /** @throws Problem for a use that is none */
    static Choices choices(Map<String, String> byPart, InstrumentCatalog catalog) {
        byPart.forEach((part, use) -> {
            String code = use == null ? "" : use.replaceFirst("/[1-9]$", "");
            if (!NO_INSTRUMENT.contains(code) && !InstrumentCodes.has(catalog, code)) {
                throw Problem.input(
                        "choices", "\"" + use + "\" is no instrument of the catalog, nor everybody, nobody or under.");
            }
        });
        return new Choices(byPart);
    }
}
