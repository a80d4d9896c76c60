package vividroster.server.platform;

import io.swagger.v3.oas.models.OpenAPI;
import io.swagger.v3.oas.models.info.Info;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.springdoc.core.customizers.OpenApiCustomizer;
import org.springdoc.core.utils.SpringDocUtils;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.ClassPathScanningCandidateComponentProvider;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.type.filter.AssignableTypeFilter;
import org.springframework.util.ClassUtils;
import vividroster.core.music.InstrumentCode;

/** The documented API. Properties are required unless marked {@link Absent}, so that generated clients know. */
@Configuration(proxyBeanMethods = false)
class ApiDocs {

    static {
        SpringDocUtils.getConfig()
                .replaceWithClass(InstrumentCode.class, String.class)
                .addSimpleTypesForParameterObject(InstrumentCode.class);
    }

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
    OpenApiCustomizer requiredUnlessAbsent() {
        return api -> {
            api.setServers(List.of());
            Map<String, List<List<String>>> required = requiredByRecord();
            api.getComponents().getSchemas().forEach((name, schema) -> {
                List<List<String>> ofName = required.getOrDefault(name, List.of());
                if (ofName.size() > 1) {
                    throw new IllegalStateException("Two records are called " + name
                            + "; the document would tell of one as if it were the other.");
                }
                schema.setRequired(ofName.isEmpty() ? null : ofName.getFirst());
            });
        };
    }

    /** Records of the API by simple name, the name the document gives their schemas. */
    private static Map<String, List<List<String>>> requiredByRecord() {
        ClassPathScanningCandidateComponentProvider records = new ClassPathScanningCandidateComponentProvider(false) {
            @Override
            protected boolean isCandidateComponent(
                    org.springframework.beans.factory.annotation.AnnotatedBeanDefinition definition) {
                return true;
            }
        };
        records.addIncludeFilter(new AssignableTypeFilter(Record.class));
        Map<String, List<List<String>>> required = new HashMap<>();
        records.findCandidateComponents("vividroster.server").forEach(found -> {
            Class<?> type = ClassUtils.resolveClassName(found.getBeanClassName(), null);
            required.computeIfAbsent(type.getSimpleName(), name -> new ArrayList<>())
                    .add(Arrays.stream(type.getRecordComponents())
                            .filter(component -> !component.isAnnotationPresent(Absent.class))
                            .map(RecordComponent::getName)
                            .sorted()
                            .toList());
        });
        return required;
    }
}
