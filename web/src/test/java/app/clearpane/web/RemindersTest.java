package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import app.clearpane.core.calendar.WorkingCalendar;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.reminders.Rhythm;
import app.clearpane.core.signoff.Round;
import app.clearpane.store.reminders.Reminders;
import app.clearpane.store.reminders.SilenceTerms;
import app.clearpane.usecases.reminders.SendReminders;
import app.clearpane.usecases.shell.TheAgency;
import app.clearpane.usecases.signoff.CountSilence;
import com.icegreen.greenmail.util.GreenMailUtil;
import jakarta.mail.internet.MimeMessage;
import java.net.http.HttpResponse;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jooq.DSLContext;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** People are reminded once on each occasion, in one mail; where it was agreed, silence counts after that. */
class RemindersTest extends AtTheMill {
    @Autowired
    private SendReminders sendReminders;

    @Autowired
    private CountSilence countSilence;

    @Autowired
    private Reminders reminders;

    @Autowired
    private SilenceTerms terms;

    @Autowired
    private TheAgency agency;

    @Autowired
    private DSLContext db;

    @AfterEach
    void asItWas() {
        reminders.setRhythm(Optional.of(Rhythm.USUAL));
        terms.set(mill(), Optional.empty());
    }

    /** Noon, that many working days after it was due. */
    private Instant dayAfter(Instant due, int workingDays) {
        WorkingCalendar calendar = agency.calendar();
        return calendar.addWorkingDays(due.atZone(calendar.zone()).toLocalDate().plusDays(1), workingDays - 1)
                .atTime(12, 0)
                .atZone(calendar.zone())
                .toInstant();
    }

    private ItemId sentTo(String name, String rule) throws Exception {
        Visitor ines = ines();
        ItemId bag = deliverable(ines, name, rule);
        sent(ines, bag);
        return bag;
    }

    private long mails(String address, String subject) throws Exception {
        long found = 0;
        for (MimeMessage mail : world.getReceivedMessages()) {
            found += mail.getAllRecipients()[0].toString().contains(address)
                            && (mail.getSubject().contains(subject)
                                    || GreenMailUtil.getWholeMessage(mail).contains(subject))
                    ? 1
                    : 0;
        }
        return found;
    }

    @Test
    void eachIsRemindedOnceOnEachOccasionAndNoMoreOnceTheyDecided() throws Exception {
        ItemId bag = sentTo("Reminded bag", "ALL");
        Round round = round(bag);
        Instant first = dayAfter(round.dueAt(), 2);
        for (int server = 0; server < 3; server++) {
            sendReminders.sendDue(first);
        }
        await().until(() -> mails("imre@hobandbarley.example", "Reminded bag, version 1") == 2
                && mails("grete@hobandbarley.example", "Reminded bag, version 1") == 2);
        sendReminders.sendDue(first.plusSeconds(3_600));
        Version version = deliverables.version(round.version()).orElseThrow();
        deciding(grete(), version, "SIGN_OFF").call();
        sendReminders.sendDue(dayAfter(round.dueAt(), 4));
        await().until(() -> mails("imre@hobandbarley.example", "Reminded bag, version 1") == 3);
        assertThat(mails("grete@hobandbarley.example", "Reminded bag, version 1"))
                .as("asked, and reminded once")
                .isEqualTo(2);
        assertThat(ines().get("/t/deliverables/" + bag).body()).contains("has not decided, reminded");
        assertThat(ines().get("/t/projects/" + mill() + "/record").body()).contains("reminded somebody of");
        deciding(imre(), version, "SIGN_OFF").call();
        sendReminders.sendDue(dayAfter(round.dueAt(), 6));
        assertThat(mails("imre@hobandbarley.example", "Reminded bag, version 1"))
                .isEqualTo(3);
    }

    @Test
    void nobodyIsRemindedWhereThatIsOff() throws Exception {
        Visitor ines = ines();
        ItemId bag = sentTo("Silent bag", "ALL");
        assertThat(ines.post("/t/calendar/reminders", ines.token(), Map.of("hour", "8", "every", "1", "most", "2"))
                        .statusCode())
                .isEqualTo(302);
        assertThat(reminders.rhythm()).isEmpty();
        sendReminders.sendDue(dayAfter(round(bag).dueAt(), 2));
        assertThat(reminders.delivered(List.of(bag.value()))).isEmpty();
        assertThat(ines.post(
                                "/t/calendar/reminders",
                                ines.token(),
                                Map.of("remind", "true", "hour", "8", "every", "1", "most", "2"))
                        .statusCode())
                .isEqualTo(302);
        assertThat(reminders.rhythm()).contains(new Rhythm(8, 1, 2));
        assertThat(ines.get("/t/calendar").body())
                .contains("reminded at 8:00", "then every working day, 2 times at most");
        rubbishIsRefused(ines);
        assertThat(reminders.rhythm()).contains(new Rhythm(8, 1, 2));
    }

    private void rubbishIsRefused(Visitor ines) throws Exception {
        for (Map<String, String> bad : List.of(
                Map.of("hour", "24", "every", "1", "most", "2"),
                Map.of("hour", "8", "every", "0", "most", "2"),
                Map.of("hour", "8", "every", "1", "most", "13"),
                Map.of("hour", "noon", "every", "", "most", "2"))) {
            assertThat(ines.post("/t/calendar/reminders", ines.token(), bad).statusCode())
                    .as(bad.toString())
                    .isEqualTo(422);
        }
    }

    @Test
    void silenceCountsOnlyWhereItWasAgreedAndAfterAReminderAndNeverForTheLeadVoice() throws Exception {
        Visitor ines = ines();
        ItemId bag = sentTo("Unanswered bag", "ALL");
        Round round = round(bag);
        Instant late = dayAfter(round.dueAt(), 12);
        countSilence.countAt(late);
        assertThat(round(bag).said()).as("nothing was agreed").isEmpty();
        silenceIsAgreed(ines);
        countSilence.countAt(late);
        assertThat(round(bag).said()).as("nobody was reminded").isEmpty();
        sendReminders.sendDue(dayAfter(round.dueAt(), 2));
        await().until(() -> reminders.delivered(List.of(bag.value())).size() == 2);
        countSilence.countAt(dayAfter(round.dueAt(), 2));
        assertThat(round(bag).said()).as("not yet").isEmpty();
        countSilence.countAt(late);
        countSilence.countAt(late);
        isGretesSilence(bag);
        assertThat(round(bag).open())
                .as("the lead voice still has to say something")
                .isTrue();
        isSaidToUs(ines, bag);
        deciding(imre(), deliverables.version(round.version()).orElseThrow(), "SIGN_OFF")
                .call();
        assertThat(round(bag).soFar().agreed()).isTrue();
    }

    private void silenceIsAgreed(Visitor ines) throws Exception {
        HttpResponse<String> nowhere =
                ines.post("/t/projects/" + mill() + "/silence", ines.token(), Map.of("days", "3", "agreed", " "));
        assertThat(nowhere.statusCode()).isEqualTo(422);
        assertThat(nowhere.body()).contains("Say where it was agreed in writing");
        assertThat(ines.post(
                                "/t/projects/" + mill() + "/silence",
                                ines.token(),
                                Map.of("days", "3", "agreed", "our contract, section 4"))
                        .statusCode())
                .isEqualTo(302);
        assertThat(ines.get("/t/projects/" + mill() + "/stand-ins").body())
                .contains("Who says nothing for 3 working days past due", "our contract, section 4");
    }

    private void isGretesSilence(ItemId bag) throws Exception {
        assertThat(round(bag).said()).singleElement().satisfies(said -> {
            assertThat(said.bySilence()).isTrue();
            assertThat(said.by()).isEqualTo("Grete Lindholm, by silence");
            assertThat(said.typedName()).isEmpty();
        });
    }

    private void isSaidToUs(Visitor ines, ItemId bag) throws Exception {
        assertThat(ines.get("/t/deliverables/" + bag).body()).contains(", by silence");
        assertThat(ines.get("/t/deliverables/" + bag + "/clearance").body()).contains("Grete Lindholm, by silence");
        await().until(() ->
                mails("ines@marram-finch.example", "Signed off by silence: Unanswered bag, version 1") == 1);
    }

    @Test
    void whatWaitsBesideIsToldInTheSameMail() throws Exception {
        ItemId one = sentTo("Bag of two", "ALL");
        ItemId other = sentTo("Bag beside it", "ALL");
        sendReminders.sendDue(dayAfter(round(one).dueAt(), 2));
        await().until(() ->
                reminders.delivered(List.of(one.value(), other.value())).size() == 4);
        long together = 0;
        for (MimeMessage mail : world.getReceivedMessages()) {
            String whole = GreenMailUtil.getWholeMessage(mail);
            together += whole.contains("Bag of two, version 1")
                            && whole.contains("Bag beside it, version 1")
                            && mail.getSubject().contains("wait for you")
                    ? 1
                    : 0;
        }
        assertThat(together).as("one mail to each of the two").isEqualTo(2);
    }

    @Test
    void oneWhoCannotBeRemindedKeepsNobodyElseFromIt() throws Exception {
        ItemId bag = sentTo("Stubborn bag", "ALL");
        Instant first = dayAfter(round(bag).dueAt(), 2);
        String name = db.fetchSingle("select name from contact where email = 'grete@hobandbarley.example'")
                .get(0, String.class);
        db.execute("update contact set name = ' ' where email = 'grete@hobandbarley.example'");
        try {
            sendReminders.sendDue(first);
        } finally {
            db.execute("update contact set name = ? where email = 'grete@hobandbarley.example'", name);
        }
        await().until(() -> mails("imre@hobandbarley.example", "Stubborn bag, version 1") == 2);
        assertThat(mails("grete@hobandbarley.example", "Stubborn bag, version 1"))
                .as("her reminder failed")
                .isEqualTo(1);
        sendReminders.sendDue(first.plusSeconds(600));
        await().until(() -> mails("grete@hobandbarley.example", "Stubborn bag, version 1") == 2);
        assertThat(mails("imre@hobandbarley.example", "Stubborn bag, version 1"))
                .as("nobody twice")
                .isEqualTo(2);
    }
}
