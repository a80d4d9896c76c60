package vividroster.formats;

import java.nio.charset.StandardCharsets;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.Score;
import vividroster.formats.abc.AbcReader;
import vividroster.formats.catalog.InstrumentCatalogFile;
import vividroster.formats.musicxml.MusicXmlReader;
import vividroster.formats.score.LineFile;

/** Lines read for tests, with the catalog that ships. */
public final class Read {

    public static final InstrumentCatalog CATALOG = InstrumentCatalogFile.shipped();

    private Read() {}

    public static LineFile abcFile(String text) {
        return AbcReader.read(text, CATALOG);
    }

    public static Score abc(String text) {
        return abcFile(text).score();
    }

    public static LineFile xmlFile(String xml, boolean topLine) {
        return MusicXmlReader.read(xml.getBytes(StandardCharsets.UTF_8), CATALOG, new MusicXmlReader.Options(topLine));
    }

    public static Score xml(byte[] file, boolean topLine) {
        return MusicXmlReader.read(file, CATALOG, new MusicXmlReader.Options(topLine))
                .score();
    }
}
