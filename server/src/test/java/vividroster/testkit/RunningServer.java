package vividroster.testkit;

import java.util.ArrayList;
import java.util.List;
import org.springframework.boot.SpringApplication;
import org.springframework.context.ConfigurableApplicationContext;
import vividroster.server.VividRosterApplication;
import vividroster.testkit.TestCluster.Database;

/** The real application on a free port over a database of its own. */
public final class RunningServer implements AutoCloseable {

    private static RunningServer shared;

    private final Database database;
    private final ConfigurableApplicationContext context;
    private final int port;

    private RunningServer(Database database, ConfigurableApplicationContext context) {
        this.database = database;
        this.context = context;
        this.port = Integer.parseInt(context.getEnvironment().getRequiredProperty("local.server.port"));
    }

    /** One application for all tests of this JVM, with the demo. Tests that change things open a {@link School}. */
    public static synchronized RunningServer shared() {
        if (shared == null) {
            shared = start(TestCluster.shared().newDatabase(), "yes");
        }
        return shared;
    }

    /** @param demo "yes" fills an empty database with the demo, "no" with an empty programme */
    public static RunningServer start(Database database, String demo) {
        return start(database, demo, 0);
    }

    /** Another one over the same database where this one was, which must be closed. */
    public RunningServer again() {
        return start(database, "no", port);
    }

    private static RunningServer start(Database database, String demo, int port) {
        List<String> settings = new ArrayList<>(settings(database));
        settings.add("--vivid.demo=" + demo);
        settings.add("--server.port=" + port);
        // Hundreds of tests sign in; what a check costs is measured by the bench.
        settings.add("--vivid.password-strength=" + System.getProperty("vivid.password-strength", "4"));
        SpringApplication application = new SpringApplication(VividRosterApplication.class, CountedStatements.class);
        return new RunningServer(database, application.run(settings.toArray(String[]::new)));
    }

    public static List<String> settings(Database database) {
        return List.of(
                "--spring.datasource.url=" + database.url(),
                "--spring.datasource.username=" + database.appUser(),
                "--spring.datasource.password=" + database.appPassword(),
                "--spring.flyway.user=" + database.user(),
                "--spring.flyway.password=" + database.password());
    }

    public String address() {
        return "http://127.0.0.1:" + port;
    }

    public Database database() {
        return database;
    }

    /** How many statements the application has sent to the database so far, those for sessions included. */
    public long statements() {
        return bean(CountedStatements.class).count();
    }

    public <T> T bean(Class<T> type) {
        return context.getBean(type);
    }

    /** A browser's worth of cookies, nobody signed in. */
    public ApiClient visitor() {
        return new ApiClient(address());
    }

    /** The demo's director. */
    public ApiClient demoDirector() {
        return visitor().signIn("odalys", "ferry-to-saltgrass");
    }

    @Override
    public void close() {
        context.close();
    }
}
