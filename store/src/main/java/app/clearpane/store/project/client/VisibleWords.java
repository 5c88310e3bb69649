package app.clearpane.store.project.client;

import static app.clearpane.store.schema.Tables.HOUSE_PICTURE;
import static app.clearpane.store.schema.Tables.ITEM;
import static app.clearpane.store.schema.Tables.PROJECT;
import static app.clearpane.store.schema.Tables.PROJECT_PERSON;
import static app.clearpane.store.schema.Tables.PROJECT_SAID;
import static app.clearpane.store.schema.Tables.PROJECT_WORDS;
import static app.clearpane.store.schema.Tables.TEAM_MEMBER;
import static app.clearpane.store.schema.Tables.TIME_SPENT;
import static org.jooq.impl.DSL.multiset;
import static org.jooq.impl.DSL.select;

import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.AboutPart;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.agency.HousePicture;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Records;
import org.jooq.impl.DSL;
import org.jooq.impl.SQLDataType;

/** What a project says of itself, as far as a viewer reads it: what is shown, where the status is open to them (V1). */
public final class VisibleWords {
    private static final Field<List<Part>> PARTS = multiset(select(PROJECT_WORDS.PART, PROJECT_WORDS.WORDS)
                    .from(PROJECT_WORDS)
                    .where(
                            PROJECT_WORDS.PROJECT_ID.eq(PROJECT.ID),
                            PROJECT_WORDS.SHOWN.isTrue(),
                            PROJECT_WORDS.WORDS.ne("")))
            .convertFrom(rows -> rows.map(Records.mapping(Part::new)));
    private static final Field<List<Said>> SAID = multiset(
                    select(PROJECT_SAID.SAID, PROJECT_SAID.SAID_BY, PROJECT_SAID.SAID_AT)
                            .from(PROJECT_SAID)
                            .where(PROJECT_SAID.PROJECT_ID.eq(PROJECT.ID), PROJECT_SAID.SHOWN.isTrue())
                            .orderBy(PROJECT_SAID.SAID_AT.desc(), PROJECT_SAID.ID))
            .convertFrom(rows -> rows.map(Records.mapping(Said::new)));
    private static final Field<List<OfUs>> US = multiset(select(
                            TEAM_MEMBER.ID,
                            TEAM_MEMBER.NAME,
                            PROJECT_PERSON.DOES,
                            TEAM_MEMBER.PHONE,
                            TEAM_MEMBER.REACHED,
                            DSL.field(DSL.exists(DSL.selectOne()
                                    .from(HOUSE_PICTURE)
                                    .where(
                                            HOUSE_PICTURE.SUBJECT_ID.eq(TEAM_MEMBER.ID.coerce(SQLDataType.UUID)),
                                            HOUSE_PICTURE.ROLE.eq("FACE")))))
                    .from(PROJECT_PERSON)
                    .join(TEAM_MEMBER)
                    .on(TEAM_MEMBER.ID.eq(PROJECT_PERSON.MEMBER_ID))
                    .where(
                            PROJECT_PERSON.PROJECT_ID.eq(PROJECT.ID),
                            PROJECT_PERSON.SHOWN.isTrue(),
                            TEAM_MEMBER.ENDED_AT.isNull())
                    .orderBy(TEAM_MEMBER.NAME, TEAM_MEMBER.ID))
            .convertFrom(rows -> rows.map(Records.mapping(OfUs::new)));
    private static final Field<Integer> MINUTES = DSL.when(
            PROJECT.HOURS_SHOWN.isTrue(),
            DSL.field(select(DSL.sum(TIME_SPENT.MINUTES).cast(Integer.class))
                    .from(TIME_SPENT)
                    .join(ITEM)
                    .on(ITEM.ID.eq(TIME_SPENT.ITEM_ID))
                    .where(ITEM.PROJECT_ID.eq(PROJECT.ID))));
    private final DSLContext db;

    public VisibleWords(DSLContext db) {
        this.db = db;
    }

    /** A part. */
    public record Part(AboutPart part, String words) {}

    /** What was said of how it stands. */
    public record Said(String said, Actor by, Instant at) {}

    /**
     * Somebody of us who works on it. @param does what they do there; may be empty, as their telephone and when they
     * are reached @param face whether there is a picture of them
     */
    public record OfUs(TeamMemberId member, String name, String does, String phone, String reached, boolean face) {}

    /** All of it. @param said latest first @param minutes how long we worked on it, where that is shown */
    public record About(List<Part> parts, List<Said> said, List<OfUs> us, OptionalInt minutes) {
        /** Nothing. */
        public static final About NOTHING = new About(List.of(), List.of(), List.of(), OptionalInt.empty());

        /** How many things there are to read. */
        public int size() {
            return parts.size() + said.size() + us.size();
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

    /** The picture of one of us, where a viewer reads of them. */
    public Optional<HousePicture> face(Viewer viewer, UUID member) {
        return aboutFor(viewer).us().stream()
                .filter(one -> one.member().value().equals(member))
                .findFirst()
                .flatMap(one -> db.select(HOUSE_PICTURE.SHA256, HOUSE_PICTURE.MEDIA_TYPE)
                        .from(HOUSE_PICTURE)
                        .where(HOUSE_PICTURE.SUBJECT_ID.eq(member), HOUSE_PICTURE.ROLE.eq("FACE"))
                        .fetchOptional(Records.mapping(HousePicture::new)));
    }

    /** What a viewer reads. */
    public About aboutFor(Viewer viewer) {
        return !viewer.open(ContentKind.STATUS)
                ? About.NOTHING
                : db.select(PARTS, SAID, US, MINUTES)
                        .from(PROJECT)
                        .where(PROJECT.ID.eq(viewer.project()))
                        .fetchSingle(row -> new About(
                                row.value1().stream()
                                        .sorted(Comparator.comparing(Part::part))
                                        .toList(),
                                row.value2(),
                                row.value3(),
                                row.value4() == null ? OptionalInt.empty() : OptionalInt.of(row.value4())));
    }
}
