package app.clearpane.web.project;

import app.clearpane.core.project.Covers;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.agency.EmailAddress;
import app.clearpane.core.agency.Name;
import app.clearpane.core.money.TypedAmount;
import app.clearpane.core.project.PhaseTemplate;
import app.clearpane.web.layout.Input;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Currency;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** The form a project is opened with, as typed. Contacts are lines of "Name, address, what they do". */
record ProjectForm(String client, String name, String cover, String currency, String tax, String startsOn, String agreedOn, String template, @Nullable Boolean tasks, String contacts, @Nullable String like, @Nullable Boolean people) {

  /** The template that is another project. */
  static final String LIKE = "LIKE";

  static ProjectForm empty(LocalDate today) {
    return new ProjectForm("", "", Covers.ALL.get(0), "GBP", "20", today.toString(), today.plusMonths(3).toString(), PhaseTemplate.SPACE.name(), true, "", "", true);
  }

  /** @throws app.clearpane.web.layout.Refused with everything that is wrong */
  OpenProject.Wanted wanted() {
    Input input = new Input();
    Optional<Name> clientName = input.name("The client", client);
    Optional<Name> projectName = input.name("The project", name);
    boolean likeAnother = LIKE.equals(template) && like != null && !like.isBlank();
    boolean backwards = likeAnother && startsOn.isBlank();
    input.require(!LIKE.equals(template) || likeAnother, "Choose the project that it is to be like.");
    Optional<LocalDate> start = backwards ? input.day("The agreed finish", agreedOn) : input.day("The start", startsOn);
    Optional<LocalDate> agreed = input.day("The agreed finish", agreedOn);
    input.require(start.isEmpty() || agreed.isEmpty() || !agreed.get().isBefore(start.get()), "The agreed finish is before the start.");
    input.require(start.isEmpty() || agreed.isEmpty() || agreed.get().isBefore(start.get().plusYears(10)), "The agreed finish is more than ten years after the start.");
    input.require(Covers.ALL.contains(cover), "Choose one of the covers.");
    requireCurrency(input, currency);
    Optional<BigDecimal> percent = tax(input, tax);
    List<OpenProject.NewContact> contactsTyped = contacts(input);
    Optional<PhaseTemplate> phases = LIKE.equals(template) ? Optional.of(PhaseTemplate.SPACE) : input.one("The phases", template, PhaseTemplate::valueOf);
    Optional<ProjectId> other = likeAnother ? input.one("The project that it is to be like", like, ProjectId::of) : Optional.empty();
    input.allGood();
    return new OpenProject.Wanted(clientName.orElseThrow(), projectName.orElseThrow(), cover, currency, percent.orElseThrow(), start.orElseThrow(),
        agreed.orElseThrow(), phases.orElseThrow(), Boolean.TRUE.equals(tasks), contactsTyped,
        other.map(project -> new OpenProject.Like(project, Boolean.TRUE.equals(people), backwards)));
  }

  static void requireCurrency(Input input, String currency) {
    input.require(Currency.getAvailableCurrencies().stream().anyMatch(known -> known.getCurrencyCode().equals(currency)), "“" + currency + "” is not a currency. Use its three letters, as in GBP or EUR.");
  }

  static Optional<BigDecimal> tax(Input input, String tax) {
    Optional<BigDecimal> percent = TypedAmount.of(tax.strip().replaceFirst("\\s*%$", "")).filter(read -> read.signum() >= 0 && read.compareTo(BigDecimal.valueOf(100)) <= 0 && read.scale() <= 2);
    if (percent.isPresent()) {
      return percent;
    }
    input.require(false, "The tax should be a number from 0 to 100 with at most two decimals, as in 20 or 17.5.");
    return Optional.empty();
  }

  private List<OpenProject.NewContact> contacts(Input input) {
    List<OpenProject.NewContact> people = new ArrayList<>();
    int number = 0;
    for (String line : contacts.split("\\R")) {
      number++;
      if (!line.isBlank()) {
        contact(input, line, "Contact in line " + number).ifPresent(people::add);
      }
    }
    return people;
  }

  static Optional<OpenProject.NewContact> contact(Input input, String line, String what) {
    String[] parts = line.split(",", 3);
    if (parts.length < 2) {
      input.require(false, what + ": write the name, a comma and the mail address.");
      return Optional.empty();
    }
    Optional<Name> name = input.name(what, parts[0]);
    Optional<EmailAddress> email = input.email(what, parts[1]);
    String says = input.text(what, parts.length > 2 ? parts[2] : "", Name.LONGEST);
    return name.flatMap(n -> email.map(e -> new OpenProject.NewContact(n, e, says)));
  }
}
