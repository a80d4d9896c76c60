package vividroster.server.platform;

import com.zaxxer.hikari.HikariConfig;
import com.zaxxer.hikari.HikariDataSource;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.boot.jdbc.autoconfigure.JdbcConnectionDetails;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;
import org.springframework.session.jdbc.config.annotation.SpringSessionDataSource;
import org.springframework.transaction.support.TransactionOperations;

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
        config.setConnectionInitSql(
                "set synchronous_commit = off; set statement_timeout = '5s'; set lock_timeout = '2s'");
        config.addDataSourceProperty("connectTimeout", "5");
        config.addDataSourceProperty("socketTimeout", "10");
        config.addDataSourceProperty("logServerErrorDetail", "false");
        return new HikariDataSource(config);
    }

    /** Wraps the store that Spring Session makes; a store of our own would keep it from being made. */
    @Bean
    static BeanPostProcessor rarelyTouchedSessions() {
        return new BeanPostProcessor() {
            @Override
            public Object postProcessAfterInitialization(Object bean, String name) {
                return bean instanceof JdbcIndexedSessionRepository sessions
                        ? new RarelyTouchedSessions<>(sessions)
                        : bean;
            }
        };
    }

    /** A session is one row and its attributes, each written whole: no transaction is needed around them. */
    @Bean
    TransactionOperations springSessionTransactionOperations() {
        return TransactionOperations.withoutTransaction();
    }
}
