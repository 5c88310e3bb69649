package app.clearpane.web.shell.errors;

import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.RequestMapping;

/**
 * What is shown when no page could be: the same page for everything that is not there, whoever asks and in whatever
 * form.
 */
@Controller
class ErrorPages implements ErrorController {
    @RequestMapping("/error")
    String page(HttpServletRequest request, HttpServletResponse response) {
        int status = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE) instanceof Integer code ? code : 404;
        response.setStatus(status);
        return switch (status) {
            case 403, 401 -> "error/403";
            case 413 -> "error/413";
            default -> status < 500 ? "error/404" : "error/500";
        };
    }
}
