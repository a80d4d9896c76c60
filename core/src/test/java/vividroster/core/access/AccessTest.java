package vividroster.core.access;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import vividroster.core.access.Passwords.Fault;

class AccessTest {

    private final Passwords passwords = new Passwords(Set.of("password", "iloveyou", "correcthorse", "marchingband"));

    @ParameterizedTest
    @CsvSource({
        "NAME_FROM_ADDRESS, 3, 0",
        "NAME_FROM_ADDRESS, 4, 2",
        "NAME_FROM_ADDRESS, 5, 4",
        "NAME_FROM_ADDRESS, 8, 32",
        "NAME_FROM_ADDRESS, 100, 900",
        "NAME, 11, 0",
        "NAME, 12, 2",
        "NAME, 90, 60", // nobody is locked out from elsewhere
        "ADDRESS, 29, 0",
        "ADDRESS, 2000000000, 30", // nobody keeps a school out
    })
    void waitsDoubleUpToTheLongest(BackOff kind, int failures, long seconds) {
        assertThat(kind.after(failures)).isEqualTo(Duration.ofSeconds(seconds));
    }

    @Test
    void aWaitEndsAndAnHourForgets() {
        Instant failed = Instant.parse("2026-10-07T14:00:00Z");
        BackOff kind = BackOff.NAME_FROM_ADDRESS;
        assertThat(kind.left(5, failed, failed.plusSeconds(1))).isEqualTo(Duration.ofSeconds(3));
        assertThat(kind.left(5, failed, failed.plusSeconds(4))).isZero();
        assertThat(kind.left(5, failed, failed.plusSeconds(400))).isZero();
        assertThat(BackOff.isForgotten(failed, failed.plus(Duration.ofMinutes(60))))
                .isFalse();
        assertThat(BackOff.isForgotten(failed, failed.plus(Duration.ofMinutes(61))))
                .isTrue();
    }

    @ParameterizedTest
    @ValueSource(strings = {"ferry-to-saltgrass", "four bows to a note", "Zöe spielt am Montag", "pegs-and-pistons"})
    void aFewWordsAreTaken(String password) {
        assertThat(passwords.fault(password, "odalys")).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "short-one, TOO_SHORT", // nine letters
        "Password2026!, COMMON",
        "MarchingBand, COMMON",
        "odalys1234, LIKE_THE_NAME",
        "aaaaaaaaaaaa, TOO_EVEN",
        "abababababab, TOO_EVEN",
        "1234567890, TOO_EVEN",
        "0987654321ab, TOO_EVEN",
        "abcdefghijkl, TOO_EVEN",
        "qwertyuiop12, TOO_EVEN",
    })
    void whatIsGuessedFirstIsNot(String password, Fault fault) {
        assertThat(passwords.fault(password, "odalys")).contains(fault);
    }

    @Test
    void lengthIsCountedInBytesWhereBcryptEnds() {
        String umlauts = "äöüÄÖÜß-".repeat(5); // 8 letters and 15 bytes a time
        assertThat(umlauts).hasSize(40);
        assertThat(passwords.fault(umlauts, "x")).contains(Fault.TOO_LONG);
        assertThat(Passwords.fits("a-".repeat(36))).isTrue();
        assertThat(Passwords.fits("a-".repeat(36) + "b")).isFalse();
        assertThat(passwords.fault("🎺🎷🥁🎻", "x"))
                .as("four letters, sixteen bytes")
                .contains(Fault.TOO_SHORT);
    }
}
