package vividroster.bench;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;

/** Runs the measurements named, or all of them, and prints what was measured beside what it is compared with. */
public final class Bench {

    private Bench() {}

    public static void main(String[] names) throws Exception {
        List<String> wanted = List.of(names);
        System.out.printf(
                Locale.ROOT,
                "Machine: %d processors, %s load, Java %s%n",
                Runtime.getRuntime().availableProcessors(),
                Files.readString(Path.of("/proc/loadavg")).split(" ")[0],
                Runtime.version());
        if (wanted.isEmpty() || wanted.contains("attempts")) {
            AttemptsBench.run();
        }
        if (wanted.isEmpty() || wanted.contains("school")) {
            SchoolBench.run();
        }
        if (wanted.isEmpty() || wanted.contains("hearing")) {
            KeyPressBench.run();
            HearingBench.run();
        }
        if (wanted.isEmpty() || wanted.contains("edge")) {
            EdgeBench.run();
        }
        if (wanted.isEmpty() || wanted.contains("grid")) {
            GridBench.run();
        }
        if (wanted.isEmpty() || wanted.contains("lines")) {
            LinesBench.run();
            HostileBench.run();
        }
        if (wanted.isEmpty() || wanted.contains("notation")) {
            NotationBench.run();
        }
        if (wanted.isEmpty() || wanted.contains("plan")) {
            PlanBench.run();
            TestDayBench.run();
        }
        if (wanted.isEmpty() || wanted.contains("belts")) {
            BeltBench.run();
        }
        System.exit(0);
    }
}
