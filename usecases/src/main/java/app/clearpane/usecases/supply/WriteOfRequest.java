package app.clearpane.usecases.supply;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.supply.Request;
import app.clearpane.core.supply.RequestPart;
import app.clearpane.core.supply.Takes;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.exposure.Seats;
import app.clearpane.usecases.post.WriteToContact;
import app.clearpane.usecases.post.WriteToTeam;
import app.clearpane.usecases.shell.Lasting;
import app.clearpane.usecases.shell.TheAgency;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.springframework.stereotype.Component;

/** Writes of requests to those who are asked, and to whoever manages the project. */
@Component
class WriteOfRequest {
    private final Seats seats;
    private final WriteToContact toContact;
    private final WriteToTeam toTeam;
    private final TheAgency agency;
    private final Lasting lasting;

    WriteOfRequest(Seats seats, WriteToContact toContact, WriteToTeam toTeam, TheAgency agency, Lasting lasting) {
        this.seats = seats;
        this.toContact = toContact;
        this.toTeam = toTeam;
        this.agency = agency;
        this.lasting = lasting;
    }

    /** That something is wanted of somebody. */
    void asks(Request request, ContactId contact, Instant due) {
        List<String> lines = new ArrayList<>();
        lines.add("We need something from you: " + request.title() + ".");
        if (!request.why().isEmpty()) {
            lines.add(request.why());
        }
        if (request.asksQuestionsOnly()) {
            lines.add("Please answer by " + lasting.zoned(due)
                    + ". It is kept as you type; you can go on later, on another device too, and so can your "
                    + "colleagues who are asked.");
        } else {
            request.parts().forEach(part -> lines.add("• " + RequestWords.line(part)));
            lines.add("Please send it by " + lasting.zoned(due)
                    + ". It is looked at as it arrives, and nothing is lost if you stop half-way.");
        }
        write(request, contact, "Wanted: " + request.title(), lines, press(request));
    }

    private static String press(Request request) {
        return request.asksQuestionsOnly() ? "Answer" : "Send it";
    }

    /** That it is not wanted any more. */
    void withdraws(Request request, ContactId contact, String why) {
        write(
                request,
                contact,
                "Not wanted any more: " + request.title(),
                List.of("You need not send “" + request.title() + "” any more: " + why),
                "See it");
    }

    /** That another is wanted in place of one that was given. */
    void asksAgain(Request request, RequestPart part, String name, String why, boolean sealed) {
        List<String> lines = new ArrayList<>();
        lines.add(
                part.takes() == Takes.ANSWERS
                        ? "We opened “" + part.name() + "” for you again: " + why
                        : sealed
                                ? "What you gave for “" + part.name() + "” will not do: " + why
                                : "“" + name + "” will not do for “" + part.name() + "”: " + why);
        if (!part.good().isEmpty()) {
            lines.add("What would be just right: " + part.good() + ".");
        }
        request.asked()
                .forEach(one -> write(
                        request,
                        one.contact(),
                        (part.takes() == Takes.ANSWERS ? "Once more, please: " : "Another one, please: ")
                                + request.title(),
                        lines,
                        part.takes() == Takes.ANSWERS ? "Answer" : "Send another"));
    }

    /** All that somebody still owes of one project, what is due first before the others. */
    void owes(ContactId contact, List<Request> owed) {
        List<Request> inOrder = owed.stream()
                .sorted(Comparator.comparing(
                        request -> request.sent().orElseThrow().due()))
                .toList();
        List<String> lines = new ArrayList<>();
        lines.add("This is what we still need from you:");
        inOrder.forEach(request -> {
            lines.add(request.title() + ", by "
                    + lasting.zoned(request.sent().orElseThrow().due()) + ":");
            request.parts().stream()
                    .filter(part -> request.state(part).isTheClients())
                    .forEach(part -> lines.add("• " + RequestWords.line(part)));
        });
        Request first = inOrder.get(0);
        write(
                first,
                contact,
                "Still wanted: " + first.title()
                        + (inOrder.size() == 1 ? "" : " and " + (inOrder.size() - 1) + " more"),
                lines,
                "Send it");
    }

    /** That somebody passed it on, for whoever speaks for their side. */
    void passedOn(Request request, ContactId lead, String who, String colleague) {
        seats.paneThatOpens(request.project(), lead, agency.now())
                .ifPresent(pane -> toContact.write(
                        lead,
                        new WriteToContact.Note(
                                who + " passed something on: " + request.title(),
                                List.of(who + " passed on what we asked for, “" + request.title() + "”, to " + colleague
                                        + "."),
                                "See your page",
                                "/c/panes/" + pane)));
    }

    private void write(Request request, ContactId contact, String subject, List<String> lines, String button) {
        seats.paneThatOpens(request.project(), contact, agency.now())
                .ifPresent(pane -> toContact.write(
                        contact,
                        new WriteToContact.Note(
                                subject, lines, button, "/c/panes/" + pane + "/requests/" + request.id())));
    }

    /** Tells the manager, in one mail with what else is given for it within some minutes. */
    void arrived(Request request, RequestPart part, Viewer giver, String what) {
        toTeam.soon(
                request.project(),
                request.id().value(),
                toTeam.letter(
                        "For “" + request.title() + "”",
                        List.of(giver.name() + " gave "
                                + (part.takes() == Takes.FILES ? what : "what was asked") + " for “" + part.name()
                                + "”."),
                        new WriteToTeam.Leads(
                                "See it", "/t/projects/" + request.project() + "/requests#r" + request.id())));
    }
}
