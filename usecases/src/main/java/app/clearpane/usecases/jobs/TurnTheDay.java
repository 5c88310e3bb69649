package app.clearpane.usecases.jobs;

import app.clearpane.core.calendar.Today;
import app.clearpane.store.agency.People;
import app.clearpane.usecases.shell.TheAgency;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicReference;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * After each midnight of the agency, has done what follows from it; once, however often it is asked and whatever it
 * missed.
 */
@Component
public class TurnTheDay implements Recurring {
    private final People people;
    private final List<DayTurns> rooms;
    private final TheAgency agency;
    private final TransactionTemplate transaction;
    private final AtomicReference<@Nullable LocalDate> known = new AtomicReference<>();

    TurnTheDay(People people, List<DayTurns> rooms, TheAgency agency, TransactionTemplate transaction) {
        this.people = people;
        this.rooms = rooms;
        this.agency = agency;
        this.transaction = transaction;
    }

    @Override
    public Recurrence recurrence() {
        return new Recurrence("turn of the day", "${clearpane.day:30 * * * * *}", this::goRound);
    }

    void goRound() {
        if (agency.isFounded() && !agency.today().equals(known.get())) {
            turnTo(agency.day());
            known.set(agency.today());
        }
    }

    /** Has done what follows from the days since the last one. */
    public void turnTo(Today today) {
        transaction.executeWithoutResult(status -> {
            Optional<LocalDate> turned = people.dayTurned();
            if (turned.filter(today.day()::equals).isPresent()) {
                return;
            }
            turned.filter(today.day()::isAfter)
                    .ifPresent(last -> rooms.forEach(room -> room.turned(new Today(last, today.calendar()), today)));
            people.setDayTurned(today.day());
        });
    }
}
