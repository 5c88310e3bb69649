package app.clearpane.demo;

import static app.clearpane.demo.Cast.arrow;
import static app.clearpane.demo.Cast.forTeam;
import static app.clearpane.demo.Cast.moment;
import static app.clearpane.demo.Cast.point;
import static app.clearpane.demo.Cast.rectangle;
import static app.clearpane.demo.Cast.words;

import app.clearpane.core.agency.Relation;
import app.clearpane.core.deliverable.Rule;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.exposure.Aperture;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.exposure.SeatRole;
import app.clearpane.core.exposure.Showing;
import app.clearpane.core.markup.Intent;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.markup.MarkupProgress;
import app.clearpane.core.papers.PaperId;
import app.clearpane.core.papers.PaperKind;
import app.clearpane.core.people.SeatId;
import app.clearpane.core.project.Phase;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.signoff.Decision;
import app.clearpane.usecases.concern.KeepConcern;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The story so far: four projects, told day by day up to today. */
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
    private final SupplyStory supply;
    private final DemoClock clock;

    DemoStory(
            Cast cast,
            PlanStory plan,
            KeepConcern keepConcern,
            WordsOfStory says,
            SupplyStory supply,
            DemoClock clock) {
        this.supply = supply;
        this.says = says;
        this.keepConcern = keepConcern;
        this.cast = cast;
        this.plan = plan;
        this.clock = clock;
    }

    void tell() {
        cast.goTo(80, 9, 0);
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
        cast.goTo(52, 9, 30);
        ProjectId project =
                cast.open("Penwether Observatory Trust", "Visitor centre", "night", SPACE, cast.day(-50), cast.day(38));
        List.of(Everybody.OTTOLINE, Everybody.JASPER, Everybody.MIRELA, Everybody.PER)
                .forEach(person -> cast.takeIn(project, "", person));
        List.of(Everybody.DOV, Everybody.ANNICK).forEach(person -> cast.takeIn(project, "Garrow Signworks", person));
        cast.milestone(project, "Panels to the fabricators", cast.day(9));
        ItemId floor = cast.milestone(project, "Floor poured, internal", cast.day(9));
        PaneId board = cast.pane(project, "The board", "Here is everything that needs your eye, in one place.", BOARD);
        cast.filter(board, ContentKind.TASKS, "FINISHED");
        SeatId lead = cast.leadSeat(board, Everybody.OTTOLINE);
        cast.lead(lead);
        cast.seat(board, Everybody.JASPER, SeatRole.SIGNATORY);
        cast.seat(board, Everybody.MIRELA, SeatRole.REVIEWER);
        cast.seat(board, Everybody.PER, SeatRole.READER);
        cast.show(board, floor, Showing.HELD_BACK);
        cast.noteOn(
                project,
                Everybody.OTTOLINE,
                "Trust is slow to pay: forty days on the last two invoices. Ring her before the third.",
                true);
        cast.noteOn(project, Everybody.JASPER, "Answers before eight in the morning or not at all.", false);
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
        says.ofUs(project, Everybody.INES, "leads it, and is there for any question", true);
        says.ofUs(project, Everybody.TEO, "draws the map and the mark", true);
        says.ofUs(project, Everybody.RUKMINI, "panels and materials", false);
        says.ofUs(project, Everybody.WANDA, "words, from January on", false);
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
        cast.seat(fabricators, Everybody.DOV, SeatRole.REVIEWER);
        cast.seat(fabricators, Everybody.ANNICK, SeatRole.READER);
        cast.publish(board);
        cast.publish(fabricators);
        cast.goTo(51, 10, 0);
        plan.visitorCentre(project);
        plan.asked(project);
        cast.goTo(50, 11, 5);
        List.of(Everybody.OTTOLINE, Everybody.JASPER, Everybody.MIRELA, Everybody.PER, Everybody.DOV)
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
        List<Mark> onPanels = panelsFirstTime(board, panels);
        List<Mark> onMap = mapFirstTime(board, map);
        panelsSecondTime(board, panels, onPanels);
        cast.goTo(6, 9, 10);
        says.stands(
                project,
                "The panels can go to the fabricators; the map and its texts come next.",
                cast.actor(Everybody.INES));
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
        cast.goTo(4, 9, 5);
        cast.saw(board, Everybody.OTTOLINE, List.of(mark, map, panels), true);
        cast.saw(board, Everybody.JASPER, List.of(mark, map, panels), false);
        VersionId second = mapSecondTime(board, map, onMap);
        supply.visitorCentre(project, board);
        cast.goTo(3, 17, 20);
        cast.version(paint, "paint-samples-1.jpg", "paint-samples.jpg", "", Everybody.RUKMINI);
        cast.goTo(2, 10, 0);
        cast.paper(
                project,
                PaperKind.INVOICE,
                "Invoice 2 of 4",
                "2027-044",
                "4600.00",
                Optional.of(cast.day(12)),
                "When the design is with the board.",
                Everybody.OTTOLINE);
        clash(board, second);
        cast.goTo(1, 16, 10);
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
                Everybody.OTTOLINE);
        PaperId contract = cast.paper(
                project,
                PaperKind.CONTRACT,
                "Contract for the visitor centre",
                "C-31",
                "18400.00",
                Optional.of(cast.day(-40)),
                "Two rounds on each deliverable are included; each further one costs 180.00.",
                Everybody.OTTOLINE,
                Everybody.JASPER);
        PaperId first = cast.paper(
                project,
                PaperKind.INVOICE,
                "Invoice 1 of 4",
                "2027-031",
                "4600.00",
                Optional.of(cast.day(-20)),
                "On signing the contract.",
                Everybody.OTTOLINE);
        cast.goTo(49, 16, 20);
        cast.names(board, Everybody.OTTOLINE, proposal);
        cast.names(board, Everybody.OTTOLINE, contract);
        cast.names(board, Everybody.JASPER, contract);
        cast.goTo(46, 9, 0);
        cast.paid(first, cast.day(-46));
    }

    private void textsAndTrailer(PaneId board, ItemId texts, ItemId trailer) {
        VersionId words = cast.version(texts, "panel-texts-1.md", "panel-texts.md", "", Everybody.WANDA);
        VersionId film = cast.version(trailer, "opening-trailer-1.mp4", "opening-trailer.mp4", "", Everybody.TEO);
        cast.send(words);
        cast.send(film);
        cast.goTo(5, 18, 30);
        cast.mark(
                board,
                Everybody.MIRELA,
                words,
                words(
                        "to see in the dark",
                        Intent.CHANGE,
                        "One sees in the dark at once, only badly.",
                        "to get used to the dark"));
        cast.mark(
                board,
                Everybody.JASPER,
                words,
                words(
                        "It is ground to the thickness of a hair's hundredth part.",
                        Intent.CHANGE,
                        "Nobody understands this sentence.",
                        ""));
        cast.mark(
                board,
                Everybody.JASPER,
                words,
                words("who paid for it with the prize for a pig", Intent.KEEP, "Keep the pig.", ""));
        cast.mark(
                board,
                Everybody.MIRELA,
                words,
                words(
                        "without a glass",
                        Intent.QUESTION,
                        "Do children know what a glass is here?",
                        "with the naked eye"));
        cast.mark(
                board,
                Everybody.JASPER,
                film,
                moment(6.2, 8.8, Intent.IDEA, "Let it grow dark first, then open the dome."));
        cast.mark(
                board,
                Everybody.OTTOLINE,
                film,
                moment(16.4, rectangle(1, 0.25, 0.1, 0.5, 0.13, Intent.CHANGE, "It is the fourteenth.")));
        cast.decide(board, Everybody.JASPER, words, Decision.SEND_BACK, "");
        cast.decide(board, Everybody.OTTOLINE, words, Decision.SEND_BACK, "With Mirela's notes.");
        cast.decide(board, Everybody.OTTOLINE, film, Decision.SEND_BACK, "");
        cast.goTo(5, 19, 5);
        cast.close(film, "Ottoline speaks for the board.");
        cast.version(
                texts,
                "panel-texts-2.md",
                "panel-texts-2.md",
                "Panels 3 and 4 changed places; four sentences rewritten.",
                Everybody.WANDA);
        cast.version(
                trailer,
                "opening-trailer-2.mp4",
                "opening-trailer-2.mp4",
                "The right day, and the dome opens once it is dark.",
                Everybody.TEO);
    }

    private void clash(PaneId board, VersionId map) {
        cast.goTo(1, 11, 40);
        cast.mark(
                board,
                Everybody.JASPER,
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
                Everybody.MIRELA,
                map,
                rectangle(
                        1,
                        0.14,
                        0.505,
                        0.12,
                        0.065,
                        Intent.KEEP,
                        "The entrance is right where it is, for the school buses."));
        cast.decide(board, Everybody.JASPER, map, Decision.SEND_BACK, "");
    }

    private void concerns(ProjectId project, PaneId board) {
        cast.show(
                board,
                concern(
                        project,
                        Everybody.RUKMINI,
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
                        Everybody.TEO,
                        "The dome photographs are too small for print",
                        new Weighed(true, 3, 2),
                        "The one that came is too small for the large panel.",
                        "We asked for the originals; a photographer is held for two days."),
                Showing.SHOWN);
        concern(
                project,
                Everybody.INES,
                "The Trust may have to save on the last two panels",
                new Weighed(false, 2, 2),
                "Said in passing by the treasurer.",
                "Price the panels one by one.");
        ItemId settled = concern(
                project,
                Everybody.RUKMINI,
                "The workshop moves in the middle of it",
                new Weighed(false, 1, 2),
                "Two weeks without a press.",
                "Artwork goes to them before they pack.");
        cast.show(board, settled, Showing.SHOWN);
        keepConcern.close(settled, true, cast.actor(Everybody.RUKMINI));
    }

    /** What a concern weighs. */
    private record Weighed(boolean issue, int likelihood, int effect) {}

    private ItemId concern(
            ProjectId project, Everybody owner, String name, Weighed weighed, String about, String measure) {
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
                cast.actor(owner));
    }

    private void files(ProjectId project, PaneId board) {
        ItemId finished = cast.folder(project, FINISHED);
        ItemId alternatives = cast.folder(project, "Alternatives");
        ItemId inner = cast.folder(project, "For the team");
        cast.show(board, finished, Showing.SHOWN);
        cast.holdBack(alternatives);
        cast.holdBack(inner);
        cast.file(project, Optional.of(finished), "identity-mark-2.svg", "Penwether mark.svg", Everybody.TEO);
        cast.file(
                project,
                Optional.of(finished),
                "survey-of-the-grounds-1.pdf",
                "Survey of the grounds.pdf",
                Everybody.RUKMINI);
        cast.file(
                project, Optional.of(alternatives), "mark-option-b.svg", "Mark, option B (dropped).svg", Everybody.TEO);
        cast.file(
                project, Optional.of(alternatives), "mark-option-c.svg", "Mark, option C (dropped).svg", Everybody.TEO);
        cast.note(
                project,
                Optional.of(inner),
                "item,cost,price,margin\nOak reveals,1840.00,2392.00,23.1 %\nBrass letters,910.00,1183.00,23.1 %\n",
                "Costs and margins.csv",
                Everybody.INES);
        cast.note(
                project,
                Optional.of(inner),
                "Trust is slow to pay: forty days on the last two invoices.\n",
                "Trust is slow to pay.txt",
                Everybody.INES);
        cast.note(
                project,
                Optional.empty(),
                "Open Wednesday to Sunday, from dusk until midnight.\nClosed on the three nights of the full moon.\n",
                "Opening hours.txt",
                Everybody.WANDA);
    }

    private void identityMark(PaneId board, ItemId mark) {
        cast.goTo(44, 14, 0);
        VersionId first = cast.version(mark, "identity-mark-1.svg", "penwether-mark-1.svg", "", Everybody.TEO);
        cast.send(first);
        cast.goTo(43, 10, 12);
        Mark thin = cast.mark(
                board,
                Everybody.OTTOLINE,
                first,
                rectangle(
                        1,
                        0.16,
                        0.52,
                        0.38,
                        0.17,
                        Intent.CHANGE,
                        "The lines are heavy next to the dome. Could they be lighter?"));
        cast.mark(board, Everybody.JASPER, first, point(1, 0.72, 0.5, Intent.KEEP, "The name is exactly right."));
        cast.decide(board, Everybody.OTTOLINE, first, Decision.SEND_BACK, "");
        cast.decide(board, Everybody.JASPER, first, Decision.SEND_BACK, "As Ottoline says.");
        cast.goTo(42, 9, 40);
        cast.answer(thin, Everybody.TEO, board, Optional.of(MarkupProgress.Act.TAKE_ON), "");
        cast.goTo(40, 16, 30);
        VersionId second = cast.version(
                mark, "identity-mark-2.svg", "penwether-mark-2.svg", "Lighter lines, and three stars.", Everybody.TEO);
        cast.answer(thin, Everybody.TEO, board, Optional.of(MarkupProgress.Act.FIX), "Half the weight now.");
        cast.send(second);
        cast.goTo(39, 9, 20);
        cast.decide(board, Everybody.JASPER, second, Decision.SIGN_OFF, "");
        cast.goTo(38, 17, 2);
        cast.decide(
                board,
                Everybody.OTTOLINE,
                second,
                Decision.SIGN_OFF_WITH_NOTES,
                "Please send it to the printer of our letterheads as well.");
    }

    private List<Mark> mapFirstTime(PaneId board, ItemId map) {
        cast.goTo(12, 10, 0);
        VersionId first = cast.version(map, "visitor-map-1.pdf", "visitor-map-1.pdf", "", Everybody.TEO);
        cast.send(first);
        cast.goTo(11, 11, 15);
        Mark signInLink = cast.mark(
                board,
                Everybody.OTTOLINE,
                first,
                rectangle(
                        1,
                        0.1,
                        0.172,
                        0.11,
                        0.042,
                        Intent.CHANGE,
                        "Make “Way in” larger: nobody saw it on the mock-up."));
        Mark cafe = cast.mark(
                board,
                Everybody.JASPER,
                first,
                arrow(1, 0.66, 0.52, 0.56, 0.53, Intent.CHANGE, "The café stands on the other side of the path."));
        Mark night = cast.mark(
                board, Everybody.JASPER, first, point(1, 0.79, 0.38, Intent.IDEA, "A dotted line for the night walk?"));
        Mark dome = cast.mark(
                board,
                Everybody.MIRELA,
                first,
                point(1, 0.643, 0.23, Intent.QUESTION, "Is the dome drawn at the real angle?"));
        cast.mark(
                board,
                Everybody.MIRELA,
                first,
                rectangle(1, 0.25, 0.465, 0.15, 0.12, Intent.KEEP, "The car park is right for the school buses."));
        Mark torch = cast.mark(
                board,
                Everybody.OTTOLINE,
                first,
                point(1, 0.2, 0.935, Intent.CHANGE, "Say something about torches here."));
        Mark back = cast.mark(
                board,
                Everybody.MIRELA,
                first,
                rectangle(2, 0.4, 0.893, 0.2, 0.045, Intent.CHANGE, "Until midnight, please: people ask."));
        cast.mark(
                board,
                Everybody.TEO,
                first,
                forTeam(point(
                        1,
                        0.45,
                        0.25,
                        Intent.QUESTION,
                        "Old dome sits two metres too far east. Tell them, or just move it?")));
        cast.answer(dome, Everybody.TEO, board, Optional.empty(), "Yes, from the survey.");
        cast.goTo(10, 9, 30);
        cast.decide(board, Everybody.JASPER, first, Decision.SEND_BACK, "Nearly there.");
        cast.decide(board, Everybody.OTTOLINE, first, Decision.SEND_BACK, "");
        cast.goTo(9, 10, 0);
        List.of(signInLink, cafe, torch, back)
                .forEach(mark -> cast.answer(mark, Everybody.TEO, board, Optional.of(MarkupProgress.Act.TAKE_ON), ""));
        return List.of(signInLink, cafe, torch, back, night);
    }

    private VersionId mapSecondTime(PaneId board, ItemId map, List<Mark> asked) {
        cast.goTo(4, 15, 45);
        VersionId second = cast.version(
                map,
                "visitor-map-2.pdf",
                "visitor-map-2.pdf",
                "Larger way in, the café across the path, the night walk.",
                Everybody.TEO);
        asked.forEach(mark -> cast.answer(
                mark,
                Everybody.TEO,
                board,
                Optional.of(MarkupProgress.Act.FIX),
                mark.intent() == Intent.IDEA ? "Drawn, with its minutes." : ""));
        cast.goTo(3, 16, 5);
        cast.send(second);
        return second;
    }

    private List<Mark> panelsFirstTime(PaneId board, ItemId panels) {
        cast.goTo(20, 9, 45);
        VersionId first = cast.version(panels, "star-hall-panels-1.pdf", "star-hall-panels-1.pdf", "", Everybody.WANDA);
        cast.send(first);
        cast.goTo(18, 13, 30);
        Mark red =
                cast.mark(board, Everybody.OTTOLINE, first, point(5, 0.4, 0.14, Intent.CHANGE, "Our torches are red."));
        Mark door = cast.mark(
                board,
                Everybody.JASPER,
                first,
                rectangle(6, 0.07, 0.12, 0.55, 0.03, Intent.CHANGE, "The door is on the right when you read this."));
        cast.mark(board, Everybody.MIRELA, first, point(3, 0.5, 0.6, Intent.KEEP, "Children love the wandering ones."));
        cast.decide(board, Everybody.OTTOLINE, first, Decision.SEND_BACK, "Two small facts.");
        cast.decide(board, Everybody.JASPER, first, Decision.SEND_BACK, "");
        cast.goTo(17, 10, 0);
        cast.answer(red, Everybody.WANDA, board, Optional.of(MarkupProgress.Act.TAKE_ON), "");
        return List.of(red, door);
    }

    private void panelsSecondTime(PaneId board, ItemId panels, List<Mark> asked) {
        cast.goTo(9, 17, 15);
        VersionId second = cast.version(
                panels,
                "star-hall-panels-2.pdf",
                "star-hall-panels-2.pdf",
                "Red torches, the door on the right, larger second lines.",
                Everybody.WANDA);
        asked.forEach(one -> cast.answer(one, Everybody.WANDA, board, Optional.of(MarkupProgress.Act.FIX), ""));
        cast.send(second);
        cast.goTo(8, 10, 40);
        Mark welsh = cast.mark(
                board,
                Everybody.MIRELA,
                second,
                point(3, 0.42, 0.085, Intent.CHANGE, "The wandering stars need their Welsh names as well."));
        cast.mark(
                board,
                Everybody.OTTOLINE,
                second,
                rectangle(4, 0.08, 0.1, 0.6, 0.07, Intent.QUESTION, "Can somebody in a wheelchair read this line?"));
        cast.decide(board, Everybody.JASPER, second, Decision.SEND_BACK, "As Mirela says.");
        cast.goTo(8, 15, 20);
        cast.decide(board, Everybody.OTTOLINE, second, Decision.SEND_BACK, "Nearly: only the names.");
        cast.goTo(7, 9, 30);
        cast.answer(welsh, Everybody.WANDA, board, Optional.of(MarkupProgress.Act.TAKE_ON), "");
    }

    private void saltgrass() {
        cast.goTo(6, 10, 0);
        ProjectId project =
                cast.open("Saltgrass Ferries", "Ticket-hall signs", "shore", SPACE, cast.day(-4), cast.day(70));
        cast.takeIn(project, "", Everybody.LUDO);
        PaneId pane = cast.pane(project, "Operations", "We start as soon as the plans of the hall are here.", Map.of());
        cast.arriveShown(pane, ContentKind.FILES);
        SeatId lead = cast.leadSeat(pane, Everybody.LUDO);
        cast.lead(lead);
        cast.takeIn(project, "Corran Steamers", Everybody.BERTIL);
        says.relates("Corran Steamers", Relation.PROSPECT);
        says.next("Corran Steamers", "first talk", "Ask whether both piers want one set of signs", cast.day(3));
        SeatId mistake = cast.leadSeat(pane, Everybody.BERTIL);
        cast.goTo(5, 9, 0);
        cast.endSeat(mistake);
        cast.publish(pane);
        cast.goTo(4, 12, 0);
        cast.comesIn(Everybody.LUDO);
        cast.phase(project, "Discover", Phase.Stage.UNDER_WAY);
        supply.ticketHall(project);
        cast.deliverable(
                project,
                pane,
                "Signs for the ticket hall",
                "Where to queue, where to pay, where to board.",
                new Rule.All());
    }

    private void hobAndBarley() {
        cast.goTo(60, 9, 0);
        ProjectId project = cast.open("Hob & Barley Mill", "Flour bags", "mill", PRINTED, cast.day(-58), cast.day(4));
        List.of(Everybody.IMRE, Everybody.GRETE).forEach(person -> cast.takeIn(project, "", person));
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
        cast.lead(cast.leadSeat(pane, Everybody.IMRE));
        cast.seat(pane, Everybody.GRETE, SeatRole.SIGNATORY);
        cast.publish(pane);
        cast.goTo(58, 8, 50);
        List.of(Everybody.IMRE, Everybody.GRETE).forEach(cast::comesIn);
        cast.note(
                project,
                Optional.of(cast.folder(project, FINISHED)),
                "Rye, wheat and spelt, in matt varnish.\n",
                "Print order.txt",
                Everybody.INES);
        cast.note(
                project,
                Optional.empty(),
                "Two printers asked; the second is cheaper by a tenth.\n",
                "Printers compared.txt",
                Everybody.INES);
        List.of("Brief", "Concept", "Design", "Artwork").forEach(phase -> cast.phase(project, phase, Phase.Stage.DONE));
        cast.phase(project, "Print", Phase.Stage.UNDER_WAY);
        ItemId rye = cast.deliverable(project, pane, "Rye, 1 kg", "", new Rule.All());
        cast.goTo(40, 10, 0);
        VersionId first = cast.version(rye, "flour-rye-1.pdf", "rye-1kg-1.pdf", "", Everybody.TEO);
        cast.send(first);
        cast.goTo(39, 15, 0);
        Mark lots = cast.mark(
                pane,
                Everybody.IMRE,
                first,
                point(1, 0.5, 0.85, Intent.CHANGE, "It has to say that it is stone-ground in small lots."));
        cast.decide(pane, Everybody.IMRE, first, Decision.SEND_BACK, "");
        cast.decide(pane, Everybody.GRETE, first, Decision.STAND_ASIDE, "");
        cast.goTo(35, 10, 0);
        VersionId second =
                cast.version(rye, "flour-rye-2.pdf", "rye-1kg-2.pdf", "The line about small lots.", Everybody.TEO);
        cast.answer(lots, Everybody.TEO, pane, Optional.of(MarkupProgress.Act.FIX), "");
        cast.send(second);
        cast.goTo(34, 9, 12);
        cast.decide(pane, Everybody.GRETE, second, Decision.SIGN_OFF, "");
        cast.decide(pane, Everybody.IMRE, second, Decision.SIGN_OFF_WITH_NOTES, "Matt varnish, please.");
        cast.goTo(30, 11, 0);
        cast.release(rye);
        signedAtOnce(project, pane, 28, "Wheat, 1.5 kg", "flour-wheat-1.pdf", "wheat-1500g-1.pdf");
        signedAtOnce(project, pane, 26, "Spelt, 1 kg", "flour-spelt-1.pdf", "spelt-1kg-1.pdf");
    }

    private void signedAtOnce(ProjectId project, PaneId pane, int daysAgo, String name, String art, String fileName) {
        cast.goTo(daysAgo, 10, 0);
        ItemId bag = cast.deliverable(project, pane, name, "", new Rule.All());
        VersionId version = cast.version(bag, art, fileName, "", Everybody.TEO);
        cast.send(version);
        cast.goTo(daysAgo - 1, 9, 0);
        cast.decide(pane, Everybody.GRETE, version, Decision.SIGN_OFF, "");
        cast.decide(pane, Everybody.IMRE, version, Decision.SIGN_OFF, "");
    }

    private void ellerby() {
        cast.goTo(78, 9, 0);
        ProjectId project =
                cast.open("Ellerby Allotments", "Seed-swap poster", "garden", PRINTED, cast.day(-76), cast.day(-56));
        cast.takeIn(project, "", Everybody.CORA);
        PaneId pane = cast.pane(project, "The committee", "", BOARD);
        cast.lead(cast.leadSeat(pane, Everybody.CORA));
        cast.publish(pane);
        cast.goTo(76, 9, 30);
        cast.comesIn(Everybody.CORA);
        ItemId poster =
                cast.deliverable(project, pane, "Poster, A2", "For the notice boards of the village.", new Rule.Any());
        VersionId version = cast.version(poster, "seed-swap-poster-1.pdf", "seed-swap-a2.pdf", "", Everybody.WANDA);
        cast.send(version);
        cast.goTo(74, 18, 10);
        cast.decide(pane, Everybody.CORA, version, Decision.SIGN_OFF, "");
        cast.goTo(70, 9, 30);
        cast.release(poster);
        cast.goTo(62, 9, 0);
        List.of("Brief", "Concept", "Design", "Artwork", "Print")
                .forEach(phase -> cast.phase(project, phase, Phase.Stage.DONE));
        cast.reached(project, cast.day(-63));
        cast.archive(project);
    }
}
