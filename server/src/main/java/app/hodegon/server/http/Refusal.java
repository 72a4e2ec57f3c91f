package app.hodegon.server.http;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;

/** A refusal as a problem document; one that will pass says when to come back. */
public record Refusal(HttpStatus status, String detail) {

    /** Said wherever nothing can be stored for want of room. */
    public static final String DISK_FULL =
            "The disk of this installation is full: nothing can be stored. What is there can be read.";

    /** Said wherever the fault is not the sender's. */
    public static final String OUR_SIDE = "Something went wrong on our side. What you sent was not stored.";

    private static final String COME_BACK_AFTER_SECONDS = "5";

    /** What a controller answers. */
    public ResponseEntity<ProblemDetail> answer() {
        ResponseEntity.BodyBuilder answer = ResponseEntity.status(status);
        if (willPass()) answer.header(HttpHeaders.RETRY_AFTER, COME_BACK_AFTER_SECONDS);
        return answer.body(ProblemDetail.forStatusAndDetail(status, detail));
    }

    private boolean willPass() {
        return status == HttpStatus.SERVICE_UNAVAILABLE;
    }

    /** Written where no controller was reached yet. */
    void write(HttpServletResponse response) throws IOException {
        response.setStatus(status.value());
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.setCharacterEncoding(StandardCharsets.UTF_8.name());
        if (willPass()) response.setHeader(HttpHeaders.RETRY_AFTER, COME_BACK_AFTER_SECONDS);
        response.getWriter()
                .write("{\"title\":\"" + status.getReasonPhrase() + "\",\"status\":" + status.value() + ",\"detail\":\""
                        + detail + "\"}");
    }

    /**
     * @param detail without a quote or backslash
     */
    public static void write(HttpServletResponse response, HttpStatus status, String detail) throws IOException {
        new Refusal(status, detail).write(response);
    }
}
