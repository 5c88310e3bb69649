package app.clearpane.web.supply.team;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.project.Project;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.supply.RequestId;
import app.clearpane.core.supply.question.Answers;
import app.clearpane.core.supply.question.QuestionLines;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.supply.DraftRequest;
import app.clearpane.usecases.supply.RequestChoices;
import app.clearpane.usecases.supply.question.DraftQuestionnaire;
import app.clearpane.usecases.supply.question.ReadAnswers;
import app.clearpane.usecases.supply.question.ShippedQuestionnaires;
import app.clearpane.usecases.supply.question.UseAnswers;
import app.clearpane.web.project.team.ProjectFrame;
import app.clearpane.web.shell.access.ForManagers;
import app.clearpane.web.shell.frame.TeamController;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Questionnaires: written as one types, seen as they will look, and their answers beside each other. */
@TeamController
class QuestionnaireController {
    private final ProjectFrame frame;
    private final RequestChoices choices;
    private final ShippedQuestionnaires shipped;
    private final DraftQuestionnaire draftQuestionnaire;
    private final ReadAnswers readAnswers;
    private final UseAnswers useAnswers;

    QuestionnaireController(
            ProjectFrame frame,
            RequestChoices choices,
            ShippedQuestionnaires shipped,
            DraftQuestionnaire draftQuestionnaire,
            ReadAnswers readAnswers,
            UseAnswers useAnswers) {
        this.frame = frame;
        this.choices = choices;
        this.shipped = shipped;
        this.draftQuestionnaire = draftQuestionnaire;
        this.readAnswers = readAnswers;
        this.useAnswers = useAnswers;
    }

    @GetMapping("/t/projects/{project}/questionnaires/new")
    @ForManagers
    String begin(@PathVariable ProjectId project, @RequestParam(defaultValue = "") String from, Model model) {
        Project found = frame.above(model, project, "Requests");
        model.addAttribute("shipped", shipped.all());
        model.addAttribute("from", shipped.find(from));
        model.addAttribute("choices", choices.read(found));
        return "supply/new-questionnaire";
    }

    /** How it will look, before anything is kept. */
    @PostMapping("/t/projects/{project}/questionnaires/read")
    String read(@PathVariable ProjectId project, @RequestParam(defaultValue = "") String wanted, Model model) {
        QuestionLines read = QuestionLines.read(wanted);
        model.addAttribute("read", read);
        model.addAttribute("answers", new Answers(read.questionnaire(), List.of(), List.of()));
        model.addAttribute("typed", Map.of());
        return "supply/_looks :: looks";
    }

    @PostMapping("/t/projects/{project}/questionnaires")
    @ForManagers
    String draft(@PathVariable ProjectId project, DraftRequest.RequestForm form, @AuthenticationPrincipal Person me) {
        RequestId id = draftQuestionnaire.draft(project, form, me.actor());
        return RequestController.back(project) + "#r" + id;
    }

    @GetMapping("/t/questionnaires/{questions}")
    String one(@PathVariable UUID questions, Model model) {
        ReadAnswers.Sheet sheet = readAnswers.read(questions);
        frame.above(model, sheet.request().project(), "Requests");
        model.addAttribute("sheet", sheet);
        model.addAttribute("answers", sheet.kept().answers());
        model.addAttribute("asTyped", QuestionLines.write(sheet.kept().questionnaire(), List.of()));
        model.addAttribute("theyChoose", useAnswers.hasLeadVoice(sheet.request().project()));
        return "supply/answers";
    }

    @PostMapping("/t/questionnaires/{questions}/change")
    @ForManagers
    String change(
            @PathVariable UUID questions,
            @RequestParam(defaultValue = "0") int revision,
            @RequestParam(defaultValue = "") String wanted,
            @AuthenticationPrincipal Person me) {
        draftQuestionnaire.change(questions, revision, wanted, me.actor());
        return "redirect:/t/questionnaires/" + questions;
    }

    @PostMapping("/t/questionnaires/{questions}/choose")
    @ForManagers
    String choose(
            @PathVariable UUID questions,
            @RequestParam UUID question,
            @RequestParam ContactId of,
            @AuthenticationPrincipal Person me) {
        useAnswers.choose(questions, question, of, me);
        return "redirect:/t/questionnaires/" + questions + "#q" + question;
    }

    @PostMapping("/t/questionnaires/{questions}/task")
    @ForManagers
    String toTask(
            @PathVariable UUID questions, @RequestParam UUID question, @AuthenticationPrincipal Person.OfTeam me) {
        return "redirect:/t/tasks/" + useAnswers.toTask(questions, question, me);
    }
}
