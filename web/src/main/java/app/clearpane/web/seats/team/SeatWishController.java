package app.clearpane.web.seats.team;

import app.clearpane.usecases.seats.AnswerSeatWish;
import app.clearpane.usecases.seats.DeclineSeatWish;
import app.clearpane.usecases.security.Person;
import app.clearpane.web.shell.access.ForManagers;
import app.clearpane.web.shell.frame.TeamController;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Answers to wishes for seats. */
@TeamController
class SeatWishController {

    private final AnswerSeatWish answerSeatWish;
    private final DeclineSeatWish declineSeatWish;

    SeatWishController(AnswerSeatWish answerSeatWish, DeclineSeatWish declineSeatWish) {
        this.declineSeatWish = declineSeatWish;
        this.answerSeatWish = answerSeatWish;
    }

    @PostMapping("/t/wishes/{wish}/give")
    @ForManagers
    String give(@PathVariable UUID wish, @AuthenticationPrincipal Person me) {
        return "redirect:/t/projects/" + answerSeatWish.give(wish, me.actor()) + "/people#wishes";
    }

    @PostMapping("/t/wishes/{wish}/decline")
    @ForManagers
    String decline(
            @PathVariable UUID wish, @RequestParam(defaultValue = "") String why, @AuthenticationPrincipal Person me) {
        return "redirect:/t/projects/" + declineSeatWish.decline(wish, why, me.actor()) + "/people#wishes";
    }
}
