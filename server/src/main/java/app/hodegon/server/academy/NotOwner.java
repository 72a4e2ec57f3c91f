package app.hodegon.server.academy;

import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.web.ErrorResponseException;

/** Only the owner of the house may do this. */
final class NotOwner extends ErrorResponseException {

    private static final long serialVersionUID = 1;

    NotOwner() {
        super(
                HttpStatus.FORBIDDEN,
                ProblemDetail.forStatusAndDetail(HttpStatus.FORBIDDEN, "Only the owner of this house may do this."),
                null);
    }
}
