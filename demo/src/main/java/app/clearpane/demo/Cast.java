package app.clearpane.demo;

import app.clearpane.core.agency.Agency;
import app.clearpane.core.agency.Contact;
import app.clearpane.core.agency.ContactId;
import app.clearpane.core.agency.TeamMember;
import app.clearpane.core.agency.TeamRole;
import app.clearpane.core.deliverable.Rule;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.exposure.Aperture;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.exposure.SeatRole;
import app.clearpane.core.exposure.Showing;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.markup.Intent;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.markup.MarkupProgress;
import app.clearpane.core.papers.PaperId;
import app.clearpane.core.papers.PaperKind;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.Ending;
import app.clearpane.core.project.Phase;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.signoff.Decision;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.deliverable.Deliverables;
import app.clearpane.store.exposure.Panes;
import app.clearpane.store.exposure.Seats;
import app.clearpane.store.exposure.client.Viewers;
import app.clearpane.store.exposure.client.Visits;
import app.clearpane.store.markup.Markups;
import app.clearpane.store.project.HouseTemplates;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.agency.SetUp;
import app.clearpane.usecases.agency.WriteNote;
import app.clearpane.usecases.clearance.ReleaseVersion;
import app.clearpane.usecases.deliverable.AddDeliverable;
import app.clearpane.usecases.deliverable.SendVersion;
import app.clearpane.usecases.deliverable.StoreVersion;
import app.clearpane.usecases.exposure.EndSeat;
import app.clearpane.usecases.exposure.GiveSeat;
import app.clearpane.usecases.exposure.InviteToPane;
import app.clearpane.usecases.exposure.MakeLink;
import app.clearpane.usecases.exposure.PublishPane;
import app.clearpane.usecases.exposure.SetForAllPanes;
import app.clearpane.usecases.exposure.SetShowing;
import app.clearpane.usecases.exposure.SetUpPane;
import app.clearpane.usecases.files.AddFile;
import app.clearpane.usecases.markup.AnswerMark;
import app.clearpane.usecases.markup.MarkForm;
import app.clearpane.usecases.markup.PlaceMark;
import app.clearpane.usecases.papers.AddPaper;
import app.clearpane.usecases.project.ChangePlan;
import app.clearpane.usecases.project.CloseProject;
import app.clearpane.usecases.project.MilestoneForm;
import app.clearpane.usecases.project.OpenProject;
import app.clearpane.usecases.project.TakeInContact;
import app.clearpane.usecases.said.AttachFile;
import app.clearpane.usecases.said.Speaker;
import app.clearpane.usecases.seats.AcceptSeats;
import app.clearpane.usecases.security.Person;
import app.clearpane.usecases.shell.TheAgency;
import app.clearpane.usecases.signoff.ChangeSigning;
import app.clearpane.usecases.signoff.CloseRound;
import app.clearpane.usecases.signoff.DecideOnVersion;
import app.clearpane.usecases.signoff.DecisionForm;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/** Does what the people of the story do, through the same use cases as the pages. */
class Cast {
    private static final ZoneId LONDON = ZoneId.of("Europe/London");
    static final String PASSWORD = "lantern moss tide seven";
    private static final String SIGNATURE =
            "0.06,0.62 0.1,0.3 0.14,0.22 0.17,0.34 0.14,0.62 0.11,0.8 0.1,0.7 0.17,0.58 0.22,0.52 0.25,0.56 "
                    + "0.24,0.64 0.27,0.62 0.31,0.52 0.33,0.62 0.37,0.52 0.4,0.62 0.45,0.5 0.49,0.36"
                    + " 0.48,0.62 0.53,0.56 0.58,0.5 0.62,0.6 0.7,0.56 0.8,0.5 0.92,0.44;0.3,0.78 0.55,0.73 0.84,0.7";
    private final DemoClock clock;
    private final SetUp setUp;
    private final OpenProject openProject;
    private final TakeInContact takeIn;
    private final ChangePlan changePlan;
    private final CloseProject closeProject;
    private final HouseTemplates templates;
    private final SetUpPane setUpPane;
    private final WriteNote writeNote;
    private final MakeLink makeLink;
    private final Seats seats;
    private final Visits visits;
    private final SetForAllPanes setForAllPanes;
    private final SetShowing setShowing;
    private final GiveSeat giveSeat;
    private final PublishPane publishPane;
    private final AcceptSeats acceptSeats;
    private final AddDeliverable addDeliverable;
    private final StoreVersion storeVersion;
    private final SendVersion sendVersion;
    private final PlaceMark placeMark;
    private final AnswerMark answerMark;
    private final DecideOnVersion decideOnVersion;
    private final CloseRound closeRound;
    private final ChangeSigning changeSigning;
    private final ReleaseVersion releaseVersion;
    private final AddFile addFile;
    private final TheAgency agency;
    private final Projects projects;
    private final Panes panes;
    private final Viewers viewers;
    private final Deliverables deliverables;
    private final Markups markups;
    private final AttachFile attach;
    private final Paperwork paperwork;
    private final List<Later> later = new ArrayList<>();
    private final Map<Everybody, TeamMember> team = new EnumMap<>(Everybody.class);
    private final Map<Everybody, Contact> contacts = new EnumMap<>(Everybody.class);
    private final InviteToPane inviteToPane;
    private final EndSeat endSeat;

    Cast(
            DemoClock clock,
            SetUp setUp,
            OpenProject openProject,
            TakeInContact takeIn,
            ChangePlan changePlan,
            CloseProject closeProject,
            HouseTemplates templates,
            SetUpPane setUpPane,
            SetForAllPanes setForAllPanes,
            WriteNote writeNote,
            MakeLink makeLink,
            Seats seats,
            Visits visits,
            SetShowing setShowing,
            GiveSeat giveSeat,
            PublishPane publishPane,
            AcceptSeats acceptSeats,
            AddDeliverable addDeliverable,
            StoreVersion storeVersion,
            SendVersion sendVersion,
            PlaceMark placeMark,
            AnswerMark answerMark,
            DecideOnVersion decideOnVersion,
            CloseRound closeRound,
            ChangeSigning changeSigning,
            ReleaseVersion releaseVersion,
            AddFile addFile,
            TheAgency agency,
            Projects projects,
            Panes panes,
            Viewers viewers,
            Deliverables deliverables,
            Markups markups,
            AttachFile attach,
            Paperwork paperwork,
            InviteToPane inviteToPane,
            EndSeat endSeat) {
        this.endSeat = endSeat;
        this.inviteToPane = inviteToPane;
        this.paperwork = paperwork;
        this.clock = clock;
        this.attach = attach;
        this.setUp = setUp;
        this.openProject = openProject;
        this.takeIn = takeIn;
        this.changePlan = changePlan;
        this.closeProject = closeProject;
        this.templates = templates;
        this.setUpPane = setUpPane;
        this.setForAllPanes = setForAllPanes;
        this.writeNote = writeNote;
        this.makeLink = makeLink;
        this.seats = seats;
        this.visits = visits;
        this.setShowing = setShowing;
        this.giveSeat = giveSeat;
        this.publishPane = publishPane;
        this.acceptSeats = acceptSeats;
        this.addDeliverable = addDeliverable;
        this.storeVersion = storeVersion;
        this.sendVersion = sendVersion;
        this.placeMark = placeMark;
        this.answerMark = answerMark;
        this.decideOnVersion = decideOnVersion;
        this.closeRound = closeRound;
        this.changeSigning = changeSigning;
        this.releaseVersion = releaseVersion;
        this.addFile = addFile;
        this.agency = agency;
        this.projects = projects;
        this.panes = panes;
        this.viewers = viewers;
        this.deliverables = deliverables;
        this.markups = markups;
    }

    /** The day that many working days ago, or ahead, at an hour. */
    LocalDate day(int workingDays) {
        return day(LocalDate.ofInstant(clock.present(), LONDON), workingDays);
    }

    /**
     * A working day so many from a day; from a free day they are counted on from the next working day, and back from
     * itself.
     */
    static LocalDate day(LocalDate today, int workingDays) {
        LocalDate day = today;
        while (workingDays > 0 && day.getDayOfWeek().getValue() > 5) {
            day = day.plusDays(1);
        }
        for (int left = Math.abs(workingDays); left > 0; ) {
            day = workingDays < 0 ? day.minusDays(1) : day.plusDays(1);
            left -= day.getDayOfWeek().getValue() <= 5 ? 1 : 0;
        }
        return day;
    }

    /** It is that many working days ago, at this time; what was to happen before it has happened. */
    void goTo(int workingDaysAgo, int hour, int minute) {
        Instant then = instant(workingDaysAgo, hour, minute);
        happened(then);
        clock.goTo(then);
    }

    /** Lets something happen at its time, whenever the story comes by. */
    void later(int workingDaysAgo, int hour, int minute, Runnable what) {
        later.add(new Later(instant(workingDaysAgo, hour, minute), later.size(), what));
    }

    /** Lets happen all that was to happen before an instant. */
    void happened(Instant before) {
        List<Later> due = later.stream()
                .filter(one -> one.at().isBefore(before))
                .sorted(Comparator.comparing(Later::at).thenComparingInt(Later::number))
                .toList();
        later.removeAll(due);
        due.forEach(one -> {
            clock.goTo(one.at());
            one.what().run();
        });
    }

    private record Later(Instant at, int number, Runnable what) {}

    private Instant instant(int workingDaysAgo, int hour, int minute) {
        return day(-workingDaysAgo).atTime(hour, minute).atZone(LONDON).toInstant();
    }

    ContactId contact(Everybody person) {
        return Objects.requireNonNull(contacts.get(person)).id();
    }

    void found(String name) {
        team.put(
                Everybody.BASTIAN,
                setUp.found(new Name2(name).value(), ZoneId.of("Europe/London"), joining(Everybody.BASTIAN)));
        Agency house = agency.get();
        for (Everybody person : Everybody.values()) {
            if (person.ofTeam() && person != Everybody.BASTIAN) {
                team.put(person, setUp.join(house, joining(person), actor(Everybody.BASTIAN)));
            }
        }
    }

    private record Name2(String text) {
        app.clearpane.core.agency.Name value() {
            return new app.clearpane.core.agency.Name(text);
        }
    }

    private static SetUp.Joining joining(Everybody person) {
        return new SetUp.Joining(person.called(), person.address(), person.role(), PASSWORD);
    }

    Person.OfTeam as(Everybody person) {
        TeamMember member = Objects.requireNonNull(team.get(person));
        return new Person.OfTeam(member.id().value(), member.name(), TeamRole.MANAGER);
    }

    ProjectId open(String client, String name, String cover, String template, LocalDate start, LocalDate finish) {
        return openProject.open(
                new OpenProject.Wanted(
                        Optional.of(new Name2(client).value()),
                        new Name2(name).value(),
                        cover,
                        "GBP",
                        new BigDecimal("20.00"),
                        start,
                        finish,
                        templates.all().stream()
                                .map(HouseTemplates.Kept::template)
                                .filter(one -> one.name().equals(template))
                                .findFirst(),
                        false,
                        List.of(),
                        Optional.empty()),
                as(Everybody.INES));
    }

    Contact takeIn(ProjectId project, String organisation, Everybody person) {
        Contact contact = takeIn.takeIn(
                project,
                new TakeInContact.Typed(
                        organisation, person.called().value(), person.address().value(), person.occupation()),
                actor(Everybody.INES));
        contacts.put(person, contact);
        return contact;
    }

    Actor actor(Everybody person) {
        return person.ofTeam()
                ? as(person).actor()
                : new Actor.OfClient(contact(person), person.called().value());
    }

    void phase(ProjectId project, String name, Phase.Stage stage) {
        Phase phase = projects.phases(project).stream()
                .filter(p -> p.name().equals(name))
                .findFirst()
                .orElseThrow();
        phase(project, name, phase.startsOn(), phase.endsOn(), stage);
    }

    void phase(ProjectId project, String name, LocalDate startsOn, LocalDate endsOn, Phase.Stage stage) {
        Phase phase = projects.phases(project).stream()
                .filter(p -> p.name().equals(name))
                .findFirst()
                .orElseThrow();
        changePlan.move(
                project,
                new Phase(phase.id(), name, startsOn, endsOn, stage, phase.words(), phase.revision()),
                actor(Everybody.INES));
    }

    ItemId milestone(ProjectId project, String name, LocalDate day) {
        return changePlan.addMilestone(project, new Name2(name).value(), day, actor(Everybody.INES));
    }

    /** Every milestone of a project was reached on a day. */
    void reached(ProjectId project, LocalDate day) {
        projects.milestones(project)
                .forEach(one -> changePlan.milestone(
                        project,
                        one.id(),
                        new MilestoneForm(null, day.toString(), true, one.revision()),
                        actor(Everybody.INES)));
    }

    void archive(ProjectId project) {
        closeProject.close(project, Ending.FINISHED.name(), "The poster hung in time.", true, actor(Everybody.INES));
    }

    PaneId pane(ProjectId project, String name, String welcome, Map<ContentKind, Aperture> apertures) {
        PaneId pane = setUpPane.add(project, name, welcome, actor(Everybody.INES));
        apertures.forEach((kind, aperture) -> setUpPane.setAperture(pane, kind, aperture, actor(Everybody.INES)));
        return pane;
    }

    /** What holds for all panes of the agency. */
    void forAllPanes(Map<ContentKind, Aperture> start, ContentKind kind, Aperture ceiling, String folders) {
        start.forEach((each, aperture) -> setForAllPanes.startingPoint(each, aperture, true, actor(Everybody.BASTIAN)));
        setForAllPanes.startingFilters(ContentKind.FILES, folders, true, actor(Everybody.BASTIAN));
        setForAllPanes.ceiling(kind, ceiling, true, actor(Everybody.BASTIAN));
        setForAllPanes.ceilingFilters(ContentKind.FILES, folders, true, actor(Everybody.BASTIAN));
    }

    void noteOn(ProjectId project, Everybody person, String body, boolean forTeam) {
        writeNote.write(
                project, Objects.requireNonNull(contacts.get(person)).id().value(), body, forTeam, as(Everybody.INES));
    }

    void link(PaneId pane, String name, boolean mayMark) {
        makeLink.make(pane, new MakeLink.Form(name, mayMark, "", ""), actor(Everybody.INES));
    }

    /** What somebody looked at. */
    void saw(PaneId pane, Everybody person, List<ItemId> items, boolean copied) {
        app.clearpane.core.people.SeatId seat = seats.seatOf(
                        pane, Objects.requireNonNull(contacts.get(person)).id())
                .orElseThrow()
                .id();
        Instant when = clock.instant();
        visits.visited(seat, pane, when);
        visits.keep(items.stream()
                .map(item -> new Visits.Look(item, seat, when, true, copied))
                .toList());
    }

    void houseRules(String rules) {
        setForAllPanes.houseRules(rules, actor(Everybody.BASTIAN));
    }

    void filter(PaneId pane, ContentKind kind, String filters) {
        setUpPane.setFilters(pane, kind, filters, actor(Everybody.INES));
    }

    void arriveShown(PaneId pane, ContentKind kind) {
        setUpPane.setArrivals(pane, kind, true, actor(Everybody.INES));
    }

    void aperture(PaneId pane, ContentKind kind, Aperture aperture) {
        setUpPane.setAperture(pane, kind, aperture, actor(Everybody.INES));
    }

    void seat(PaneId pane, Everybody person, SeatRole role) {
        giveSeat.give(pane, Objects.requireNonNull(contacts.get(person)).id(), role, actor(Everybody.INES));
    }

    void lead(app.clearpane.core.people.SeatId seat) {
        giveSeat.nameLeadVoice(seat, actor(Everybody.INES));
    }

    app.clearpane.core.people.SeatId leadSeat(PaneId pane, Everybody person) {
        return giveSeat.give(
                pane, Objects.requireNonNull(contacts.get(person)).id(), SeatRole.SIGNATORY, actor(Everybody.INES));
    }

    void publish(PaneId pane) {
        publishPane.publish(pane, panes.find(pane).orElseThrow().revision(), Optional.empty(), actor(Everybody.INES));
        inviteToPane.sendLinksToNewcomers(pane, actor(Everybody.INES));
    }

    void comesIn(Everybody person) {
        acceptSeats.accept(Objects.requireNonNull(contacts.get(person)));
    }

    void endSeat(app.clearpane.core.people.SeatId seat) {
        endSeat.end(seat, true, actor(Everybody.INES));
    }

    void show(PaneId pane, ItemId item, Showing showing) {
        setShowing.set(pane, item, showing, false, actor(Everybody.TEO));
    }

    void holdBack(ItemId item) {
        setShowing.holdBackEverywhere(item, false, actor(Everybody.TEO));
    }

    /** The identifier of one of the team. */
    String member(Everybody one) {
        return Objects.requireNonNull(team.get(one)).id().toString();
    }

    ItemId deliverable(ProjectId project, PaneId pane, String name, String about, Rule rule) {
        return addDeliverable.add(
                project,
                new AddDeliverable.Wanted(new Name2(name).value(), about, pane, rule, 3),
                actor(Everybody.INES));
    }

    void usual(ProjectId project, String fee, String checklist) {
        changeSigning.usual(
                project,
                new ChangeSigning.SigningForm("ALL", "", List.of(), "", "3", "2", fee, 0),
                checklist.lines().toList(),
                actor(Everybody.INES));
    }

    VersionId version(ItemId deliverable, String art, String fileName, String whatChanged, Everybody maker) {
        try (InputStream content = art(art)) {
            return storeVersion
                    .store(deliverable, new StoreVersion.Arriving(fileName, content, whatChanged), actor(maker))
                    .id();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private Mark.Attachment brought(PaneId pane, Everybody person, String picture) {
        try (InputStream content = art(picture)) {
            return attach.attach(panes.find(pane).orElseThrow().project(), actor(person), picture, content);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    static InputStream art(String name) {
        return Objects.requireNonNull(Cast.class.getResourceAsStream("/demo-files/" + name), name);
    }

    void send(VersionId version) {
        sendVersion.send(version, actor(Everybody.INES));
    }

    /** A paper that was sent to some of the project's people. */
    PaperId paper(
            ProjectId project,
            PaperKind kind,
            String name,
            String number,
            String amount,
            Optional<java.time.LocalDate> due,
            String text,
            Everybody... recipients) {
        String page = "<html><head><style>@page { size: A4; margin: 25mm } body { font: 11pt/1.5 Atkinson } h1 { font: "
                + "700 20pt Bricolage }</style></head><body><p>Marram &amp; Finch</p><h1>"
                + name.replace("&", "&amp;") + "</h1><p>" + text + "</p></body></html>";
        try (InputStream content = new ByteArrayInputStream(app.clearpane.formats.clearance.PdfWriter.write(page))) {
            PaperId paper = paperwork
                    .add()
                    .add(
                            project,
                            new AddPaper.PaperForm(
                                    kind.name(),
                                    name,
                                    number,
                                    amount,
                                    java.time.LocalDate.ofInstant(clock.instant(), java.time.ZoneOffset.UTC)
                                            .toString(),
                                    due.map(java.time.LocalDate::toString).orElse(""),
                                    java.util.Arrays.stream(recipients)
                                            .map(person -> Objects.requireNonNull(contacts.get(person))
                                                    .id()
                                                    .toString())
                                            .toList(),
                                    "",
                                    ""),
                            name.toLowerCase(java.util.Locale.ROOT).replace(' ', '-') + ".pdf",
                            content,
                            actor(Everybody.INES));
            paperwork.send().send(paper, true, actor(Everybody.INES));
            return paper;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    void names(PaneId pane, Everybody person, PaperId paper) {
        paperwork.answer().open(through(pane, person), paper);
        paperwork
                .answer()
                .name(
                        through(pane, person),
                        paper,
                        paperwork.papers().find(paper).orElseThrow().sha256(),
                        person.called().value(),
                        person == Everybody.OTTOLINE ? SIGNATURE : null,
                        false);
    }

    void paid(PaperId paper, java.time.LocalDate day) {
        paperwork.settle().paid(paper, day.toString(), actor(Everybody.INES));
    }

    ItemId folder(ProjectId project, String name) {
        return addFile.folder(project, name, actor(Everybody.INES));
    }

    ItemId file(ProjectId project, Optional<ItemId> folder, String art, String fileName, Everybody maker) {
        try (InputStream content = art(art)) {
            return addFile.add(project, folder, fileName, content, actor(maker));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    ItemId note(ProjectId project, Optional<ItemId> folder, String text, String fileName, Everybody maker) {
        try {
            return addFile.add(
                    project,
                    folder,
                    fileName,
                    new ByteArrayInputStream(text.getBytes(StandardCharsets.UTF_8)),
                    actor(maker));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    Viewer through(PaneId pane, Everybody person) {
        return viewers.viewerAt(
                        pane, Objects.requireNonNull(contacts.get(person)).id(), clock.instant())
                .orElseThrow();
    }

    Mark mark(PaneId pane, Everybody person, VersionId version, MarkForm form) {
        return mark(pane, person, version, form, List.of());
    }

    /** A mark that brings pictures along, by the names of their files. */
    Mark mark(PaneId pane, Everybody person, VersionId version, MarkForm form, List<String> pictures) {
        Version row = deliverables.version(version).orElseThrow();
        return placeMark.place(
                row,
                form,
                pictures.stream().map(picture -> brought(pane, person, picture)).toList(),
                person.ofTeam() ? new Speaker.Team(as(person)) : new Speaker.Client(through(pane, person)));
    }

    static MarkForm point(int page, double x, double y, Intent intent, String note) {
        return MarkForm.onSheet(page, "POINT", x, y, 0, 0, intent.name(), note, "client");
    }

    static MarkForm rectangle(int page, double x, double y, double width, double height, Intent intent, String note) {
        return MarkForm.onSheet(page, "RECTANGLE", x, y, width, height, intent.name(), note, "client");
    }

    static MarkForm arrow(int page, double fromX, double fromY, double toX, double toY, Intent intent, String note) {
        return MarkForm.onSheet(page, "ARROW", fromX, fromY, toX, toY, intent.name(), note, "client");
    }

    static MarkForm words(String quote, Intent intent, String note, String instead) {
        return new MarkForm(
                1, "TEXT", 0, 0, 0, 0, null, intent.name(), note, "client", null, quote, instead, null, null);
    }

    static MarkForm moment(double from, double to, Intent intent, String note) {
        return new MarkForm(1, "NONE", 0, 0, 0, 0, null, intent.name(), note, "client", null, null, null, from, to);
    }

    static MarkForm moment(double at, MarkForm shape) {
        return new MarkForm(
                1,
                shape.shape(),
                shape.x1(),
                shape.y1(),
                shape.x2(),
                shape.y2(),
                null,
                shape.intent(),
                shape.note(),
                "client",
                null,
                null,
                null,
                at,
                null);
    }

    static MarkForm forTeam(MarkForm form) {
        return MarkForm.onSheet(
                form.page(),
                form.shape(),
                form.x1(),
                form.y1(),
                form.x2(),
                form.y2(),
                form.intent(),
                form.note(),
                "team");
    }

    void answer(Mark mark, Everybody person, PaneId pane, Optional<MarkupProgress.Act> act, String said) {
        Mark fresh = markups.find(mark.id()).orElseThrow();
        answerMark.answer(
                fresh,
                new AnswerMark.AnswerForm(act.map(Enum::name).orElse(""), said, "client", fresh.revision()),
                List.of(),
                person.ofTeam() ? new Speaker.Team(as(person)) : new Speaker.Client(through(pane, person)));
    }

    void decide(PaneId pane, Everybody person, VersionId version, Decision decision, String sentence) {
        Sha256 sha256 = deliverables.version(version).orElseThrow().sha256();
        decideOnVersion.decide(
                through(pane, person),
                version,
                new DecisionForm(
                        decision,
                        sha256,
                        sentence,
                        decision.signs() ? person.called().value() : "",
                        true));
    }

    void close(VersionId version, String reason) {
        closeRound.byTeam(version, reason, actor(Everybody.INES));
    }

    void release(ItemId deliverable) {
        releaseVersion.release(deliverable, actor(Everybody.INES));
    }

    Map<Everybody, Contact> contacts() {
        return contacts;
    }
}
