package app.clearpane.usecases.papers;

import app.clearpane.core.papers.Paper;
import app.clearpane.core.papers.PaperKind;
import app.clearpane.store.exposure.Seats;
import app.clearpane.store.papers.Papers;
import app.clearpane.usecases.reminders.AwaitsSomebody;
import app.clearpane.usecases.shell.TheAgency;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Papers that are to be signed, agreed to or paid by a day. */
@Component
class PapersAwait implements AwaitsSomebody {
    private final Papers papers;
    private final Seats seats;
    private final TheAgency agency;
    private final Clock clock;

    PapersAwait(Papers papers, Seats seats, TheAgency agency, Clock clock) {
        this.papers = papers;
        this.seats = seats;
        this.agency = agency;
        this.clock = clock;
    }

    @Override
    public List<Thing> now() {
        return papers.withADay().stream()
                .filter(paper -> paper.kind() != PaperKind.OTHER
                        && paper.state(agency.today()).waits())
                .flatMap(this::things)
                .toList();
    }

    private Stream<Thing> things(Paper paper) {
        Instant due = paper.due()
                .orElseThrow()
                .plusDays(1)
                .atStartOfDay(agency.get().zone())
                .toInstant();
        String what =
                (paper.kind() == PaperKind.CONTRACT ? "Sign “" : paper.kind().takesNames() ? "Agree to “" : "Pay “")
                        + paper.name() + "”";
        return paper.recipients().stream()
                .filter(Paper.Recipient::isAwaited)
                .flatMap(one -> seats
                        .paneThatOpens(paper.project(), one.contact(), clock.instant())
                        .map(pane -> new Thing(
                                paper.id().value(),
                                paper.project(),
                                one.contact(),
                                what,
                                due,
                                paper.sentAt().orElseThrow(),
                                "/c/panes/" + pane + "/papers/" + paper.id()))
                        .stream());
    }

    @Override
    public boolean reaches(Thing thing) {
        return seats.paneThatOpens(thing.project(), thing.contact(), clock.instant())
                .isPresent();
    }
}
