package app.clearpane.store;

import java.util.UUID;
import org.flywaydb.core.Flyway;
import org.jooq.DSLContext;
import org.jooq.SQLDialect;
import org.jooq.conf.RenderQuotedNames;
import org.jooq.conf.Settings;
import org.jooq.impl.DSL;

/** A database with the real migrations. */
public final class FreshDatabase {
  private static final String OPTIONS = ";MODE=PostgreSQL;DATABASE_TO_LOWER=TRUE;DEFAULT_NULL_ORDERING=HIGH;WRITE_DELAY=0";

  private FreshDatabase() {}

  /** One in memory. */
  public static DSLContext inMemory() {
    return at("jdbc:h2:mem:" + UUID.randomUUID() + OPTIONS + ";DB_CLOSE_DELAY=-1");
  }

  /** One in a file, made or opened again. */
  public static DSLContext inFile(java.nio.file.Path file) {
    return at("jdbc:h2:file:" + file.toAbsolutePath() + OPTIONS);
  }

  private static DSLContext at(String url) {
    Flyway.configure().dataSource(url, "sa", "").locations("classpath:db/migration").load().migrate();
    System.setProperty("org.jooq.no-logo", "true");
    System.setProperty("org.jooq.no-tips", "true");
    return DSL.using(org.h2.jdbcx.JdbcConnectionPool.create(url, "sa", ""), SQLDialect.H2, new Settings().withRenderQuotedNames(RenderQuotedNames.EXPLICIT_DEFAULT_QUOTED));
  }
}
