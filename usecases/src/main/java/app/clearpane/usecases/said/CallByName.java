package app.clearpane.usecases.said;

import app.clearpane.core.deliverable.Deliverable;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.markup.Naming;
import app.clearpane.store.exposure.Items;
import app.clearpane.store.exposure.client.VisibleNames;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/**
 * Who and what can be called by name in a note on a version: people who may read the note, and things that its author
 * sees.
 */
@Component
public class CallByName {
    private static final int OFFERED = 8;
    private final Items items;
    private final VisibleNames visibleNames;
    private final WhoMayBeCalled who;

    CallByName(Items items, VisibleNames visibleNames, WhoMayBeCalled who) {
        this.who = who;
        this.items = items;
        this.visibleNames = visibleNames;
    }

    /** Where something is said. @param forTeam whether clients never see it */
    public record Where(Deliverable deliverable, Version version, boolean forTeam) {}

    /** Whom and what a text calls by name, each once. */
    public List<Mark.Reference> in(String text, Where where, Speaker side) {
        List<Naming.Known<Mark.Called>> known = new ArrayList<>();
        if (text.indexOf(Naming.PERSON) >= 0) {
            known.addAll(who.people(where, side));
        }
        if (text.indexOf(Naming.THING) >= 0) {
            known.addAll(things(where, side));
        }
        return Naming.cut(text, known).stream()
                .flatMap(piece -> piece.named().stream().map(named -> new Mark.Reference(piece.text(), named)))
                .distinct()
                .toList();
    }

    /** What to offer somebody who has begun to write a name, with its sign; at most a few. */
    public List<String> offered(String begun, Where where, Speaker side) {
        if (begun.isEmpty()) {
            return List.of();
        }
        String words = begun.substring(1).toLowerCase(Locale.ROOT);
        List<Naming.Known<Mark.Called>> all =
                switch (begun.charAt(0)) {
                    case Naming.PERSON -> who.people(where, side);
                    case Naming.THING -> things(where, side);
                    default -> List.of();
                };
        Map<Mark.Called, String> offered = new LinkedHashMap<>();
        all.stream()
                .filter(one -> one.name().toLowerCase(Locale.ROOT).contains(words))
                .forEach(one -> offered.merge(one.what(), one.written(), (a, b) -> a.length() >= b.length() ? a : b));
        return offered.values().stream()
                .sorted((a, b) -> Boolean.compare(begins(b, words), begins(a, words)))
                .limit(OFFERED)
                .toList();
    }

    private static boolean begins(String written, String words) {
        return written.substring(1).toLowerCase(Locale.ROOT).startsWith(words);
    }

    private List<Naming.Known<Mark.Called>> things(Where where, Speaker side) {
        Stream<VisibleNames.Named> all = side instanceof Speaker.Client client
                ? visibleNames.all(client.viewer()).stream()
                : items.named(where.deliverable().project()).stream()
                        .map(row -> new VisibleNames.Named(row.id(), row.kind(), row.name()));
        return all.map(one -> new Naming.Known<Mark.Called>(Naming.THING, one.name(), new Mark.Called.Thing(one.id())))
                .toList();
    }
}
