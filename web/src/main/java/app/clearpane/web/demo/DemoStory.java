package app.clearpane.web.demo;

import static app.clearpane.web.demo.Cast.arrow;
import static app.clearpane.web.demo.Cast.forTeam;
import static app.clearpane.web.demo.Cast.moment;
import static app.clearpane.web.demo.Cast.point;
import static app.clearpane.web.demo.Cast.rectangle;
import static app.clearpane.web.demo.Cast.words;

import app.clearpane.core.agency.Relation;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.exposure.Aperture;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.exposure.SeatId;
import app.clearpane.core.exposure.SeatRole;
import app.clearpane.core.exposure.Showing;
import app.clearpane.core.markup.Intent;
import app.clearpane.core.markup.MarkupProgress;
import app.clearpane.core.papers.PaperId;
import app.clearpane.core.papers.PaperKind;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.signoff.Decision;
import app.clearpane.core.signoff.Rule;
import app.clearpane.store.markup.MarkupRow;
import app.clearpane.store.project.Phase;
import app.clearpane.usecases.concern.KeepConcern;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.context.annotation.Profile;
import org.springframework.stereotype.Component;

/** The story so far: four projects, told day by day up to today. */
@Component
@Profile("demo")
class DemoStory {
    private static final String SPACE = "A place or an exhibition";
    private static final String PRINTED = "Something printed";
    private static final Map<ContentKind, Aperture> BOARD = Map.of(
            ContentKind.STATUS,
            Aperture.OPEN,
            ContentKind.DATES,
            Aperture.OPEN,
            ContentKind.TASKS,
            Aperture.FILTERED,
            ContentKind.FILES,
            Aperture.PICKED,
            ContentKind.DELIVERABLES,
            Aperture.OPEN,
            ContentKind.CONCERNS,
            Aperture.PICKED);
    private static final String FINISHED = "Finished artwork";
    private final Cast cast;
    private final PlanStory plan;
    private final KeepConcern keepConcern;
    private final WordsOfStory says;
    private final DemoClock clock;

    DemoStory(Cast cast, PlanStory plan, KeepConcern keepConcern, WordsOfStory says, DemoClock clock) {
        this.says = says;
        this.keepConcern = keepConcern;
        this.cast = cast;
        this.plan = plan;
        this.clock = clock;
    }

    void tell() {
        cast.at(80, 9, 0);
        cast.found("Marram & Finch");
        cast.forAllPanes(
                Map.of(
                        ContentKind.STATUS,
                        Aperture.OPEN,
                        ContentKind.DATES,
                        Aperture.OPEN,
                        ContentKind.TASKS,
                        Aperture.PICKED,
                        ContentKind.FILES,
                        Aperture.FILTERED,
                        ContentKind.DELIVERABLES,
                        Aperture.OPEN,
                        ContentKind.CONCERNS,
                        Aperture.PICKED),
                ContentKind.FILES,
                Aperture.FILTERED,
                FINISHED);
        cast.houseRules(
                "We answer within one working day.\nEverything goes through this page, so that nothing is lost in "
                        + "mails.\nTwo rounds are included; we say so before a third begins.");
        ellerby();
        hobAndBarley();
        penwether();
        saltgrass();
        cast.happened(clock.present());
        clock.goToPresent();
    }

    private void penwether() {
        cast.at(52, 9, 30);
        ProjectId project =
                cast.open("Penwether Observatory Trust", "Visitor centre", "night", SPACE, cast.day(-50), cast.day(38));
        List.of(People.OTTOLINE, People.JASPER, People.MIRELA, People.PER)
                .forEach(person -> cast.takeIn(project, "", person));
        List.of(People.DOV, People.ANNICK).forEach(person -> cast.takeIn(project, "Garrow Signworks", person));
        cast.milestone(project, "Panels to the fabricators", cast.day(9));
        ItemId floor = cast.milestone(project, "Floor poured, internal", cast.day(9));
        PaneId board = cast.pane(project, "The board", "Here is everything that needs your eye, in one place.", BOARD);
        cast.filter(board, ContentKind.TASKS, "FINISHED");
        SeatId lead = cast.leadSeat(board, People.OTTOLINE);
        cast.lead(lead);
        cast.seat(board, People.JASPER, SeatRole.SIGNATORY);
        cast.seat(board, People.MIRELA, SeatRole.REVIEWER);
        cast.seat(board, People.PER, SeatRole.READER);
        cast.show(board, floor, Showing.HELD_BACK);
        cast.noteOn(
                project,
                People.OTTOLINE,
                "Trust is slow to pay: forty days on the last two invoices. Ring her before the third.",
                true);
        cast.noteOn(project, People.JASPER, "Answers before eight in the morning or not at all.", false);
        files(project, board);
        concerns(project, board);
        says.visitorCentre(project);
        says.phases(
                project,
                "We walk the hill by day and by night, and write down what visitors need.",
                "Three ways it could look; you choose one.",
                "Map, panels and film, drawn until they can be read.",
                "Everything ready for those who print and build it.",
                "It is built, and we look at every piece.",
                "We hang it, check it, and hand you the keys to it.");
        says.ofUs(project, People.INES, "leads it, and is there for any question", true);
        says.ofUs(project, People.TEO, "draws the map and the mark", true);
        says.ofUs(project, People.RUKMINI, "panels and materials", false);
        says.ofUs(project, People.WANDA, "words, from January on", false);
        PaneId fabricators = cast.pane(
                project,
                "Fabricators",
                "Artwork and dates for the workshop.",
                Map.of(
                        ContentKind.DATES,
                        Aperture.OPEN,
                        ContentKind.FILES,
                        Aperture.FILTERED,
                        ContentKind.DELIVERABLES,
                        Aperture.PICKED));
        cast.filter(fabricators, ContentKind.FILES, FINISHED);
        cast.seat(fabricators, People.DOV, SeatRole.REVIEWER);
        cast.seat(fabricators, People.ANNICK, SeatRole.READER);
        cast.publish(board);
        cast.publish(fabricators);
        cast.at(51, 10, 0);
        plan.visitorCentre(project);
        plan.asked(project);
        cast.at(50, 11, 5);
        List.of(People.OTTOLINE, People.JASPER, People.MIRELA, People.PER, People.DOV)
                .forEach(cast::comesIn);
        papers(project, board);
        cast.phase(project, "Discover", Phase.Stage.DONE);
        cast.phase(project, "Concept", Phase.Stage.DONE);
        cast.usual(
                project,
                "180.00",
                "Spelling read by a second person\nNames and dates checked with the client\nColours checked "
                        + "against the print profile");
        ItemId mark = cast.deliverable(
                project, board, "Identity mark", "The mark that everything else carries.", new Rule.All());
        ItemId map = cast.deliverable(
                project, board, "Visitor map", "The map that is handed out at the door, and its back.", new Rule.All());
        ItemId panels =
                cast.deliverable(project, board, "Star-hall panels", "Six panels, three metres high.", new Rule.All());
        identityMark(board, mark);
        cast.phase(project, "Design", cast.day(-36), cast.day(4), Phase.Stage.UNDER_WAY);
        cast.phase(project, "Artwork", cast.day(5), cast.day(14), Phase.Stage.TO_DO);
        cast.phase(project, "Fabrication", cast.day(15), cast.day(36), Phase.Stage.TO_DO);
        List<MarkupRow> onPanels = panelsFirstTime(board, panels);
        List<MarkupRow> onMap = mapFirstTime(board, map);
        panelsSecondTime(board, panels, onPanels);
        cast.at(6, 9, 10);
        says.stands(project, "The panels can go to the fabricators; the map and its texts come next.");
        ItemId paint = cast.deliverable(
                project,
                board,
                "Signing paint samples",
                "Six colours on the board they will be painted on.",
                new Rule.Any());
        ItemId trailer = cast.deliverable(
                project,
                board,
                "Opening trailer",
                "Twenty seconds for the website and the ticket hall.",
                new Rule.Any());
        ItemId texts = cast.deliverable(
                project, board, "Panel texts", "The words of the six panels in the star hall.", new Rule.All());
        textsAndTrailer(board, texts, trailer);
        cast.at(4, 9, 5);
        cast.saw(board, People.OTTOLINE, List.of(mark, map, panels), true);
        cast.saw(board, People.JASPER, List.of(mark, map, panels), false);
        VersionId second = mapSecondTime(board, map, onMap);
        cast.at(3, 17, 20);
        cast.version(paint, "paint-samples-1.jpg", "paint-samples.jpg", "", People.RUKMINI);
        cast.at(2, 10, 0);
        cast.paper(
                project,
                PaperKind.INVOICE,
                "Invoice 2 of 4",
                "2027-044",
                "4600.00",
                Optional.of(cast.day(12)),
                "When the design is with the board.",
                People.OTTOLINE);
        clash(board, second);
        cast.at(1, 16, 10);
        cast.link(fabricators, "Paint shop", true);
        cast.show(fabricators, panels, Showing.SHOWN);
    }

    private void papers(ProjectId project, PaneId board) {
        PaperId proposal = cast.paper(
                project,
                PaperKind.PROPOSAL,
                "Proposal for the visitor centre",
                "P-31",
                "18400.00",
                Optional.of(cast.day(-45)),
                "Identity, map, panels, texts and a trailer, in six phases.",
                People.OTTOLINE);
        PaperId contract = cast.paper(
                project,
                PaperKind.CONTRACT,
                "Contract for the visitor centre",
                "C-31",
                "18400.00",
                Optional.of(cast.day(-40)),
                "Two rounds on each deliverable are included; each further one costs 180.00.",
                People.OTTOLINE,
                People.JASPER);
        PaperId first = cast.paper(
                project,
                PaperKind.INVOICE,
                "Invoice 1 of 4",
                "2027-031",
                "4600.00",
                Optional.of(cast.day(-20)),
                "On signing the contract.",
                People.OTTOLINE);
        cast.at(49, 16, 20);
        cast.names(board, People.OTTOLINE, proposal);
        cast.names(board, People.OTTOLINE, contract);
        cast.names(board, People.JASPER, contract);
        cast.at(46, 9, 0);
        cast.paid(first, cast.day(-46));
    }

    private void textsAndTrailer(PaneId board, ItemId texts, ItemId trailer) {
        VersionId words = cast.version(texts, "panel-texts-1.md", "panel-texts.md", "", People.WANDA);
        VersionId film = cast.version(trailer, "opening-trailer-1.mp4", "opening-trailer.mp4", "", People.TEO);
        cast.send(words);
        cast.send(film);
        cast.at(5, 18, 30);
        cast.mark(
                board,
                People.MIRELA,
                words,
                words(
                        "to see in the dark",
                        Intent.CHANGE,
                        "One sees in the dark at once, only badly.",
                        "to get used to the dark"));
        cast.mark(
                board,
                People.JASPER,
                words,
                words(
                        "It is ground to the thickness of a hair's hundredth part.",
                        Intent.CHANGE,
                        "Nobody understands this sentence.",
                        ""));
        cast.mark(
                board,
                People.JASPER,
                words,
                words("who paid for it with the prize for a pig", Intent.KEEP, "Keep the pig.", ""));
        cast.mark(
                board,
                People.MIRELA,
                words,
                words(
                        "without a glass",
                        Intent.QUESTION,
                        "Do children know what a glass is here?",
                        "with the naked eye"));
        cast.mark(
                board,
                People.JASPER,
                film,
                moment(6.2, 8.8, Intent.IDEA, "Let it grow dark first, then open the dome."));
        cast.mark(
                board,
                People.OTTOLINE,
                film,
                moment(16.4, rectangle(1, 0.25, 0.1, 0.5, 0.13, Intent.CHANGE, "It is the fourteenth.")));
        cast.decide(board, People.JASPER, words, Decision.SEND_BACK, "");
        cast.decide(board, People.OTTOLINE, words, Decision.SEND_BACK, "With Mirela's notes.");
        cast.decide(board, People.OTTOLINE, film, Decision.SEND_BACK, "");
        cast.at(5, 19, 5);
        cast.close(film, "Ottoline speaks for the board.");
        cast.version(
                texts,
                "panel-texts-2.md",
                "panel-texts-2.md",
                "Panels 3 and 4 changed places; four sentences rewritten.",
                People.WANDA);
        cast.version(
                trailer,
                "opening-trailer-2.mp4",
                "opening-trailer-2.mp4",
                "The right day, and the dome opens once it is dark.",
                People.TEO);
    }

    private void clash(PaneId board, VersionId map) {
        cast.at(1, 11, 40);
        cast.mark(
                board,
                People.JASPER,
                map,
                rectangle(
                        1,
                        0.135,
                        0.5,
                        0.13,
                        0.07,
                        Intent.CHANGE,
                        "Move the car-park entrance to the east side. I have drawn it."),
                List.of("entrance-sketch.jpg"));
        cast.mark(
                board,
                People.MIRELA,
                map,
                rectangle(
                        1,
                        0.14,
                        0.505,
                        0.12,
                        0.065,
                        Intent.KEEP,
                        "The entrance is right where it is, for the school buses."));
        cast.decide(board, People.JASPER, map, Decision.SEND_BACK, "");
    }

    private void concerns(ProjectId project, PaneId board) {
        cast.show(
                board,
                concern(
                        project,
                        People.RUKMINI,
                        "The hall floor may dry late",
                        new Weighed(false, 2, 3),
                        "The screed was poured in the wet. If it dries late, nothing can stand on it at the start "
                                + "of fabrication.",
                        "The panels hang from rails, so that they can go up a week after the floor."),
                Showing.SHOWN);
        cast.show(
                board,
                concern(
                        project,
                        People.TEO,
                        "The dome photographs are too small for print",
                        new Weighed(true, 3, 2),
                        "The one that came is too small for the large panel.",
                        "We asked for the originals; a photographer is held for two days."),
                Showing.SHOWN);
        concern(
                project,
                People.INES,
                "The Trust may have to save on the last two panels",
                new Weighed(false, 2, 2),
                "Said in passing by the treasurer.",
                "Price the panels one by one.");
        ItemId settled = concern(
                project,
                People.RUKMINI,
                "The workshop moves in the middle of it",
                new Weighed(false, 1, 2),
                "Two weeks without a press.",
                "Artwork goes to them before they pack.");
        cast.show(board, settled, Showing.SHOWN);
        keepConcern.close(settled, true, cast.by(People.RUKMINI));
    }

    /** What a concern weighs. */
    private record Weighed(boolean issue, int likelihood, int effect) {}

    private ItemId concern(
            ProjectId project, People owner, String name, Weighed weighed, String about, String measure) {
        return keepConcern.add(
                project,
                new KeepConcern.Form(
                        name,
                        weighed.issue(),
                        weighed.likelihood(),
                        weighed.effect(),
                        about,
                        measure,
                        cast.member(owner),
                        0),
                cast.by(owner));
    }

    private void files(ProjectId project, PaneId board) {
        ItemId finished = cast.folder(project, FINISHED);
        ItemId alternatives = cast.folder(project, "Alternatives");
        ItemId inner = cast.folder(project, "For the team");
        cast.show(board, finished, Showing.SHOWN);
        cast.holdBack(alternatives);
        cast.holdBack(inner);
        cast.file(project, Optional.of(finished), "identity-mark-2.svg", "Penwether mark.svg", People.TEO);
        cast.file(
                project,
                Optional.of(finished),
                "survey-of-the-grounds-1.pdf",
                "Survey of the grounds.pdf",
                People.RUKMINI);
        cast.file(project, Optional.of(alternatives), "mark-option-b.svg", "Mark, option B (dropped).svg", People.TEO);
        cast.file(project, Optional.of(alternatives), "mark-option-c.svg", "Mark, option C (dropped).svg", People.TEO);
        cast.note(
                project,
                Optional.of(inner),
                "item,cost,price,margin\nOak reveals,1840.00,2392.00,23.1 %\nBrass letters,910.00,1183.00,23.1 %\n",
                "Costs and margins.csv",
                People.INES);
        cast.note(
                project,
                Optional.of(inner),
                "Trust is slow to pay: forty days on the last two invoices.\n",
                "Trust is slow to pay.txt",
                People.INES);
        cast.note(
                project,
                Optional.empty(),
                "Open Wednesday to Sunday, from dusk until midnight.\nClosed on the three nights of the full moon.\n",
                "Opening hours.txt",
                People.WANDA);
    }

    private void identityMark(PaneId board, ItemId mark) {
        cast.at(44, 14, 0);
        VersionId first = cast.version(mark, "identity-mark-1.svg", "penwether-mark-1.svg", "", People.TEO);
        cast.send(first);
        cast.at(43, 10, 12);
        MarkupRow thin = cast.mark(
                board,
                People.OTTOLINE,
                first,
                rectangle(
                        1,
                        0.16,
                        0.52,
                        0.38,
                        0.17,
                        Intent.CHANGE,
                        "The lines are heavy next to the dome. Could they be lighter?"));
        cast.mark(board, People.JASPER, first, point(1, 0.72, 0.5, Intent.KEEP, "The name is exactly right."));
        cast.decide(board, People.OTTOLINE, first, Decision.SEND_BACK, "");
        cast.decide(board, People.JASPER, first, Decision.SEND_BACK, "As Ottoline says.");
        cast.at(42, 9, 40);
        cast.answer(thin, People.TEO, board, Optional.of(MarkupProgress.Act.TAKE_ON), "");
        cast.at(40, 16, 30);
        VersionId second = cast.version(
                mark, "identity-mark-2.svg", "penwether-mark-2.svg", "Lighter lines, and three stars.", People.TEO);
        cast.answer(thin, People.TEO, board, Optional.of(MarkupProgress.Act.FIX), "Half the weight now.");
        cast.send(second);
        cast.at(39, 9, 20);
        cast.decide(board, People.JASPER, second, Decision.SIGN_OFF, "");
        cast.at(38, 17, 2);
        cast.decide(
                board,
                People.OTTOLINE,
                second,
                Decision.SIGN_OFF_WITH_NOTES,
                "Please send it to the printer of our letterheads as well.");
    }

    private List<MarkupRow> mapFirstTime(PaneId board, ItemId map) {
        cast.at(12, 10, 0);
        VersionId first = cast.version(map, "visitor-map-1.pdf", "visitor-map-1.pdf", "", People.TEO);
        cast.send(first);
        cast.at(11, 11, 15);
        MarkupRow wayIn = cast.mark(
                board,
                People.OTTOLINE,
                first,
                rectangle(
                        1,
                        0.1,
                        0.172,
                        0.11,
                        0.042,
                        Intent.CHANGE,
                        "Make “Way in” larger: nobody saw it on the mock-up."));
        MarkupRow cafe = cast.mark(
                board,
                People.JASPER,
                first,
                arrow(1, 0.66, 0.52, 0.56, 0.53, Intent.CHANGE, "The café stands on the other side of the path."));
        MarkupRow night = cast.mark(
                board, People.JASPER, first, point(1, 0.79, 0.38, Intent.IDEA, "A dotted line for the night walk?"));
        MarkupRow dome = cast.mark(
                board,
                People.MIRELA,
                first,
                point(1, 0.643, 0.23, Intent.QUESTION, "Is the dome drawn at the real angle?"));
        cast.mark(
                board,
                People.MIRELA,
                first,
                rectangle(1, 0.25, 0.465, 0.15, 0.12, Intent.KEEP, "The car park is right for the school buses."));
        MarkupRow torch = cast.mark(
                board,
                People.OTTOLINE,
                first,
                point(1, 0.2, 0.935, Intent.CHANGE, "Say something about torches here."));
        MarkupRow back = cast.mark(
                board,
                People.MIRELA,
                first,
                rectangle(2, 0.4, 0.893, 0.2, 0.045, Intent.CHANGE, "Until midnight, please: people ask."));
        cast.mark(
                board,
                People.TEO,
                first,
                forTeam(point(
                        1,
                        0.45,
                        0.25,
                        Intent.QUESTION,
                        "Old dome sits two metres too far east. AuditLog them, or just move it?")));
        cast.answer(dome, People.TEO, board, Optional.empty(), "Yes, from the survey.");
        cast.at(10, 9, 30);
        cast.decide(board, People.JASPER, first, Decision.SEND_BACK, "Nearly there.");
        cast.decide(board, People.OTTOLINE, first, Decision.SEND_BACK, "");
        cast.at(9, 10, 0);
        List.of(wayIn, cafe, torch, back)
                .forEach(mark -> cast.answer(mark, People.TEO, board, Optional.of(MarkupProgress.Act.TAKE_ON), ""));
        return List.of(wayIn, cafe, torch, back, night);
    }

    private VersionId mapSecondTime(PaneId board, ItemId map, List<MarkupRow> asked) {
        cast.at(4, 15, 45);
        VersionId second = cast.version(
                map,
                "visitor-map-2.pdf",
                "visitor-map-2.pdf",
                "Larger way in, the café across the path, the night walk.",
                People.TEO);
        asked.forEach(mark -> cast.answer(
                mark,
                People.TEO,
                board,
                Optional.of(MarkupProgress.Act.FIX),
                mark.intent() == Intent.IDEA ? "Drawn, with its minutes." : ""));
        cast.at(3, 16, 5);
        cast.send(second);
        return second;
    }

    private List<MarkupRow> panelsFirstTime(PaneId board, ItemId panels) {
        cast.at(20, 9, 45);
        VersionId first = cast.version(panels, "star-hall-panels-1.pdf", "star-hall-panels-1.pdf", "", People.WANDA);
        cast.send(first);
        cast.at(18, 13, 30);
        MarkupRow red =
                cast.mark(board, People.OTTOLINE, first, point(5, 0.4, 0.14, Intent.CHANGE, "Our torches are red."));
        MarkupRow door = cast.mark(
                board,
                People.JASPER,
                first,
                rectangle(6, 0.07, 0.12, 0.55, 0.03, Intent.CHANGE, "The door is on the right when you read this."));
        cast.mark(board, People.MIRELA, first, point(3, 0.5, 0.6, Intent.KEEP, "Children love the wandering ones."));
        cast.decide(board, People.OTTOLINE, first, Decision.SEND_BACK, "Two small facts.");
        cast.decide(board, People.JASPER, first, Decision.SEND_BACK, "");
        cast.at(17, 10, 0);
        cast.answer(red, People.WANDA, board, Optional.of(MarkupProgress.Act.TAKE_ON), "");
        return List.of(red, door);
    }

    private void panelsSecondTime(PaneId board, ItemId panels, List<MarkupRow> asked) {
        cast.at(9, 17, 15);
        VersionId second = cast.version(
                panels,
                "star-hall-panels-2.pdf",
                "star-hall-panels-2.pdf",
                "Red torches, the door on the right, larger second lines.",
                People.WANDA);
        asked.forEach(one -> cast.answer(one, People.WANDA, board, Optional.of(MarkupProgress.Act.FIX), ""));
        cast.send(second);
        cast.at(8, 10, 40);
        MarkupRow welsh = cast.mark(
                board,
                People.MIRELA,
                second,
                point(3, 0.42, 0.085, Intent.CHANGE, "The wandering stars need their Welsh names as well."));
        cast.mark(
                board,
                People.OTTOLINE,
                second,
                rectangle(4, 0.08, 0.1, 0.6, 0.07, Intent.QUESTION, "Can somebody in a wheelchair read this line?"));
        cast.decide(board, People.JASPER, second, Decision.SEND_BACK, "As Mirela says.");
        cast.at(8, 15, 20);
        cast.decide(board, People.OTTOLINE, second, Decision.SEND_BACK, "Nearly: only the names.");
        cast.at(7, 9, 30);
        cast.answer(welsh, People.WANDA, board, Optional.of(MarkupProgress.Act.TAKE_ON), "");
    }

    private void saltgrass() {
        cast.at(6, 10, 0);
        ProjectId project =
                cast.open("Saltgrass Ferries", "Ticket-hall signs", "shore", SPACE, cast.day(-4), cast.day(70));
        cast.takeIn(project, "", People.LUDO);
        PaneId pane = cast.pane(project, "Operations", "We start as soon as the plans of the hall are here.", Map.of());
        cast.arriveShown(pane, ContentKind.FILES);
        SeatId lead = cast.leadSeat(pane, People.LUDO);
        cast.lead(lead);
        cast.takeIn(project, "Corran Steamers", People.BERTIL);
        says.relates("Corran Steamers", Relation.PROSPECT);
        says.next("Corran Steamers", "first talk", "Ask whether both piers want one set of signs", cast.day(3));
        SeatId mistake = cast.leadSeat(pane, People.BERTIL);
        cast.at(5, 9, 0);
        cast.endSeat(mistake);
        cast.publish(pane);
        cast.at(4, 12, 0);
        cast.comesIn(People.LUDO);
        cast.phase(project, "Discover", Phase.Stage.UNDER_WAY);
        cast.deliverable(
                project,
                pane,
                "Signs for the ticket hall",
                "Where to queue, where to pay, where to board.",
                new Rule.All());
    }

    private void hobAndBarley() {
        cast.at(60, 9, 0);
        ProjectId project = cast.open("Hob & Barley Mill", "Flour bags", "mill", PRINTED, cast.day(-58), cast.day(4));
        List.of(People.IMRE, People.GRETE).forEach(person -> cast.takeIn(project, "", person));
        PaneId pane = cast.pane(
                project,
                "The mill",
                "Your bags, from first sketch to print.",
                Map.of(
                        ContentKind.STATUS,
                        Aperture.OPEN,
                        ContentKind.DATES,
                        Aperture.OPEN,
                        ContentKind.FILES,
                        Aperture.OPEN,
                        ContentKind.DELIVERABLES,
                        Aperture.OPEN));
        cast.lead(cast.leadSeat(pane, People.IMRE));
        cast.seat(pane, People.GRETE, SeatRole.SIGNATORY);
        cast.publish(pane);
        cast.at(58, 8, 50);
        List.of(People.IMRE, People.GRETE).forEach(cast::comesIn);
        cast.note(
                project,
                Optional.of(cast.folder(project, FINISHED)),
                "Rye, wheat and spelt, in matt varnish.\n",
                "Print order.txt",
                People.INES);
        cast.note(
                project,
                Optional.empty(),
                "Two printers asked; the second is cheaper by a tenth.\n",
                "Printers compared.txt",
                People.INES);
        List.of("Brief", "Concept", "Design", "Artwork").forEach(phase -> cast.phase(project, phase, Phase.Stage.DONE));
        cast.phase(project, "Print", Phase.Stage.UNDER_WAY);
        ItemId rye = cast.deliverable(project, pane, "Rye, 1 kg", "", new Rule.All());
        cast.at(40, 10, 0);
        VersionId first = cast.version(rye, "flour-rye-1.pdf", "rye-1kg-1.pdf", "", People.TEO);
        cast.send(first);
        cast.at(39, 15, 0);
        MarkupRow lots = cast.mark(
                pane,
                People.IMRE,
                first,
                point(1, 0.5, 0.85, Intent.CHANGE, "It has to say that it is stone-ground in small lots."));
        cast.decide(pane, People.IMRE, first, Decision.SEND_BACK, "");
        cast.decide(pane, People.GRETE, first, Decision.STAND_ASIDE, "");
        cast.at(35, 10, 0);
        VersionId second =
                cast.version(rye, "flour-rye-2.pdf", "rye-1kg-2.pdf", "The line about small lots.", People.TEO);
        cast.answer(lots, People.TEO, pane, Optional.of(MarkupProgress.Act.FIX), "");
        cast.send(second);
        cast.at(34, 9, 12);
        cast.decide(pane, People.GRETE, second, Decision.SIGN_OFF, "");
        cast.decide(pane, People.IMRE, second, Decision.SIGN_OFF_WITH_NOTES, "Matt varnish, please.");
        cast.at(30, 11, 0);
        cast.release(rye);
        signedAtOnce(project, pane, 28, "Wheat, 1.5 kg", "flour-wheat-1.pdf", "wheat-1500g-1.pdf");
        signedAtOnce(project, pane, 26, "Spelt, 1 kg", "flour-spelt-1.pdf", "spelt-1kg-1.pdf");
    }

    private void signedAtOnce(ProjectId project, PaneId pane, int daysAgo, String name, String art, String fileName) {
        cast.at(daysAgo, 10, 0);
        ItemId bag = cast.deliverable(project, pane, name, "", new Rule.All());
        VersionId version = cast.version(bag, art, fileName, "", People.TEO);
        cast.send(version);
        cast.at(daysAgo - 1, 9, 0);
        cast.decide(pane, People.GRETE, version, Decision.SIGN_OFF, "");
        cast.decide(pane, People.IMRE, version, Decision.SIGN_OFF, "");
    }

    private void ellerby() {
        cast.at(78, 9, 0);
        ProjectId project =
                cast.open("Ellerby Allotments", "Seed-swap poster", "garden", PRINTED, cast.day(-76), cast.day(-56));
        cast.takeIn(project, "", People.CORA);
        PaneId pane = cast.pane(project, "The committee", "", BOARD);
        cast.lead(cast.leadSeat(pane, People.CORA));
        cast.publish(pane);
        cast.at(76, 9, 30);
        cast.comesIn(People.CORA);
        ItemId poster =
                cast.deliverable(project, pane, "Poster, A2", "For the notice boards of the village.", new Rule.Any());
        VersionId version = cast.version(poster, "seed-swap-poster-1.pdf", "seed-swap-a2.pdf", "", People.WANDA);
        cast.send(version);
        cast.at(74, 18, 10);
        cast.decide(pane, People.CORA, version, Decision.SIGN_OFF, "");
        cast.at(70, 9, 30);
        cast.release(poster);
        cast.at(62, 9, 0);
        List.of("Brief", "Concept", "Design", "Artwork", "Print")
                .forEach(phase -> cast.phase(project, phase, Phase.Stage.DONE));
        cast.reached(project, cast.day(-63));
        cast.archive(project);
    }
}
