package app.clearpane.core.turns;

import app.clearpane.core.calendar.WorkingCalendar;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;

/**
 * How long each side held one item (T2). The stretches follow each other without gap or overlap from the item's
 * creation.
 *
 * @param created when the item came to be; it is ours from then on until an event says otherwise
 * @param events in the order of time, none before {@code created}
 */
public record TurnLedger(Instant created, List<Event> events) {

    /** Something that happened, and when. */
    public record Event(TurnEvent what, Instant at) {}

    /** One side's holding of the item over {@code [from, to)}. */
    public record Stretch(Turn holder, Instant from, Instant to) {}

    /** @throws IllegalArgumentException if the events are out of order */
    public TurnLedger {
        events = List.copyOf(events);
        Instant previous = created;
        for (Event event : events) {
            if (event.at().isBefore(previous)) {
                throw new IllegalArgumentException(event + " comes before " + previous);
            }
            previous = event.at();
        }
    }

    /** Who holds it after the last event. */
    public Turn holder() {
        Course course = new Course();
        events.forEach(event -> course.goOn(event.what()));
        return course.holder();
    }

    /**
     * Who holds the item as its events go by. A clash that waits puts all else back: it is with the client as long as
     * any waits there, else with us. A version that is sent answers all clashes on earlier ones, and what nobody holds
     * any more has none.
     */
    private static final class Course {
        private Turn beside = Turn.OURS;
        private final List<Turn> clashes = new ArrayList<>();

        private void goOn(TurnEvent what) {
            if (what.opensClash()) {
                clashes.add(what.holder());
            } else if (what.endsClash()) {
                clashes.remove(what.holder());
            } else {
                beside = what.holder();
                if (what == TurnEvent.VERSION_SENT) {
                    clashes.clear();
                }
            }
        }

        private Turn holder() {
            return beside == Turn.NOBODYS || clashes.isEmpty()
                    ? beside
                    : clashes.contains(Turn.CLIENTS) ? Turn.CLIENTS : Turn.OURS;
        }
    }

    /** Since when the present holder has it. */
    public Instant heldSince() {
        List<Stretch> stretches = stretches(
                events.isEmpty() ? created : events.get(events.size() - 1).at());
        return stretches.get(stretches.size() - 1).from();
    }

    /** The stretches up to an instant; neighbours of one holder are one. The last may be of no length. */
    public List<Stretch> stretches(Instant until) {
        List<Stretch> stretches = new ArrayList<>();
        Turn holder = Turn.OURS;
        Instant from = created;
        Course course = new Course();
        for (Event event : events) {
            course.goOn(event.what());
            if (course.holder() != holder) {
                stretches.add(new Stretch(holder, from, event.at()));
                holder = course.holder();
                from = event.at();
            }
        }
        stretches.add(new Stretch(holder, from, until));
        return stretches;
    }

    /** The working days this side held it, up to an instant. */
    public double daysHeldBy(Turn side, Instant until, WorkingCalendar calendar) {
        return stretches(until).stream()
                .filter(s -> s.holder() == side)
                .mapToDouble(s -> calendar.workingDaysHeld(s.from(), s.to()))
                .sum();
    }
}
