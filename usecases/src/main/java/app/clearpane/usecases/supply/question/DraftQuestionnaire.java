package app.clearpane.usecases.supply.question;

import app.clearpane.core.files.ProjectFile;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.event.RequestActs;
import app.clearpane.core.supply.PartLine;
import app.clearpane.core.supply.Request;
import app.clearpane.core.supply.RequestId;
import app.clearpane.core.supply.RequestPart;
import app.clearpane.core.supply.Takes;
import app.clearpane.core.supply.question.AnswerForm;
import app.clearpane.core.supply.question.QuestionLines;
import app.clearpane.core.supply.question.Questionnaire;
import app.clearpane.store.files.ProjectFiles;
import app.clearpane.store.supply.Questionnaires;
import app.clearpane.store.supply.Requests;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TheAgency;
import app.clearpane.usecases.supply.DraftRequest;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Drafts a questionnaire, which is a request with questions, and changes it, while it is answered too. */
@Component
public class DraftQuestionnaire {
    private final DraftRequest draftRequest;
    private final Requests requests;
    private final Questionnaires questionnaires;
    private final ProjectFiles files;
    private final TheAgency agency;
    private final AuditLog audit;

    DraftQuestionnaire(
            DraftRequest draftRequest,
            Requests requests,
            Questionnaires questionnaires,
            ProjectFiles files,
            TheAgency agency,
            AuditLog audit) {
        this.draftRequest = draftRequest;
        this.requests = requests;
        this.questionnaires = questionnaires;
        this.files = files;
        this.agency = agency;
        this.audit = audit;
    }

    /**
     * Keeps a draft; whoever it is for does not know of it. What is asked for as a file becomes a part beside the
     * questions.
     *
     * @param form what is wanted are the questions, as they are typed
     * @throws Refused if something is missing or cannot be read
     */
    @Transactional
    public RequestId draft(ProjectId project, DraftRequest.RequestForm form, Actor by) {
        Input input = new Input();
        QuestionLines read = read(input, form.lines());
        Map<String, Sha256> pictures = pictures(input, project, read.questionnaire());
        String title = Objects.requireNonNullElse(form.title(), "").strip();
        RequestPart questions =
                new RequestPart(UUID.randomUUID(), title, Takes.ANSWERS, 1, List.of(), List.of(), "", "");
        List<RequestPart> parts = new ArrayList<>(List.of(questions));
        read.files().stream()
                .flatMap(line -> PartLine.read(line).stream())
                .map(DraftRequest::part)
                .forEach(parts::add);
        RequestId request = draftRequest.keep(project, form, parts, input, by);
        questionnaires.add(questions.id(), read.questionnaire(), pictures);
        return request;
    }

    private static QuestionLines read(Input input, String typed) {
        QuestionLines read = QuestionLines.read(typed);
        read.wrong().forEach(wrong -> input.require(false, wrong));
        input.require(
                !read.questionnaire().questions().isEmpty(),
                "Ask something: each question on a line of its own, with an empty line between them.");
        return read;
    }

    private Map<String, Sha256> pictures(Input input, ProjectId project, Questionnaire questionnaire) {
        List<String> wanted = questionnaire.questions().stream()
                .flatMap(one -> one.form().options().stream())
                .flatMap((AnswerForm.Option option) -> option.picture().stream())
                .distinct()
                .toList();
        Map<String, Sha256> found = new HashMap<>();
        if (!wanted.isEmpty()) {
            List<ProjectFile> all = files.ofProject(project);
            wanted.forEach(name -> all.stream()
                    .filter(file -> file.name().equalsIgnoreCase(name)
                            && file.mediaType().startsWith("image/"))
                    .findFirst()
                    .ifPresentOrElse(
                            file -> found.put(name, file.sha256()),
                            () -> input.require(false, "There is no picture “" + name + "” among the files here.")));
        }
        return found;
    }

    /**
     * Changes what is asked. What was answered stays: to a question that asks the same in the same words it is the
     * answer still, the rest is kept aside.
     *
     * @param revision of the questionnaire that was changed
     * @throws Refused if it was handed in or is not wanted any more, or something cannot be read
     */
    @Transactional
    public ProjectId change(UUID part, int revision, String typed, Actor by) {
        Questionnaires.Kept before = NotFound.unless(questionnaires.find(part));
        requests.lock(before.request());
        Request request = NotFound.unless(requests.find(before.request()));
        RequestPart wanted = request.part(part).orElseThrow();
        boolean handedIn = request.missing(wanted) == 0;
        if (handedIn || request.standing() instanceof Request.Withdrawn) {
            throw Refused.changedMeanwhile(
                    handedIn
                            ? "It was handed in meanwhile, so its questions stay as they are. Ask again first, if "
                                    + "something is missing."
                            : "This is not wanted any more, so nothing was changed.");
        }
        Input input = new Input();
        QuestionLines read = read(input, typed);
        input.require(read.files().isEmpty(), "What is wanted as a file cannot be added later. Make a request of it.");
        Map<String, Sha256> pictures = pictures(input, request.project(), read.questionnaire());
        input.allGood();
        Questionnaire.Changed changed = before.questionnaire().changedTo(read.questionnaire());
        boolean sent = request.sent().isPresent();
        Optional<Questionnaires.Change> said = sent && changed.ofQuestions()
                ? Optional.of(new Questionnaires.Change(agency.now(), QuestionWords.change(changed)))
                : sent ? before.changed() : Optional.empty();
        questionnaires.change(part, revision, changed.now(), pictures, said);
        if (sent) {
            audit.append(
                    request.project(),
                    request.id().value(),
                    new RequestActs.QuestionnaireChanged(
                            by, request.title(), wanted.name(), QuestionWords.change(changed)));
        }
        return request.project();
    }
}
