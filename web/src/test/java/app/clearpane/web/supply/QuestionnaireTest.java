package app.clearpane.web.supply;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.agency.EmailAddress;
import app.clearpane.core.supply.Request;
import app.clearpane.core.supply.question.Question;
import app.clearpane.core.turns.Turn;
import app.clearpane.store.agency.People;
import app.clearpane.store.supply.Questionnaires;
import app.clearpane.web.Visitor;
import java.net.http.HttpResponse;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Questions are put to the mill, answered by Imre, who speaks for it, and Grete, and handed in. */
class QuestionnaireTest extends AtARequest {
    private static final String FLOUR = """
            # The flour

            Which grain? *
            - Rye
            - Wheat

            How much a week? *
            a number of sacks, 1 to 90
            only if Which grain? is Rye

            Anything else?
            long, at most 5 words
            """;

    @Autowired
    private Questionnaires questionnaires;

    @Autowired
    private People people;

    private String contact(String name) {
        return people.contactAt(new EmailAddress(name + "@hobandbarley.example"))
                .orElseThrow()
                .id()
                .toString();
    }

    private HttpResponse<String> drafted(String title, String typed) throws Exception {
        Visitor ines = ines();
        return ines.postMany(
                "/t/projects/" + mill() + "/questionnaires",
                ines.token(),
                Map.of(
                        "title",
                        List.of(title),
                        "allowance",
                        List.of("3"),
                        "asked",
                        List.of(contact("imre"), contact("grete")),
                        "wanted",
                        List.of(typed)));
    }

    private Request asksQuestions(String typed) throws Exception {
        String title = "Questions " + UUID.randomUUID();
        drafted(title, typed);
        Request draft = requests.ofProject(mill()).stream()
                .filter(one -> one.title().equals(title))
                .findFirst()
                .orElseThrow();
        ines().sends("/t/requests/" + draft.id() + "/send", "");
        return now(draft);
    }

    private UUID part(Request request) {
        return request.parts().get(0).id();
    }

    private Question question(Request request, int number) {
        return questionnaires
                .find(part(request))
                .orElseThrow()
                .questionnaire()
                .questions()
                .get(number);
    }

    private String questionsAt(Request request) {
        return "/c/panes/" + pane().id() + "/questionnaires/" + part(request);
    }

    private HttpResponse<String> says(Visitor who, Request request, int number, String said, String was)
            throws Exception {
        UUID id = question(request, number).id();
        return who.post(questionsAt(request), who.token(), Map.of("q-" + id, said, "was-" + id, was));
    }

    private String sees(Visitor who, Request request) throws Exception {
        return text(who.get(questionsAt(request)).body());
    }

    private HttpResponse<String> handsIn(Visitor who, Request request) throws Exception {
        return who.post(questionsAt(request) + "/hand-in", who.token(), Map.of());
    }

    private int takesGretes(Visitor who, Request request) throws Exception {
        String choice = "question=" + question(request, 0).id() + "&of=" + contact("grete");
        return who.sends(questionsAt(request) + "/choose", choice).statusCode();
    }

    @Test
    void severalAnswerAndWhoSpeaksForThemChoosesAndHandsIn() throws Exception {
        Request request = asksQuestions(FLOUR);
        Visitor imre = imre();
        Visitor grete = grete();
        assertThat(imre.get(at(request)).headers().firstValue("Location").orElseThrow())
                .as("the questions stand there at once")
                .endsWith(questionsAt(request));
        assertThat(sees(imre, request)).doesNotContain("How much a week?").contains("0 of 1 answered");
        says(imre, request, 0, "Wheat", "");
        says(grete, request, 0, "Rye", "");
        assertThat(sees(grete, request))
                .contains("You differ.", "Imre Vadas chooses.", "How much a week?", "Wheat Imre Vadas");
        says(grete, request, 1, "12", "");
        assertThat(text(handsIn(grete, request).body())).contains("Answers differ, and somebody has to choose");
        assertThat(takesGretes(grete, request)).as("Imre speaks for them").isEqualTo(422);
        takesGretes(imre, request);
        assertThat(handsIn(imre, request).statusCode()).isEqualTo(302);
        assertThat(now(request).turn()).isEqualTo(Turn.OURS);
        assertThat(sees(grete, request)).contains("Handed in: Imre Vadas", "It stays as it is");
        assertThat(says(grete, request, 1, "13", "12").statusCode())
                .as("frozen")
                .isEqualTo(409);
        assertThat(handsIn(grete, request).statusCode()).isEqualTo(409);
        String answers = text(ines().get("/t/questionnaires/" + part(request)).body());
        assertThat(answers).contains("Grete Lindholm Imre Vadas", "12 sacks", "The answers are frozen");
        opensAgain(request, grete);
    }

    private void opensAgain(Request request, Visitor grete) throws Exception {
        assertThat(grete.post(at(request) + "/given/" + last(request).id() + "/take-back", grete.token(), Map.of())
                        .statusCode())
                .as("only we open it again")
                .isEqualTo(422);
        ines().sends("/t/given/" + last(request).id() + "/again", "why=A week in winter");
        assertThat(now(request).turn()).isEqualTo(Turn.CLIENTS);
        assertThat(says(grete, request, 1, "13", "12").statusCode()).isEqualTo(302);
        mailArrives("imre@hobandbarley.example", "Once more, please: " + request.title());
        handsIn(imre(), request);
        ines().sends("/t/given/" + last(request).id() + "/accept", "");
        assertThat(now(request).isDone()).isTrue();
    }

    @Test
    void whatCannotBeAnAnswerIsSaidAndWhatWasTypedStaysThere() throws Exception {
        Request request = asksQuestions(FLOUR);
        Visitor imre = imre();
        says(imre, request, 0, "Rye", "");
        says(imre, request, 1, "40", "");
        HttpResponse<String> wrong = says(imre, request, 1, "900", "40");
        assertThat(wrong.statusCode()).isEqualTo(422);
        assertThat(wrong.body()).contains("It should be 1 to 90 sacks.", "value=\"900\"");
        assertThat(sees(imre, request)).doesNotContain("It should be");
        assertThat(imre.get(questionsAt(request)).body()).contains("value=\"40\"");
        assertThat(says(imre, request, 2, "one two three four five six", "").body())
                .contains("At most 5 words");
        says(imre, request, 1, "40", "40");
        says(imre, request, 1, "", "40");
        assertThat(sees(imre, request)).contains("1 of 2 answered");
        assertThat(text(handsIn(imre, request).body())).contains("Still to be answered:", "How much a week?");
    }

    @Test
    void aPageLeftOpenElsewhereOverwritesNothing() throws Exception {
        Request request = asksQuestions(FLOUR);
        Visitor imre = imre();
        says(imre, request, 0, "Rye", "");
        says(imre, request, 0, "", "");
        assertThat(imre.get(questionsAt(request)).body())
                .as("it was not touched there")
                .contains("checked=\"checked\"");
    }

    @Test
    void changedWhileItIsAnswered() throws Exception {
        Request request = asksQuestions(FLOUR);
        Visitor imre = imre();
        says(imre, request, 0, "Rye", "");
        says(imre, request, 1, "12", "");
        String page = "/t/questionnaires/" + part(request);
        String changed = FLOUR.replace("How much a week?", "How much a month?").replace("- Wheat", "- Wheat\n- Oats");
        Map<String, String> form = Map.of("revision", "1", "wanted", changed);
        Visitor ines = ines();
        assertThat(ines.post(page + "/change", ines.token(), form).statusCode()).isEqualTo(302);
        assertThat(ines.post(page + "/change", ines.token(), form).statusCode())
                .as("meanwhile")
                .isEqualTo(409);
        assertThat(sees(imre, request))
                .contains("We changed the questions", "1 question is new, 1 is gone", "How much a month?")
                .contains("1 answer is kept aside", "1 of 2 answered");
        assertThat(ines.post(page + "/change", ines.token(), Map.of("revision", "2", "wanted", "Who?\nsideways"))
                        .body())
                .contains("“sideways” is no way to answer");
    }

    @Test
    void whatCannotBeReadIsNotKept() throws Exception {
        String before = text(ines().get("/t/projects/" + mill() + "/requests").body());
        assertThat(drafted("Odd", "Who?\nonly if Who? is me").body())
                .contains("begins with no question above this one");
        assertThat(drafted("Odd", "").body()).contains("Ask something");
        assertThat(drafted("Odd", "Which?\n- A, picture: none.png\n- B").body())
                .contains("There is no picture “none.png” among the files here.");
        assertThat(text(ines().get("/t/projects/" + mill() + "/requests").body()))
                .isEqualTo(before);
    }

    private void putsTheSecondFirst(Visitor who, Request request, UUID question) throws Exception {
        who.postMany(
                questionsAt(request),
                who.token(),
                Map.of(
                        "was-" + question,
                        List.of(""),
                        "ordered-" + question,
                        List.of("yes"),
                        "q-" + question,
                        List.of("A", "B"),
                        "earlier",
                        List.of(question + " 1")));
    }

    @Test
    void theAnswersLeaveTheHouseAndBecomeTasks() throws Exception {
        Request request = asksQuestions(FLOUR + "\nWhich order?\n- A\n- B\nin order\n");
        Visitor imre = imre();
        says(imre, request, 0, "Rye", "");
        says(imre, request, 2, "=1+1 sieve", "");
        UUID order = question(request, 3).id();
        putsTheSecondFirst(imre, request, order);
        String page = "/t/questionnaires/" + part(request);
        assertThat(ines().get(page + "/answers.csv").body())
                .contains("Section,Question,Answer,By,Imre Vadas", "'=1+1 sieve", "B; A");
        assertThat(ines().get(page + "/answers.json").body())
                .contains("\"question\" : \"Which grain?\"", "\"answer\" : [ \"Rye\" ]");
        assertThat(ines().get(page + "/answers.pdf").body()).startsWith("%PDF");
        HttpResponse<String> task =
                ines().sends(page + "/task", "question=" + question(request, 2).id());
        assertThat(text(ines().get(task.headers().firstValue("Location").orElseThrow())
                        .body()))
                .contains("=1+1 sieve", "Anything else?");
    }

    @Test
    void filesAreAPartBesideTheQuestions() throws Exception {
        Request request = asksQuestions(FLOUR + "\nThe sieve\nfile: a photograph, A4 at 100 dpi\n");
        assertThat(request.parts()).hasSize(2);
        assertThat(page(request)).contains("Answer the questions", "The sieve");
        gives(imre(), request, "sieve.jpg", jpeg(30, 30));
        assertThat(page(request)).contains("It needs 1,170 px");
    }

    @Test
    void whoIsNotAskedSeesNothingOfIt() throws Exception {
        Request request = asksQuestions(FLOUR);
        Visitor ottoline = Visitor.by(address(), linkOf("ottoline@penwether.example"));
        assertThat(ottoline.get(questionsAt(request)).statusCode()).isEqualTo(404);
        assertThat(ines().get(questionsAt(request)).statusCode()).isNotEqualTo(200);
        UUID other = part(asks("a plan"));
        assertThat(imre().get("/c/panes/" + pane().id() + "/questionnaires/" + other)
                        .statusCode())
                .isEqualTo(404);
    }
}
