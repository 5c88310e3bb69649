package app.clearpane.store.record;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.deliverable.RoundId;
import app.clearpane.core.deliverable.Rule;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.people.Actor;
import app.clearpane.core.record.CanonicalJson;
import app.clearpane.core.record.RecordEntry;
import app.clearpane.core.signoff.Decision;
import app.clearpane.core.signoff.Outcome;
import app.clearpane.core.signoff.Round;
import app.clearpane.store.AHouse;
import app.clearpane.store.FreshDatabase;
import app.clearpane.store.clearance.Releases;
import app.clearpane.store.deliverable.Deliverables;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jooq.DSLContext;

/**
 * Sends, decides on and releases one version after another, each with its Record entry in one transaction, and tells of
 * what is done, until it is killed.
 */
final class DecideUntilKilled {
    private DecideUntilKilled() {}

    public static void main(String[] arguments) {
        AHouse house = new AHouse(FreshDatabase.inFile(Path.of(arguments[0]).resolve("house")));
        ItemId deliverable = house.deliverable("Map", house.pane("The board"));
        ContactId jasper = house.contact("jasper").id();
        System.out.println("project " + house.project);
        for (int number = 1; ; number++) {
            int version = number;
            house.db.transaction(configuration -> release(configuration.dsl(), house, deliverable, jasper, version));
            System.out.println("acknowledged " + version);
        }
    }

    private static void release(DSLContext db, AHouse house, ItemId deliverable, ContactId jasper, int number) {
        Deliverables deliverables = new Deliverables(db);
        Sha256 bytes = Sha256.ofText("version " + number);
        Version draft = new Version(
                new VersionId(UUID.randomUUID()),
                deliverable,
                null,
                bytes,
                "map.pdf",
                "application/pdf",
                9,
                "",
                Actor.kept("Teo"),
                AHouse.NOW.plus(Duration.ofSeconds(number)),
                null);
        deliverables.addVersion(draft);
        deliverables.numberAndSend(draft, number, AHouse.NOW.plusSeconds(number));
        Round round = new Round(
                new RoundId(UUID.randomUUID()),
                draft.id(),
                number,
                AHouse.NOW,
                AHouse.NOW,
                new Rule.All(),
                List.of(new Round.Signatory(jasper, "Jasper", true)));
        deliverables.open(round);
        deliverables.say(
                round.id(),
                new Round.Said(
                        jasper,
                        "Jasper",
                        Decision.SIGN_OFF,
                        "",
                        "Jasper",
                        bytes,
                        AHouse.NOW.plusSeconds(number),
                        null,
                        null,
                        null,
                        false,
                        null));
        told(db, house, deliverable, "signoff.made", number);
        deliverables.close(
                round.id(), Outcome.SIGNED, Actor.kept("the last decision"), null, AHouse.NOW.plusSeconds(number));
        told(db, house, deliverable, "round.closed", number);
        new Releases(db)
                .add(new Releases.Release(
                        UUID.randomUUID(),
                        deliverable,
                        draft.id(),
                        AHouse.NOW.plusSeconds(number),
                        Actor.kept("Ines"),
                        null,
                        null,
                        null,
                        null,
                        Optional.empty(),
                        null));
        told(db, house, deliverable, "version.released", number);
    }

    private static void told(DSLContext db, AHouse house, ItemId deliverable, String act, int number) {
        new Records(db)
                .append(
                        house.project.value(),
                        deliverable.value(),
                        new RecordEntry.What(act, "Jasper", "Map", CanonicalJson.of(Map.of("version", number))),
                        AHouse.NOW.plusSeconds(number));
    }
}
