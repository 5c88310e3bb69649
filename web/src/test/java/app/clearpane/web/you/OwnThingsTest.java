package app.clearpane.web.you;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import app.clearpane.core.agency.Contact;
import app.clearpane.core.agency.ContactWishes;
import app.clearpane.core.agency.EmailAddress;
import app.clearpane.core.agency.Name;
import app.clearpane.core.exposure.SeatRole;
import app.clearpane.core.people.SeatId;
import app.clearpane.store.agency.OwnThings;
import app.clearpane.store.agency.People;
import app.clearpane.store.agency.Sessions;
import app.clearpane.store.exposure.Seats;
import app.clearpane.usecases.exposure.GiveSeat;
import app.clearpane.web.Acting;
import app.clearpane.web.AtTheMill;
import app.clearpane.web.Visitor;
import jakarta.mail.internet.MimeMessage;
import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.Map;
import org.jsoup.Jsoup;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;

/** What contacts keep of themselves, on contacts of this test's own at the mill. */
class OwnThingsTest extends AtTheMill {
    private static final String PASSWORD = "seven lanterns drift home";

    @Autowired
    private GiveSeat giveSeat;

    @Autowired
    private Seats seats;

    @Autowired
    private OwnThings own;

    @Autowired
    private People people;

    @Autowired
    private Sessions sessions;

    /** Somebody new at the mill who reads its pane. */
    private Contact somebody(String name) {
        String address = name.toLowerCase(java.util.Locale.ROOT).replace(' ', '.') + "@hobandbarley.example";
        return people.contactAt(new EmailAddress(address)).orElseGet(() -> {
            Contact added = people.addContact(
                    projects.find(mill()).orElseThrow().client(),
                    new Name(name),
                    new EmailAddress(address),
                    "baker",
                    clock.instant());
            SeatId seat = giveSeat.give(pane().id(), added.id(), SeatRole.READER, Acting.team("Ines"));
            seats.invited(seat, clock.instant());
            return added;
        });
    }

    private Visitor in(Contact contact) throws Exception {
        return Visitor.by(address(), linkOf(contact.email()));
    }

    private static Map<String, String> typed(String... pairs) {
        Map<String, String> form = new HashMap<>(
                Map.of("name", "Odd Baker", "phone", "", "zone", "", "dates", "", "from", "", "until", ""));
        for (int i = 0; i < pairs.length; i += 2) {
            form.put(pairs[i], pairs[i + 1]);
        }
        return form;
    }

    @Test
    void daysAreReadInTheirLanguageAndTimesWhereTheyAre() throws Exception {
        Contact lise = somebody("Lise Brotherton");
        Visitor at = in(lise);
        String before = at.get("/c/panes/" + pane().id()).body();
        assertThat(at.post(
                                "/c/you",
                                at.token(),
                                typed(
                                        "name",
                                        "Lise Berger",
                                        "zone",
                                        "Pacific/Auckland",
                                        "dates",
                                        "fi",
                                        "phone",
                                        "0123"))
                        .statusCode())
                .isEqualTo(302);
        String after = at.get("/c/panes/" + pane().id()).body();
        assertThat(before).contains("You are here as Lise Brotherton");
        assertThat(after).contains("You are here as Lise Berger").isNotEqualTo(before);
        assertThat(Jsoup.parse(after).text()).containsPattern("(ma|ti|ke|to|pe|la|su) \\d");
        assertThat(Jsoup.parse(imre().get("/c/panes/" + pane().id()).body()).text())
                .as("nobody else reads it otherwise")
                .containsPattern("(Mon|Tue|Wed|Thu|Fri|Sat|Sun) \\d");
        assertThat(Jsoup.parse(ines().get("/t/clients?q=lise").body()).text()).contains("Lise Berger", "0123");
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            zone  | Atlantis/Main   | No place is known as
            zone  | ../etc          | No place is known as
            dates | xx              | Dates are not written in that language
            from  | 9               | The hour we may write until
            from  | noon            | The hour we may write from
            name  | ''              | Your name
            phone | 0123456789012345678901234567890123456789012345 | The telephone
            """)
    void whatWillNotDoIsSaidAndChangesNothing(String field, String value, String said) throws Exception {
        Contact odd = somebody("Odd Baker");
        Visitor at = in(odd);
        ContactWishes before = own.wishes(odd.id());
        HttpResponse<String> answer = at.post("/c/you", at.token(), typed(field, value));
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(Jsoup.parse(answer.body()).text()).contains(said);
        assertThat(own.wishes(odd.id())).isEqualTo(before);
        assertThat(people.contact(odd.id()).orElseThrow().name()).isEqualTo("Odd Baker");
    }

    @Test
    void hoursThatEndBeforeTheyBeginAreNone() throws Exception {
        Visitor at = in(somebody("Odd Baker"));
        HttpResponse<String> answer = at.post("/c/you", at.token(), typed("from", "18", "until", "8"));
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("begin before they end");
    }

    /** Where somebody comes who signs in by a password. */
    private String signsIn(Contact contact, String password) throws Exception {
        Visitor outside = new Visitor(address());
        outside.get("/sign-in");
        outside.post("/sign-in", outside.token(), Map.of("email", contact.email(), "password", password));
        return outside.get("/").headers().firstValue("Location").orElse("");
    }

    private int chooses(Visitor who, String password) throws Exception {
        return who.post("/c/you/password", who.token(), Map.of("password", password))
                .statusCode();
    }

    @Test
    void aPasswordBringsThemInUntilTheyDoWithoutOne() throws Exception {
        Contact pia = somebody("Pia Sorrel");
        Visitor at = in(pia);
        assertThat(chooses(at, "short")).isEqualTo(422);
        assertThat(chooses(at, PASSWORD)).isEqualTo(302);
        assertThat(signsIn(pia, PASSWORD)).endsWith("/c");
        assertThat(signsIn(pia, PASSWORD + "!")).endsWith("/sign-in");
        at.post("/c/you/password/drop", at.token(), Map.of());
        assertThat(signsIn(pia, PASSWORD)).endsWith("/sign-in");
    }

    @Test
    void anotherPasswordSignsThemOutElsewhereAndTellsThem() throws Exception {
        Contact oda = somebody("Oda Winnow");
        Visitor at = in(oda);
        Visitor elsewhere = in(oda);
        chooses(at, PASSWORD);
        assertThat(elsewhere.get("/c/you").statusCode()).isEqualTo(302);
        assertThat(at.get("/c/you").statusCode()).isEqualTo(200);
        mailArrives(oda.email(), "You chose a password");
    }

    @Test
    void whoeverComesBackAfterAWhileIsMailedAFreshLinkToThatPage() throws Exception {
        Contact rolf = somebody("Rolf Tannery");
        Visitor at = in(rolf);
        String page = "/c/panes/" + pane().id() + "/papers";
        assertThat(at.get(page).statusCode()).isEqualTo(200);
        sessions.end("contact:" + rolf.id());
        String asked = at.open(page).body();
        assertThat(asked).contains("data-come-in", "/come-in/fresh");
        String sent = at.post("/come-in/fresh", Visitor.token(asked), Map.of("to", page))
                .body();
        assertThat(sent).contains("@hobandbarley.example").doesNotContain("rolf.tannery");
        mailArrives(rolf.email(), "Your link to");
        String link = linkIn(rolf.email(), "Your link to");
        HttpResponse<String> in = at.post(link.substring(address().length()), Visitor.token(asked), Map.of());
        assertThat(in.headers().firstValue("Location").orElse("")).endsWith(page);
    }

    private String linkIn(String address, String subject) throws Exception {
        for (MimeMessage mail : world.getReceivedMessages()) {
            if (mail.getAllRecipients()[0].toString().contains(address)
                    && mail.getSubject().contains(subject)) {
                var found = java.util.regex.Pattern.compile("http://localhost:\\d+/p/[\\w-]+")
                        .matcher(com.icegreen.greenmail.util.GreenMailUtil.getWholeMessage(mail));
                assertThat(found.find()).isTrue();
                return found.group();
            }
        }
        throw new AssertionError("no mail about " + subject);
    }

    @Test
    void whoeverLeftIsOutAndGetsNoLink() throws Exception {
        Contact una = somebody("Una Leaver");
        Visitor at = in(una);
        assertThat(at.get("/c/mails").statusCode()).isEqualTo(200);
        Visitor ines = ines();
        ines.post("/t/contacts/" + una.id() + "/leave", ines.token(), Map.of("sure", "true"));
        for (String page : new String[] {"/c", "/c/you", "/c/mails", "/c/particulars"}) {
            assertThat(at.get(page).statusCode()).as(page).isEqualTo(302);
        }
        Visitor outside = new Visitor(address());
        outside.post("/come-in", outside.token(), Map.of("email", una.email()));
        assertThat(mailsAbout(una.email(), "Your link to")).isZero();
    }

    @Test
    void aDeviceThatNobodyKnowsMailsNothingByItself() throws Exception {
        Visitor stranger = new Visitor(address());
        String page = stranger.open("/c/panes/" + pane().id()).body();
        assertThat(page).contains("Have a link mailed to you").doesNotContain("data-come-in");
        assertThat(stranger.post("/come-in/fresh", stranger.token(), Map.of("to", "/c"))
                        .headers()
                        .firstValue("Location")
                        .orElse(""))
                .endsWith("/come-in");
        assertThat(stranger.open("/come-in?to=//elsewhere.example").body())
                .as("it leads to no other house")
                .doesNotContain("elsewhere.example");
    }

    @Test
    void theirMailsCanBeReadAgainWithoutTheKeysThatWereInThem() throws Exception {
        Contact tove = somebody("Tove Millrace");
        Visitor at = in(tove);
        at.post("/c/you/password", at.token(), Map.of("password", PASSWORD));
        mailArrives(tove.email(), "You chose a password");
        await().untilAsserted(() -> assertThat(Jsoup.parse(at.get("/c/mails").body())
                        .select(".kept-mail")
                        .eachText())
                .anyMatch(mail -> mail.contains("You chose a password") && mail.contains("Where you are signed in")));
        assertThat(at.get("/c/mails").body()).doesNotContainPattern("/p/[\\w-]{20}");
        assertThat(imre().get("/c/mails").body()).doesNotContain("You chose a password");
        at.post("/c/you/password/drop", at.token(), Map.of());
    }

    @Test
    void whatIsKeptOfThemIsTheirsToTakeAndOfNobodyElse() throws Exception {
        Contact pia = somebody("Pia Sorrel");
        Visitor at = in(pia);
        String file = at.post("/c/you/kept", at.token(), Map.of()).body();
        assertThat(file).contains("pia.sorrel@hobandbarley.example", "\"seats\"", "Flour bags", "\"signedIn\"");
        assertThat(file).doesNotContain("imre@", "grete@", "Penwether");
        assertThat(ines().get("/t/projects/" + mill() + "/record").statusCode()).isEqualTo(200);
    }

    @Test
    void whoeverAskedIsForgottenAndWhatTheySaidStaysUnderNoName() throws Exception {
        Contact gone = somebody("Vesper Quillfeather");
        Visitor at = in(gone);
        String forget = "/t/contacts/" + gone.id() + "/forget";
        Visitor owner = owner();
        assertThat(owner.post(forget, owner.token(), Map.of("sure", "true")).statusCode())
                .as("nobody is forgotten who did not ask")
                .isEqualTo(404);
        at.post("/c/you/forget", at.token(), Map.of());
        assertThat(at.get("/c/you").body()).contains("You asked to be forgotten");
        assertThat(ines().get("/t/clients").body()).contains("asks to be forgotten");
        assertThat(owner.post(forget, owner.token(), Map.of()).body()).contains("It cannot be undone");
        owner.post(forget, owner.token(), Map.of("sure", "true"));
        Contact left = people.contact(gone.id()).orElseThrow();
        assertThat(left.name()).isEqualTo("Somebody forgotten");
        assertThat(left.email()).endsWith("@nobody.invalid");
        assertThat(at.get("/c/you").statusCode()).as("signed out").isEqualTo(302);
        assertThat(owner.get("/t/clients").body()).doesNotContain("Quillfeather", "asks to be forgotten");
        assertThat(people.contactAt(new EmailAddress(gone.email()))).isEmpty();
    }

    private Visitor owner() throws Exception {
        return Visitor.by(address(), linkOfTeam("bastian@marram-finch.example"));
    }
}
