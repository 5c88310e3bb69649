package app.clearpane.store.supply;

import app.clearpane.core.supply.question.AnswerForm;
import app.clearpane.core.supply.question.Questionnaire;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import java.util.List;
import tools.jackson.databind.json.JsonMapper;

/** Questionnaires and what was said as they are kept: as JSON, in which the form of an answer bears its name. */
final class QuestionText {
    private static final JsonMapper JSON =
            JsonMapper.builder().addMixIn(AnswerForm.class, Named.class).build();

    private QuestionText() {}

    @JsonTypeInfo(use = JsonTypeInfo.Id.SIMPLE_NAME)
    private interface Named {}

    private record Said(List<String> said) {}

    static String of(Questionnaire questionnaire) {
        return JSON.writeValueAsString(questionnaire);
    }

    static Questionnaire questionnaire(String text) {
        return JSON.readValue(text, Questionnaire.class);
    }

    static String ofSaid(List<String> said) {
        return JSON.writeValueAsString(new Said(said));
    }

    static List<String> said(String text) {
        return JSON.readValue(text, Said.class).said();
    }
}
