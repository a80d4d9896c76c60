package vividroster.testkit;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;

/** A PostgreSQL of the tests' own, thrown away when they end. Started by the same script as the real one. */
public final class TestCluster {

    private static TestCluster shared;

    private final AtomicInteger databases = new AtomicInteger();
    private final String server;
    private final String user;
    private final String password;

    private final String appUser;
    private final String appPassword;
    private final Path folder;
    private final String options;

    private TestCluster(
            Path folder,
            String options,
            String server,
            String user,
            String password,
            String appUser,
            String appPassword) {
        this.folder = folder;
        this.options = options;
        this.server = server;
        this.user = user;
        this.password = password;
        this.appUser = appUser;
        this.appPassword = appPassword;
    }

    /**
     * @param name of the database, new and empty
     * @param user the owner, who also may do everything
     * @param appUser the role the application signs in with
     */
    public record Database(String name, String url, String user, String password, String appUser, String appPassword) {

        /** As the owner. */
        public Connection connect() throws SQLException {
            return DriverManager.getConnection(url, user, password);
        }

        /** As the application. */
        public Connection connectAsApplication() throws SQLException {
            return DriverManager.getConnection(url, appUser, appPassword);
        }
    }

    /** The cluster of this JVM; in {@code VIVID_TEST_DIR} where that is set, else in a folder of its own. */
    public static synchronized TestCluster shared() {
        if (shared == null) {
            shared = start("yes".equals(System.getenv("VIVID_TEST_DURABLE")));
        }
        return shared;
    }

    /** One beside it, which may be killed: what it said was written is on the disk. */
    public static TestCluster toBeKilled() {
        return start(true);
    }

    /** Ends it at once, as when its machine goes off. */
    public void kill() throws IOException {
        script("pg_as \"$PG_BIN/pg_ctl\" -D " + folder + "/cluster -m immediate -w -t 30 stop");
    }

    /** Starts it where it was, over what it had written. */
    public void startAgain() throws IOException {
        script("PG_OPTIONS=\"" + options + "\"; pg_again " + folder);
    }

    public Database newDatabase() {
        String name = "vivid_test_" + databases.incrementAndGet();
        try (Connection connection = DriverManager.getConnection(server + "postgres", user, password);
                var statement = connection.createStatement()) {
            statement.execute("create database " + name);
        } catch (SQLException e) {
            throw new IllegalStateException(e);
        }
        return new Database(name, server + name, user, password, appUser, appPassword);
    }

    /** The project's root folder, from whichever module the tests run. */
    public static Path projectRoot() {
        Path here = Path.of("").toAbsolutePath();
        return Files.exists(here.resolve("scripts/pg.sh")) ? here : here.getParent();
    }

    private static TestCluster start(boolean durable) {
        try {
            String parent = System.getenv("VIVID_TEST_DIR");
            Path folder = parent == null
                    ? Files.createTempDirectory("vivid-test")
                    : Files.createTempDirectory(Path.of(parent), "cluster");
            folder.toFile().setExecutable(true, false);
            String said = script(
                    "pg_up " + folder + " " + (durable ? "kept" : "throwaway")
                            + " || exit 1; echo; echo \"$PG_OPTIONS\"; echo \"$PG_PORT $PG_USER $PG_PASSWORD $PG_APP_USER $PG_APP_PASSWORD\"");
            Runtime.getRuntime().addShutdownHook(new Thread(() -> stop(folder)));
            List<String> lines = said.strip().lines().toList();
            String[] words = lines.getLast().split(" ");
            return new TestCluster(
                    folder,
                    lines.get(lines.size() - 2),
                    "jdbc:postgresql://127.0.0.1:" + words[0] + "/",
                    words[1],
                    words[2],
                    words[3],
                    words[4]);
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    /** Runs commands of the scripts as the owner of a database. @return what they said, and "exit" with a number */
    public static String asOwner(Database database, String commands) throws IOException {
        ProcessBuilder bash = new ProcessBuilder(
                        "bash",
                        "-c",
                        ". scripts/tools.sh; . scripts/pg.sh; pg_find; . scripts/copies.sh; " + commands
                                + "; echo exit $?")
                .directory(projectRoot().toFile())
                .redirectErrorStream(true);
        bash.environment().put("VIVID_DATABASE_URL", database.url());
        bash.environment().put("VIVID_DATABASE_OWNER_USER", database.user());
        bash.environment().put("VIVID_DATABASE_OWNER_PASSWORD", database.password());
        return new String(bash.start().getInputStream().readAllBytes());
    }

    private static void stop(Path folder) {
        try {
            script("pg_down " + folder + "; rm -rf " + folder);
        } catch (IOException e) {
            System.err.println("The test database in " + folder + " was not stopped: " + e.getMessage());
        }
    }

    private static String script(String commands) throws IOException {
        Process bash = new ProcessBuilder("bash", "-c", ". scripts/pg.sh; pg_find; " + commands)
                .directory(projectRoot().toFile())
                .redirectErrorStream(true)
                .start();
        String said = new String(bash.getInputStream().readAllBytes());
        try {
            if (bash.waitFor() != 0) {
                throw new IOException("PostgreSQL for the tests did not start: " + said);
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IOException(e);
        }
        return said;
    }
}
