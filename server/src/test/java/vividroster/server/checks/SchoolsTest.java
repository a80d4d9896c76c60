package vividroster.server.checks;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import vividroster.core.curriculum.School;
import vividroster.core.curriculum.SchoolQuestion;
import vividroster.formats.checks.CheckLibraryFile;

class SchoolsTest {

    private static final Map<String, SchoolQuestion> SHIPPED =
            CheckLibraryFile.questions().stream().collect(Collectors.toMap(SchoolQuestion::key, Function.identity()));

    @Test
    void everyRuleReadsAQuestionThatIsPutWithJustTheChoicesItKnows() {
        assertThat(Schools.ALL).allSatisfy(school -> {
            assertThat(SHIPPED).containsKey(school.question());
            assertThat(school.reads(SHIPPED.get(school.question())))
                    .as(school.question())
                    .isTrue();
        });
        assertThat(Schools.ALL.stream().map(School::question)).doesNotHaveDuplicates();
    }
}
