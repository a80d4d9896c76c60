package vividroster.bench;

import java.io.IOException;
import java.util.Map;
import org.apache.hc.client5.http.classic.methods.HttpGet;
import org.apache.hc.client5.http.classic.methods.HttpPost;
import org.apache.hc.client5.http.cookie.BasicCookieStore;
import org.apache.hc.client5.http.impl.classic.CloseableHttpClient;
import org.apache.hc.client5.http.impl.classic.HttpClients;
import org.apache.hc.core5.http.ClassicHttpRequest;
import org.apache.hc.core5.http.ContentType;
import org.apache.hc.core5.http.io.entity.EntityUtils;
import org.apache.hc.core5.http.io.entity.StringEntity;
import tools.jackson.databind.json.JsonMapper;

/** One kept connection and no threads of its own, so that what is timed is the server. */
final class BlockingClient {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final BasicCookieStore cookies = new BasicCookieStore();
    private final CloseableHttpClient http =
            HttpClients.custom().setDefaultCookieStore(cookies).build();
    private final String address;

    BlockingClient(String address) {
        this.address = address;
    }

    BlockingClient signIn(String name, String password) throws IOException {
        send(new HttpGet(address + "/api/session"), 401);
        post("/api/session", Map.of("signInName", name, "password", password));
        get("/api/session");
        return this;
    }

    void get(String path) throws IOException {
        send(new HttpGet(address + path), 200);
    }

    /** Whatever comes of it. */
    void postAny(String path, Object body) throws IOException {
        post(path, body, -1);
    }

    void post(String path, Object body) throws IOException {
        post(path, body, 200);
    }

    private void post(String path, Object body, int expected) throws IOException {
        HttpPost post = new HttpPost(address + path);
        post.setEntity(new StringEntity(JSON.writeValueAsString(body), ContentType.APPLICATION_JSON));
        cookies.getCookies().stream()
                .filter(cookie -> cookie.getName().equals("XSRF-TOKEN"))
                .forEach(cookie -> post.setHeader("X-XSRF-TOKEN", cookie.getValue()));
        send(post, expected);
    }

    private void send(ClassicHttpRequest request, int expected) throws IOException {
        http.execute(request, response -> {
            String text = EntityUtils.toString(response.getEntity());
            if (expected > 0 && response.getCode() != expected) {
                throw new IOException(request + " answered " + response.getCode() + ": " + text);
            }
            return text;
        });
    }
}
