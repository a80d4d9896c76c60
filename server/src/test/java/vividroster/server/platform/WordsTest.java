package vividroster.server.platform;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WordsTest {

    @ParameterizedTest
    @CsvSource({
        "0,0 tries,0 seats,0 times",
        "1,1 try,1 seat,once",
        "2,2 tries,2 seats,twice",
        "21,21 tries,21 seats,21 times"
    })
    void oneIsOneAndAllElseIsMany(int n, String tries, String seats, String times) {
        assertThat(Words.counted(n, "try", "tries")).isEqualTo(tries);
        assertThat(Words.counted(n, "seat")).isEqualTo(seats);
        assertThat(Words.times(n)).isEqualTo(times);
    }
}
