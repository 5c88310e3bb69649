package app.clearpane.demo;

import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.supply.Request;
import app.clearpane.core.supply.RequestId;
import app.clearpane.core.supply.RequestPart;
import app.clearpane.usecases.supply.DraftRequest;
import app.clearpane.usecases.supply.SupplyFiles;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** What was asked of clients, and what came of it. */
class SupplyStory {
    private final Cast cast;
    private final Supplies supplies;

    SupplyStory(Cast cast, Supplies supplies) {
        this.cast = cast;
        this.supplies = supplies;
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
        RequestId request = supplies.draft()
                .draft(
                        project,
                        new DraftRequest.RequestForm(
                                title,
                                why,
                                wanted,
                                Arrays.stream(asked)
                                        .map(person -> cast.contact(person).toString())
                                        .toList(),
                                allowance,
                                ""),
                        cast.actor(Everybody.INES));
        supplies.send().send(request, true, cast.actor(Everybody.INES));
        return request;
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
