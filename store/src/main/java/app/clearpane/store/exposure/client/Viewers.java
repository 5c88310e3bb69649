package app.clearpane.store.exposure.client;

import static app.clearpane.store.schema.Tables.AGENCY;
import static app.clearpane.store.schema.Tables.AGENCY_APERTURE;
import static app.clearpane.store.schema.Tables.CLIENT;
import static app.clearpane.store.schema.Tables.CONTACT;
import static app.clearpane.store.schema.Tables.HOUSE_PICTURE;
import static app.clearpane.store.schema.Tables.LINK_SEAT;
import static app.clearpane.store.schema.Tables.PANE;
import static app.clearpane.store.schema.Tables.PANE_APERTURE;
import static app.clearpane.store.schema.Tables.PANE_SECTION;
import static app.clearpane.store.schema.Tables.PROJECT;
import static app.clearpane.store.schema.Tables.SEAT;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.calendar.Today;
import app.clearpane.core.exposure.Aperture;
import app.clearpane.core.exposure.Ceilings;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.Filter;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.exposure.PaneSettings;
import app.clearpane.core.exposure.Passage;
import app.clearpane.core.exposure.SeatRole;
import app.clearpane.core.exposure.SeatState;
import app.clearpane.core.exposure.Section;
import app.clearpane.core.exposure.StartingPoint;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.people.SeatId;
import app.clearpane.core.viewer.AllPanes;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.store.agency.HousePicture;
import app.clearpane.store.exposure.FilterRows;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Supplier;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Record;
import org.jooq.Records;
import org.jooq.Result;
import org.jooq.TableField;
import org.jooq.impl.DSL;
import org.jooq.impl.SQLDataType;

/**
 * The door on the clients' side (V3): makes a viewer of whoever has an accepted seat at a published, unexpired pane.
 */
public final class Viewers {
    private static final List<Field<?>> OF_PANE = List.of(
            PANE.ID,
            PANE.PROJECT_ID,
            PANE_APERTURE.KIND,
            PANE_APERTURE.PUBLISHED,
            PANE_APERTURE.PENDING,
            PANE.FOLLOWS,
            PANE.FOLLOWS_PENDING,
            AGENCY_APERTURE.CEILING,
            AGENCY_APERTURE.STARTING_POINT,
            PROJECT.PLAN_REVISION,
            PANE.CLOSES_AT,
            PROJECT.ARCHIVED_AT,
            PROJECT.ENDED,
            PROJECT.PAUSED_AT,
            FilterRows.OF_PANE,
            FilterRows.OF_AGENCY);
    private static final State PUBLISHED = new State(PANE.FOLLOWS, PANE_APERTURE.PUBLISHED);
    private static final State PENDING = new State(PANE.FOLLOWS_PENDING, PANE_APERTURE.PENDING);
    private static final app.clearpane.store.schema.tables.Seat OTHER_SEAT = SEAT.as("other_seat");
    private static final app.clearpane.store.schema.tables.Pane OTHER_PANE = PANE.as("other_pane");
    /** Whether the same contact has a seat at another pane of the project. */
    private static final Field<Boolean> ELSEWHERE = DSL.field(DSL.exists(DSL.selectOne()
                    .from(OTHER_SEAT)
                    .join(OTHER_PANE)
                    .on(OTHER_PANE.ID.eq(OTHER_SEAT.PANE_ID))
                    .where(
                            OTHER_SEAT.CONTACT_ID.eq(SEAT.CONTACT_ID),
                            OTHER_SEAT.STATE.eq(SeatState.ACCEPTED),
                            OTHER_PANE.PROJECT_ID.eq(PANE.PROJECT_ID),
                            OTHER_PANE.ID.ne(PANE.ID))))
            .as("elsewhere");

    private final DSLContext db;
    private final Supplier<Today> today;

    /** @param today the agency's day, by which things are late or nearly due */
    public Viewers(DSLContext db, Supplier<Today> today) {
        this.db = db;
        this.today = today;
    }

    /** The viewer a contact is at a pane; empty where they may not look. */
    public Optional<Viewer> viewerAt(PaneId pane, ContactId contact, Instant now) {
        return viewer(SEAT.PANE_ID.eq(pane).and(SEAT.CONTACT_ID.eq(contact)).and(open(now)), Viewer.Sight.NOW, false);
    }

    /**
     * Looking through a seat by one of the team: as it is now, where an unpublished pane shows nothing, or as it will
     * be. A seat that was not taken yet is looked through as if it were; a pane past its last day shows nobody
     * anything.
     */
    public Optional<Viewer> lookingThrough(SeatId seat, Viewer.Sight sight, Instant now) {
        return viewer(SEAT.ID.eq(seat).and(SEAT.STATE.ne(SeatState.ENDED)).and(notPast(now)), sight, true)
                .or(() -> byLink(
                        LINK_SEAT.ID.eq(seat).and(LINK_SEAT.REVOKED_AT.isNull()).and(notPast(now)),
                        "Whoever has the link",
                        sight,
                        true));
    }

    /**
     * Whoever came by a link with its own key; empty where it opens nothing any more. A guest who gave no name only
     * looks.
     */
    public Optional<Viewer> byLink(PaneId pane, Sha256 keyHash, Optional<String> guest, Instant now) {
        return byLink(
                LINK_SEAT.KEY_HASH.eq(keyHash).and(PANE.ID.eq(pane)).and(linkOpen(now)),
                guest.orElse(""),
                Viewer.Sight.NOW,
                false);
    }

    /** The same viewer as things stand now; empty where they may not look any more. */
    public Optional<Viewer> again(Viewer viewer, Instant now) {
        if (viewer.looking()) {
            return lookingThrough(viewer.seat(), viewer.sight(), now);
        }
        return viewer.byLink()
                ? byLink(LINK_SEAT.ID.eq(viewer.seat()).and(linkOpen(now)), viewer.name(), viewer.sight(), false)
                : viewerAt(viewer.pane(), viewer.contact(), now);
    }

    private Optional<Viewer> byLink(Condition condition, String guest, Viewer.Sight sight, boolean looking) {
        Result<? extends Record> rows = db.select(LINK_SEAT.ID, LINK_SEAT.NAME, LINK_SEAT.MAY_MARK)
                .select(OF_PANE)
                .from(LINK_SEAT)
                .join(PANE)
                .on(PANE.ID.eq(LINK_SEAT.PANE_ID))
                .join(PROJECT)
                .on(PROJECT.ID.eq(PANE.PROJECT_ID))
                .join(PANE_APERTURE)
                .on(PANE_APERTURE.PANE_ID.eq(PANE.ID))
                .leftJoin(AGENCY_APERTURE)
                .on(AGENCY_APERTURE.KIND.eq(PANE_APERTURE.KIND))
                .where(condition)
                .fetch();
        FilterRows filters = filters(rows);
        return rows.stream()
                .findFirst()
                .map(row -> new Viewer(
                        new ContactId(row.get(LINK_SEAT.ID).value()),
                        guest.isEmpty() ? Viewer.NAMELESS : guest,
                        row.get(LINK_SEAT.ID),
                        row.get(LINK_SEAT.MAY_MARK) && !guest.isEmpty() ? SeatRole.REVIEWER : SeatRole.READER,
                        false,
                        row.get(PANE.ID),
                        row.get(PANE.PROJECT_ID),
                        passages(rows, PUBLISHED, filters, filters.published()),
                        passages(rows, PENDING, filters, filters.pending()),
                        sight,
                        looking,
                        Optional.of(row.get(LINK_SEAT.NAME)),
                        false,
                        row.get(PANE.CLOSES_AT),
                        row.get(PROJECT.PLAN_REVISION),
                        Viewer.Rest.of(
                                row.get(PROJECT.ARCHIVED_AT), row.get(PROJECT.ENDED), row.get(PROJECT.PAUSED_AT)),
                        today.get()));
    }

    private static FilterRows filters(Result<? extends Record> rows) {
        return rows.isEmpty()
                ? FilterRows.NONE
                : FilterRows.of(
                        Map.of(rows.get(0).get(PANE.ID), rows.get(0).get(FilterRows.OF_PANE)),
                        rows.get(0).get(FilterRows.OF_AGENCY));
    }

    private static Condition notPast(Instant now) {
        return PANE.CLOSES_AT.isNull().or(PANE.CLOSES_AT.gt(now));
    }

    private static Condition open(Instant now) {
        return SEAT.STATE.eq(SeatState.ACCEPTED).and(paneOpen(now));
    }

    private static Condition linkOpen(Instant now) {
        return LINK_SEAT
                .REVOKED_AT
                .isNull()
                .and(LINK_SEAT.EXPIRES_AT.isNull().or(LINK_SEAT.EXPIRES_AT.gt(now)))
                .and(paneOpen(now));
    }

    private static Condition paneOpen(Instant now) {
        return PANE.PUBLISHED_AT
                .isNotNull()
                .and(PANE.OPENS_AT.isNull().or(PANE.OPENS_AT.le(now)))
                .and(notPast(now));
    }

    /** All panes a contact may look through now. */
    public AllPanes everywhere(ContactId contact, Instant now) {
        return new AllPanes(contact, viewers(SEAT.CONTACT_ID.eq(contact).and(open(now)), Viewer.Sight.NOW, false));
    }

    private Optional<Viewer> viewer(Condition condition, Viewer.Sight sight, boolean looking) {
        return viewers(condition, sight, looking).stream().findFirst();
    }

    private List<Viewer> viewers(Condition condition, Viewer.Sight sight, boolean looking) {
        return db
                .select(SEAT.CONTACT_ID, CONTACT.NAME, SEAT.ID, SEAT.ROLE, SEAT.LEAD_VOICE, ELSEWHERE)
                .select(OF_PANE)
                .from(SEAT)
                .join(PANE)
                .on(PANE.ID.eq(SEAT.PANE_ID))
                .join(PROJECT)
                .on(PROJECT.ID.eq(PANE.PROJECT_ID))
                .join(CONTACT)
                .on(CONTACT.ID.eq(SEAT.CONTACT_ID))
                .join(PANE_APERTURE)
                .on(PANE_APERTURE.PANE_ID.eq(PANE.ID))
                .leftJoin(AGENCY_APERTURE)
                .on(AGENCY_APERTURE.KIND.eq(PANE_APERTURE.KIND))
                .where(condition)
                .fetchGroups(SEAT.ID)
                .values()
                .stream()
                .map(rows -> atPane(rows, sight, looking))
                .toList();
    }

    private Viewer atPane(Result<? extends Record> rows, Viewer.Sight sight, boolean looking) {
        FilterRows filters = filters(rows);
        Record row = rows.get(0);
        return new Viewer(
                row.get(SEAT.CONTACT_ID),
                row.get(CONTACT.NAME),
                row.get(SEAT.ID),
                row.get(SEAT.ROLE),
                row.get(SEAT.LEAD_VOICE),
                row.get(PANE.ID),
                row.get(PANE.PROJECT_ID),
                passages(rows, PUBLISHED, filters, filters.published()),
                passages(rows, PENDING, filters, filters.pending()),
                sight,
                looking,
                Optional.empty(),
                row.get(ELSEWHERE),
                row.get(PANE.CLOSES_AT),
                row.get(PROJECT.PLAN_REVISION),
                Viewer.Rest.of(row.get(PROJECT.ARCHIVED_AT), row.get(PROJECT.ENDED), row.get(PROJECT.PAUSED_AT)),
                today.get());
    }

    /** The columns that say how a pane is set at one state. */
    private record State(TableField<?, Boolean> follows, TableField<?, Aperture> aperture) {}

    /** What passes at one state, of rows with a pane's apertures beside the agency's. */
    private static Map<ContentKind, Passage> passages(
            Result<? extends Record> rows,
            State state,
            FilterRows filters,
            Map<PaneId, Map<ContentKind, Set<Filter>>> own) {
        Map<ContentKind, Aperture> set = new EnumMap<>(ContentKind.class);
        Map<ContentKind, Aperture> most = new EnumMap<>(ContentKind.class);
        boolean following = rows.get(0).get(state.follows());
        rows.forEach(row -> {
            ContentKind kind = row.get(PANE_APERTURE.KIND);
            Aperture start = row.get(AGENCY_APERTURE.STARTING_POINT);
            set.put(
                    kind,
                    !following ? row.get(state.aperture()) : start == null ? StartingPoint.CLOSED.of(kind) : start);
            Optional.ofNullable(row.get(AGENCY_APERTURE.CEILING)).ifPresent(ceiling -> most.put(kind, ceiling));
        });
        Map<ContentKind, Set<Filter>> sieves = following
                ? filters.startingPoint()
                : own.getOrDefault(rows.get(0).get(PANE.ID), Map.of());
        PaneSettings settings = new PaneSettings(set, sieves, Map.of(), Map.of());
        Ceilings ceilings = new Ceilings(most, filters.ceilings());
        Map<ContentKind, Passage> passages = new EnumMap<>(ContentKind.class);
        set.keySet().forEach(kind -> passages.put(kind, Passage.of(kind, settings, ceilings)));
        return passages;
    }

    /** The heading of a pane. */
    public record Heading(
            PaneId id,
            String agency,
            String client,
            String project,
            String cover,
            String pane,
            String welcome,
            String guide,
            String houseRules,
            Pictures pictures,
            List<Section> sections) {
        /** The words a section has of its own, if it has any. */
        public Optional<Section> section(ContentKind kind) {
            return sections.stream().filter(section -> section.kind() == kind).findFirst();
        }
    }

    /** Which pictures there are for a page: a cover of the project's own, and logos. */
    public record Pictures(boolean cover, boolean client, boolean agency) {}

    /** A picture for a viewer's page. @param of "cover", "client" or "agency" */
    public Optional<HousePicture> picture(Viewer viewer, String of) {
        Field<UUID> subject = of.equals("cover")
                ? PROJECT.ID.coerce(SQLDataType.UUID)
                : of.equals("client") ? PROJECT.CLIENT_ID.coerce(SQLDataType.UUID) : AGENCY.ID;
        return db.select(HOUSE_PICTURE.SHA256, HOUSE_PICTURE.MEDIA_TYPE)
                .from(PROJECT)
                .crossJoin(AGENCY)
                .join(HOUSE_PICTURE)
                .on(HOUSE_PICTURE.SUBJECT_ID.eq(subject), HOUSE_PICTURE.ROLE.eq(of.equals("cover") ? "COVER" : "LOGO"))
                .where(PROJECT.ID.eq(viewer.project()))
                .fetchOptional(Records.mapping(HousePicture::new));
    }

    private static Field<Boolean> pictured(Field<UUID> subject, String role) {
        return DSL.field(DSL.exists(DSL.selectOne()
                .from(HOUSE_PICTURE)
                .where(HOUSE_PICTURE.SUBJECT_ID.eq(subject), HOUSE_PICTURE.ROLE.eq(role))));
    }

    /** The heading of the pane a viewer looks through. */
    public Heading heading(Viewer viewer) {
        return headings(PANE.ID.eq(viewer.pane())).get(0);
    }

    /** The currency of a viewer's project (ISO 4217). */
    public String currency(Viewer viewer) {
        return db.select(PROJECT.CURRENCY)
                .from(PROJECT)
                .where(PROJECT.ID.eq(viewer.project()))
                .fetchSingle()
                .value1();
    }

    /** The headings of the panes a contact looks through, by client and project. */
    public List<Heading> headings(AllPanes all) {
        return headings(PANE.ID.in(all.panes()));
    }

    /** Another pane through which a viewer sees the same project (V3: they see what any of them shows). */
    public record Other(PaneId id, String name) {}

    /**
     * The other panes through which a viewer sees their project now; one of the team who looks through a seat has none.
     */
    public List<Other> others(Viewer viewer, Instant now) {
        return !viewer.elsewhere() || viewer.looking()
                ? List.of()
                : db.select(PANE.ID, PANE.NAME)
                        .from(SEAT)
                        .join(PANE)
                        .on(PANE.ID.eq(SEAT.PANE_ID))
                        .where(
                                SEAT.CONTACT_ID.eq(viewer.contact()),
                                PANE.PROJECT_ID.eq(viewer.project()),
                                PANE.ID.ne(viewer.pane()),
                                open(now))
                        .orderBy(PANE.CREATED_AT, PANE.ID)
                        .fetch(Records.mapping(Other::new));
    }

    private List<Heading> headings(Condition condition) {
        Map<PaneId, List<Section>> sections = new HashMap<>();
        Map<PaneId, Heading> headings = new LinkedHashMap<>();
        db.select(
                        PANE.ID,
                        AGENCY.NAME,
                        CLIENT.NAME,
                        PROJECT.NAME,
                        DSL.when(PANE.COVER.eq(""), PROJECT.COVER).otherwise(PANE.COVER),
                        PANE.NAME,
                        PANE.WELCOME,
                        PANE.GUIDE,
                        AGENCY.HOUSE_RULES,
                        PANE_SECTION.KIND,
                        PANE_SECTION.POSITION,
                        PANE_SECTION.TITLE,
                        PANE_SECTION.LINE,
                        PANE_SECTION.OFF,
                        pictured(PROJECT.ID.coerce(SQLDataType.UUID), "COVER"),
                        pictured(CLIENT.ID.coerce(SQLDataType.UUID), "LOGO"),
                        pictured(AGENCY.ID, "LOGO"))
                .from(PANE)
                .join(PROJECT)
                .on(PROJECT.ID.eq(PANE.PROJECT_ID))
                .join(CLIENT)
                .on(CLIENT.ID.eq(PROJECT.CLIENT_ID))
                .crossJoin(AGENCY)
                .leftJoin(PANE_SECTION)
                .on(PANE_SECTION.PANE_ID.eq(PANE.ID))
                .where(condition)
                .orderBy(CLIENT.NAME, PROJECT.NAME, PANE.ID, PANE_SECTION.POSITION)
                .forEach(row -> {
                    List<Section> own = sections.computeIfAbsent(row.value1(), id -> new ArrayList<>());
                    headings.computeIfAbsent(
                            row.value1(),
                            id -> new Heading(
                                    id,
                                    row.value2(),
                                    row.value3(),
                                    row.value4(),
                                    row.value5(),
                                    row.value6(),
                                    row.value7(),
                                    row.value8(),
                                    row.value9(),
                                    new Pictures(row.value15(), row.value16(), row.value17()),
                                    own));
                    if (row.value10() != null) {
                        own.add(new Section(row.value10(), row.value11(), row.value12(), row.value13(), row.value14()));
                    }
                });
        return List.copyOf(headings.values());
    }
}
