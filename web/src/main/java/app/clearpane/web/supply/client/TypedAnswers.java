package app.clearpane.web.supply.client;

import app.clearpane.usecases.supply.question.AnswerQuestions;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import org.springframework.util.MultiValueMap;

/**
 * Answers as a page sends them: {@code q-} and the question for what is typed, {@code was-} for what stood there.
 * Things that are put in order count once one of them was moved or the order was said to be right.
 */
final class TypedAnswers {
    private static final String WAS = "was-";
    private static final String ORDERED = "ordered-";

    private TypedAnswers() {}

    static Map<UUID, AnswerQuestions.Typed> read(MultiValueMap<String, String> fields) {
        Map<UUID, AnswerQuestions.Typed> all = new LinkedHashMap<>();
        fields.forEach((name, values) -> {
            if (name.startsWith(WAS)) {
                String key = name.substring(WAS.length());
                question(key, all, fields, first(values).replace("\r\n", "\n"));
            }
        });
        return all;
    }

    private static void question(
            String key, Map<UUID, AnswerQuestions.Typed> all, MultiValueMap<String, String> fields, String was) {
        UUID id;
        try {
            id = UUID.fromString(key);
        } catch (IllegalArgumentException none) {
            return;
        }
        List<String> typed = Objects.requireNonNullElse(fields.get("q-" + key), List.of());
        boolean inOrder = fields.containsKey(ORDERED + key);
        String moved = first(fields.get("earlier"));
        boolean settled = key.equals(first(fields.get("settle")));
        if (inOrder && moved.startsWith(key + " ")) {
            typed = earlier(typed, moved.substring(key.length() + 1));
        } else if (inOrder && was.isEmpty() && !settled) {
            return;
        }
        all.put(id, new AnswerQuestions.Typed(typed, was));
    }

    private static List<String> earlier(List<String> typed, String number) {
        int at = number.matches("\\d{1,3}") ? Integer.parseInt(number) : 0;
        List<String> moved = new ArrayList<>(typed);
        if (at > 0 && at < moved.size()) {
            Collections.swap(moved, at, at - 1);
        }
        return moved;
    }

    private static String first(@org.jspecify.annotations.Nullable List<String> values) {
        return values == null || values.isEmpty() ? "" : Objects.requireNonNullElse(values.get(0), "");
    }
}
