package vividroster.server.lines;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.atomic.AtomicBoolean;
import org.junit.jupiter.api.Test;
import vividroster.formats.score.LineFileException;
import vividroster.server.platform.Problem;

class ReadingGateTest {

    @Test
    void whatTakesTooLongIsGivenUpAndItsPlaceIsFreeAgain() throws Exception {
        ReadingGate gate = new ReadingGate(1, Duration.ofSeconds(5), Duration.ofMillis(50));
        CountDownLatch ended = new CountDownLatch(1);
        assertThatThrownBy(() -> gate.read(() -> {
                    try {
                        Thread.sleep(60_000);
                        return 1;
                    } finally {
                        ended.countDown();
                    }
                }))
                .isInstanceOf(Problem.class)
                .hasMessageStartingWith("Reading this takes longer");
        ended.await();
        assertThat(gate.read(() -> 2)).isEqualTo(2);
        gate.destroy();
    }

    /** The processors have other things to do: the reading waits longer than its deadline, and has hardly worked. */
    @Test
    void whatOnlyWaitsForTheProcessorIsNotGivenUp() {
        ReadingGate gate = new ReadingGate(1, Duration.ofSeconds(5), Duration.ofMillis(300));
        assertThat(gate.read(() -> {
                    Thread.sleep(700);
                    return 1;
                }))
                .isEqualTo(1);
        gate.destroy();
    }

    @Test
    void whatReallyWorksTooLongIsGivenUpAtItsDeadline() {
        ReadingGate gate = new ReadingGate(1, Duration.ofSeconds(5), Duration.ofMillis(100));
        AtomicBoolean enough = new AtomicBoolean();
        assertThatThrownBy(() -> gate.read(() -> {
                    long spins = 0;
                    while (!enough.get()) {
                        spins++;
                    }
                    return spins;
                }))
                .isInstanceOf(Problem.class)
                .hasMessageStartingWith("Reading this takes longer");
        enough.set(true);
        gate.destroy();
    }

    @Test
    void fewAreReadAtOnceAndTheOthersAreAskedToComeAgain() throws Exception {
        ReadingGate gate = new ReadingGate(1, Duration.ofMillis(30), Duration.ofSeconds(20));
        CountDownLatch begun = new CountDownLatch(1);
        CountDownLatch goOn = new CountDownLatch(1);
        Thread first = Thread.ofVirtual()
                .start(() -> gate.read(() -> {
                    begun.countDown();
                    goOn.await();
                    return 1;
                }));
        begun.await();
        assertThatThrownBy(() -> gate.read(() -> 2))
                .isInstanceOfSatisfying(
                        Problem.class, e -> assertThat(e.status().value()).isEqualTo(503));
        goOn.countDown();
        first.join();
        assertThat(gate.read(() -> 3)).isEqualTo(3);
        assertThatThrownBy(() -> gate.read(() -> {
                    throw new LineFileException("No.");
                }))
                .as("what a reader refuses comes out as it is")
                .isInstanceOf(LineFileException.class)
                .hasMessage("No.");
        gate.destroy();
    }
}
