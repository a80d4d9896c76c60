package vividroster.server.platform;

import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import io.swagger.v3.oas.models.media.Schema;
import java.lang.annotation.Annotation;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springdoc.core.customizers.PropertyCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The documented API. Properties are required unless marked {@link Absent}, so that generated clients know. */
@Configuration(proxyBeanMethods = false)
class ApiDocs {

    @Bean
    OpenAPI openApi() {
        return new OpenAPI()
                .info(new Info()
                        .title("Vivid Roster")
                        .version("1")
                        .description("Sections, milestones, orders, attempts and where everybody stands."))
                .servers(List.of());
    }

    @Bean
    PropertyCustomizer requiredUnlessAbsent() {
        return (property, type) -> {
            Schema<?> parent = type.getParent();
            Annotation[] annotations = type.getCtxAnnotations();
            boolean absent = annotations != null && Arrays.stream(annotations).anyMatch(a -> a instanceof Absent);
            if (parent != null && !absent) {
                parent.addRequiredItem(type.getPropertyName());
            }
            return property;
        };
    }

    @Bean
    OpenApiCustomizer stable() {
        return api -> {
            api.setServers(List.of());
            if (api.getComponents() != null && api.getComponents().getSchemas() != null) {
                api.getComponents().getSchemas().values().stream()
                        .filter(schema -> schema.getRequired() != null)
                        .forEach(schema -> schema.setRequired(((Stream<?>) schema.getRequired().stream())
                                .map(Object::toString)
                                .distinct()
                                .sorted()
                                .toList()));
            }
        };
    }
}
