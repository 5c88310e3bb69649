package app.clearpane.web.shell.errors;

import app.clearpane.formats.apart.NoRoomNow;
import app.clearpane.store.Stale;
import app.clearpane.store.files.Vault;
import app.clearpane.usecases.HouseSettings;
import app.clearpane.usecases.shell.NeedsConfirmation;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.web.shell.access.RoleMissing;
import app.clearpane.web.shell.forms.Typed;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URI;
import java.net.URISyntaxException;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.stream.Stream;
import org.apache.catalina.connector.ClientAbortException;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.dao.PessimisticLockingFailureException;
import org.springframework.http.HttpStatus;
import org.springframework.validation.BindException;
import org.springframework.web.bind.MissingRequestValueException;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.context.request.async.AsyncRequestNotUsableException;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.multipart.MultipartException;
import org.springframework.web.multipart.support.MissingServletRequestPartException;
import org.springframework.web.servlet.ModelAndView;

/**
 * Says what happened. A request by htmx gets a notice that stands above the form, which stays as it was typed; any
 * other gets a page that gives back what was typed.
 */
@ControllerAdvice
class ErrorResponses {
    private static final Logger LOG = LoggerFactory.getLogger(ErrorResponses.class);
    private final HouseSettings house;

    ErrorResponses(HouseSettings house) {
        this.house = house;
    }

    /** Whoever asked has left: nothing can be told to them any more. */
    @ExceptionHandler(AsyncRequestNotUsableException.class)
    void left() {
        // an answer would only fail again
    }

    @ExceptionHandler
    ModelAndView refused(Refused refused, HttpServletRequest request, HttpServletResponse response) {
        return said(
                refused.isChangedMeanwhile() ? HttpStatus.CONFLICT : HttpStatus.UNPROCESSABLE_CONTENT,
                refused.sentences(),
                request,
                response);
    }

    /** What would happen, with everything that was sent and a button that sends it again as meant. */
    @ExceptionHandler
    ModelAndView askFirst(NeedsConfirmation asked, HttpServletRequest request, HttpServletResponse response) {
        ModelAndView page = said(HttpStatus.CONFLICT, asked.sentences(), request, response);
        page.setViewName("layout/_notice".equals(page.getViewName()) ? "layout/_ask" : "layout/ask");
        page.addObject("button", asked.button());
        page.addObject("action", request.getRequestURI());
        page.addObject(
                "fields",
                Stream.concat(
                                request.getParameterMap().entrySet().stream()
                                        .filter(field -> !field.getKey().equals("_csrf")
                                                && !field.getKey().equals(Typed.PASSWORD_AGAIN))
                                        .flatMap(field -> Arrays.stream(field.getValue())
                                                .map(value -> new Field(field.getKey(), value))),
                                Stream.of(new Field("sure", "true")))
                        .toList());
        return page;
    }

    /** A field that is sent again. */
    record Field(String name, String value) {}

    @ExceptionHandler
    ModelAndView stale(Stale stale, HttpServletRequest request, HttpServletResponse response) {
        return said(
                HttpStatus.CONFLICT,
                List.of(
                        stale.getMessage() + " by somebody else, so nothing of yours was saved over it.",
                        "Open the page anew to see how it stands, then do it again if it is still wanted."),
                request,
                response);
    }

    @ExceptionHandler
    ModelAndView twice(DuplicateKeyException duplicate, HttpServletRequest request, HttpServletResponse response) {
        return said(
                HttpStatus.CONFLICT,
                List.of("Somebody did the same in the same moment, so this was not done twice. Open the page anew "
                        + "to see how it stands."),
                request,
                response);
    }

    /** So many wrote to the same thing that this one's turn did not come in time. */
    @ExceptionHandler
    ModelAndView busy(
            PessimisticLockingFailureException waited, HttpServletRequest request, HttpServletResponse response) {
        LOG.warn("waited in vain for others to be done", waited);
        response.setHeader("Retry-After", "5");
        return said(
                HttpStatus.CONFLICT,
                List.of("Others are writing to the same thing just now, and your turn did not come. Nothing was saved; "
                        + "send it again in a moment."),
                request,
                response);
    }

    @ExceptionHandler
    ModelAndView tooLarge(
            MaxUploadSizeExceededException large, HttpServletRequest request, HttpServletResponse response) {
        return said(HttpStatus.CONTENT_TOO_LARGE, List.of(tooLargeSentence()), request, response);
    }

    @ExceptionHandler
    ModelAndView tooLarge(Vault.TooLarge large, HttpServletRequest request, HttpServletResponse response) {
        return said(HttpStatus.CONTENT_TOO_LARGE, List.of(tooLargeSentence()), request, response);
    }

    private String tooLargeSentence() {
        return "This file is larger than " + house.largestUpload().toMegabytes()
                + " MB, the most that can be taken. Nothing was kept; what was there before is still there. Save "
                + "it smaller and choose it again.";
    }

    @ExceptionHandler
    ModelAndView unreadable(MultipartException broken, HttpServletRequest request, HttpServletResponse response) {
        if (broken.getCause() instanceof IOException failure) {
            return diskFull(failure, request, response);
        }
        return said(
                HttpStatus.UNPROCESSABLE_CONTENT,
                List.of("No file came with what was sent. Nothing was changed; choose the file again and send it."),
                request,
                response);
    }

    /** Whoever asked closed the page or stopped the download: nobody is left to be told. */
    @ExceptionHandler
    void gone(ClientAbortException gone, HttpServletResponse response) {
        LOG.debug("asked for, but not waited for", gone);
    }

    /** Nothing is wrong but that many want the same at once. */
    @ExceptionHandler
    ModelAndView noRoom(NoRoomNow waited, HttpServletRequest request, HttpServletResponse response) {
        response.setHeader("Retry-After", "30");
        return said(
                HttpStatus.SERVICE_UNAVAILABLE,
                List.of("So many files are being opened just now that yours did not get its turn. Nothing was "
                        + "changed; try again in a minute."),
                request,
                response);
    }

    @ExceptionHandler
    ModelAndView diskFull(IOException failure, HttpServletRequest request, HttpServletResponse response) {
        LOG.error("a file could not be stored", failure);
        return said(
                HttpStatus.INSUFFICIENT_STORAGE,
                List.of("The file could not be stored: the disk may be full. Nothing of it was kept, and what was "
                        + "there before is still there. Tell whoever runs this house, then try again."),
                request,
                response);
    }

    @ExceptionHandler({NotFound.class, MethodArgumentTypeMismatchException.class})
    void notThere(Exception notThere, HttpServletResponse response) throws IOException {
        response.sendError(HttpStatus.NOT_FOUND.value());
    }

    @ExceptionHandler
    ModelAndView managersOnly(RoleMissing tried, HttpServletRequest request, HttpServletResponse response) {
        return said(
                HttpStatus.FORBIDDEN,
                List.of("Only " + tried.getMessage() + " can do this. Nothing was changed; ask one of them."),
                request,
                response);
    }

    @ExceptionHandler
    ModelAndView unreadable(BindException unreadable, HttpServletRequest request, HttpServletResponse response) {
        return said(
                HttpStatus.UNPROCESSABLE_CONTENT,
                List.of("Something in what was sent could not be read, so nothing was changed. Go back, check the "
                        + "fields and send it again."),
                request,
                response);
    }

    @ExceptionHandler({MissingRequestValueException.class, MissingServletRequestPartException.class})
    ModelAndView missing(Exception missing, HttpServletRequest request, HttpServletResponse response) {
        return said(
                HttpStatus.UNPROCESSABLE_CONTENT,
                List.of("Something is missing from what was sent. Nothing was changed; go back and fill in the "
                        + "whole form."),
                request,
                response);
    }

    /** The page of ours that whoever asked came from; null if they came from elsewhere. */
    static @Nullable String ownPage(HttpServletRequest request) {
        try {
            URI from = new URI(Objects.requireNonNullElse(request.getHeader("Referer"), ""));
            boolean ours = request.getServerName().equalsIgnoreCase(from.getHost())
                    && (from.getPort() < 0 || from.getPort() == request.getServerPort());
            return !ours || from.getRawPath() == null || from.getRawPath().startsWith("//")
                    ? null
                    : from.getRawPath() + (from.getRawQuery() == null ? "" : "?" + from.getRawQuery());
        } catch (URISyntaxException noAddress) {
            return null;
        }
    }

    private static ModelAndView said(
            HttpStatus status, List<String> sentences, HttpServletRequest request, HttpServletResponse response) {
        boolean inPlace = request.getHeader("HX-Request") != null;
        if (inPlace) {
            response.setHeader("HX-Retarget", "#notice");
            response.setHeader("HX-Reswap", "innerHTML");
            response.setHeader("HX-Push-Url", "false");
        }
        ModelAndView page = new ModelAndView(inPlace ? "layout/_notice" : "layout/refused", status);
        page.addObject("sentences", sentences);
        page.addObject("typed", Typed.in(request));
        page.addObject("back", ownPage(request));
        return page;
    }
}
