package vividroster.server.platform;

import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Lets writes that replace a whole thing take turns, in whichever instance they run. */
@Component
public class Locks {

    private final JdbcClient jdbc;

    Locks(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** Waits until nobody else writes this thing of the programme; held until the transaction ends. */
    @Transactional(propagation = Propagation.MANDATORY)
    public void hold(UUID programId, String thing) {
        jdbc.sql("select pg_advisory_xact_lock(hashtextextended(:thing, 0))::text -- of a program_id")
                .param("thing", programId + " " + thing)
                .query(String.class)
                .single();
    }
}
