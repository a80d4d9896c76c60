package vividroster.server.platform;

import java.io.IOException;
import java.time.LocalDate;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.format.FormatterRegistry;
import org.springframework.http.CacheControl;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.resource.PathResourceResolver;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.music.InstrumentCode;

/** The interface's files; every path that is neither a file nor the API is a screen of the one page. */
@Configuration(proxyBeanMethods = false)
class WebConfig implements WebMvcConfigurer {

    private final InstrumentCatalog catalog;

    WebConfig(InstrumentCatalog catalog) {
        this.catalog = catalog;
    }

    @Override
    public void addFormatters(FormatterRegistry registry) {
        registry.addConverter(String.class, LocalDate.class, new DayEdge.Days());
        registry.addConverter(String.class, InstrumentCode.class, new InstrumentCodes.InAddresses(catalog));
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(new MarkedBy()).addPathPatterns("/api/**");
    }

    @Override
    public void addResourceHandlers(ResourceHandlerRegistry registry) {
        registry.addResourceHandler("/assets/**")
                .addResourceLocations("classpath:/static/assets/")
                .setCacheControl(CacheControl.maxAge(365, TimeUnit.DAYS).immutable());
        registry.addResourceHandler("/**")
                .addResourceLocations("classpath:/static/")
                .setCacheControl(CacheControl.noCache())
                .resourceChain(true)
                .addResolver(new PathResourceResolver() {
                    @Override
                    protected @Nullable Resource getResource(String path, Resource location) throws IOException {
                        Resource file = super.getResource(path, location);
                        boolean screen = !path.contains(".")
                                && !path.startsWith("api/")
                                && !path.startsWith("actuator/")
                                && !path.startsWith("v3/");
                        return file != null || !screen ? file : new ClassPathResource("/static/index.html");
                    }
                });
    }
}
