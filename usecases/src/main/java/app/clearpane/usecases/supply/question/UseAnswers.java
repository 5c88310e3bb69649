package app.clearpane.usecases.supply.question;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.agency.Name;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.supply.Request;
import app.clearpane.core.supply.question.Answer;
import app.clearpane.core.supply.question.Question;
import app.clearpane.store.exposure.Seats;
import app.clearpane.store.supply.Requests;
import app.clearpane.usecases.plan.task.WriteDownTask;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What the team does with answers: chooses where nobody speaks for the client's side, and makes tasks of them. */
@Component
public class UseAnswers {
    private final ReadAnswers readAnswers;
    private final HandInAnswers handIn;
    private final Requests requests;
    private final Seats seats;
    private final WriteDownTask writeDown;

    UseAnswers(ReadAnswers readAnswers, HandInAnswers handIn, Requests requests, Seats seats, WriteDownTask writeDown) {
        this.readAnswers = readAnswers;
        this.handIn = handIn;
        this.requests = requests;
        this.seats = seats;
        this.writeDown = writeDown;
    }

    /** Whether somebody of the client's side speaks for it, so that they choose and not the team. */
    public boolean hasLeadVoice(ProjectId project) {
        return seats.ofProject(project).stream()
                .anyMatch(seat -> seat.leadVoice() && !seat.state().isEnded());
    }

    /** Chooses whose answer counts. @throws Refused if somebody speaks for the client's side */
    @Transactional
    public void choose(UUID part, UUID question, ContactId of, Person by) {
        ReadAnswers.Sheet sheet = readAnswers.read(part);
        requests.lock(sheet.request().id());
        Request request = NotFound.unless(requests.find(sheet.request().id()));
        if (hasLeadVoice(request.project())) {
            throw Refused.because("Somebody speaks for the client there, and chooses. Nothing was changed.");
        }
        handIn.choose(request, part, question, of, by.actor());
    }

    /** Makes a task of the answer that counts, with the question and who said so in its notes. */
    @Transactional
    public ItemId toTask(UUID part, UUID question, Person.OfTeam by) {
        ReadAnswers.Sheet sheet = readAnswers.read(part);
        Question asked = NotFound.unless(sheet.kept().questionnaire().question(question));
        Answer answer = NotFound.unless(sheet.kept().answers().counts(asked));
        String words = QuestionWords.inWords(asked, answer.said());
        String first = words.lines().findFirst().orElse("").strip();
        int longest = Math.min(Name.LONGEST, first.length());
        return writeDown.ours(
                sheet.request().project(),
                first.substring(0, longest),
                "[" + asked.words() + "](/t/questionnaires/" + part + "#q" + question + ")\n\n" + answer.name() + ": "
                        + words,
                Optional.empty(),
                by);
    }
}
