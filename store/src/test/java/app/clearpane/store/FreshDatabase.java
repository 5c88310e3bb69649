package app.clearpane.store;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.UUID;
import javax.sql.DataSource;
import org.flywaydb.core.Flyway;
import org.h2.jdbcx.JdbcConnectionPool;
import org.jooq.DSLContext;
import org.jooq.SQLDialect;
import org.jooq.conf.RenderQuotedNames;
import org.jooq.conf.Settings;
import org.jooq.impl.DSL;
import org.postgresql.ds.PGSimpleDataSource;

/** A database with the real migrations. */
public final class FreshDatabase {
    private static final String OPTIONS =
            ";MODE=PostgreSQL;DATABASE_TO_LOWER=TRUE;DEFAULT_NULL_ORDERING=HIGH;OPTIMIZE_REUSE_RESULTS=FALSE;WRITE_DELAY=0";

    /**
     * Names a PostgreSQL database, as a JDBC address with user and password, for the tests to run there instead of in
     * memory.
     */
    private static final String ELSEWHERE = "CLEARPANE_TEST_POSTGRESQL";

    private FreshDatabase() {}

    /** One in memory; or a schema of its own on the PostgreSQL that the environment names. */
    public static DSLContext inMemory() {
        String elsewhere = System.getenv(ELSEWHERE);
        if (elsewhere != null) {
            String schema = "t" + UUID.randomUUID().toString().replace("-", "");
            String url = elsewhere + (elsewhere.contains("?") ? "&" : "?") + "currentSchema=" + schema;
            Flyway.configure()
                    .dataSource(url, null, null)
                    .schemas(schema)
                    .locations("classpath:db/migration", "classpath:db/vendor/postgresql")
                    .load()
                    .migrate();
            PGSimpleDataSource source = new PGSimpleDataSource();
            source.setUrl(url);
            return DSL.using(source, SQLDialect.POSTGRES, settings());
        }
        return fill(using(memory()));
    }

    private static String memory() {
        return "jdbc:h2:mem:" + UUID.randomUUID() + OPTIONS + ";DB_CLOSE_DELAY=-1";
    }

    /** What makes a migrated database: going through all migrations takes ten times as long. */
    private static final class Migrated {
        private static final List<String> STATEMENTS =
                at(memory()).fetch("script nosettings").getValues(0, String.class);
    }

    /** One in a file, made or opened again. */
    public static DSLContext inFile(Path file) {
        boolean there = Files.exists(Path.of(file + ".mv.db"));
        DSLContext db = using(inFileAt(file));
        return there ? db : fill(db);
    }

    private static String inFileAt(Path file) {
        return "jdbc:h2:file:" + file.toAbsolutePath() + OPTIONS;
    }

    private static DSLContext fill(DSLContext empty) {
        Migrated.STATEMENTS.forEach(empty::execute);
        return empty;
    }

    /** Makes one in a file and closes it, for another process to open. */
    public static void leaveInFile(Path file) {
        JdbcConnectionPool pool = JdbcConnectionPool.create(inFileAt(file), "sa", "");
        fill(using(pool));
        pool.dispose();
    }

    private static DSLContext at(String url) {
        Flyway.configure()
                .dataSource(url, "sa", "")
                .locations("classpath:db/migration", "classpath:db/vendor/h2")
                .load()
                .migrate();
        return using(url);
    }

    private static DSLContext using(String url) {
        return using(JdbcConnectionPool.create(url, "sa", ""));
    }

    private static DSLContext using(DataSource source) {
        System.setProperty("org.jooq.no-logo", "true");
        System.setProperty("org.jooq.no-tips", "true");
        return DSL.using(source, SQLDialect.H2, settings());
    }

    /** Takes away what keeps the Record from being altered. */
    public static void letTheRecordBeAltered(DSLContext db) {
        db.execute("drop trigger record_entry_only_grows"
                + (db.dialect() == SQLDialect.POSTGRES ? " on record_entry" : ""));
    }

    private static Settings settings() {
        return new Settings().withRenderQuotedNames(RenderQuotedNames.EXPLICIT_DEFAULT_QUOTED);
    }
}
