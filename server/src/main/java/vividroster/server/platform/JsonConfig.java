package vividroster.server.platform;

import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonValue;
import com.fasterxml.jackson.annotation.Nulls;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Map;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import tools.jackson.databind.module.SimpleModule;
import vividroster.core.curriculum.SchoolChoices;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;

@Configuration(proxyBeanMethods = false)
class JsonConfig {

    /** A list with a hole in it is no list; refused before any code has to think of it. */
    @Bean
    JsonMapperBuilderCustomizer noHolesInLists() {
        return builder -> builder.changeDefaultNullHandling(before -> before.withContentNulls(Nulls.FAIL));
    }

    /** Values of core that are one text or one map in JSON, whatever they are called inside. */
    @Bean
    JsonMapperBuilderCustomizer plainValues() {
        return builder -> builder.addMixIn(SchoolChoices.class, PlainChoices.class);
    }

    private abstract static class PlainChoices {
        @JsonCreator(mode = JsonCreator.Mode.DELEGATING)
        PlainChoices(Map<String, String> byQuestion) {}

        @JsonValue
        abstract Map<String, String> byQuestion();
    }

    /** Text, days, moments and instruments of JSON bodies come in by the same rules as those of addresses. */
    @Bean
    JsonMapperBuilderCustomizer edges(InstrumentCatalog catalog) {
        return builder -> builder.addModule(new SimpleModule("edges")
                .addDeserializer(String.class, new TextEdge.Texts())
                .addKeyDeserializer(String.class, new TextEdge.Keys())
                .addDeserializer(LocalDate.class, new DayEdge.JsonDays())
                .addDeserializer(Instant.class, new DayEdge.JsonMoments())
                .addDeserializer(InstrumentCode.class, new InstrumentCodes.FromJson(catalog))
                .addSerializer(InstrumentCode.class, new InstrumentCodes.ToJson()));
    }
}
