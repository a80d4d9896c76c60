package vividroster.core.roster;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PersonNameTest {

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Sunniva Drake | Sunniva Drake | Drake, Sunniva",
                "Drake, Sunniva | Sunniva Drake | Drake, Sunniva",
                "Mei  Xu-Barrow | Mei Xu-Barrow | Xu-Barrow, Mei",
                "Ana Maria del Rio | Ana Maria del Rio | Rio, Ana Maria del",
                "del Rio, Ana Maria | Ana Maria del Rio | del Rio, Ana Maria",
                "Ozymandias | Ozymandias | Ozymandias",
                "Drake, | Drake, | Drake,"
            })
    void isShownGivenNameFirstAndSortedByTheFamilyName(String typed, String shown, String sorted) {
        assertThat(PersonName.read(typed)).isEqualTo(new PersonName(shown, sorted));
    }

    @Test
    void aDirectorMaySortItOtherwise() {
        assertThat(PersonName.read("Ana Maria del Rio").sortedAs("del Rio, Ana Maria"))
                .isEqualTo(new PersonName("Ana Maria del Rio", "del Rio, Ana Maria"));
    }
}
