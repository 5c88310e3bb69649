package app.clearpane.demo;

import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.supply.Request;
import app.clearpane.core.supply.RequestId;
import app.clearpane.core.supply.RequestPart;
import app.clearpane.core.supply.question.Question;
import app.clearpane.usecases.supply.DraftRequest;
import app.clearpane.usecases.supply.SupplyFiles;
import app.clearpane.usecases.supply.question.AnswerQuestions;
import app.clearpane.usecases.you.KeepParticulars;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What was asked of clients, and what came of it. */
class SupplyStory {
    private static final String NIGHT = """
            # The evenings
            In a usual week in autumn.

            Who comes at night? *
            - Families
            - Schools
            - Members of the trust
            - Whoever is on the hill anyway
            several

            How many on a full night? *
            a number of people, 0 to 400

            # The walk

            May the path be lit? *
            - Yes
            - No
            help: Red light counts as light.

            With what?
            long, at most 60 words
            only if May the path be lit? is Yes

            How dark should it be at the top? *
            from 1 to 5, dim to pitch dark

            What do they say on the way home?
            short
            example: Next time we bring a flask.

            What comes first on a clear night?
            - The moon
            - The planets
            - The Milky Way
            in order

            Until when may people be on the hill? *
            short
            """;

    private final Cast cast;
    private final Supplies supplies;
    private final KeepParticulars particulars;

    SupplyStory(Cast cast, Supplies supplies, KeepParticulars particulars) {
        this.cast = cast;
        this.supplies = supplies;
        this.particulars = particulars;
    }

    void visitorCentre(ProjectId project, PaneId board) {
        cast.goTo(3, 9, 40);
        RequestId panels = ask(
                project,
                "Pictures and words for the star hall",
                "For the six panels, three metres high. Whatever is missing by then is left out of the first print.",
                "3 photographs of the dome, A2 at 200 dpi, landscape, no people, a clear sky\n"
                        + "Opening hours, at most 60 words\n"
                        + "Donors' names, a table, as they wish to be written\n"
                        + "Logo of the lottery fund, a vector drawing",
                "5",
                Everybody.MIRELA,
                Everybody.OTTOLINE);
        RequestId access = ask(
                project,
                "Access to the old site",
                "We take the old pages down on the evening before the opening.",
                "Name and password of the old site, access details\nThe evening that suits you, a day",
                "4",
                Everybody.OTTOLINE);
        cast.goTo(2, 14, 2);
        gives(board, Everybody.MIRELA, panels, 0, "dome-west.jpg", "dome-west.jpg");
        gives(board, Everybody.MIRELA, panels, 0, "dome-phone.jpg", "IMG_0231.jpg");
        cast.goTo(1, 9, 15);
        writes(
                board,
                Everybody.OTTOLINE,
                panels,
                1,
                "Wednesday to Sunday, from dusk until midnight. Closed on the three nights of the full moon.");
        gives(board, Everybody.OTTOLINE, panels, 3, "hill-lottery.png", "hill-lottery.png");
        writes(board, Everybody.OTTOLINE, access, 0, "Name: warden\nPassword: heather-by-the-gate");
        particulars.change(
                cast.contact(Everybody.OTTOLINE),
                new KeepParticulars.Typed(
                        "The Trustees of the Penwether Observatory",
                        "The Observatory\nBeacon Hill\nPenwether",
                        "Wednesday to Sunday, from dusk until midnight",
                        "",
                        0),
                cast.actor(Everybody.OTTOLINE));
        whoComesAtNight(project, board);
    }

    /** Mirela and Ottoline answer beside each other, and differ about the path. */
    private void whoComesAtNight(ProjectId project, PaneId board) {
        cast.goTo(3, 10, 5);
        RequestId night = supplies.questionnaires()
                .draft(
                        project,
                        form(
                                "Who comes at night?",
                                "Before we draw the walk: what happens on the hill after dusk.",
                                NIGHT,
                                "6",
                                Everybody.OTTOLINE,
                                Everybody.MIRELA),
                        cast.actor(Everybody.INES));
        supplies.send().send(night, true, cast.actor(Everybody.INES));
        cast.goTo(2, 16, 20);
        answers(board, Everybody.MIRELA, night, 0, "Families", "Schools");
        answers(board, Everybody.MIRELA, night, 1, "60");
        answers(board, Everybody.MIRELA, night, 2, "Yes");
        answers(board, Everybody.MIRELA, night, 3, "Red lamps, one at each turn.");
        cast.goTo(1, 9, 40);
        answers(board, Everybody.OTTOLINE, night, 2, "No");
        answers(board, Everybody.OTTOLINE, night, 4, "4");
        answers(board, Everybody.OTTOLINE, night, 5, "I never knew how dark it gets.");
    }

    private void answers(PaneId board, Everybody person, RequestId request, int number, String... said) {
        RequestPart questions = part(request, 0);
        Question question = supplies.answered()
                .find(questions.id())
                .orElseThrow()
                .questionnaire()
                .questions()
                .get(number);
        supplies.answer()
                .keep(
                        cast.through(board, person),
                        questions.id(),
                        Map.of(question.id(), new AnswerQuestions.Typed(List.of(said), "")));
    }

    void ticketHall(ProjectId project) {
        cast.goTo(4, 12, 30);
        ask(
                project,
                "Plans of the hall",
                "Without them we cannot say where a sign can hang.",
                "2 PDFs of the ticket hall, 1 to 4 pages, drawn to scale\nWhich pier opens first, one of north / south",
                "3",
                Everybody.LUDO);
    }

    private RequestId ask(
            ProjectId project, String title, String why, String wanted, String allowance, Everybody... asked) {
        RequestId request =
                supplies.draft().draft(project, form(title, why, wanted, allowance, asked), cast.actor(Everybody.INES));
        supplies.send().send(request, true, cast.actor(Everybody.INES));
        return request;
    }

    private DraftRequest.RequestForm form(
            String title, String why, String wanted, String allowance, Everybody... asked) {
        return new DraftRequest.RequestForm(
                title,
                why,
                wanted,
                Arrays.stream(asked)
                        .map(person -> cast.contact(person).toString())
                        .toList(),
                allowance,
                "",
                "",
                "",
                "",
                "");
    }

    private RequestPart part(RequestId request, int number) {
        Request found = supplies.requests().find(request).orElseThrow();
        return found.parts().get(number);
    }

    private void gives(PaneId pane, Everybody person, RequestId request, int part, String file, String called) {
        try {
            supplies.files()
                    .give(
                            cast.through(pane, person),
                            request,
                            Optional.of(part(request, part).id()),
                            List.of(new SupplyFiles.Arriving(called, () -> Cast.art(file))));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private void writes(PaneId pane, Everybody person, RequestId request, int part, String words) {
        try {
            supplies.words()
                    .write(
                            cast.through(pane, person),
                            request,
                            part(request, part).id(),
                            words);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
