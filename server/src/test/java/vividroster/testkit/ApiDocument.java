package vividroster.testkit;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The API as its kept document describes it, for tests that walk every address. */
public final class ApiDocument {

    private final JsonNode document;

    private ApiDocument(JsonNode document) {
        this.document = document;
    }

    public static ApiDocument kept() {
        try {
            return new ApiDocument(JsonMapper.builder()
                    .build()
                    .readTree(Files.readAllBytes(TestCluster.projectRoot().resolve("docs/openapi.json"))));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /**
     * @param method in capital letters
     * @param path with names in braces
     * @param parameters by name, with the schema of each and where it stands
     * @param body schema of a JSON body; missing where there is none
     */
    public record Operation(
            String method, String path, Map<String, Parameter> parameters, JsonNode body, boolean multipart) {

        @Override
        public String toString() {
            return method + " " + path;
        }
    }

    /** @param in "path" or "query" */
    public record Parameter(String in, JsonNode schema) {}

    public List<Operation> operations() {
        List<Operation> found = new ArrayList<>();
        JsonNode paths = document.path("paths");
        for (String path : paths.propertyNames()) {
            for (String method : paths.path(path).propertyNames()) {
                JsonNode operation = paths.path(path).path(method);
                Map<String, Parameter> parameters = new LinkedHashMap<>();
                operation
                        .path("parameters")
                        .forEach(p -> parameters.put(
                                p.path("name").asString(),
                                new Parameter(p.path("in").asString(), resolved(p.path("schema")))));
                JsonNode content = operation.path("requestBody").path("content");
                found.add(new Operation(
                        method.toUpperCase(),
                        path,
                        parameters,
                        resolved(content.path("application/json").path("schema")),
                        content.has("multipart/form-data")));
            }
        }
        return found;
    }

    /** What a reference stands for. */
    public JsonNode resolved(JsonNode schema) {
        String reference = schema.path("$ref").asString();
        return reference.isEmpty() ? schema : document.at(reference.substring(1));
    }
}
