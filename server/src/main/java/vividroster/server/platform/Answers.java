package vividroster.server.platform;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import tools.jackson.databind.ObjectMapper;

/** Problem details from where no controller answers. */
final class Answers {

    private Answers() {}

    static void write(HttpServletResponse response, ObjectMapper json, HttpStatus status, String sentence)
            throws IOException {
        response.setStatus(status.value());
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.setCharacterEncoding(StandardCharsets.UTF_8.name());
        response.getWriter().write(json.writeValueAsString(ProblemAdvice.detail(status, sentence, null)));
    }
}
