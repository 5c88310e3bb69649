package app.clearpane.web.supply.client;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.exposure.client.Viewers;
import app.clearpane.usecases.supply.question.AnswerQuestions;
import app.clearpane.usecases.supply.question.HandInAnswers;
import app.clearpane.usecases.supply.question.ReadAnswers;
import app.clearpane.web.deliverable.SheetBytes;
import app.clearpane.web.exposure.client.Through;
import jakarta.servlet.http.HttpServletResponse;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.core.io.Resource;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** A questionnaire, for those who are asked: answered as they type, by several, handed in by one. */
@Controller
class AnswerController {
    private final ReadAnswers readAnswers;
    private final AnswerQuestions answerQuestions;
    private final HandInAnswers handIn;
    private final Viewers viewers;
    private final SheetBytes bytes;

    AnswerController(
            ReadAnswers readAnswers,
            AnswerQuestions answerQuestions,
            HandInAnswers handIn,
            Viewers viewers,
            SheetBytes bytes) {
        this.readAnswers = readAnswers;
        this.answerQuestions = answerQuestions;
        this.handIn = handIn;
        this.viewers = viewers;
        this.bytes = bytes;
    }

    @GetMapping({"/c/panes/{pane}/questionnaires/{questions}", "/t/look/{seat}/{sight}/questionnaires/{questions}"})
    String one(Viewer viewer, @PathVariable UUID questions, Model model) {
        return page(viewer, questions, Map.of(), Map.of(), model);
    }

    private String page(
            Viewer viewer,
            UUID questions,
            Map<UUID, AnswerQuestions.Typed> typed,
            Map<UUID, String> wrong,
            Model model) {
        ReadAnswers.Sheet sheet = readAnswers.read(viewer, questions);
        Map<UUID, List<String>> asTyped = new HashMap<>();
        wrong.keySet().forEach(question -> Optional.ofNullable(typed.get(question))
                .ifPresent(one -> asTyped.put(question, one.typed())));
        model.addAttribute("sheet", sheet);
        model.addAttribute("answers", sheet.kept().answers());
        model.addAttribute("typed", asTyped);
        model.addAttribute("wrong", wrong);
        model.addAttribute("viewer", viewer);
        model.addAttribute("me", Optional.of(viewer.contact()));
        model.addAttribute("mayChoose", HandInAnswers.mayChoose(viewer));
        model.addAttribute("leadVoice", handIn.leadVoice(viewer));
        model.addAttribute("heading", viewers.heading(viewer));
        model.addAttribute("base", Through.base(viewer));
        return "supply/client/questions";
    }

    /** What cannot be kept stands there again, with what is wrong with it. */
    @PostMapping("/c/panes/{pane}/questionnaires/{questions}")
    String keep(
            Viewer viewer,
            @PathVariable UUID questions,
            @RequestParam MultiValueMap<String, String> fields,
            Model model,
            HttpServletResponse response) {
        Map<UUID, AnswerQuestions.Typed> typed = TypedAnswers.read(fields);
        Map<UUID, String> wrong = answerQuestions.keep(viewer, questions, typed);
        if (wrong.isEmpty()) {
            return back(viewer, questions);
        }
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        return page(viewer, questions, typed, wrong, model);
    }

    @PostMapping("/c/panes/{pane}/questionnaires/{questions}/hand-in")
    String handIn(
            Viewer viewer,
            @PathVariable UUID questions,
            @RequestParam MultiValueMap<String, String> fields,
            Model model,
            HttpServletResponse response) {
        Map<UUID, AnswerQuestions.Typed> typed = TypedAnswers.read(fields);
        Map<UUID, String> wrong = answerQuestions.keep(viewer, questions, typed);
        if (!wrong.isEmpty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return page(viewer, questions, typed, wrong, model);
        }
        handIn.handIn(viewer, questions);
        return back(viewer, questions);
    }

    @PostMapping("/c/panes/{pane}/questionnaires/{questions}/choose")
    String choose(
            Viewer viewer, @PathVariable UUID questions, @RequestParam UUID question, @RequestParam ContactId of) {
        handIn.choose(viewer, questions, question, of);
        return back(viewer, questions) + "#q" + question;
    }

    @GetMapping({
        "/c/panes/{pane}/questionnaires/{questions}/picture",
        "/t/look/{seat}/{sight}/questionnaires/{questions}/picture"
    })
    ResponseEntity<Resource> picture(
            Viewer viewer, @PathVariable UUID questions, @RequestParam(defaultValue = "") String name) {
        ReadAnswers.Sheet sheet = readAnswers.read(viewer, questions);
        return bytes.sheet(readAnswers.picture(sheet, name), 1, SheetBytes.Size.small);
    }

    private static String back(Viewer viewer, UUID questions) {
        return "redirect:" + Through.base(viewer) + "/questionnaires/" + questions;
    }
}
