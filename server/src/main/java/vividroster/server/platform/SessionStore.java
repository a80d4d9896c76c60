package vividroster.server.platform;

import com.zaxxer.hikari.HikariConfig;
import com.zaxxer.hikari.HikariDataSource;
import javax.sql.DataSource;
import org.springframework.boot.jdbc.autoconfigure.JdbcConnectionDetails;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.support.JdbcTransactionManager;
import org.springframework.session.jdbc.config.annotation.SpringSessionDataSource;
import org.springframework.transaction.support.TransactionOperations;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Sessions live in the same database through connections of their own that do not wait for the disk: every request
 * touches its session, and losing the last blink of that in a power cut signs nobody out. Attempts and all other data
 * go through the main pool, which does wait.
 */
@Configuration(proxyBeanMethods = false)
class SessionStore {

    @Bean(defaultCandidate = false, destroyMethod = "close")
    @SpringSessionDataSource
    HikariDataSource sessionDataSource(JdbcConnectionDetails database) {
        HikariConfig config = new HikariConfig();
        config.setPoolName("sessions");
        config.setJdbcUrl(database.getJdbcUrl());
        config.setUsername(database.getUsername());
        config.setPassword(database.getPassword());
        config.setMaximumPoolSize(6);
        config.setConnectionTimeout(5000);
        config.setConnectionInitSql("set synchronous_commit = off");
        return new HikariDataSource(config);
    }

    @Bean
    TransactionOperations springSessionTransactionOperations(@SpringSessionDataSource DataSource sessions) {
        return new TransactionTemplate(new JdbcTransactionManager(sessions));
    }
}
