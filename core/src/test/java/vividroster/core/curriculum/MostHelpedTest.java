package vividroster.core.curriculum;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import vividroster.core.curriculum.MostHelped.Counted;
import vividroster.core.curriculum.MostHelped.Helped;

class MostHelpedTest {

    private static Helped helped(int student, String sign, String remedy) {
        return new Helped(new UUID(0, student), sign, remedy);
    }

    @Test
    void whatHelpedMostStudentsComesFirstAndAStudentCountsOnce() {
        assertThat(MostHelped.of(List.of(
                        helped(1, "Airy", "Firm corners"),
                        helped(1, "Airy", "Firm corners"),
                        helped(2, "Pinched", "Drop the jaw"),
                        helped(3, "Pinched", "Drop the jaw"),
                        helped(2, "Airy", "Faster air"))))
                .containsExactly(
                        new Counted("Pinched", "Drop the jaw", 2),
                        new Counted("Airy", "Faster air", 1),
                        new Counted("Airy", "Firm corners", 1));
    }

    @Test
    void nothingHelpedYet() {
        assertThat(MostHelped.of(List.of())).isEmpty();
    }
}
