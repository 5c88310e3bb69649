package app.clearpane.usecases.papers;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.calendar.Today;
import app.clearpane.core.calendar.WorkingCalendar;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.exposure.SeatRole;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.papers.Paper;
import app.clearpane.core.papers.PaperId;
import app.clearpane.core.papers.PaperKind;
import app.clearpane.core.papers.PaperState;
import app.clearpane.core.people.Actor;
import app.clearpane.core.people.SeatId;
import app.clearpane.core.project.ProjectId;
import app.clearpane.core.viewer.Viewer;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/** A paper for Imre and Grete, in whatever state. */
final class APaper {
    static final PaperId ID = new PaperId(new UUID(1, 1));
    static final ProjectId PROJECT = new ProjectId(new UUID(1, 2));
    static final ContactId IMRE = new ContactId(new UUID(2, 1));
    static final ContactId GRETE = new ContactId(new UUID(2, 2));
    static final Sha256 BYTES = Sha256.ofText("paper");
    static final LocalDate TODAY = LocalDate.of(2027, 3, 24);
    static final Instant NOW = Instant.parse("2027-03-24T10:00:00Z");
    private static final Paper.Answer NAMED = new Paper.Named(NOW, "Somebody", Optional.empty());
    private static final Paper.Answer DECLINED = new Paper.Declined(NOW, "No.");
    private static final Paper.Answer NONE = new Paper.NoAnswer();

    private APaper() {}

    static Paper of(PaperKind kind, Paper.Standing standing, LocalDate due, Paper.Answer imre, Paper.Answer grete) {
        return new Paper(
                ID,
                PROJECT,
                kind,
                "The bags",
                "7",
                Optional.empty(),
                TODAY.minusDays(30),
                Optional.of(due),
                BYTES,
                "bags.pdf",
                "application/pdf",
                9,
                Actor.kept("Ines"),
                NOW,
                standing,
                List.of(
                        new Paper.Recipient(IMRE, "Imre Vadas", Optional.empty(), imre),
                        new Paper.Recipient(GRETE, "Grete Lindholm", Optional.empty(), grete)),
                1,
                Paper.Further.USUAL);
    }

    /** One of this kind that stands so today. */
    static Paper in(PaperKind kind, PaperState state) {
        Paper.Sent sent = new Paper.Sent(NOW, Optional.empty());
        LocalDate due = TODAY.plusDays(3);
        Paper paper =
                switch (state) {
                    case DRAFT -> of(kind, new Paper.Draft(), due, NONE, NONE);
                    case OPEN, VIEWED -> of(kind, sent, due, NONE, NONE);
                    case OVERDUE -> of(kind, sent, TODAY.minusDays(3), NONE, NONE);
                    case AGREED, SIGNED -> of(kind, sent, due, NAMED, NAMED);
                    case PAID -> of(kind, new Paper.Sent(NOW, Optional.of(TODAY)), due, NONE, NONE);
                    case DECLINED -> of(kind, sent, due, DECLINED, DECLINED);
                    case WITHDRAWN -> of(kind, new Paper.Withdrawn(sent, NOW, "A mistake"), due, NONE, NONE);
                };
        return paper;
    }

    /** Imre, at a pane. */
    static Viewer imre() {
        return new Viewer(
                IMRE,
                "Imre Vadas",
                new SeatId(new UUID(3, 1)),
                SeatRole.SIGNATORY,
                true,
                new PaneId(new UUID(3, 2)),
                PROJECT,
                Map.of(),
                Map.of(),
                Viewer.Sight.NOW,
                false,
                Optional.empty(),
                false,
                null,
                1,
                Optional.empty(),
                new Today(TODAY, WorkingCalendar.weekdays(ZoneOffset.UTC)));
    }
}
