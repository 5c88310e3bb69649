package app.clearpane.web.papers.team;

import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.papers.PaperId;
import app.clearpane.usecases.papers.SendPaper;
import app.clearpane.usecases.papers.SettlePaper;
import app.clearpane.usecases.plan.PapersFollow;
import app.clearpane.usecases.security.Person;
import app.clearpane.web.shell.access.ForManagers;
import app.clearpane.web.shell.frame.TeamController;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Sending papers, and what becomes of them. */
@TeamController
class SettlePaperController {
    private final SendPaper sendPaper;
    private final SettlePaper settlePaper;
    private final PapersFollow papersFollow;

    SettlePaperController(SendPaper sendPaper, SettlePaper settlePaper, PapersFollow papersFollow) {
        this.papersFollow = papersFollow;
        this.sendPaper = sendPaper;
        this.settlePaper = settlePaper;
    }

    @PostMapping("/t/papers/{paper}/send")
    @ForManagers
    String send(
            @PathVariable PaperId paper,
            @RequestParam(defaultValue = "false") boolean sure,
            @AuthenticationPrincipal Person me) {
        return PaperController.back(sendPaper.send(paper, sure, me.actor()));
    }

    /** Has a task wait for it. */
    @PostMapping("/t/papers/{paper}/holds")
    @ForManagers
    String holds(@PathVariable PaperId paper, @RequestParam ItemId task, @AuthenticationPrincipal Person me) {
        return PaperController.back(papersFollow.waits(paper, task, me.actor()));
    }

    @PostMapping("/t/papers/{paper}/paid")
    @ForManagers
    String paid(
            @PathVariable PaperId paper,
            @RequestParam(defaultValue = "") String day,
            @AuthenticationPrincipal Person me) {
        return PaperController.back(settlePaper.paid(paper, day, me.actor()));
    }

    @PostMapping("/t/papers/{paper}/withdraw")
    @ForManagers
    String withdraw(
            @PathVariable PaperId paper,
            @RequestParam(defaultValue = "") String reason,
            @AuthenticationPrincipal Person me) {
        return PaperController.back(settlePaper.withdraw(paper, reason, me.actor()));
    }
}
