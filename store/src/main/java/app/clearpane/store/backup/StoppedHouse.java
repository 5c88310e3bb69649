package app.clearpane.store.backup;

import app.clearpane.store.agency.People;
import app.clearpane.store.agency.SecondFactors;
import app.clearpane.store.agency.SignIns;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import org.jooq.DSLContext;
import org.jooq.SQLDialect;
import org.jooq.conf.RenderQuotedNames;
import org.jooq.conf.Settings;
import org.jooq.impl.DSL;

/** The data of a house that does not run, for what is done to it from the command line. */
public final class StoppedHouse implements AutoCloseable {
    private final Connection connection;
    private final DSLContext db;

    private StoppedHouse(Connection connection) {
        this.connection = connection;
        this.db = DSL.using(
                connection,
                SQLDialect.H2,
                new Settings().withRenderQuotedNames(RenderQuotedNames.EXPLICIT_DEFAULT_QUOTED));
    }

    /** Whether a folder holds the data of a house. */
    public static boolean isDataFolder(Path folder) {
        return Files.exists(folder.resolve("house.mv.db"));
    }

    /**
     * Opens it.
     *
     * @param how settings of the database, each after a semicolon
     * @throws SQLException if it cannot be opened, as while the house runs
     */
    public static StoppedHouse open(Path folder, String how) throws SQLException {
        return new StoppedHouse(DriverManager.getConnection(
                "jdbc:h2:file:" + folder.toAbsolutePath().resolve("house")
                        + ";MODE=PostgreSQL;DATABASE_TO_LOWER=TRUE;DEFAULT_NULL_ORDERING=HIGH;IFEXISTS=TRUE" + how,
                "sa",
                ""));
    }

    /** The database. */
    public DSLContext db() {
        return db;
    }

    /** Its people. */
    public People people() {
        return new People(db);
    }

    /** How its team signs in. */
    public SignIns signIns() {
        return new SignIns(db);
    }

    /** The second step of its team's signing in. */
    public SecondFactors secondFactors() {
        return new SecondFactors(db);
    }

    @Override
    public void close() throws SQLException {
        connection.close();
    }
}
