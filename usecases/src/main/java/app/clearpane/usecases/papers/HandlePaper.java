package app.clearpane.usecases.papers;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.agency.Name;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.money.TypedAmount;
import app.clearpane.core.papers.PaperId;
import app.clearpane.core.papers.PaperKind;
import app.clearpane.core.papers.PaperState;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.Act;
import app.clearpane.core.record.Happening;
import app.clearpane.core.record.event.PaperActs;
import app.clearpane.core.signoff.DrawnSignature;
import app.clearpane.formats.deliverable.ContentType;
import app.clearpane.store.agency.Contact;
import app.clearpane.store.agency.People;
import app.clearpane.store.exposure.Panes;
import app.clearpane.store.exposure.SeatRow;
import app.clearpane.store.exposure.Seats;
import app.clearpane.store.exposure.clientside.Viewer;
import app.clearpane.store.files.Vault;
import app.clearpane.store.papers.Paper;
import app.clearpane.store.papers.Papers;
import app.clearpane.store.papers.clientside.VisiblePapers;
import app.clearpane.store.project.Project;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.House;
import app.clearpane.usecases.files.FileNames;
import app.clearpane.usecases.files.TakeInFile;
import app.clearpane.usecases.post.Letter;
import app.clearpane.usecases.post.TellManager;
import app.clearpane.usecases.post.WriteMail;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.security.LinkKeys;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.Lasting;
import app.clearpane.usecases.shell.NotThere;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.SignatureField;
import app.clearpane.usecases.shell.SignedName;
import app.clearpane.usecases.shell.TheAgency;
import app.clearpane.usecases.shell.Words;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.net.URI;
import java.net.URISyntaxException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/** Adds, sends, withdraws and settles papers; and takes the names their recipients put to them. */
@Component
public class HandlePaper {
    private static final int LONGEST_REASON = 1_000;
    private static final int MOST_OF_A_LINK = 2_000;
    private static final BigDecimal MOST = new BigDecimal("999999999999.99");
    private final Papers papers;
    private final VisiblePapers visible;
    private final Projects projects;
    private final Panes panes;
    private final Seats seats;
    private final People people;
    private final Vault vault;
    private final TakeInFile takeIn;
    private final WriteMail mail;
    private final TellManager tellManager;
    private final LinkKeys keys;
    private final TheAgency agency;
    private final Words words;
    private final Lasting lasting;
    private final House house;
    private final AuditLog audit;
    private final TransactionTemplate transaction;
    private final ApplicationEventPublisher events;
    private final Clock clock;

    HandlePaper(
            Papers papers,
            VisiblePapers visible,
            Projects projects,
            Panes panes,
            Seats seats,
            People people,
            Vault vault,
            TakeInFile takeIn,
            WriteMail mail,
            TellManager tellManager,
            LinkKeys keys,
            TheAgency agency,
            Words words,
            Lasting lasting,
            House house,
            AuditLog audit,
            TransactionTemplate transaction,
            ApplicationEventPublisher events,
            Clock clock) {
        this.papers = papers;
        this.visible = visible;
        this.projects = projects;
        this.panes = panes;
        this.seats = seats;
        this.people = people;
        this.vault = vault;
        this.takeIn = takeIn;
        this.mail = mail;
        this.tellManager = tellManager;
        this.keys = keys;
        this.agency = agency;
        this.words = words;
        this.lasting = lasting;
        this.house = house;
        this.audit = audit;
        this.transaction = transaction;
        this.events = events;
        this.clock = clock;
    }

    /** Days from an invoice's date until it is due, unless something else is said. */
    public int paymentDays(ProjectId project) {
        return projects.paymentDays(project);
    }

    /**
     * A paper as it comes from a page. @param recipient the contacts it is for @param called the kind of a further
     * document @param link where it is kept, in place of a file
     */
    public record PaperForm(
            @Nullable String kind,
            @Nullable String name,
            @Nullable String number,
            @Nullable String amount,
            @Nullable String dated,
            @Nullable String due,
            @Nullable List<String> recipient,
            @Nullable String called,
            @Nullable String link) {}

    /** Adds a draft. @throws IOException if its file cannot be written; nothing is kept then */
    public PaperId add(ProjectId project, PaperForm form, String fileName, InputStream content, Actor by)
            throws IOException {
        Map<String, String> contacts = possible(NotThere.unless(projects.find(project))).stream()
                .collect(Collectors.toMap(contact -> contact.id().toString(), Contact::name));
        Input input = new Input();
        Optional<PaperKind> kind = java.util.Arrays.stream(PaperKind.values())
                .filter(known -> known.isBrought() && known.name().equals(form.kind()))
                .findFirst();
        Optional<Name> name = input.name("The paper", Objects.requireNonNullElse(form.name(), ""));
        String number = input.text("Its number", Objects.requireNonNullElse(form.number(), ""), 40);
        Optional<BigDecimal> amount = amount(input, Objects.requireNonNullElse(form.amount(), ""));
        Optional<LocalDate> dated = input.day("Its date", Objects.requireNonNullElse(form.dated(), ""));
        Optional<LocalDate> due = form.due() == null || form.due().isBlank()
                ? dated.filter(day -> kind.filter(PaperKind.INVOICE::equals).isPresent())
                        .map(day -> day.plusDays(projects.paymentDays(project)))
                : input.day("Its last day", form.due());
        List<Paper.Recipient> recipients = Objects.requireNonNullElse(form.recipient(), List.<String>of()).stream()
                .distinct()
                .filter(contacts::containsKey)
                .map(id -> Paper.Recipient.of(ContactId.of(id), Objects.requireNonNull(contacts.get(id))))
                .toList();
        input.require(kind.isPresent(), "Say what it is: a proposal, a contract, an invoice or something else.");
        input.require(!recipients.isEmpty(), "Name at least one recipient: nobody else will see it.");
        Paper.Further further = further(input, form, kind);
        input.require(further.link() != null || !fileName.isEmpty(), "Choose a file first, or say where it is kept.");
        input.require(further.link() == null || fileName.isEmpty(), "Either a file or an address, not both.");
        input.allGood();
        Vault.Stored stored = further.link() == null
                ? takeIn.take(project, by, content)
                : vault.store(
                        new ByteArrayInputStream(further.link().getBytes(StandardCharsets.UTF_8)), MOST_OF_A_LINK);
        if (stored.size() == 0) {
            throw Refused.because("“" + fileName
                    + "” is empty: it has 0 bytes. Nothing was kept; save it again and choose it once more.");
        }
        String mediaType = further.link() == null ? ContentType.of(vault.path(stored.sha256())) : "text/uri-list";
        Paper paper = new Paper(
                new PaperId(UUID.randomUUID()),
                project,
                kind.orElseThrow(),
                name.orElseThrow().value(),
                number,
                amount.orElse(null),
                dated.orElseThrow(),
                due.orElse(null),
                stored.sha256(),
                further.link() == null ? FileNames.safe(fileName) : "address.txt",
                mediaType,
                stored.size(),
                by.name(),
                clock.instant(),
                null,
                null,
                Optional.empty(),
                recipients,
                1,
                further);
        transaction.executeWithoutResult(status -> add(paper, by));
        return paper.id();
    }

    private static Paper.Further further(Input input, PaperForm form, Optional<PaperKind> kind) {
        String called = input.text("Its kind", Objects.requireNonNullElse(form.called(), ""), 60);
        String link = Objects.requireNonNullElse(form.link(), "").strip();
        boolean other = kind.filter(PaperKind.OTHER::equals).isPresent();
        input.require(
                link.isEmpty() || other,
                "What is agreed to, signed or paid needs its file here. Only something else, to keep, may be kept "
                        + "elsewhere.");
        input.require(
                link.isEmpty() || isAddress(link),
                "The address: it should begin with https:// or http:// and lead somewhere, like "
                        + "https://example.org/guide.");
        return new Paper.Further(other ? called : "", link.isEmpty() ? null : link);
    }

    private static boolean isAddress(String link) {
        try {
            URI address = new URI(link);
            return link.length() <= MOST_OF_A_LINK
                    && List.of("http", "https")
                            .contains(String.valueOf(address.getScheme()).toLowerCase(Locale.ROOT))
                    && address.getHost() != null
                    && address.getUserInfo() == null;
        } catch (URISyntaxException noAddress) {
            return false;
        }
    }

    private void add(Paper paper, Actor by) {
        papers.add(paper);
        told(
                paper,
                new PaperActs.PaperAdded(
                        by,
                        paper.name(),
                        paper.number(),
                        paper.kind(),
                        paper.sha256(),
                        paper.recipients().stream().map(Paper.Recipient::name).toList()));
    }

    /**
     * Sends a paper that was drawn up here, as a PDF. @throws IOException if it cannot be written; nothing is kept then
     */
    @Transactional(rollbackFor = IOException.class)
    public PaperId sendDrawnUp(ProjectId project, PaperKind kind, String name, byte[] pdf, List<Contact> to, Actor by)
            throws IOException {
        Vault.Stored stored = vault.store(new ByteArrayInputStream(pdf), pdf.length);
        List<Paper.Recipient> recipients =
                to.stream().map(one -> Paper.Recipient.of(one.id(), one.name())).toList();
        Paper paper = new Paper(
                new PaperId(UUID.randomUUID()),
                project,
                kind,
                name,
                "",
                null,
                words.today(),
                null,
                stored.sha256(),
                FileNames.safe(name + ".pdf"),
                "application/pdf",
                stored.size(),
                by.name(),
                clock.instant(),
                null,
                null,
                Optional.empty(),
                recipients,
                1);
        add(paper, by);
        send(paper.id(), false, by);
        return paper.id();
    }

    /**
     * Whom a paper of a project may be addressed to: its client's contacts, and whoever has a seat at one of its panes.
     */
    public List<Contact> possible(Project project) {
        List<Contact> contacts = new ArrayList<>(people.contactsOf(project.client()));
        Set<ContactId> known = contacts.stream().map(Contact::id).collect(Collectors.toSet());
        Set<ContactId> seated = panes.ofProject(project.id()).stream()
                .flatMap(pane -> seats.of(pane.id()).stream())
                .map(SeatRow::contact)
                .filter(contact -> !known.contains(contact))
                .collect(Collectors.toSet());
        contacts.addAll(people.contacts(seated));
        return contacts;
    }

    private static Optional<BigDecimal> amount(Input input, String typed) {
        if (typed.isBlank()) {
            return Optional.empty();
        }
        Optional<BigDecimal> amount = TypedAmount.of(typed)
                .map(read -> read.setScale(2, RoundingMode.HALF_UP))
                .filter(read -> read.abs().compareTo(MOST) <= 0);
        if (amount.isPresent()) {
            return amount;
        }
        input.require(
                false,
                "The amount: “" + (typed.length() > 40 ? typed.substring(0, 40) + "…" : typed)
                        + "” should be a sum like 1840.00 or 1,840.00.");
        return Optional.empty();
    }

    private void told(Paper paper, Happening happening) {
        audit.append(paper.project(), paper.id().value(), happening);
    }

    /** Recipients who have no seat at a published pane, and so could not open it. */
    public List<String> withoutSeat(Paper paper) {
        return paper.recipients().stream()
                .filter(one -> paneOf(paper, one.contact()).isEmpty())
                .map(Paper.Recipient::name)
                .toList();
    }

    private Optional<PaneId> paneOf(Paper paper, ContactId contact) {
        return seats.wayIn(paper.project(), contact, clock.instant());
    }

    /**
     * Sends it: each recipient gets a mail. @param sure whether it goes out although somebody has no seat @throws
     * Refused if somebody has none and that is not wanted
     */
    @Transactional
    public ProjectId send(PaperId id, boolean sure, Actor by) {
        papers.lock(id);
        Paper paper = NotThere.unless(papers.find(id));
        List<String> without = withoutSeat(paper);
        if (!without.isEmpty() && !sure) {
            throw Refused.because(words.and(without) + (without.size() == 1 ? " has" : " have")
                    + " no seat at a published pane here, so they could not open it. Give them a seat "
                    + "first, or tick that it is sent all the same.");
        }
        if (paper.sentAt() != null) {
            throw Refused.changedMeanwhile("This was sent already. Nothing was sent twice.");
        }
        papers.sent(id, clock.instant());
        told(
                paper,
                new PaperActs.PaperSent(
                        by,
                        paper.name(),
                        paper.number(),
                        paper.recipients().stream().map(Paper.Recipient::name).toList(),
                        paper.sha256(),
                        paper.amount() == null ? "" : paper.amount().toPlainString()));
        paper.recipients().forEach(one -> paneOf(paper, one.contact())
                .ifPresent(pane -> mail.send(
                        people.contact(one.contact()).orElseThrow(),
                        letter(paper, keys.forContact(one.contact(), "/c/panes/" + pane + "/papers/" + id)))));
        return paper.project();
    }

    private Letter letter(Paper paper, String link) {
        List<String> lines = new ArrayList<>();
        String what = PaperWords.kind(paper) + (paper.number().isEmpty() ? "" : " " + paper.number());
        lines.add((paper.kind() == PaperKind.DATES ? "Here are our dates: " : "Here is our " + what + ": ")
                + paper.name()
                + (paper.amount() == null
                        ? "."
                        : ", " + paper.amount().toPlainString() + " "
                                + projects.find(paper.project()).orElseThrow().currency() + "."));
        lines.add(
                switch (paper.kind()) {
                    case PROPOSAL -> "You can read it and agree to it there.";
                    case CONTRACT -> "You can read it and sign it there.";
                    case DATES ->
                        "You can read them and agree to them there; they count once everybody asked has agreed.";
                    case INVOICE ->
                        paper.due() == null
                                ? "It is there for you to keep."
                                : "Please pay it by " + lasting.day(paper.due()) + ".";
                    case OTHER -> "It is there for you to keep.";
                });
        lines.add("Only those it is addressed to can see it.");
        return new Letter(
                switch (paper.kind()) {
                            case PROPOSAL -> "Proposal: ";
                            case CONTRACT -> "To sign: ";
                            case DATES -> "To agree on: ";
                            case INVOICE -> "Invoice: ";
                            case OTHER -> "For you: ";
                        }
                        + paper.name(),
                lines,
                "Open it",
                link,
                agency.get().name());
    }

    /** Notes that an invoice was paid. */
    @Transactional
    public ProjectId paid(PaperId id, String day, Actor by) {
        Input input = new Input();
        Optional<LocalDate> on = input.day("The day it was paid", day);
        input.allGood();
        Paper paper = NotThere.unless(papers.find(id));
        if (paper.kind() != PaperKind.INVOICE || !paper.state(words.today()).waits()) {
            throw Refused.changedMeanwhile("Only an invoice that is open can be paid. Nothing was changed.");
        }
        papers.paid(id, on.orElseThrow());
        told(
                paper,
                new PaperActs.PaperPaid(
                        by, paper.name(), paper.number(), on.orElseThrow().toString()));
        return paper.project();
    }

    /** Withdraws it; its recipients see only that it was. */
    @Transactional
    public ProjectId withdraw(PaperId id, String reason, Actor by) {
        Input input = new Input();
        String why = input.text("The reason", reason, LONGEST_REASON);
        input.require(!why.isEmpty(), "Say why it is withdrawn; it stands in the Record.");
        input.allGood();
        Paper paper = NotThere.unless(papers.find(id));
        papers.withdraw(id, new Paper.Withdrawal(clock.instant(), why));
        told(paper, new PaperActs.PaperWithdrawn(by, paper.name(), paper.number(), why));
        return paper.project();
    }

    /** Opens a paper for one of its recipients, and notes the first time. */
    @Transactional
    public Paper open(Viewer viewer, PaperId id) {
        Paper paper = NotThere.unless(visible.find(viewer, id));
        if (!viewer.looking() && papers.seen(id, viewer.contact(), clock.instant())) {
            told(paper, new PaperActs.PaperViewed(viewer.actor(), paper.name(), paper.number()));
        }
        return paper;
    }

    /** Takes the name that a recipient puts to exactly this file, and the signature that they draw beside it. */
    @Transactional
    public void name(Viewer viewer, PaperId id, Sha256 seen, String typedName, @Nullable String drawn, boolean sure) {
        NotThere.unless(visible.find(viewer, id));
        Optional<DrawnSignature> signature = SignatureField.read(drawn);
        SignedName.check(typedName, viewer.name(), sure);
        papers.lock(id);
        Paper paper = NotThere.unless(visible.find(viewer, id));
        if (!paper.kind().takesNames()
                || paper.withdrawal().isPresent()
                || !paper.sha256().equals(seen)) {
            throw Refused.changedMeanwhile(
                    "This paper was withdrawn or replaced meanwhile, so your name was not put to it. Look at "
                            + "it again.");
        }
        if (paper.recipient(viewer.contact())
                .filter(one -> one.namedAt() != null)
                .isPresent()) {
            throw Refused.changedMeanwhile("You have put your name to it already. Nothing was done twice.");
        }
        papers.named(id, viewer.contact(), typedName.strip(), signature, clock.instant());
        PaperState state = papers.find(id).orElseThrow().state(words.today());
        told(
                paper,
                new PaperActs.PaperNamed(
                        paper.kind() == PaperKind.CONTRACT ? Act.PAPER_SIGNED : Act.PAPER_AGREED,
                        viewer.actor(),
                        paper.name(),
                        paper.number(),
                        paper.sha256(),
                        typedName.strip(),
                        state,
                        signature.map(strokes -> Sha256.ofText(strokes.text()))));
        tellManager.tell(
                paper.project(),
                (paper.kind() == PaperKind.CONTRACT ? "Signed: " : "Agreed: ") + paper.name(),
                List.of(
                        viewer.name() + (paper.kind() == PaperKind.CONTRACT ? " signed " : " agreed to ") + paper.name()
                                + ".",
                        state == PaperState.SIGNED || state == PaperState.AGREED
                                ? "With it, it is settled."
                                : "Others have still to " + (paper.kind() == PaperKind.CONTRACT ? "sign." : "agree.")),
                new TellManager.Leads("See the papers", "/t/projects/" + paper.project() + "/papers"));
        if (!state.waits()) {
            events.publishEvent(new PaperSettled(
                    paper.project(),
                    id,
                    paper.recipients().stream().map(Paper.Recipient::name).toList(),
                    viewer.actor()));
        }
    }
}
