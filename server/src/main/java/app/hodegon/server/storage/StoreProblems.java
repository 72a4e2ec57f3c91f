package app.hodegon.server.storage;

import app.hodegon.server.http.Failure;
import app.hodegon.server.http.Refusal;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.dao.ConcurrencyFailureException;
import org.springframework.dao.DataAccessException;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.transaction.TransactionException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;

/** What the store could not do, in words that help. */
@RestControllerAdvice
@Order(Ordered.HIGHEST_PRECEDENCE)
class StoreProblems {

    private static final Logger LOG = LoggerFactory.getLogger(StoreProblems.class);

    private final Disk disk;
    private final Connections connections;

    StoreProblems(Disk disk, Connections connections) {
        this.disk = disk;
        this.connections = connections;
    }

    @ExceptionHandler({DataAccessException.class, TransactionException.class})
    ResponseEntity<ProblemDetail> failed(Exception failure) {
        if (failure instanceof ConcurrencyFailureException) {
            return answer(
                    HttpStatus.SERVICE_UNAVAILABLE,
                    "Somebody else is saving just now: try again in a few seconds. Nothing of yours was stored.");
        }
        boolean closed = connections.renewAfter(failure);
        LOG.error("The store failed\n{}", Failure.without(failure));
        if (disk.isFull() || isWrite(failure)) {
            return answer(HttpStatus.INSUFFICIENT_STORAGE, Refusal.DISK_FULL);
        }
        if (closed) {
            return answer(
                    HttpStatus.SERVICE_UNAVAILABLE,
                    "The store is being opened again: try again in a few seconds. Nothing of yours was stored.");
        }
        return answer(HttpStatus.INTERNAL_SERVER_ERROR, Refusal.OUR_SIDE);
    }

    private static ResponseEntity<ProblemDetail> answer(HttpStatus status, String detail) {
        return new Refusal(status, detail).answer();
    }

    private static boolean isWrite(Throwable failure) {
        for (Throwable cause = failure; cause != null; cause = cause.getCause()) {
            String said = String.valueOf(cause.getMessage());
            if (said.contains("No space left") || said.contains("Writing to")) return true;
        }
        return false;
    }
}
