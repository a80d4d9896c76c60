package vividroster.testkit;

import java.util.concurrent.atomic.AtomicLong;
import javax.sql.DataSource;
import net.ttddyy.dsproxy.ExecutionInfo;
import net.ttddyy.dsproxy.QueryInfo;
import net.ttddyy.dsproxy.listener.QueryExecutionListener;
import net.ttddyy.dsproxy.support.ProxyDataSourceBuilder;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.context.annotation.Configuration;

/** Counts the statements of the application under test, through whichever of its pools they go. */
@Configuration(proxyBeanMethods = false)
class CountedStatements implements BeanPostProcessor {

    private final AtomicLong count = new AtomicLong();

    long count() {
        return count.get();
    }

    @Override
    public Object postProcessAfterInitialization(Object bean, String name) {
        if (!(bean instanceof DataSource pool)) {
            return bean;
        }
        return ProxyDataSourceBuilder.create(pool)
                .listener(new QueryExecutionListener() {
                    @Override
                    public void beforeQuery(ExecutionInfo execution, java.util.List<QueryInfo> queries) {
                        count.addAndGet(Math.max(1, queries.size()));
                    }

                    @Override
                    public void afterQuery(ExecutionInfo execution, java.util.List<QueryInfo> queries) {}
                })
                .build();
    }
}
