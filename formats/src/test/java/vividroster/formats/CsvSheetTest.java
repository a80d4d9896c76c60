package vividroster.formats;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import vividroster.formats.csv.CsvSheet;

class CsvSheetTest {

    @Test
    void quotesWhatNeedsItAndDisarmsFormulas() {
        assertThat(CsvSheet.of(List.of("Student", "12"), List.of(List.of("Drake, \"Sunny\"", "=1+1"))))
                .isEqualTo("\uFEFFStudent,12\r\n\"Drake, \"\"Sunny\"\"\",'=1+1\r\n");
    }
}
