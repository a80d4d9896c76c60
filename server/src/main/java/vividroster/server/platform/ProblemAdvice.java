package vividroster.server.platform;

import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import org.apache.tomcat.util.http.fileupload.impl.FileCountLimitExceededException;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.NestedExceptionUtils;
import org.springframework.dao.DataAccessException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.security.core.AuthenticationException;
import org.springframework.transaction.TransactionException;
import org.springframework.validation.FieldError;
import org.springframework.web.bind.MethodArgumentNotValidException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.multipart.MultipartException;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.DatabindException;

/** Every error as problem details: a status, a sentence a director understands and, for input, the field. */
@RestControllerAdvice
class ProblemAdvice extends ResponseEntityExceptionHandler {

    private static final Logger LOG = LoggerFactory.getLogger(ProblemAdvice.class);

    static ProblemDetail detail(HttpStatusCode status, String sentence, @Nullable String field) {
        ProblemDetail detail = ProblemDetail.forStatusAndDetail(status, sentence);
        if (field != null) {
            detail.setProperty("field", field);
        }
        return detail;
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> problem(Problem problem) {
        HttpHeaders headers = new HttpHeaders();
        problem.retryAfter()
                .ifPresent(wait -> headers.set(
                        HttpHeaders.RETRY_AFTER,
                        String.valueOf(wait.plusMillis(999).toSeconds())));
        return ResponseEntity.status(problem.status())
                .headers(headers)
                .body(detail(
                        problem.status(), problem.getMessage(), problem.field().orElse(null)));
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> wrongType(MethodArgumentTypeMismatchException e) {
        HttpStatus status = told(e).map(Problem::status).orElse(HttpStatus.BAD_REQUEST);
        return ResponseEntity.status(status)
                .body(detail(
                        status,
                        told(e).map(Problem::getMessage)
                                .orElseGet(() -> "\"" + DayEdge.shortened(String.valueOf(e.getValue()))
                                        + "\" cannot be read as " + e.getName() + "."),
                        e.getName()));
    }

    /** A problem that was thrown while something was read, and came wrapped. */
    private static Optional<Problem> told(Throwable e) {
        return Stream.iterate(e, Objects::nonNull, Throwable::getCause)
                .limit(20)
                .filter(Problem.class::isInstance)
                .map(Problem.class::cast)
                .findFirst();
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> clash(DataIntegrityViolationException e) {
        String constraint = Clashes.constraint(e).orElse("unnamed");
        LOG.warn("A write was refused by the constraint {}", constraint);
        return ResponseEntity.status(HttpStatus.CONFLICT)
                .body(detail(
                        HttpStatus.CONFLICT,
                        "This does not go together with what is there, perhaps since somebody was quicker; load the page"
                                + " again. Nothing was changed.",
                        null));
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> brokenForm(MultipartException e) {
        return told(e).map(this::problem)
                .orElseGet(() -> ResponseEntity.badRequest()
                        .body(detail(
                                HttpStatus.BAD_REQUEST, "The form could not be read; nothing was changed.", null)));
    }

    @ExceptionHandler({AccessDeniedException.class, AuthenticationException.class})
    void leaveToSecurity(RuntimeException e) {
        throw e;
    }

    @ExceptionHandler({DataAccessException.class, TransactionException.class})
    ResponseEntity<ProblemDetail> database(Exception e) {
        if (!DatabaseAway.isAway(e)) {
            return unexpected(e);
        }
        LOG.warn("The database does not answer: {}", e.getMessage());
        return ResponseEntity.status(HttpStatus.SERVICE_UNAVAILABLE)
                .header(HttpHeaders.RETRY_AFTER, "2")
                .body(detail(HttpStatus.SERVICE_UNAVAILABLE, DatabaseAway.SENTENCE, null));
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> unexpected(Exception e) {
        String mark = Ids.next().toString().substring(24);
        LOG.error("Unexpected, answered with mark {}", mark, e);
        return ResponseEntity.internalServerError()
                .body(detail(
                        HttpStatus.INTERNAL_SERVER_ERROR,
                        "Something went wrong in the server and nothing was changed. The log has it under " + mark
                                + ".",
                        null));
    }

    @Override
    protected ResponseEntity<Object> handleMethodArgumentNotValid(
            MethodArgumentNotValidException e, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        FieldError error = e.getBindingResult().getFieldError();
        String field = error == null ? null : error.getField();
        String sentence = error == null ? "Something in the request is missing." : sentence(error);
        return ResponseEntity.unprocessableContent().body(detail(HttpStatus.UNPROCESSABLE_CONTENT, sentence, field));
    }

    private static @Nullable String sentence(FieldError error) {
        return error.contains(Throwable.class)
                ? told(error.unwrap(Throwable.class))
                        .map(Problem::getMessage)
                        .orElseGet(() -> "\"" + DayEdge.shortened(String.valueOf(error.getRejectedValue()))
                                + "\" cannot be read as " + error.getField() + ".")
                : error.getDefaultMessage();
    }

    @Override
    protected ResponseEntity<Object> handleHttpMessageNotReadable(
            HttpMessageNotReadableException e, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        Optional<Problem> told = told(e);
        String field = e.getCause() instanceof DatabindException broken
                ? broken.getPath().stream()
                        .map(JacksonException.Reference::getPropertyName)
                        .filter(Objects::nonNull)
                        .reduce((first, last) -> last)
                        .orElse(null)
                : null;
        HttpStatus answer = told.map(Problem::status).orElse(HttpStatus.BAD_REQUEST);
        String sentence = told.map(Problem::getMessage)
                .orElse(
                        field == null
                                ? "The request could not be read; nothing was changed."
                                : "\"" + field + "\" could not be read; nothing was changed.");
        return ResponseEntity.status(answer).body(detail(answer, sentence, field));
    }

    @Override
    protected ResponseEntity<Object> handleMaxUploadSizeExceededException(
            MaxUploadSizeExceededException e, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        boolean tooMany = NestedExceptionUtils.getRootCause(e) instanceof FileCountLimitExceededException;
        return ResponseEntity.unprocessableContent()
                .body(detail(
                        HttpStatus.UNPROCESSABLE_CONTENT,
                        tooMany ? Uploads.TOO_MANY_FILES : "The file is larger than 10 MB; nothing was changed.",
                        "file"));
    }
}
