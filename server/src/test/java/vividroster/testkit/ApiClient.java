package vividroster.testkit;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.CookieManager;
import java.net.CookiePolicy;
import java.net.HttpCookie;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublisher;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Speaks to the API as the interface does: session cookie, CSRF header, JSON. */
public final class ApiClient {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final CookieManager cookies = new CookieManager(null, CookiePolicy.ACCEPT_ALL);
    private final HttpClient http = HttpClient.newBuilder()
            .version(HttpClient.Version.HTTP_1_1)
            .cookieHandler(cookies)
            .connectTimeout(Duration.ofSeconds(5))
            .build();
    private final String address;

    public ApiClient(String address) {
        this.address = address;
    }

    /** An answer; {@link #json} of an empty body is missing. */
    public record Answer(int status, String contentType, byte[] bytes) {

        public String text() {
            return new String(bytes, StandardCharsets.UTF_8);
        }

        public JsonNode json() {
            return JSON.readTree(bytes);
        }

        /** The sentence of a problem. */
        public String sentence() {
            return json().path("detail").asString();
        }

        public String field() {
            return json().path("field").asString();
        }
    }

    public ApiClient signIn(String name, String password) {
        Answer answer = trySignIn(name, password);
        if (answer.status() != 200) {
            throw new IllegalStateException("sign-in answered " + answer.status() + ": " + answer.text());
        }
        get("/api/session"); // brings the token that goes with the new session
        return this;
    }

    /** By name; whoever holds these is who is signed in here. */
    public Map<String, String> cookies() {
        return cookies.getCookieStore().getCookies().stream()
                .collect(Collectors.toMap(HttpCookie::getName, HttpCookie::getValue));
    }

    public Answer trySignIn(String name, String password) {
        get("/api/session");
        return post("/api/session", Map.of("signInName", name, "password", password));
    }

    public Answer get(String path) {
        return send("GET", path, BodyPublishers.noBody(), null, true);
    }

    public Answer post(String path, Object body) {
        return send("POST", path, BodyPublishers.ofByteArray(JSON.writeValueAsBytes(body)), "application/json", true);
    }

    /** @param said headers beside the body */
    public Answer post(String path, Object body, Map<String, String> said) {
        return send(
                "POST", path, BodyPublishers.ofByteArray(JSON.writeValueAsBytes(body)), "application/json", true, said);
    }

    public Answer put(String path, Object body) {
        return send("PUT", path, BodyPublishers.ofByteArray(JSON.writeValueAsBytes(body)), "application/json", true);
    }

    public Answer postWithoutToken(String path, Object body) {
        return send("POST", path, BodyPublishers.ofByteArray(JSON.writeValueAsBytes(body)), "application/json", false);
    }

    public Answer postText(String path, String body) {
        return send("POST", path, BodyPublishers.ofString(body), "application/json", true);
    }

    /** Sends a body as it is, whatever it claims to be. */
    public Answer raw(String method, String path, String body, String type) {
        return send(method, path, BodyPublishers.ofString(body), type, true);
    }

    public Answer delete(String path) {
        return send("DELETE", path, BodyPublishers.noBody(), null, true);
    }

    /** Sends a file as a form would, with text parts after it. */
    public Answer upload(String path, String fileName, byte[] file, Map<String, String> parts) {
        return upload(path, List.of(new Upload(fileName, file)), parts);
    }

    /** A file to be sent. */
    public record Upload(String name, byte[] bytes) {}

    public Answer upload(String path, List<Upload> files, Map<String, String> parts) {
        String boundary = "vivid-boundary";
        var body = new java.io.ByteArrayOutputStream();
        for (Upload file : files) {
            body.writeBytes(("--" + boundary + "\r\nContent-Disposition: form-data; name=\"file\"; filename=\""
                            + file.name() + "\"\r\nContent-Type: text/csv\r\n\r\n")
                    .getBytes(StandardCharsets.UTF_8));
            body.writeBytes(file.bytes());
            body.writeBytes("\r\n".getBytes(StandardCharsets.UTF_8));
        }
        parts.forEach((name, value) -> body.writeBytes(
                ("--" + boundary + "\r\nContent-Disposition: form-data; name=\"" + name + "\"\r\n\r\n" + value + "\r\n")
                        .getBytes(StandardCharsets.UTF_8)));
        body.writeBytes(("--" + boundary + "--\r\n").getBytes(StandardCharsets.UTF_8));
        return send(
                "POST",
                path,
                BodyPublishers.ofByteArray(body.toByteArray()),
                "multipart/form-data; boundary=" + boundary,
                true);
    }

    /** The value of a cookie, empty when there is none. */
    public String cookie(String name) {
        return cookies.getCookieStore().getCookies().stream()
                .filter(cookie -> cookie.getName().equals(name))
                .map(HttpCookie::getValue)
                .findFirst()
                .orElse("");
    }

    private Answer send(String method, String path, BodyPublisher body, String type, boolean token) {
        return send(method, path, body, type, token, Map.of());
    }

    private Answer send(
            String method, String path, BodyPublisher body, String type, boolean token, Map<String, String> said) {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(address + path))
                .method(method, body)
                .timeout(Duration.ofSeconds(60));
        said.forEach(request::header);
        if (type != null) {
            request.header("Content-Type", type);
        }
        if (token) {
            request.header("X-XSRF-TOKEN", cookie("XSRF-TOKEN"));
        }
        try {
            HttpResponse<byte[]> response = http.send(request.build(), BodyHandlers.ofByteArray());
            return new Answer(
                    response.statusCode(),
                    response.headers().firstValue("content-type").orElse(""),
                    response.body());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }
}
