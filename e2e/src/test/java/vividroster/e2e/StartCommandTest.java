package vividroster.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import vividroster.testkit.TestCluster;

/** What stands in the way of a start is said in one clear sentence, with a non-zero exit. */
class StartCommandTest {

    @TempDir
    Path folder;

    private record Said(int exit, String text) {}

    private Said vivid(Map<String, String> settings, String... words) throws IOException, InterruptedException {
        ProcessBuilder builder = new ProcessBuilder("./vivid")
                .directory(TestCluster.projectRoot().toFile())
                .redirectErrorStream(true);
        builder.command().addAll(java.util.List.of(words));
        builder.environment().put("VIVID_DATA", folder.resolve("data").toString());
        builder.environment().putAll(settings);
        Process process = builder.start();
        String text = new String(process.getInputStream().readAllBytes());
        assertThat(process.waitFor(60, TimeUnit.SECONDS)).isTrue();
        return new Said(process.exitValue(), text);
    }

    private static void refusedWith(Said said, String sentence) {
        assertThat(said.exit()).isNotZero();
        assertThat(said.text().strip()).startsWith(sentence).doesNotContain("\n");
    }

    @Test
    void aPortInUse() throws Exception {
        try (ServerSocket taken = new ServerSocket(0, 1, InetAddress.getByName("127.0.0.1"))) {
            refusedWith(
                    vivid(Map.of("VIVID_PORT", String.valueOf(taken.getLocalPort())), "start"),
                    "Port " + taken.getLocalPort() + " is in use by another program; choose another with VIVID_PORT.");
        }
        refusedWith(vivid(Map.of("VIVID_PORT", "eighty"), "start"), "VIVID_PORT must be a number from 1 to 65535");
    }

    @Test
    void aFolderThatHoldsNoJdk() throws Exception {
        refusedWith(
                vivid(Map.of("VIVID_JAVA_HOME", folder.toString()), "start"),
                "VIVID_JAVA_HOME names " + folder + ", which is no JDK 25 or newer.");
    }

    @Test
    void aNodeThatIsTooOld() throws Exception {
        Path node = folder.resolve("node");
        Files.writeString(node, "#!/bin/sh\necho v12.22.0\n");
        node.toFile().setExecutable(true);
        refusedWith(
                vivid(Map.of("PATH", folder + ":" + System.getenv("PATH")), "start"),
                "Vivid Roster needs Node.js 20 or newer with npm and found version 12; install it first.");
    }

    @Test
    void aDataFolderThatCannotBeMade() throws Exception {
        refusedWith(
                vivid(Map.of("VIVID_DATA", "/dev/null/data"), "start"),
                "The data folder /dev/null/data cannot be written to; free it or choose another with VIVID_DATA.");
    }

    @Test
    void aDataFolderThatAnotherStartHolds() throws Exception {
        Path data = Files.createDirectories(folder.resolve("data"));
        Process holder = new ProcessBuilder("flock", data.resolve("lock").toString(), "sleep", "60").start();
        try {
            for (int i = 0; i < 100 && !Files.exists(data.resolve("lock")); i++) {
                Thread.sleep(20);
            }
            refusedWith(vivid(Map.of(), "start"), "Vivid Roster is already running from ");
        } finally {
            holder.descendants().forEach(ProcessHandle::destroyForcibly);
            holder.destroyForcibly();
        }
    }

    @Test
    void aLockFileLeftBehindByAnotherProcessOfTheSameUser() throws Exception {
        // A cluster's lock file that names a living process which is no PostgreSQL of this folder.
        String said = script("""
                . scripts/pg.sh; pg_find
                pg_up "$1" throwaway || exit 1
                pg_down "$1"
                sleep 60 & sleeper=$!
                printf '%s\\n%s\\n' "$sleeper" "$1/cluster" | pg_as tee "$1/cluster/postmaster.pid" >/dev/null
                pg_up "$1" throwaway; echo "exit $?"
                kill "$sleeper"
                """);
        assertThat(said).contains("is a lock file left behind").contains("exit 1");
    }

    @Test
    void whatWasNeverStartedHasNothingToCopy() throws Exception {
        refusedWith(vivid(Map.of(), "backup", folder.resolve("copy").toString()), "There is no database in ");
        refusedWith(vivid(Map.of(), "backup"), "Name the file to write: ./vivid backup FILE");
        refusedWith(
                vivid(Map.of(), "restore", folder.resolve("none").toString()),
                folder.resolve("none") + " cannot be read.");
        Path words = Files.writeString(folder.resolve("words"), "no copy");
        refusedWith(vivid(Map.of(), "restore", words.toString()), words + " is no copy made by ./vivid backup.");
        refusedWith(vivid(Map.of(), "backup", words.toString()), words + " is there already; name another file.");
    }

    @Test
    void aCopyGoesThroughTheCommandsAndBack() throws Exception {
        folder.toFile().setExecutable(true, false);
        String said = script("""
                . scripts/pg.sh; pg_find
                pg_up "$1" throwaway || exit 1
                PGPASSWORD=$PG_PASSWORD "$PG_BIN/psql" -h 127.0.0.1 -p "$PG_PORT" -U "$PG_USER" -d vividroster -qAtc \
                  'create table marks as select n from generate_series(1, 500) n'
                VIVID_DATABASE_URL=$PG_URL VIVID_DATABASE_OWNER_USER=$PG_USER VIVID_DATABASE_OWNER_PASSWORD=$PG_PASSWORD \
                  ./vivid backup "$1.copy"
                pg_down "$1"
                VIVID_DATA=$1.empty ./vivid restore "$1.copy" && VIVID_DATA=$1.empty ./vivid restore "$1.copy"
                echo "exit $?"
                VIVID_DATA=$1.empty ./vivid backup "$1.again"
                "$PG_BIN/pg_restore" --data-only -f - "$1.again" | grep -c '^[0-9]'
                """);
        assertThat(said)
                .contains("The whole database is in ")
                .contains("is back. ./vivid start brings the tables up to date and starts.")
                .contains("There is data already")
                .contains("exit 1")
                .contains("500");
    }

    @Test
    void aDatabaseThatIsKilledIsStartedAgainAsItWas() throws Exception {
        folder.toFile().setExecutable(true, false);
        String said = script("""
                . scripts/pg.sh; pg_find
                pg_up "$1" kept || exit 1
                ask() { PGPASSWORD=$PG_APP_PASSWORD "$PG_BIN/psql" -h 127.0.0.1 -p "$PG_PORT" -U "$PG_APP_USER" -d vividroster -qAtc "$1"; }
                ask "select 'before ' || current_user"
                kill -9 "$(head -n 1 "$1/cluster/postmaster.pid")"
                for i in $(seq 50); do
                  sleep 0.2
                  ! pg_running "$1/cluster" && pg_again "$1" && break
                done
                ask "select 'after ' || current_user"
                pg_down "$1"
                """);
        assertThat(said).contains("before vividroster_app").contains("after vividroster_app");
    }

    @Test
    void anOldClusterGetsItsChecksums() throws Exception {
        folder.toFile().setExecutable(true, false);
        String said = script("""
                . scripts/pg.sh; pg_find
                pg_up "$1" throwaway || exit 1
                pg_down "$1"
                pg_as "$PG_BIN/pg_checksums" --disable -D "$1/cluster" >/dev/null
                pg_up "$1" throwaway
                PGPASSWORD=$PG_PASSWORD "$PG_BIN/psql" -h 127.0.0.1 -p "$PG_PORT" -U "$PG_USER" -d vividroster -qAtc \
                  "select 'checksums ' || current_setting('data_checksums')"
                pg_down "$1"
                """);
        assertThat(said).contains("checksums on");
    }

    @Test
    void helpListsTheCommandsAndUnknownOnesAreNamed() throws Exception {
        Said help = vivid(Map.of(), "help");
        assertThat(help.exit()).isZero();
        assertThat(help.text())
                .contains(
                        "./vivid start",
                        "./vivid test",
                        "./vivid dev",
                        "./vivid bench",
                        "./vivid backup",
                        "./vivid restore");
        refusedWith(vivid(Map.of(), "dance"), "There is no command \"dance\". ./vivid help lists them.");
    }

    private String script(String commands) throws IOException, InterruptedException {
        folder.toFile().setExecutable(true, false);
        Process bash = new ProcessBuilder(
                        "bash", "-c", commands, "bash", folder.resolve("pg").toString())
                .directory(TestCluster.projectRoot().toFile())
                .redirectErrorStream(true)
                .start();
        String said = new String(bash.getInputStream().readAllBytes());
        bash.waitFor();
        return said;
    }
}
