package app.clearpane.formats.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import net.fortuna.ical4j.data.CalendarBuilder;
import net.fortuna.ical4j.model.Calendar;
import net.fortuna.ical4j.model.Component;
import net.fortuna.ical4j.model.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class CalendarsTest {
    private static final Instant NOW = Instant.parse("2027-03-01T09:00:00Z");
    private static final LocalDate LAST = LocalDate.of(2030, 12, 31);

    private static Calendar read(String text) throws Exception {
        return new CalendarBuilder().build(new StringReader(text));
    }

    private static String value(Component event, String property) {
        return event.getProperty(property).map(Property::getValue).orElse("");
    }

    @Test
    void writesWhatAnotherReaderFindsValid() throws Exception {
        Calendars.Entry night = onTheNightOfTheClocks();
        Calendars.Entry timed = new Calendars.Entry(
                "b@clearpane",
                0,
                "Sign off: map",
                "",
                LocalDate.of(2027, 3, 28),
                Optional.of(Instant.parse("2027-03-28T01:30:00Z")),
                true);
        Calendar calendar = read(Calendars.write("Penwether", List.of(night, timed), NOW));
        calendar.validate();
        List<? extends Component> events = calendar.getComponents();
        assertThat(events).hasSize(2);
        assertThat(value(events.get(0), "DTSTART")).isEqualTo("20270328");
        assertThat(value(events.get(0), "DTEND")).isEqualTo("20270329");
        assertThat(value(events.get(0), "SUMMARY")).isEqualTo(night.summary());
        assertThat(value(events.get(0), "SEQUENCE")).isEqualTo("4");
        assertThat(value(events.get(0), "UID")).isEqualTo("a@clearpane");
        assertThat(value(events.get(0), "STATUS")).isEqualTo("CONFIRMED");
        assertThat(value(events.get(1), "DTSTART")).isEqualTo("20270328T013000Z");
        assertThat(value(events.get(1), "DTEND")).as("after it begins").isEqualTo("20270328T014500Z");
        assertThat(value(events.get(1), "STATUS")).isEqualTo("CANCELLED");
        read(Calendars.write("Empty", List.of(), NOW));
    }

    private Calendars.Entry onTheNightOfTheClocks() throws Exception {
        Calendars.Entry night = new Calendars.Entry(
                "a@clearpane",
                4,
                "Proofs, due; on the \\ long night of the clocks, when an hour is missing and the line has to be "
                        + "folded somewhere",
                "Two\nlines",
                LocalDate.of(2027, 3, 28),
                Optional.empty(),
                false);
        return night;
    }

    private static Map<LocalDate, String> holidays(String... lines) throws IOException {
        String text = "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//x//EN\r\n" + String.join("\r\n", lines)
                + "\r\nEND:VCALENDAR\r\n";
        return Calendars.holidays(new ByteArrayInputStream(text.getBytes(StandardCharsets.UTF_8)), LAST);
    }

    @Test
    void readsHolidaysOfOneDayOfMoreAndOfEveryYear() throws IOException {
        assertThat(holidays(
                        "BEGIN:VEVENT", "UID:1", "DTSTART;VALUE=DATE:20270326", "SUMMARY:Good Friday", "END:VEVENT"))
                .containsExactly(Map.entry(LocalDate.of(2027, 3, 26), "Good Friday"));
        assertThat(holidays(
                                "BEGIN:VEVENT",
                                "UID:1",
                                "DTSTART;VALUE=DATE:20271224",
                                "DTEND;VALUE=DATE:20271227",
                                "SUMMARY:Closed",
                                "END:VEVENT")
                        .keySet())
                .containsExactly(LocalDate.of(2027, 12, 24), LocalDate.of(2027, 12, 25), LocalDate.of(2027, 12, 26));
        assertThat(holidays(
                                "BEGIN:VEVENT",
                                "UID:1",
                                "DTSTART;VALUE=DATE:20280501",
                                "RRULE:FREQ=YEARLY",
                                "SUMMARY:May",
                                "END:VEVENT")
                        .keySet())
                .containsExactly(LocalDate.of(2028, 5, 1), LocalDate.of(2029, 5, 1), LocalDate.of(2030, 5, 1));
        assertThat(holidays("BEGIN:VEVENT", "UID:1", "DTSTART:20270326T090000Z", "SUMMARY:A meeting", "END:VEVENT"))
                .as("what has a time is no holiday")
                .isEmpty();
    }

    @Test
    void foldsLinesAfter75BytesAndNeverWithinACharacter() throws Exception {
        String long1 = "Ŵyth llwyn yn y gwyll — 夜空の星座案内 🌌".repeat(6);
        String written = Calendars.write(
                "Nōs",
                List.of(new Calendars.Entry("a", 0, long1, "", LocalDate.of(2027, 3, 1), Optional.empty(), false)),
                NOW);
        assertThat(written.split("\r\n")).allSatisfy(line -> assertThat(line.getBytes(StandardCharsets.UTF_8).length)
                .isLessThanOrEqualTo(75));
        assertThat(written).doesNotContain("\uFFFD").endsWith("END:VCALENDAR\r\n");
        assertThat(value(read(written).getComponents().get(0), "SUMMARY")).isEqualTo(long1);
    }

    private static LocalDate may(int day, int year) {
        return LocalDate.of(year, 5, day);
    }

    private static final String MAY = "BEGIN:VEVENT\r\nUID:1\r\nDTSTART;VALUE=DATE:20280501\r\nSUMMARY:May\r\n";

    /** The first of May, with more said of it, and what else stands there. */
    private static Map<LocalDate, String> ofMay(String more, String... others) throws IOException {
        return holidays(MAY + more + "\r\nEND:VEVENT" + String.join("\r\n", others));
    }

    /** One year of it, as it is otherwise. */
    private static String otherwise(String more) {
        return "\r\nBEGIN:VEVENT\r\nUID:1\r\nRECURRENCE-ID;VALUE=DATE:20290501\r\n" + more + "\r\nEND:VEVENT";
    }

    @Test
    void readsWhatIsLeftOutAndAdded() throws IOException {
        String more = "RRULE:FREQ=YEARLY\r\nEXDATE;VALUE=DATE:20290501\r\nRDATE;VALUE=DATE:20280615";
        assertThat(ofMay(more).keySet()).containsExactly(may(1, 2028), LocalDate.of(2028, 6, 15), may(1, 2030));
    }

    @Test
    void readsWhatIsMoved() throws IOException {
        String moved = otherwise("DTSTART;VALUE=DATE:20290502\r\nSUMMARY:May, a day later");
        assertThat(ofMay("RRULE:FREQ=YEARLY", moved))
                .containsExactly(
                        Map.entry(may(1, 2028), "May"),
                        Map.entry(may(2, 2029), "May, a day later"),
                        Map.entry(may(1, 2030), "May"));
    }

    @Test
    void readsWhatIsCancelled() throws IOException {
        String cancelled = otherwise("DTSTART;VALUE=DATE:20290501\r\nSTATUS:CANCELLED\r\nSUMMARY:May");
        assertThat(ofMay("RRULE:FREQ=YEARLY", cancelled).keySet()).containsExactly(may(1, 2028), may(1, 2030));
        assertThat(ofMay("STATUS:CANCELLED")).isEmpty();
    }

    @Test
    void readsWhatLastsAndWhatStandsInASecondCalendar() throws IOException {
        assertThat(ofMay("DURATION:P3D").keySet()).containsExactly(may(1, 2028), may(2, 2028), may(3, 2028));
        String second = "\r\nEND:VCALENDAR\r\nBEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//y//EN\r\nBEGIN:VEVENT\r\n"
                + "UID:2\r\nDTSTART;VALUE=DATE:20280502\r\nSUMMARY:Of the other\r\nEND:VEVENT";
        assertThat(ofMay("CLASS:PUBLIC", second))
                .containsExactly(Map.entry(may(1, 2028), "May"), Map.entry(may(2, 2028), "Of the other"));
    }

    @ParameterizedTest(name = "{0}")
    @ValueSource(strings = {"", "not a calendar", "day,name\n2027-03-26,Good Friday"})
    void refusesWhatIsNoCalendar(String text) {
        assertThatIllegalArgumentException()
                .isThrownBy(() ->
                        Calendars.holidays(new ByteArrayInputStream(text.getBytes(StandardCharsets.UTF_8)), LAST));
    }

    @Test
    void refusesAHolidayOfYears() {
        assertThatIllegalArgumentException()
                .isThrownBy(() -> holidays(
                        "BEGIN:VEVENT",
                        "UID:1",
                        "DTSTART;VALUE=DATE:20270101",
                        "DTEND;VALUE=DATE:20290101",
                        "SUMMARY:Away",
                        "END:VEVENT"))
                .withMessageContaining("Away");
    }
}
