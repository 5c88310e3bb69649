package app.clearpane.usecases.supply.question;

import app.clearpane.core.supply.Request;
import app.clearpane.core.supply.RequestId;
import app.clearpane.core.supply.question.Answer;
import app.clearpane.core.supply.question.Question;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.supply.Questionnaires;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TheAgency;
import app.clearpane.usecases.supply.GivenFor;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Keeps what somebody answers, as they type. */
@Component
public class AnswerQuestions {
    private final GivenFor givenFor;
    private final Questionnaires questionnaires;
    private final TheAgency agency;

    AnswerQuestions(GivenFor givenFor, Questionnaires questionnaires, TheAgency agency) {
        this.givenFor = givenFor;
        this.questionnaires = questionnaires;
        this.agency = agency;
    }

    /**
     * What somebody typed for one question.
     *
     * @param typed in the form that the question asks for
     * @param was what stood there when the page was made, so that what was not touched here changes nothing
     */
    public record Typed(List<String> typed, String was) {}

    /**
     * Keeps what was changed. What cannot be an answer is not kept; what was answered before stays.
     *
     * @return what is wrong, a sentence a question
     * @throws Refused if it cannot be answered any more
     */
    @Transactional
    public Map<UUID, String> keep(Viewer viewer, UUID part, Map<UUID, Typed> all) {
        RequestId id = NotFound.unless(questionnaires.find(part)).request();
        Request request = givenFor.locked(viewer, id);
        if (request.missing(NotFound.unless(request.part(part))) == 0) {
            throw Refused.changedMeanwhile(
                    "It was handed in meanwhile, so nothing more was kept. Ask us, and we open " + "it again.");
        }
        Questionnaires.Kept kept = NotFound.unless(questionnaires.find(part));
        Map<UUID, String> wrong = new LinkedHashMap<>();
        all.forEach((question, typed) ->
                kept.questionnaire().question(question).ifPresent(one -> keep(viewer, kept, one, typed, wrong)));
        return wrong;
    }

    private void keep(
            Viewer viewer, Questionnaires.Kept kept, Question question, Typed typed, Map<UUID, String> wrong) {
        try {
            List<String> said = question.form().read(typed.typed());
            List<String> before = kept.answers()
                    .to(question, viewer.contact())
                    .map(Answer::said)
                    .orElse(List.of());
            if (!QuestionWords.field(said).equals(typed.was()) && !said.equals(before)) {
                questionnaires.answer(kept.part(), question.id(), viewer.contact(), said, agency.now());
            }
        } catch (IllegalArgumentException e) {
            wrong.put(question.id(), String.valueOf(e.getMessage()));
        }
    }
}
