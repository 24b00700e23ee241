package keyslate.server.web;

import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.RequestMapping;

/** What went wrong before or beside every other door; the address by itself is nothing. */
@Controller
class LastResortController implements ErrorController {
    @RequestMapping("/error")
    ResponseEntity<ProblemDetail> error(HttpServletRequest request) {
        Object given = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE);
        HttpStatus status = given instanceof Integer code ? HttpStatus.resolve(code) : HttpStatus.NOT_FOUND;
        HttpStatus known = status == null ? HttpStatus.INTERNAL_SERVER_ERROR : status;
        return ResponseEntity.status(known)
                .contentType(MediaType.APPLICATION_PROBLEM_JSON)
                .body(Problems.of(known));
    }
}
