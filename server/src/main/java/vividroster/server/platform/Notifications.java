package vividroster.server.platform;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Properties;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.function.Consumer;
import org.postgresql.PGConnection;
import org.postgresql.PGNotification;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.jdbc.autoconfigure.JdbcConnectionDetails;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;

/**
 * What PostgreSQL tells every instance of the application, over a connection of its own. While that is lost nothing is
 * heard; whoever listens is told when it is there again and asks for what came meanwhile.
 */
@Component
public class Notifications implements SmartLifecycle {

    private static final Logger LOG = LoggerFactory.getLogger(Notifications.class);

    /** How long one look waits; also how soon a lost connection is noticed. */
    private static final Duration LOOK = Duration.ofSeconds(2);

    private static final Duration AGAIN = Duration.ofSeconds(1);

    private final JdbcConnectionDetails database;
    private final Map<Channel, List<Consumer<String>>> listeners = new ConcurrentHashMap<>();
    private final List<Runnable> whenBack = new CopyOnWriteArrayList<>();
    private volatile boolean running;
    private Thread listening;

    /** What is told of. */
    public enum Channel {
        /** Attempts of a programme were recorded; its id. */
        MARKS("vivid_marks"),
        /** Somebody sits down at a desk or leaves it; as JSON. */
        DESKS("vivid_desks");

        private final String name;

        Channel(String name) {
            this.name = name;
        }

        public String channel() {
            return name;
        }
    }

    Notifications(JdbcConnectionDetails database) {
        this.database = database;
    }

    /** Calls back on the listening thread with what was told; must be quick. */
    public void on(Channel channel, Consumer<String> listener) {
        listeners.computeIfAbsent(channel, c -> new CopyOnWriteArrayList<>()).add(listener);
    }

    /** Calls back when listening begins, and begins again after the connection was lost. */
    public void whenBack(Runnable listener) {
        whenBack.add(listener);
    }

    @Override
    public void start() {
        running = true;
        listening = Thread.ofPlatform().name("notifications").daemon().start(this::listen);
    }

    @Override
    public void stop() {
        running = false;
        listening.interrupt();
    }

    @Override
    public boolean isRunning() {
        return running;
    }

    private void listen() {
        while (running) {
            try (Connection connection = connect()) {
                try (Statement statement = connection.createStatement()) {
                    for (Channel channel : Channel.values()) {
                        statement.execute("listen " + channel.channel());
                    }
                }
                whenBack.forEach(Runnable::run);
                hear(connection.unwrap(PGConnection.class));
            } catch (SQLException e) {
                LOG.debug("The connection that hears of marks was lost; it is opened again.");
                pause();
            }
        }
    }

    private void hear(PGConnection connection) throws SQLException {
        while (running) {
            for (PGNotification told : connection.getNotifications((int) LOOK.toMillis())) {
                for (Channel channel : Channel.values()) {
                    if (channel.channel().equals(told.getName())) {
                        listeners.getOrDefault(channel, List.of()).forEach(l -> tell(l, told.getParameter()));
                    }
                }
            }
        }
    }

    private static void tell(Consumer<String> listener, String told) {
        try {
            listener.accept(told);
        } catch (RuntimeException e) {
            LOG.warn("What was told could not be passed on.", e);
        }
    }

    private Connection connect() throws SQLException {
        Properties properties = new Properties();
        properties.setProperty("user", database.getUsername());
        properties.setProperty("password", database.getPassword());
        properties.setProperty("connectTimeout", "5");
        properties.setProperty("tcpKeepAlive", "true");
        properties.setProperty("ApplicationName", "vivid-roster-listener");
        return DriverManager.getConnection(database.getJdbcUrl(), properties);
    }

    private static void pause() {
        try {
            Thread.sleep(AGAIN);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
