package vividroster.formats.musicxml;

import java.util.List;
import java.util.stream.Collectors;
import vividroster.core.music.Part;
import vividroster.core.music.Pitch;
import vividroster.formats.Read;
import vividroster.formats.score.LeftOut;
import vividroster.formats.score.LineFile;
import vividroster.formats.score.LineFile.Choices;

/** Pages of MusicXML written for tests, and what is read of them. */
final class XmlPage {

    private XmlPage() {}

    static final String ATTRIBUTES = "<attributes><divisions>4</divisions><key><fifths>0</fifths></key>"
            + "<time><beats>4</beats><beat-type>4</beat-type></time>%s</attributes>";

    static String head(String more) {
        return ATTRIBUTES.formatted(more);
    }

    static String note(String pitch, int duration, String... more) {
        String all = String.join("", more);
        String first = "";
        for (String front : List.of("<grace/>", "<cue/>", "<chord/>")) {
            first += all.contains(front) ? front : "";
            all = all.replace(front, "");
        }
        String what = pitch.equals("r")
                ? "<rest/>"
                : "<pitch><step>" + pitch.charAt(0) + "</step>"
                        + (pitch.contains("#") ? "<alter>1</alter>" : pitch.contains("b") ? "<alter>-1</alter>" : "")
                        + "<octave>" + pitch.charAt(pitch.length() - 1) + "</octave></pitch>";
        String lasts = first.contains("grace") ? "" : "<duration>" + duration + "</duration>";
        return "<note>" + first + what + lasts + all + "</note>";
    }

    static String measure(int number, String... content) {
        return "<measure number=\"" + number + "\">" + String.join("", content) + "</measure>";
    }

    /** @param namesAndMeasures a part's name and its measures, part after part */
    static String file(String... namesAndMeasures) {
        StringBuilder list = new StringBuilder();
        StringBuilder parts = new StringBuilder();
        for (int i = 0; i < namesAndMeasures.length; i += 2) {
            String id = "P" + (i / 2 + 1);
            list.append(
                    "<score-part id=\"" + id + "\"><part-name>" + namesAndMeasures[i] + "</part-name></score-part>");
            parts.append("<part id=\"" + id + "\">" + namesAndMeasures[i + 1] + "</part>");
        }
        return "<score-partwise version=\"4.0\"><part-list>" + list + "</part-list>" + parts + "</score-partwise>";
    }

    static Part read(String measures) {
        return Read.xmlFile(file("Flute", measures), false).score().sounding();
    }

    static String names(Part part) {
        return part.measures().stream()
                .map(m -> m.notes().stream()
                        .map(n -> n.pitch().map(Pitch::toString).orElse("r") + "*"
                                + (int) (n.length().value() * 4))
                        .collect(Collectors.joining(" ")))
                .collect(Collectors.joining(" | "));
    }

    static List<String> leftOut(LineFile file) {
        return file.leftOut(Choices.NONE).stream().map(LeftOut::words).toList();
    }

    static String direction(String type, String more) {
        return "<direction><direction-type>" + type + "</direction-type>" + more + "</direction>";
    }

    static String metronome(String unit, String perMinute) {
        return direction("<metronome>" + unit + "<per-minute>" + perMinute + "</per-minute></metronome>", "");
    }
}
