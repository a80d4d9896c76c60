package vividroster.server.platform;

import com.fasterxml.jackson.annotation.Nulls;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

@Configuration(proxyBeanMethods = false)
class JsonConfig {

    /** A list with a hole in it is no list; refused before any code has to think of it. */
    @Bean
    JsonMapperBuilderCustomizer noHolesInLists() {
        return builder -> builder.changeDefaultNullHandling(before -> before.withContentNulls(Nulls.FAIL));
    }
}
