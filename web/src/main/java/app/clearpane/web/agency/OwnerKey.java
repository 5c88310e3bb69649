package app.clearpane.web.agency;

import app.clearpane.core.agency.TeamMember;
import app.clearpane.core.agency.TeamRole;
import app.clearpane.core.files.Sha256;
import app.clearpane.store.backup.StoppedHouse;
import app.clearpane.usecases.security.LinkKeys;
import app.clearpane.web.record.Verify;
import java.nio.file.Path;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;

/** For whoever has the machine: a link by which an owner who cannot get a mail chooses a new password. */
public final class OwnerKey {
    private static final Duration GOOD_FOR = Duration.ofHours(1);

    private OwnerKey() {}

    /**
     * {@code owner FOLDER [ADDRESS]}. @return 0 if the link was printed, 1 if there is no such owner, 2 if the folder
     * is not a data folder or in use
     */
    public static int fromCommandLine(String[] arguments) {
        if (arguments.length < 1 || arguments.length > 2 || !StoppedHouse.isDataFolder(Path.of(arguments[0]))) {
            System.err.println(
                    "owner: name a data folder, one that holds house.mv.db, and the owner's mail address if there "
                            + "are several. Stop the application first.");
            return 2;
        }
        Verify.quiet();
        try (StoppedHouse house = StoppedHouse.open(Path.of(arguments[0]), "")) {
            Optional<TeamMember> owner = house.people().team().stream()
                    .filter(one -> one.role() == TeamRole.OWNER)
                    .filter(one -> arguments.length == 1 || one.email().equalsIgnoreCase(arguments[1]))
                    .findFirst();
            if (owner.isEmpty()) {
                System.err.println("owner: nobody with this address is an owner of this house. Nothing was changed.");
                return 1;
            }
            String key = LinkKeys.random();
            Instant now = Clock.systemUTC().instant();
            house.signIns().addPasswordKey(Sha256.ofText(key), owner.get().id(), now, now.plus(GOOD_FOR));
            boolean twoSteps = house.secondFactors().end(owner.get().id());
            System.out.println((twoSteps
                            ? owner.get().name()
                                    + " signs in by the password alone from now on; set up the second step again "
                                    + "afterwards. "
                            : "")
                    + "Start the house again; within an hour, " + owner.get().name()
                    + " chooses a new password at /sign-in/new-password/" + key);
            return 0;
        } catch (SQLException e) {
            System.err.println(
                    "owner: the data could not be opened. Is the application still running on it? " + e.getMessage());
            return 2;
        }
    }
}
