package app.hodegon.server.http;

import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.TypeMismatchException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.security.authentication.BadCredentialsException;
import org.springframework.web.bind.MethodArgumentNotValidException;
import org.springframework.web.bind.MissingServletRequestParameterException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.method.annotation.HandlerMethodValidationException;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.servlet.HandlerMapping;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.exc.InvalidFormatException;

/** Turns every refusal into a problem document (RFC 9457) that names the field and says what would be accepted. */
@RestControllerAdvice
class Problems extends ResponseEntityExceptionHandler {

    private static final Logger LOG = LoggerFactory.getLogger(Problems.class);

    /**
     * @param field path of the field in the request
     */
    record FieldError(String field, String message) {}

    @ExceptionHandler
    ProblemDetail invalid(Invalid invalid) {
        return withFields(
                ProblemDetail.forStatusAndDetail(HttpStatus.UNPROCESSABLE_CONTENT, invalid.getMessage()),
                List.of(new FieldError(invalid.field(), invalid.getMessage())));
    }

    @ExceptionHandler
    ProblemDetail invalid(InvalidParts invalid) {
        return withFields(
                ProblemDetail.forStatusAndDetail(HttpStatus.UNPROCESSABLE_CONTENT, invalid.getMessage()),
                invalid.parts().stream()
                        .map(p -> new FieldError(p.field(), p.message()))
                        .toList());
    }

    @ExceptionHandler
    ProblemDetail notFound(NotFound notFound) {
        return ProblemDetail.forStatusAndDetail(HttpStatus.NOT_FOUND, notFound.getMessage());
    }

    @ExceptionHandler
    ProblemDetail conflict(Conflict conflict) {
        return ProblemDetail.forStatusAndDetail(HttpStatus.CONFLICT, conflict.getMessage());
    }

    @ExceptionHandler
    ProblemDetail stale(Stale stale) {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(HttpStatus.PRECONDITION_FAILED, stale.getMessage());
        problem.setProperties(Map.of("current", stale.current()));
        return problem;
    }

    @ExceptionHandler
    ProblemDetail unnamed(Stale.Unnamed unnamed) {
        return ProblemDetail.forStatusAndDetail(HttpStatus.PRECONDITION_REQUIRED, unnamed.getMessage());
    }

    @ExceptionHandler
    ProblemDetail refused(IllegalArgumentException refused) {
        return ProblemDetail.forStatusAndDetail(HttpStatus.UNPROCESSABLE_CONTENT, refused.getMessage());
    }

    @ExceptionHandler
    ProblemDetail wrongPassword(BadCredentialsException wrong) {
        return ProblemDetail.forStatusAndDetail(HttpStatus.UNAUTHORIZED, "E-mail and password do not match.");
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> busy(HeavyWork.Busy busy) {
        return new Refusal(HttpStatus.SERVICE_UNAVAILABLE, busy.getMessage()).answer();
    }

    @ExceptionHandler
    ProblemDetail unexpected(Exception failure, HttpServletRequest request) {
        LOG.error(
                "{} {} failed\n{}",
                request.getMethod(),
                request.getAttribute(HandlerMapping.BEST_MATCHING_PATTERN_ATTRIBUTE),
                Failure.without(failure));
        return ProblemDetail.forStatusAndDetail(HttpStatus.INTERNAL_SERVER_ERROR, Refusal.OUR_SIDE);
    }

    @Override
    protected ResponseEntity<Object> handleMethodArgumentNotValid(
            MethodArgumentNotValidException refused, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        List<FieldError> fields = refused.getBindingResult().getFieldErrors().stream()
                .map(e -> new FieldError(e.getField(), e.getDefaultMessage()))
                .toList();
        String detail = fields.isEmpty()
                ? "The request is not complete."
                : fields.get(0).field() + " " + fields.get(0).message() + ".";
        return ResponseEntity.badRequest()
                .body(withFields(ProblemDetail.forStatusAndDetail(HttpStatus.BAD_REQUEST, detail), fields));
    }

    @Override
    protected ResponseEntity<Object> handleHttpMessageNotReadable(
            HttpMessageNotReadableException unreadable,
            HttpHeaders headers,
            HttpStatusCode status,
            WebRequest request) {
        ProblemDetail problem = unreadable.getCause() instanceof JacksonException json
                ? unreadable(json)
                : ProblemDetail.forStatusAndDetail(HttpStatus.BAD_REQUEST, "A JSON body is needed.");
        return ResponseEntity.badRequest().body(problem);
    }

    /** Says what is wrong with a part of the address or a header in the words of the rest. */
    @Override
    protected ResponseEntity<Object> handleTypeMismatch(
            TypeMismatchException wrong, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        String name = wrong instanceof MethodArgumentTypeMismatchException argument ? argument.getName() : "request";
        return answer(HttpStatus.BAD_REQUEST, "\"" + name + "\" has the wrong form.");
    }

    @Override
    protected ResponseEntity<Object> handleMissingServletRequestParameter(
            MissingServletRequestParameterException missing,
            HttpHeaders headers,
            HttpStatusCode status,
            WebRequest request) {
        return answer(HttpStatus.BAD_REQUEST, "\"" + missing.getParameterName() + "\" is missing.");
    }

    @Override
    protected ResponseEntity<Object> handleHandlerMethodValidationException(
            HandlerMethodValidationException refused, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        String names = refused.getParameterValidationResults().stream()
                .map(r -> "\"" + r.getMethodParameter().getParameterName() + "\" "
                        + r.getResolvableErrors().get(0).getDefaultMessage())
                .collect(Collectors.joining(", "));
        return answer(HttpStatus.BAD_REQUEST, names + ".");
    }

    private static ResponseEntity<Object> answer(HttpStatus status, String detail) {
        return ResponseEntity.status(status).body(ProblemDetail.forStatusAndDetail(status, detail));
    }

    private static ProblemDetail unreadable(JacksonException json) {
        StringBuilder path = new StringBuilder();
        for (JacksonException.Reference step : json.getPath()) {
            if (step.getPropertyName() == null)
                path.append('[').append(step.getIndex()).append(']');
            else path.append(path.isEmpty() ? "" : ".").append(step.getPropertyName());
        }
        String field = path.toString();
        String message;
        if (json instanceof InvalidFormatException wrong && wrong.getTargetType() != null) {
            message = "is not a valid " + wrong.getTargetType().getSimpleName().toLowerCase();
        } else {
            message =
                    field.isEmpty() ? "The body is no JSON of the expected form." : "has the wrong form or is missing";
        }
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(
                HttpStatus.BAD_REQUEST, field.isEmpty() ? message : field + " " + message + ".");
        return field.isEmpty() ? problem : withFields(problem, List.of(new FieldError(field, message)));
    }

    private static ProblemDetail withFields(ProblemDetail problem, List<FieldError> fields) {
        problem.setProperties(Map.of("fields", fields));
        return problem;
    }
}
