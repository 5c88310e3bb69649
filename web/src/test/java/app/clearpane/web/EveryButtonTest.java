package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.setup.SecurityMockMvcConfigurers.springSecurity;

import app.clearpane.usecases.security.Person;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.setup.MockMvcBuilders;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.web.context.WebApplicationContext;

/**
 * Every button on every page of everybody in the demo is pressed: none answers with a refusal that its page could have
 * known. Nothing that is done stays.
 */
class EveryButtonTest extends DemoHouse {
    private static final Pattern IDENTIFIER = Pattern.compile("[0-9a-f]{8}-[0-9a-f-]{27}");
    private static final int MOST_PAGES = 110;
    /** Buttons of one kind on pages of one kind that are pressed for each person. */
    private static final int MOST_ALIKE = 2;
    /** What only whoever types can know: a form that stands empty, or holds made-up words here. */
    private static final Pattern TYPED = Pattern.compile("(?s).*("
            + String.join(
                    "|",
                    "Write ",
                    "Type ",
                    "Choose ",
                    "Say ",
                    "Give ",
                    "Tick ",
                    "should be",
                    "needs ",
                    "is not a ",
                    "is the address of",
                    "has this address",
                    "is neither",
                    "Nothing to ",
                    "No such",
                    "password",
                    "code",
                    "is not here",
                    "The file",
                    "A file",
                    "empty",
                    "already is",
                    "is so already",
                    "Leave a",
                    "Take ",
                    "Look ",
                    "Something is missing",
                    "could not be read as a calendar",
                    "These words are not",
                    "Name at least",
                    "Nobody stands in for themselves")
            + ").*");

    @Autowired
    private WebApplicationContext context;

    @Autowired
    private TransactionTemplate transaction;

    private Map<String, Person> everybody() {
        Map<String, Person> people = new LinkedHashMap<>();
        List.of("ines@marram-finch.example", "bastian@marram-finch.example", "teo@marram-finch.example")
                .forEach(one -> people.put(one, member(one)));
        List.of(
                        "ottoline@penwether.example",
                        "jasper@penwether.example",
                        "mirela@penwether.example",
                        "per@penwether.example",
                        "dov@garrow.example",
                        "imre@hobandbarley.example",
                        "grete@hobandbarley.example",
                        "ludo@saltgrass.example",
                        "cora@ellerby.example")
                .forEach(one -> people.put(one, ofClient(one)));
        return people;
    }

    @Test
    void noneIsRefusedForWhatItsPageKnew() throws Exception {
        WouldSucceed sending = sending();
        Map<String, String> refused = new TreeMap<>();
        int pressed = 0;
        for (Map.Entry<String, Person> one : everybody().entrySet()) {
            Person person = one.getValue();
            Map<String, Integer> alike = new LinkedHashMap<>();
            Set<WouldSucceed.Sent> done = new HashSet<>();
            for (Map.Entry<String, List<WouldSucceed.Sent>> page :
                    buttons(sending, person).entrySet()) {
                for (WouldSucceed.Sent button : page.getValue()) {
                    String kind = kindOf(button);
                    if (done.add(button) && alike.merge(kind, 1, Integer::sum) <= MOST_ALIKE) {
                        pressed++;
                        String answer = sending.answer(List.of(), button, forms -> forms, person);
                        keepsRefusals(refused, one, page, button, kind, answer);
                    }
                }
            }
        }
        assertThat(refused).as(pressed + " buttons were pressed").isEmpty();
        assertThat(pressed).isGreaterThan(400);
    }

    private WouldSucceed sending() throws Exception {
        WouldSucceed sending = new WouldSucceed(
                MockMvcBuilders.webAppContextSetup(context)
                        .apply(springSecurity())
                        .build(),
                transaction,
                clock.instant());
        return sending;
    }

    private String kindOf(WouldSucceed.Sent button) throws Exception {
        String kind = IDENTIFIER.matcher(button.path()).replaceAll("*") + " "
                + button.fields().getOrDefault("act", List.of())
                + button.fields().getOrDefault("stage", List.of())
                + button.fields().getOrDefault("decision", List.of());
        return kind;
    }

    private void keepsRefusals(
            Map<String, String> refused,
            Map.Entry<String, Person> one,
            Map.Entry<String, List<WouldSucceed.Sent>> page,
            WouldSucceed.Sent button,
            String kind,
            String answer)
            throws Exception {
        if (!button.path().endsWith("/plan/shape")
                && !answer.startsWith("done")
                && !TYPED.matcher(answer).matches()) {
            refused.putIfAbsent(
                    kind + " | " + IDENTIFIER.matcher(answer).replaceAll("*"),
                    one.getKey() + " on " + page.getKey() + ": " + button);
        }
    }

    /** The buttons on each page that somebody gets to. */
    private static Map<String, List<WouldSucceed.Sent>> buttons(WouldSucceed sending, Person person) throws Exception {
        Map<String, List<WouldSucceed.Sent>> seen = new LinkedHashMap<>();
        Map<String, Integer> kinds = new LinkedHashMap<>();
        Deque<String> ahead = new ArrayDeque<>(List.of(person instanceof Person.OfTeam ? "/t" : "/c"));
        while (!ahead.isEmpty() && seen.size() < MOST_PAGES) {
            String next = ahead.remove();
            if (!seen.containsKey(next)) {
                WouldSucceed.Page page = sending.page(next, person);
                seen.put(next, page.buttons());
                page.links().stream()
                        .filter(link -> !link.contains("/look/")
                                && !link.contains("/sheets/")
                                && kinds.merge(IDENTIFIER.matcher(link).replaceAll("*"), 1, Integer::sum) <= 4)
                        .forEach(ahead::add);
            }
        }
        return seen;
    }
}
