package vividroster.formats;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.File;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;

/** Files made to harm are refused while they are read: within 2 seconds of the reader's own time, with a heap of 64 MB. */
class HostileFilesTest {

    @Test
    void filesMadeToHarmAreRefusedInTimeAndMemory() throws Exception {
        String classes = System.getProperty("surefire.test.class.path", System.getProperty("java.class.path"));
        Process process = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-Xmx64m",
                        "-XX:+UseSerialGC",
                        "-cp",
                        classes.replace(';', File.pathSeparatorChar),
                        HostileFiles.class.getName())
                .redirectErrorStream(true)
                .start();
        String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(process.waitFor(60, TimeUnit.SECONDS)).isTrue();
        assertThat(process.exitValue())
                .as(said.lines()
                        .map(l -> l.substring(0, Math.min(160, l.length())))
                        .toList()
                        .toString())
                .isZero();
        List<String> lines = said.lines().filter(l -> l.contains(" ms  ")).toList();
        assertThat(lines).hasSize(HostileFiles.all().size());
        assertThat(lines).allSatisfy(line -> {
            double milliseconds = Double.parseDouble(line.strip().split(" ")[0]);
            assertThat(milliseconds).as(line).isLessThan(2_000);
            assertThat(line).contains("refused: ");
        });
    }
}
