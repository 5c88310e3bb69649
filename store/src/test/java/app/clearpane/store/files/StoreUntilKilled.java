package app.clearpane.store.files;

import app.clearpane.core.deliverable.Version;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.people.Actor;
import app.clearpane.store.AHouse;
import app.clearpane.store.FreshDatabase;
import app.clearpane.store.deliverable.Deliverables;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.UUID;

/** Stores versions one after another, tells of every step, and waits at one of them to be killed. */
final class StoreUntilKilled {
    private StoreUntilKilled() {}

    public static void main(String[] arguments) throws IOException {
        Path data = Path.of(arguments[0]);
        String stopAt = arguments[1];
        int before = Integer.parseInt(arguments[2]);
        int[] stored = {0};
        AHouse house = new AHouse(FreshDatabase.inFile(data.resolve("house")));
        ItemId deliverable = house.deliverable("Map", house.pane("The board"));
        Vault vault = Vault.watched(data.resolve("vault"), step -> reached(step.name(), stopAt, stored[0] >= before));
        Deliverables deliverables = new Deliverables(house.db);
        for (int i = 0; i <= before; i++) {
            Vault.Stored file = vault.store(
                    new ByteArrayInputStream(
                            ("version " + i + " of " + stopAt).repeat(20_000).getBytes(StandardCharsets.UTF_8)),
                    Long.MAX_VALUE);
            deliverables.addVersion(new Version(
                    new VersionId(UUID.randomUUID()),
                    deliverable,
                    null,
                    file.sha256(),
                    "map.pdf",
                    "application/pdf",
                    file.size(),
                    "",
                    Actor.kept("Teo"),
                    AHouse.NOW,
                    null));
            reached("NAMED", stopAt, stored[0] >= before);
            System.out.println("acknowledged " + file.sha256());
            stored[0]++;
        }
        reached("ACKNOWLEDGED", stopAt, true);
    }

    private static void reached(String step, String stopAt, boolean late) {
        if (late && step.equals(stopAt)) {
            System.out.println("waiting");
            try {
                Thread.sleep(60_000);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        }
    }
}
