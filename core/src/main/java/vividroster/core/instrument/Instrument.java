package vividroster.core.instrument;

import java.util.List;
import java.util.Objects;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Key;
import vividroster.core.music.Spelling;
import vividroster.core.music.Transposition;

/**
 * One instrument of the catalog.
 *
 * @param code unique in a catalog
 * @param name as written on screen, for example "Alto saxophone"
 * @param plural for sections, for example "Alto saxophones"
 * @param scoreRank place in score order, smaller is higher on the page; unique in a catalog
 * @param pitched false for instruments that read no key, such as snare drum
 * @param aliases other spellings that rosters use
 */
public record Instrument(
        InstrumentCode code,
        String name,
        String plural,
        Family family,
        Clef clef,
        Transposition transposition,
        int scoreRank,
        boolean pitched,
        List<String> aliases) {

    public Instrument {
        Objects.requireNonNull(code);
        Objects.requireNonNull(name);
        Objects.requireNonNull(plural);
        Objects.requireNonNull(family);
        Objects.requireNonNull(clef);
        Objects.requireNonNull(transposition);
        aliases = List.copyOf(aliases);
    }

    /**
     * The key this instrument reads when the concert key is given; the concert key itself for unpitched instruments.
     *
     * @param spelling of a key with six signs, as the programme chose
     */
    public Key writtenKey(Key concert, Spelling spelling) {
        return pitched ? concert.writtenFor(transposition, spelling) : concert;
    }
}
