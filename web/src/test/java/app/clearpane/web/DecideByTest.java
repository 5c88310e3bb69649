package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.deliverable.Version;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.usecases.shell.TheAgency;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** A version is sent to be decided on by another time than its reviews usually have. */
class DecideByTest extends AtTheMill {
    @Autowired
    private TheAgency agency;

    @Test
    void aDecisionIsDueByTheHourOrWhenADaysWorkEnds() throws Exception {
        Visitor ines = ines();
        LocalDate day = agency.calendar().addWorkingDays(agency.today(), 7);
        assertThat(dueAt(ines, "Sacks by the hour", Map.of("due", day.toString(), "dueHour", "10:30")))
                .isEqualTo(day.atTime(LocalTime.of(10, 30))
                        .atZone(agency.get().zone())
                        .toInstant());
        assertThat(dueAt(ines, "Sacks by the day", Map.of("due", day.toString())))
                .isEqualTo(agency.calendar().closes(day));
        assertThat(dueAt(ines, "Sacks as usual", Map.of()))
                .isBetween(
                        clock.instant(),
                        agency.calendar()
                                .closes(agency.calendar().addWorkingDays(agency.today(), 3))
                                .plusSeconds(1));
    }

    @Test
    void aTimeThatIsPastIsRefusedAndNothingIsSent() throws Exception {
        Visitor ines = ines();
        ItemId work = deliverable(ines, "Sacks too late", "ANY");
        upload(ines, work);
        Version draft = deliverables.versions(work).get(0);
        String send = "/t/versions/" + draft.id() + "/send";
        assertThat(ines.post(
                                send,
                                ines.token(),
                                Map.of("due", agency.today().minusDays(1).toString()))
                        .body())
                .contains("which is past. Nothing was sent");
        assertThat(ines.post(send, ines.token(), Map.of("dueHour", "10:00")).body())
                .contains("an hour needs a day");
        assertThat(ines.post(send, ines.token(), Map.of("dueDays", "2", "dueBefore", work.toString()))
                        .body())
                .contains("not in this plan any more");
        assertThat(deliverables.rounds(work)).isEmpty();
        assertThat(ines.get("/t/deliverables/" + work).body())
                .contains("Let them decide by another time", "name=\"dueHour\"");
    }

    private Instant dueAt(Visitor ines, String name, Map<String, String> form) throws Exception {
        ItemId work = deliverable(ines, name, "ANY");
        upload(ines, work);
        Version draft = deliverables.versions(work).get(0);
        assertThat(ines.post("/t/versions/" + draft.id() + "/send", ines.token(), form)
                        .statusCode())
                .isEqualTo(302);
        return round(work).dueAt();
    }
}
