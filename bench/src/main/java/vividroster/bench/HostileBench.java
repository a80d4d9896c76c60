package vividroster.bench;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import vividroster.formats.HostileFiles;

/** How soon files made to harm are refused, in a process of its own with a heap of 64 MB. */
final class HostileBench {

    private HostileBench() {}

    static void run() throws IOException, InterruptedException {
        System.out.println("\nFiles made to harm, each read once with a heap of 64 MB (goal: refused under 2000 ms)");
        Process process = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-Xmx64m",
                        "-XX:+UseSerialGC",
                        "-cp",
                        System.getProperty("java.class.path"),
                        HostileFiles.class.getName())
                .redirectErrorStream(true)
                .start();
        try (var lines = process.inputReader(StandardCharsets.UTF_8)) {
            lines.lines()
                    .filter(line -> line.contains(" ms  "))
                    .forEach(line -> System.out.println("  " + line.substring(0, Math.min(line.length(), 150))));
        }
        if (process.waitFor() != 0) {
            throw new IllegalStateException("one of them was read, or the process ended early");
        }
    }
}
