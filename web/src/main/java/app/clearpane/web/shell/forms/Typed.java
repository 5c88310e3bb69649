package app.clearpane.web.shell.forms;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** What somebody typed into a form, to be given back when it could not be used. */
public record Typed(String field, String text) {
    /** The field of a password that was asked for once more. */
    public static final String PASSWORD_AGAIN = "passwordAgain";

    private static final Set<String> NOT_TYPED =
            Set.of("_csrf", "password", PASSWORD_AGAIN, "now", "code", "passcode", "revision", "sha256");

    /** Everything worth giving back: texts of more than one word. */
    public static List<Typed> in(HttpServletRequest request) {
        Map<String, String[]> fields;
        try {
            fields = request.getParameterMap();
        } catch (RuntimeException notToBeReadToItsEnd) {
            return List.of();
        }
        return fields.entrySet().stream()
                .filter(field -> !NOT_TYPED.contains(field.getKey()))
                .flatMap(field -> Arrays.stream(field.getValue())
                        .map(String::strip)
                        .filter(text -> text.contains(" "))
                        .map(text -> new Typed(field.getKey(), text)))
                .toList();
    }
}
