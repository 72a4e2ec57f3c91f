package app.hodegon.server.account;

import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;

/** Tells who guesses too often how long to wait. */
@RestControllerAdvice
@Order(Ordered.HIGHEST_PRECEDENCE)
class WaitAdvice {

    @ExceptionHandler
    ResponseEntity<ProblemDetail> wait(Guesses.Wait wait) {
        return ResponseEntity.status(HttpStatus.TOO_MANY_REQUESTS)
                .header(HttpHeaders.RETRY_AFTER, Long.toString(wait.seconds()))
                .body(ProblemDetail.forStatusAndDetail(HttpStatus.TOO_MANY_REQUESTS, wait.getMessage()));
    }
}
