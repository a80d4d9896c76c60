package vividroster.server.platform;

import com.fasterxml.jackson.annotation.Nulls;
import java.time.Instant;
import java.time.LocalDate;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import tools.jackson.databind.module.SimpleModule;

@Configuration(proxyBeanMethods = false)
class JsonConfig {

    /** A list with a hole in it is no list; refused before any code has to think of it. */
    @Bean
    JsonMapperBuilderCustomizer noHolesInLists() {
        return builder -> builder.changeDefaultNullHandling(before -> before.withContentNulls(Nulls.FAIL));
    }

    /** Text, days and moments of JSON bodies come in by the same rules as those of addresses. */
    @Bean
    JsonMapperBuilderCustomizer edges() {
        return builder -> builder.addModule(new SimpleModule("edges")
                .addDeserializer(String.class, new TextEdge.Texts())
                .addKeyDeserializer(String.class, new TextEdge.Keys())
                .addDeserializer(LocalDate.class, new DayEdge.JsonDays())
                .addDeserializer(Instant.class, new DayEdge.JsonMoments()));
    }
}
