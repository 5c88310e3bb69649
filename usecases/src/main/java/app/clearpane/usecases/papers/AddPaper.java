package app.clearpane.usecases.papers;

import app.clearpane.core.agency.Contact;
import app.clearpane.core.agency.ContactId;
import app.clearpane.core.agency.Name;
import app.clearpane.core.money.TypedAmount;
import app.clearpane.core.papers.Paper;
import app.clearpane.core.papers.PaperId;
import app.clearpane.core.papers.PaperKind;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.record.event.PaperActs;
import app.clearpane.store.files.Vault;
import app.clearpane.store.papers.Papers;
import app.clearpane.store.project.Projects;
import app.clearpane.usecases.files.FileNames;
import app.clearpane.usecases.files.TakeInFile;
import app.clearpane.usecases.post.PossibleRecipients;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.Input;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.shell.TheAgency;
import app.clearpane.usecases.shell.WebAddress;
import java.io.IOException;
import java.io.InputStream;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Adds, sends, withdraws and settles papers; and takes the names their recipients put to them. */
@Component
public class AddPaper {
    static final int LONGEST_REASON = 1_000;
    private static final BigDecimal MOST = new BigDecimal("999999999999.99");
    private final Papers papers;
    private final Projects projects;
    private final TakeInFile takeIn;
    private final TheAgency agency;
    private final AuditLog audit;
    private final TransactionTemplate transaction;
    private final PossibleRecipients recipients;

    AddPaper(
            Papers papers,
            Projects projects,
            TakeInFile takeIn,
            TheAgency agency,
            AuditLog audit,
            TransactionTemplate transaction,
            PossibleRecipients recipients) {
        this.recipients = recipients;
        this.papers = papers;
        this.projects = projects;
        this.takeIn = takeIn;
        this.agency = agency;
        this.audit = audit;
        this.transaction = transaction;
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
        Map<String, String> contacts = recipients.possible(NotFound.unless(projects.find(project))).stream()
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
        input.require(
                further.link().isPresent() || !fileName.isEmpty(), "Choose a file first, or say where it is kept.");
        input.require(further.link().isEmpty() || fileName.isEmpty(), "Either a file or an address, not both.");
        input.allGood();
        Vault.Stored stored = further.link().isEmpty()
                ? takeIn.take(project, by, content)
                : takeIn.address(further.link().get());
        if (stored.size() == 0) {
            throw Refused.because("“" + fileName
                    + "” is empty: it has 0 bytes. Nothing was kept; save it again and choose it once more.");
        }
        String mediaType = further.link().isEmpty() ? takeIn.mediaType(stored) : "text/uri-list";
        Paper paper = new Paper(
                new PaperId(UUID.randomUUID()),
                project,
                kind.orElseThrow(),
                name.orElseThrow().value(),
                number,
                amount,
                dated.orElseThrow(),
                due,
                stored.sha256(),
                further.link().isEmpty() ? FileNames.safe(fileName) : "address.txt",
                mediaType,
                stored.size(),
                by,
                agency.now(),
                new Paper.Draft(),
                recipients,
                1,
                further);
        transaction.executeWithoutResult(status -> keep(paper, by));
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
                link.isEmpty() || WebAddress.isOne(link),
                "The address: it should begin with https:// or http:// and lead somewhere, like "
                        + "https://example.org/guide.");
        return new Paper.Further(other ? called : "", link.isEmpty() ? Optional.empty() : Optional.of(link));
    }

    void keep(Paper paper, Actor by) {
        papers.add(paper);
        audit.append(
                paper.project(),
                paper.id().value(),
                new PaperActs.PaperAdded(
                        by,
                        paper.name(),
                        paper.number(),
                        paper.kind(),
                        paper.sha256(),
                        paper.recipients().stream().map(Paper.Recipient::name).toList()));
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
}
