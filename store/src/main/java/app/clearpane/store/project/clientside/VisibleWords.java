package app.clearpane.store.project.clientside;

import static app.clearpane.store.schema.Tables.PROJECT;
import static app.clearpane.store.schema.Tables.PROJECT_SAID;
import static app.clearpane.store.schema.Tables.PROJECT_WORDS;
import static org.jooq.impl.DSL.multiset;
import static org.jooq.impl.DSL.select;

import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.project.AboutPart;
import app.clearpane.store.exposure.clientside.Viewer;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Records;

/** What a project says of itself, as far as a viewer reads it: what is shown, where the status is open to them (V1). */
public final class VisibleWords {
  private static final Field<List<Part>> PARTS = multiset(select(PROJECT_WORDS.PART, PROJECT_WORDS.WORDS).from(PROJECT_WORDS).where(PROJECT_WORDS.PROJECT_ID.eq(PROJECT.ID), PROJECT_WORDS.SHOWN.isTrue(), PROJECT_WORDS.WORDS.ne(""))).convertFrom(rows -> rows.map(Records.mapping(Part::new)));
  private static final Field<List<Said>> SAID = multiset(select(PROJECT_SAID.SAID, PROJECT_SAID.SAID_BY, PROJECT_SAID.SAID_AT).from(PROJECT_SAID).where(PROJECT_SAID.PROJECT_ID.eq(PROJECT.ID), PROJECT_SAID.SHOWN.isTrue()).orderBy(PROJECT_SAID.SAID_AT.desc(), PROJECT_SAID.ID))
      .convertFrom(rows -> rows.map(Records.mapping(Said::new)));
  private final DSLContext db;

  public VisibleWords(DSLContext db) {
    this.db = db;
  }

  /** A part. */
  public record Part(AboutPart part, String words) {}

  /** What was said of how it stands. */
  public record Said(String said, String by, Instant at) {}

  /** All of it. @param said latest first */
  public record About(List<Part> parts, List<Said> said) {
    /** Nothing. */
    public static final About NOTHING = new About(List.of(), List.of());

    /** How many things there are to read. */
    public int size() {
      return parts.size() + said.size();
    }

    /** What was said last. */
    public Optional<Said> latest() {
      return said.stream().findFirst();
    }

    /** What was said before that. */
    public List<Said> earlier() {
      return said.stream().skip(1).toList();
    }
  }

  /** What a viewer reads. */
  public About of(Viewer viewer) {
    return !viewer.open(ContentKind.STATUS) ? About.NOTHING
        : db.select(PARTS, SAID).from(PROJECT).where(PROJECT.ID.eq(viewer.project())).fetchSingle(row -> new About(row.value1().stream().sorted(Comparator.comparing(Part::part)).toList(), row.value2()));
  }
}
