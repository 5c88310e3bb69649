package app.clearpane.web;

import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.anonymous;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.authentication;

import app.clearpane.usecases.security.Person;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Base64;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.FormElement;
import org.jspecify.annotations.Nullable;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.authority.AuthorityUtils;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.security.web.csrf.DefaultCsrfToken;
import org.springframework.security.web.csrf.HttpSessionCsrfTokenRepository;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.AbstractMockHttpServletRequestBuilder;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;
import org.springframework.test.web.servlet.request.RequestPostProcessor;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.DefaultTransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;

/** Sends what would be done if it were allowed, as anybody, and undoes whatever came of it. */
public final class WouldSucceed {
    private static final String TOKEN_IN_SESSION = HttpSessionCsrfTokenRepository.class.getName() + ".CSRF_TOKEN";
    private static final CsrfToken TOKEN = new DefaultCsrfToken("X-CSRF-TOKEN", "_csrf", "what-this-test-sends");
    /** The token as forms carry it: as many random bytes, here none, and the token mixed with them. */
    private static final String MASKED = Base64.getUrlEncoder()
            .encodeToString(
                    ("\0".repeat(TOKEN.getToken().length()) + TOKEN.getToken()).getBytes(StandardCharsets.UTF_8));

    private final MockMvc house;
    private final TransactionTemplate transaction;
    /** One request: what it refuses is undone, as it is where every request has a transaction of its own. */
    private final TransactionTemplate request;

    private final Instant now;

    public WouldSucceed(MockMvc house, TransactionTemplate transaction, Instant now) {
        this.house = house;
        this.transaction = transaction;
        this.request = new TransactionTemplate(
                Objects.requireNonNull(transaction.getTransactionManager()),
                new DefaultTransactionDefinition(TransactionDefinition.PROPAGATION_NESTED));
        this.now = now;
    }

    /** What is sent. @param files the fields that carry a file, each with its name */
    public record Sent(String path, Map<String, List<String>> fields, Map<String, String> files) {
        /** The same with fields as they stand in a query, instead of or beside its own. */
        Sent with(String query) {
            Map<String, List<String>> all = new LinkedHashMap<>(fields);
            Map<String, String> attached = new LinkedHashMap<>(files);
            for (String pair : query.isEmpty() ? new String[0] : query.split("&")) {
                String name = pair.substring(0, pair.indexOf('='));
                String value =
                        java.net.URLDecoder.decode(pair.substring(pair.indexOf('=') + 1), StandardCharsets.UTF_8);
                if (value.startsWith("file:")) {
                    attached.put(name, value.substring(5));
                } else {
                    all.put(name, new ArrayList<>(List.of(value)));
                }
            }
            return new Sent(path, all, attached);
        }
    }

    /** One after the other, by whom; nothing of it stays. @param between what is asked after each */
    public <T> List<T> inTurn(List<Sent> all, Person by, Function<String, T> between) {
        return Objects.requireNonNull(transaction.<List<T>>execute(status -> {
            status.setRollbackOnly();
            return all.stream()
                    .map(sent -> between.apply(told(performed(sent, by))))
                    .toList();
        }));
    }

    /** Sends it, and what it asks about before it is done. */
    private MockHttpServletResponse performed(Sent sent, Person by) {
        try {
            MockHttpServletResponse came = perform(sent, by);
            List<Sent> asked = came.getStatus() == 200
                    ? forms(Jsoup.parse(came.getContentAsString(StandardCharsets.UTF_8))).stream()
                            .filter(form -> form.path.equals(sent.path) && !form.fields.equals(sent.fields))
                            .toList()
                    : List.of();
            return asked.isEmpty() ? came : perform(asked.get(0), by);
        } catch (Exception broken) {
            throw new IllegalStateException(sent + " as " + by, broken);
        }
    }

    private static RequestPostProcessor as(@Nullable Person person) {
        return person == null
                ? anonymous()
                : authentication(UsernamePasswordAuthenticationToken.authenticated(
                        person,
                        "",
                        person instanceof Person.OfTeam member
                                ? AuthorityUtils.createAuthorityList("ROLE_TEAM", "ROLE_" + member.role())
                                : AuthorityUtils.createAuthorityList("ROLE_CLIENT")));
    }

    /**
     * A page as somebody sees it.
     *
     * @param forms each as it stands
     * @param buttons every button of every form, each as it would be pressed
     * @param links the pages that it leads to
     */
    record Page(List<Sent> forms, List<Sent> buttons, List<String> links) {}

    /** A page; without anything if it is none of theirs. */
    Page page(String path, Person person) throws Exception {
        MockHttpServletResponse response = house.perform(MockMvcRequestBuilders.get(java.net.URI.create(path))
                        .with(as(person))
                        .sessionAttr("clearpane.password-given", now))
                .andReturn()
                .getResponse();
        List<Sent> forms = List.of();
        List<Sent> buttons = List.of();
        List<String> links = new ArrayList<>();
        if (response.getStatus() == 302) {
            links.add(String.valueOf(response.getHeader("Location")));
        }
        if (response.getStatus() == 200
                && String.valueOf(response.getContentType()).startsWith("text/html")) {
            Document page = Jsoup.parse(response.getContentAsString(StandardCharsets.UTF_8));
            forms = forms(page);
            buttons = buttons(page);
            page.select("[href], [hx-get]")
                    .forEach(link -> links.add(link.hasAttr("hx-get") ? link.attr("hx-get") : link.attr("href")));
        }
        return new Page(
                forms,
                buttons,
                links.stream()
                        .map(link -> link.replaceAll("#.*", ""))
                        .filter(link -> link.matches("/[tc](/.*)?(\\?.*)?")
                                && !link.contains(" ")
                                && !link.matches(
                                        ".*[.](pdf|csv|xlsx|ics|jsonld|png|svg|css|js)$|.*/(content|played|live)$"))
                        .toList());
    }

    private static List<Sent> forms(Document page) {
        return page.select("form[method=post]").stream()
                .map(form -> sent((FormElement) form))
                .toList();
    }

    private static List<Sent> buttons(Document page) {
        List<Sent> pressed = new ArrayList<>();
        page.select("form[method=post]").forEach(form -> {
            Sent plain = sent((FormElement) form);
            List<Element> named = ((FormElement) form).elements().select("button[name]:not([disabled])");
            if (named.isEmpty()
                    && !((FormElement) form)
                            .elements()
                            .select("button:not([disabled]):not([type=button]), input[type=submit], "
                                    + "input[type=image]")
                            .isEmpty()) {
                pressed.add(plain);
            }
            named.forEach(button -> {
                Map<String, List<String>> fields = new LinkedHashMap<>(plain.fields);
                fields.put(button.attr("name"), List.of(button.attr("value")));
                pressed.add(new Sent(plain.path, fields, plain.files));
            });
        });
        return pressed;
    }

    private static Sent sent(FormElement form) {
        Map<String, List<String>> fields = new LinkedHashMap<>();
        if (!form.id().isEmpty()) {
            Objects.requireNonNull(form.ownerDocument())
                    .select("[form=" + form.id() + "]")
                    .forEach(form::addElement);
        }
        form.formData().stream().filter(field -> !field.key().equals("_csrf")).forEach(field -> fields.computeIfAbsent(
                        field.key(), name -> new ArrayList<>())
                .add(field.value()));
        Map<String, String> files = new LinkedHashMap<>();
        form.select("input[type=file]")
                .forEach(input -> files.put(
                        input.attr("name"), input.attr("accept").contains("csv") ? "table.csv" : "picture.png"));
        form.elements().select("button[name]").stream()
                .findFirst()
                .ifPresent(button ->
                        fields.putIfAbsent(button.attr("name"), new ArrayList<>(List.of(button.attr("value")))));
        form.select("input[required], textarea[required], select[required]")
                .forEach(input -> fields.computeIfPresent(
                        input.attr("name"),
                        (name, values) ->
                                values.equals(List.of("")) ? new ArrayList<>(List.of(likely(input))) : values));
        form.elements()
                .select("input[type=radio]")
                .forEach(
                        input -> fields.putIfAbsent(input.attr("name"), new ArrayList<>(List.of(input.attr("value")))));
        return new Sent(form.attr("action"), fields, files);
    }

    private static String likely(Element input) {
        return switch (input.attr("type")) {
            case "email" -> "somebody.new@penwether.example";
            case "url" -> "https://penwether.example/new";
            case "number" -> "3";
            case "date" -> "2029-06-04";
            case "password" -> "seven-harbour-lanterns-drift";
            default ->
                input.attr("inputmode").equals("numeric")
                        ? "3"
                        : input.tagName().equals("select")
                                ? input.select("option[value]").eachAttr("value").stream()
                                        .filter(value -> !value.isEmpty())
                                        .findFirst()
                                        .orElse("")
                                : "Something new";
        };
    }

    /**
     * What is sent before, so that what is sent next can be done. @param see a page on which the form for it stands
     * then, "there" for the one it leads to; empty if what it is about is known
     */
    record First(Sent sent, Person by, String see) {}

    /**
     * What the house answers, told apart: done, door, or the number; with what it says where it refuses. Nothing of it
     * stays.
     */
    String answer(List<First> first, Sent sent, UnaryOperator<List<Sent>> choose, @Nullable Person person) {
        return Objects.requireNonNull(transaction.<String>execute(status -> {
            status.setRollbackOnly();
            try {
                @Nullable Sent next = sent;
                for (First step : first) {
                    MockHttpServletResponse came = perform(step.sent, step.by);
                    String done = told(came);
                    if (!done.equals("done")) {
                        return "first " + done;
                    }
                    if (!step.see.isEmpty()) {
                        next = choose
                                .apply(page(
                                                step.see.equals("there")
                                                        ? String.valueOf(came.getHeader("Location"))
                                                        : step.see,
                                                step.by)
                                        .forms)
                                .stream()
                                .findFirst()
                                .orElse(null);
                        if (next == null) {
                            return "first no-form";
                        }
                    }
                }
                return told(perform(next, person));
            } catch (Exception broken) {
                throw new IllegalStateException(sent + " as " + person, broken);
            }
        }));
    }

    /** Where it is asked first whether what follows is meant, it is. */
    private MockHttpServletResponse perform(Sent sent, @Nullable Person person) throws Exception {
        MockHttpServletResponse came = performOnce(sent, person);
        boolean asked = came.getStatus() == 409
                && !sent.fields.containsKey("sure")
                && came.getContentAsString(StandardCharsets.UTF_8).contains("name=\"sure\"");
        return asked ? performOnce(sent.with("sure=true"), person) : came;
    }

    private MockHttpServletResponse performOnce(Sent sent, @Nullable Person person) {
        return Objects.requireNonNull(request.<MockHttpServletResponse>execute(status -> {
            try {
                MockHttpServletResponse came = house.perform(request(sent)
                                .with(as(person))
                                .header(TOKEN.getHeaderName(), MASKED)
                                .sessionAttr(TOKEN_IN_SESSION, TOKEN)
                                .sessionAttr("clearpane.password-given", now))
                        .andReturn()
                        .getResponse();
                if (came.getStatus() >= 400) {
                    status.setRollbackOnly();
                }
                return came;
            } catch (Exception broken) {
                throw new IllegalStateException(sent + " as " + person, broken);
            }
        }));
    }

    private static AbstractMockHttpServletRequestBuilder<?> request(Sent sent) throws Exception {
        AbstractMockHttpServletRequestBuilder<?> request;
        if (sent.files.isEmpty()) {
            request = MockMvcRequestBuilders.post(java.net.URI.create(sent.path));
        } else {
            var multipart = MockMvcRequestBuilders.multipart(java.net.URI.create(sent.path));
            for (Map.Entry<String, String> file : sent.files.entrySet()) {
                multipart.file(new MockMultipartFile(file.getKey(), file.getValue(), null, content(file.getValue())));
            }
            request = multipart;
        }
        for (Map.Entry<String, List<String>> field : sent.fields.entrySet()) {
            request.param(field.getKey(), field.getValue().toArray(String[]::new));
        }
        return request;
    }

    private static byte[] content(String name) throws Exception {
        if (name.endsWith(".png")) {
            java.io.ByteArrayOutputStream png = new java.io.ByteArrayOutputStream();
            javax.imageio.ImageIO.write(
                    new java.awt.image.BufferedImage(40, 30, java.awt.image.BufferedImage.TYPE_INT_RGB), "png", png);
            return png.toByteArray();
        }
        return switch (name.substring(name.lastIndexOf('.'))) {
            case ".csv" -> "Task,Due\nPaint the gate,2029-06-04\n".getBytes(StandardCharsets.UTF_8);
            case ".ics" ->
                ("BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//x//EN\r\nBEGIN:VEVENT\r\nUID:1\r\n"
                                + "DTSTAMP:20290101T000000Z\r\nDTSTART;VALUE=DATE:20290604\r\nSUMMARY:Free\r\n"
                                + "END:VEVENT\r\nEND:VCALENDAR\r\n")
                        .getBytes(StandardCharsets.UTF_8);
            default -> "[]".getBytes(StandardCharsets.UTF_8);
        };
    }

    static String told(MockHttpServletResponse response) {
        String location = String.valueOf(response.getHeader("Location"));
        return switch (response.getStatus()) {
            case 200, 204 -> "done";
            case 302, 303 -> location.endsWith("/sign-in") || location.contains("/come-in") ? "door" : "done";
            case 422, 409 -> response.getStatus() + " " + said(response);
            default -> String.valueOf(response.getStatus());
        };
    }

    private static String said(MockHttpServletResponse response) {
        try {
            return Jsoup.parse(response.getContentAsString(StandardCharsets.UTF_8))
                    .select("[role=alert], .notice")
                    .text();
        } catch (java.io.UnsupportedEncodingException never) {
            throw new IllegalStateException(never);
        }
    }
}
