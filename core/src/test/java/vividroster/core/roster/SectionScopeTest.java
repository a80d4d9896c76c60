package vividroster.core.roster;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import vividroster.core.instrument.Clef;
import vividroster.core.instrument.Family;
import vividroster.core.instrument.Instrument;
import vividroster.core.music.InstrumentCode;
import vividroster.core.music.Transposition;
import vividroster.core.roster.SectionScope.FamilyOfClass;
import vividroster.core.roster.SectionScope.InstrumentAcrossClasses;
import vividroster.core.roster.SectionScope.Section;
import vividroster.core.roster.SectionScope.Tutti;

/** Whom a scope asks, without anybody sitting there. */
class SectionScopeTest {

    private static final UUID HERE = UUID.randomUUID();
    private static final UUID THERE = UUID.randomUUID();
    private static final Instrument HORN = new Instrument(
            new InstrumentCode("horn"),
            "Horn",
            "Horns",
            Family.BRASS,
            Clef.TREBLE,
            Transposition.CONCERT,
            1,
            true,
            List.of());

    static Stream<Arguments> scopes() {
        return Stream.of(
                Arguments.of(new Tutti(HERE), true),
                Arguments.of(new Tutti(THERE), false),
                Arguments.of(new FamilyOfClass(HERE, Family.BRASS), true),
                Arguments.of(new FamilyOfClass(HERE, Family.STRING), false),
                Arguments.of(new FamilyOfClass(THERE, Family.BRASS), false),
                Arguments.of(new Section(HERE, new InstrumentCode("horn"), Optional.empty()), true),
                Arguments.of(new Section(HERE, new InstrumentCode("horn"), Optional.of("First")), true),
                Arguments.of(new Section(HERE, new InstrumentCode("tuba"), Optional.empty()), false),
                Arguments.of(new Section(THERE, new InstrumentCode("horn"), Optional.empty()), false),
                Arguments.of(new InstrumentAcrossClasses(new InstrumentCode("horn")), true),
                Arguments.of(new InstrumentAcrossClasses(new InstrumentCode("tuba")), false));
    }

    @ParameterizedTest
    @MethodSource("scopes")
    void aSectionOfAClassIsAskedOrNot(SectionScope scope, boolean asks) {
        assertThat(scope.asks(HERE, HORN)).isEqualTo(asks);
    }
}
