package app.clearpane.web.shell.forms;

import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.springframework.web.servlet.HandlerMapping;

/**
 * How the things stand that a room's forms change as a whole. A page puts what it showed into the form's field
 * {@code before}; where it is something else by the time the form comes, somebody changed it meanwhile, and nothing is
 * saved over that.
 */
public interface FormStates {
    /** The field that holds what the page showed. */
    String BEFORE = "before";

    /** One for each address whose form may overwrite. */
    List<FormState> states();

    /**
     * What one form changes.
     *
     * @param route the address that it is sent to, as its controller writes it
     * @param now how it stands, as the page would show it to the form; empty if there is no such thing any more
     * @param inWords the same for people
     * @param wanted the field that holds what it is to be, where that is the whole of it: sending the same twice
     *     overwrites nothing; empty if there is none
     */
    record FormState(
            String route, Function<Asked, Optional<String>> now, Function<String, String> inWords, String wanted) {
        /** One that is shown as it is kept. */
        public static FormState of(String route, String wanted, Function<Asked, Optional<String>> now) {
            return new FormState(
                    route,
                    now,
                    value -> value.isEmpty()
                            ? "empty"
                            : value.toLowerCase(java.util.Locale.ROOT).replace('_', ' '),
                    wanted);
        }
    }

    /** What a form asks for. */
    record Asked(HttpServletRequest request) {
        /** A part of its address. */
        public String path(String name) {
            return request.getAttribute(HandlerMapping.URI_TEMPLATE_VARIABLES_ATTRIBUTE) instanceof Map<?, ?> parts
                            && parts.get(name) instanceof String part
                    ? part
                    : "";
        }

        /** One of its fields; empty if it was not sent. */
        public String field(String name) {
            @Nullable String value = request.getParameter(name);
            return value == null ? "" : value;
        }
    }
}
