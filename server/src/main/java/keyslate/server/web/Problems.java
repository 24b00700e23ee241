package keyslate.server.web;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.nio.file.FileSystemException;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import keyslate.core.quantity.QuantityException;
import keyslate.store.StorageException;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.TypeMismatchException;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.multipart.MultipartException;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.exc.MismatchedInputException;

/** Every failure as a problem document (RFC 9457) with a stable code and the fields that are wrong. */
@RestControllerAdvice
class Problems extends ResponseEntityExceptionHandler {
    private static final Logger LOG = LoggerFactory.getLogger(Problems.class);
    /** How the systems this runs on say it. */
    private static final String NO_SPACE = "No space left on device";

    @ExceptionHandler
    ResponseEntity<ProblemDetail> refused(RefusedException e) {
        return problem(HttpStatus.UNPROCESSABLE_CONTENT, "refused", "That cannot be set", e.getMessage(), e.errors());
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> quantity(QuantityException e) {
        FieldErrors.FieldError error = new FieldErrors.FieldError("", e.kind().code(), e.getMessage());
        return problem(
                HttpStatus.UNPROCESSABLE_CONTENT, "refused", "That cannot be set", e.getMessage(), List.of(error));
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> conflict(ConflictException e) {
        return problem(HttpStatus.CONFLICT, e.code(), "Changed meanwhile", e.getMessage(), List.of());
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> notFound(NotFoundException e) {
        return problem(HttpStatus.NOT_FOUND, "not-found", "Not here", e.getMessage(), List.of());
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> storage(StorageException e) {
        LOG.error("The data file cannot be written", e);
        return e.isFull()
                ? problem(HttpStatus.INSUFFICIENT_STORAGE, "storage", "Not saved", e.getMessage(), List.of())
                : problem(HttpStatus.SERVICE_UNAVAILABLE, "storage-out", "Not saved", e.getMessage(), List.of());
    }

    /** Not even a connection to the data file can be had. */
    @ExceptionHandler
    ResponseEntity<ProblemDetail> noConnection(DataAccessResourceFailureException e) {
        return storage(new StorageException("The data file does not answer. Nothing was changed; try again.", e));
    }

    /** Files beside the data file: uploads while they are looked at. */
    @ExceptionHandler({IOException.class, UncheckedIOException.class, MultipartException.class})
    ResponseEntity<ProblemDetail> file(Exception e) {
        for (Throwable cause = e; cause != null; cause = cause.getCause()) {
            if (cause instanceof FileSystemException
                    || cause instanceof IOException
                            && String.valueOf(cause.getMessage()).contains(NO_SPACE)) {
                boolean full = String.valueOf(cause.getMessage()).contains(NO_SPACE);
                return storage(
                        full
                                ? StorageException.full(e)
                                : new StorageException(
                                        "The data folder cannot be written. Check its permissions, then try again.",
                                        e));
            }
        }
        return e instanceof MultipartException
                ? problem(HttpStatus.BAD_REQUEST, "not-a-form", "Not readable", "The form is not readable.", List.of())
                : unexpected(e);
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> tooLarge(LimitedStream.TooLargeException e) {
        return problem(HttpStatus.CONTENT_TOO_LARGE, "too-large", "Too large", e.getMessage(), List.of());
    }

    /** Two requests that were right for the same state: the second one finds its place taken. */
    @ExceptionHandler
    ResponseEntity<ProblemDetail> clash(DataIntegrityViolationException e) {
        LOG.warn("A write met another one: {}", e.getMessage());
        return problem(
                HttpStatus.CONFLICT,
                "changed-meanwhile",
                "Changed meanwhile",
                "Something else was faster. Nothing was changed; look again, then try again.",
                List.of());
    }

    @ExceptionHandler(RuntimeException.class)
    ResponseEntity<ProblemDetail> unexpected(Exception e) {
        LOG.error("Unexpected failure", e);
        return problem(
                HttpStatus.INTERNAL_SERVER_ERROR,
                "unexpected",
                "Something went wrong",
                "Nothing was changed. The details are in the log of the program.",
                List.of());
    }

    @Override
    protected ResponseEntity<Object> handleHttpMessageNotReadable(
            HttpMessageNotReadableException e,
            org.springframework.http.HttpHeaders headers,
            org.springframework.http.HttpStatusCode status,
            org.springframework.web.context.request.WebRequest request) {
        if (e.getCause() instanceof MismatchedInputException mismatch) {
            String pointer = pointer(mismatch);
            FieldErrors errors = Refusals.current().errors();
            errors.add(pointer, "E_TYPE", expected(mismatch.getTargetType()));
            ProblemDetail detail = detail(
                    HttpStatus.UNPROCESSABLE_CONTENT,
                    "refused",
                    "That cannot be set",
                    expected(mismatch.getTargetType()));
            detail.setProperty("errors", errors.all());
            return new ResponseEntity<>(detail, HttpStatus.UNPROCESSABLE_CONTENT);
        }
        ProblemDetail detail = detail(
                HttpStatus.BAD_REQUEST, "not-json", "Not readable", "The request is not the JSON that belongs here.");
        return new ResponseEntity<>(detail, HttpStatus.BAD_REQUEST);
    }

    /** A part of the address that is not of its kind, such as a word where a number belongs. */
    @Override
    protected ResponseEntity<Object> handleTypeMismatch(
            TypeMismatchException e,
            org.springframework.http.HttpHeaders headers,
            org.springframework.http.HttpStatusCode status,
            org.springframework.web.context.request.WebRequest request) {
        String text = expected(e.getRequiredType());
        ProblemDetail detail = detail(HttpStatus.UNPROCESSABLE_CONTENT, "refused", "That cannot be set", text);
        detail.setProperty("errors", List.of(new FieldErrors.FieldError("/" + e.getPropertyName(), "E_TYPE", text)));
        return new ResponseEntity<>(detail, HttpStatus.UNPROCESSABLE_CONTENT);
    }

    /** What the framework itself refuses gets a stable code too: the name of its status. */
    @Override
    protected ResponseEntity<Object> handleExceptionInternal(
            Exception e,
            @Nullable Object body,
            org.springframework.http.HttpHeaders headers,
            org.springframework.http.HttpStatusCode status,
            org.springframework.web.context.request.WebRequest request) {
        ResponseEntity<Object> answer = super.handleExceptionInternal(e, body, headers, status, request);
        if (answer != null && answer.getBody() instanceof ProblemDetail detail) {
            HttpStatus known = HttpStatus.resolve(status.value());
            String code = known == null
                    ? "refused"
                    : known.name().toLowerCase(Locale.ROOT).replace('_', '-');
            detail.setProperty("code", code);
            if (known == HttpStatus.NOT_FOUND) {
                detail.setDetail("There is nothing at this address.");
            }
        }
        return answer;
    }

    private static String expected(@Nullable Class<?> type) {
        if (type == boolean.class || type == Boolean.class) {
            return "true or false belongs here";
        }
        boolean number = type != null && (Number.class.isAssignableFrom(type) || type.isPrimitive());
        if (type != null && type.isEnum()) {
            return "one of "
                    + Arrays.stream(type.getEnumConstants())
                            .map(Object::toString)
                            .collect(Collectors.joining(", ")) + " belongs here";
        }
        return number ? "a number belongs here" : "this does not belong here";
    }

    private static String pointer(MismatchedInputException e) {
        return e.getPath().stream()
                .map((JacksonException.Reference r) ->
                        "/" + (r.getPropertyName() != null ? r.getPropertyName() : r.getIndex()))
                .collect(Collectors.joining());
    }

    private static ResponseEntity<ProblemDetail> problem(
            HttpStatus status, String code, String title, String text, List<FieldErrors.FieldError> errors) {
        ProblemDetail detail = detail(status, code, title, text);
        if (!errors.isEmpty()) {
            detail.setProperty("errors", errors);
        }
        return new ResponseEntity<>(detail, status);
    }

    /** What can be said where only the status is known. */
    static ProblemDetail of(HttpStatus status) {
        boolean missing = status == HttpStatus.NOT_FOUND;
        return detail(
                status,
                status.name().toLowerCase(Locale.ROOT).replace('_', '-'),
                missing ? "Not here" : "Refused",
                missing ? "There is nothing at this address." : "The request cannot be answered. Nothing was changed.");
    }

    private static ProblemDetail detail(HttpStatus status, String code, String title, String text) {
        ProblemDetail detail = ProblemDetail.forStatusAndDetail(status, text);
        detail.setTitle(title);
        detail.setType(URI.create("urn:key-slate:problem:" + code));
        detail.setProperty("code", code);
        return detail;
    }
}
