package app.clearpane.usecases.markup;

import app.clearpane.core.markup.Clash;
import app.clearpane.core.markup.Intent;
import app.clearpane.core.markup.MarkupId;
import app.clearpane.formats.clearance.PdfWriter;
import app.clearpane.store.agency.People;
import app.clearpane.store.agency.TeamMember;
import app.clearpane.store.deliverable.VersionRow;
import app.clearpane.store.markup.MarkupRow;
import app.clearpane.usecases.House;
import app.clearpane.usecases.deliverable.DeliverableState;
import app.clearpane.usecases.deliverable.States;
import app.clearpane.usecases.post.Letter;
import app.clearpane.usecases.post.WriteMail;
import app.clearpane.usecases.shell.Pages;
import app.clearpane.usecases.shell.TheAgency;
import app.clearpane.usecases.shell.Words;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Base64;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Writes the letter of a round: as a page, as PDF, and by mail. */
@Component
public class WriteLetter {
    private static final int CUT_OUT_WIDTH = 420;
    private final States states;
    private final Standing standing;
    private final People people;
    private final Clashes clashes;
    private final Annotations annotations;
    private final CutOuts cutOuts;
    private final Pages pages;
    private final WriteMail mail;
    private final TheAgency agency;
    private final Words words;
    private final House house;

    WriteLetter(
            States states,
            Standing standing,
            People people,
            Clashes clashes,
            Annotations annotations,
            CutOuts cutOuts,
            Pages pages,
            WriteMail mail,
            TheAgency agency,
            Words words,
            House house) {
        this.states = states;
        this.standing = standing;
        this.people = people;
        this.clashes = clashes;
        this.annotations = annotations;
        this.cutOuts = cutOuts;
        this.pages = pages;
        this.mail = mail;
        this.agency = agency;
        this.words = words;
        this.house = house;
    }

    /** The letter of the round of a version. */
    public RoundLetter write(VersionRow version) {
        DeliverableState state = states.withThreads(version.deliverable());
        List<MarkupRow> marks = standing.on(version, state.versions(), state.marks());
        Map<Integer, Double> ratios = new HashMap<>();
        annotations.sizes(version).forEach((page, size) -> ratios.put(page, size.ratio()));
        Map<MarkupId, MarkupRow> byId = marks.stream().collect(Collectors.toMap(MarkupRow::id, Function.identity()));
        List<Clash> same = clashes.sameWishes(version, state.deliverable().pane(), state.marks());
        List<Clashes.Open> open = clashes.of(version, state.deliverable().pane(), state.marks());
        List<RoundLetter.Line> lines = new ArrayList<>();
        for (MarkupRow mark : marks) {
            if (mark.progress().carriesOver() && !goesAlong(mark, byId)) {
                List<MarkupRow> joined = marks.stream()
                        .filter(other -> !other.id().equals(mark.id())
                                && other.progress().carriesOver()
                                && other.ahead().equals(mark.ahead()))
                        .toList();
                List<String> also = same.stream()
                        .filter(pair -> pair.involves(mark.id()))
                        .map(pair -> byId.get(pair.other(mark.id())))
                        .filter(other -> !joined.contains(other))
                        .map(other -> other.author().name() + " (" + other.label() + ")")
                        .toList();
                Optional<String> against = open.stream()
                        .filter(clash ->
                                clash.both().stream().anyMatch(one -> one.id().equals(mark.id())))
                        .map(clash -> clash.first().id().equals(mark.id()) ? clash.second() : clash.first())
                        .map(other -> other.label() + " of " + other.author().name())
                        .findFirst();
                lines.add(new RoundLetter.Line(
                        mark,
                        MarkWords.progress(mark.progress()),
                        ratios.getOrDefault(mark.place().page(), 1.0),
                        also,
                        against,
                        joined,
                        Optional.ofNullable(mark.beside().doer())
                                .flatMap(people::member)
                                .map(TeamMember::name)));
            }
        }
        return new RoundLetter(
                state.deliverable().name(),
                version,
                lines.stream()
                        .filter(line -> line.mark().intent() == Intent.CHANGE)
                        .toList(),
                lines.stream()
                        .filter(line -> line.mark().intent() != Intent.CHANGE)
                        .toList(),
                state.asked().toMake() + state.asked().later(),
                (int) state.marks().stream()
                        .filter(mark -> !mark.progress().carriesOver())
                        .count());
    }

    /** Whether it is told with the mark it was joined to. */
    private static boolean goesAlong(MarkupRow mark, Map<MarkupId, MarkupRow> byId) {
        MarkupId ahead = mark.ahead();
        return !ahead.equals(mark.id())
                && byId.containsKey(ahead)
                && byId.get(ahead).progress().carriesOver();
    }

    /** The letter as PDF, with a cut-out of each place. */
    public byte[] pdf(RoundLetter letter) throws IOException {
        Map<String, String> pictures = new HashMap<>();
        cutOuts.of(
                        letter.version(),
                        letter.changes().stream().map(RoundLetter.Line::mark).toList(),
                        CUT_OUT_WIDTH)
                .forEach((mark, png) -> pictures.put(
                        mark.toString(),
                        "data:image/png;base64," + Base64.getEncoder().encodeToString(png)));
        return PdfWriter.write(pages.render(
                "markup/letter-paper", Map.of("letter", letter, "cutOuts", pictures, "agency", agency.get())));
    }

    /** Mails it to one of the team: every change in a line, and where to see them. */
    @Transactional
    public void mail(RoundLetter letter, TeamMember to) {
        List<String> lines = new ArrayList<>();
        lines.add(letter.deliverable() + ", " + letter.version().called() + ": "
                + (letter.changes().isEmpty()
                        ? "no change is asked for."
                        : words.count(letter.changes().size(), "change is", "changes are") + " asked for."));
        letter.changes().forEach(line -> lines.add(line.inOneLine()));
        mail.send(
                to,
                new Letter(
                        "To do: " + letter.deliverable() + ", "
                                + letter.version().called(),
                        lines,
                        "See them in their places",
                        house.address() + "/t/versions/" + letter.version().id() + "/letter",
                        agency.get().name()));
    }
}
