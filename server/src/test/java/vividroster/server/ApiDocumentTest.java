package vividroster.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import tools.jackson.core.util.DefaultIndenter;
import tools.jackson.core.util.DefaultPrettyPrinter;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import vividroster.testkit.RunningServer;
import vividroster.testkit.TestCluster;

/** The API document that the interface's types are made from is the one the server serves. */
class ApiDocumentTest {

    @Test
    void theDocumentKeptIsTheOneServed() throws IOException {
        DefaultIndenter indenter = new DefaultIndenter(" ", "\n");
        JsonMapper json = JsonMapper.builder()
                .enable(SerializationFeature.ORDER_MAP_ENTRIES_BY_KEYS, SerializationFeature.INDENT_OUTPUT)
                .defaultPrettyPrinter(
                        new DefaultPrettyPrinter().withObjectIndenter(indenter).withArrayIndenter(indenter))
                .build();
        Object served = json.readValue(
                RunningServer.shared().demoDirector().get("/v3/api-docs").text(), Object.class);
        String text = json.writeValueAsString(served) + "\n";
        Path kept = TestCluster.projectRoot().resolve("docs/openapi.json");
        if ("yes".equals(System.getProperty("vivid.write-api-document"))) {
            Files.writeString(kept, text);
        }
        assertThat(Files.readString(kept))
                .as("run the test with -Dvivid.write-api-document=yes to keep the new one")
                .isEqualTo(text);
    }
}
