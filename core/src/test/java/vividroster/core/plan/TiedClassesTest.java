package vividroster.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class TiedClassesTest {

    private static Set<Character> classes(String letters) {
        return letters.chars().mapToObj(c -> (char) c).collect(Collectors.toCollection(LinkedHashSet::new));
    }

    @ParameterizedTest(name = "{0} with {1} is {2}")
    @CsvSource({
        "A,  '',       A",
        "A,  'BC',     A",
        "A,  'AB',     AB",
        "A,  'CD BC AB', ABCD", // by way of others, in whatever order they are told
        "AC, 'A B C',  AC", // what is chosen for one class ties nothing
        "'', 'AB',     ''",
    })
    void hangTogether(String asked, String ties, String expected) {
        List<Set<Character>> tied = Arrays.stream(ties.split(" "))
                .filter(tie -> !tie.isEmpty())
                .map(TiedClassesTest::classes)
                .toList();
        assertThat(TiedClasses.with(classes(asked), tied)).containsExactlyInAnyOrderElementsOf(classes(expected));
    }
}
