package app.hodegon.server.http;

import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.RequestMapping;

/** What the container could not answer, as a problem document; nothing to be asked for by itself. */
@Controller
class ErrorPage implements ErrorController {

    @RequestMapping("/error")
    ResponseEntity<ProblemDetail> error(HttpServletRequest request) {
        Object failed = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE);
        HttpStatusCode status = failed instanceof Integer code ? HttpStatusCode.valueOf(code) : HttpStatus.NOT_FOUND;
        String detail = status.is5xxServerError() ? Refusal.OUR_SIDE : "This address cannot be answered.";
        return ResponseEntity.status(status)
                .contentType(MediaType.APPLICATION_PROBLEM_JSON)
                .body(ProblemDetail.forStatusAndDetail(status, detail));
    }
}
