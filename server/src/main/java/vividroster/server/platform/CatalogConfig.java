package vividroster.server.platform;

import java.time.Clock;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import vividroster.core.instrument.InstrumentCatalog;
import vividroster.core.testing.HearingTime;
import vividroster.formats.catalog.InstrumentCatalogFile;

@Configuration(proxyBeanMethods = false)
class CatalogConfig {

    @Bean
    InstrumentCatalog instrumentCatalog() {
        return InstrumentCatalogFile.shipped();
    }

    /** The one clock; everything else is told what time it is. */
    @Bean
    Clock clock() {
        return Clock.systemUTC();
    }

    @Bean
    HearingTime hearingTime() {
        return HearingTime.DEFAULT;
    }
}
