package app.clearpane.store.exposure;

import static app.clearpane.store.schema.Tables.AGENCY_APERTURE;
import static app.clearpane.store.schema.Tables.CONTACT;
import static app.clearpane.store.schema.Tables.DELIVERABLE;
import static app.clearpane.store.schema.Tables.FEED;
import static app.clearpane.store.schema.Tables.FOLDER;
import static app.clearpane.store.schema.Tables.HELD_BACK_EVERYWHERE;
import static app.clearpane.store.schema.Tables.ITEM;
import static app.clearpane.store.schema.Tables.LINK_OPENING;
import static app.clearpane.store.schema.Tables.LINK_SEAT;
import static app.clearpane.store.schema.Tables.MARKUP;
import static app.clearpane.store.schema.Tables.PANE;
import static app.clearpane.store.schema.Tables.PANE_APERTURE;
import static app.clearpane.store.schema.Tables.PANE_ARRIVAL;
import static app.clearpane.store.schema.Tables.PANE_FILTER;
import static app.clearpane.store.schema.Tables.PANE_SECTION;
import static app.clearpane.store.schema.Tables.SEAT;
import static app.clearpane.store.schema.Tables.SHOWING;
import static app.clearpane.store.schema.Tables.VISIT;
import static org.jooq.impl.DSL.multiset;
import static org.jooq.impl.DSL.select;

import app.clearpane.core.exposure.Aperture;
import app.clearpane.core.exposure.Ceilings;
import app.clearpane.core.exposure.ContentKind;
import app.clearpane.core.exposure.Item;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.Pane;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.exposure.PaneSettings;
import app.clearpane.core.exposure.SeatState;
import app.clearpane.core.exposure.Section;
import app.clearpane.core.exposure.Setting;
import app.clearpane.core.exposure.Showing;
import app.clearpane.core.exposure.StartingPoint;
import app.clearpane.core.people.Actor;
import app.clearpane.core.project.ProjectId;
import app.clearpane.store.schema.tables.PaneAperture;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Records;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;

/** Panes, and what each lets through as published and as pending. */
public final class Panes {
    private static final int BATCH = 500;
    private static final PaneAperture OTHER = PANE_APERTURE.as("other");
    private final DSLContext db;

    public Panes(DSLContext db) {
        this.db = db;
    }

    /**
     * A pane as the team's lists name it.
     *
     * @param follows whether it follows the starting point as published
     * @param willFollow whether it does as pending
     */
    public record Row(
            PaneId id,
            ProjectId project,
            String name,
            String welcome,
            @Nullable Instant publishedAt,
            @Nullable Instant opensAt,
            @Nullable Instant closesAt,
            String guide,
            String cover,
            boolean follows,
            boolean willFollow,
            int revision) {
        /** The same as somebody saw it at this revision. */
        public Row seenAt(int seen) {
            return new Row(
                    id,
                    project,
                    name,
                    welcome,
                    publishedAt,
                    opensAt,
                    closesAt,
                    guide,
                    cover,
                    follows,
                    willFollow,
                    seen);
        }

        /** The same with another name, welcome and guide. */
        public Row saying(String newName, String newWelcome, String newGuide) {
            return new Row(
                    id,
                    project,
                    newName,
                    newWelcome,
                    publishedAt,
                    opensAt,
                    closesAt,
                    newGuide,
                    cover,
                    follows,
                    willFollow,
                    revision);
        }

        /** The same under another cover. @param newCover empty for the project's */
        public Row under(String newCover) {
            return new Row(
                    id,
                    project,
                    name,
                    welcome,
                    publishedAt,
                    opensAt,
                    closesAt,
                    guide,
                    newCover,
                    follows,
                    willFollow,
                    revision);
        }

        /** The same open between other instants. */
        public Row open(@Nullable Instant newOpensAt, @Nullable Instant newClosesAt) {
            return new Row(
                    id,
                    project,
                    name,
                    welcome,
                    publishedAt,
                    newOpensAt,
                    newClosesAt,
                    guide,
                    cover,
                    follows,
                    willFollow,
                    revision);
        }
    }

    /** Makes a pane that follows the starting point; nothing passes before it is published. */
    public PaneId add(ProjectId project, String name, String welcome, Instant now) {
        PaneId id = new PaneId(UUID.randomUUID());
        db.insertInto(PANE)
                .set(PANE.ID, id)
                .set(PANE.PROJECT_ID, project)
                .set(PANE.NAME, name)
                .set(PANE.WELCOME, welcome)
                .set(PANE.REVISION, 1)
                .set(PANE.FOLLOWS, true)
                .set(PANE.FOLLOWS_PENDING, true)
                .set(PANE.CREATED_AT, now)
                .execute();
        for (ContentKind kind : ContentKind.values()) {
            db.insertInto(PANE_APERTURE)
                    .set(PANE_APERTURE.PANE_ID, id)
                    .set(PANE_APERTURE.KIND, kind)
                    .set(PANE_APERTURE.PUBLISHED, Aperture.CLOSED)
                    .set(PANE_APERTURE.PENDING, Aperture.CLOSED)
                    .execute();
        }
        return id;
    }

    /** A pane. */
    public Optional<Row> find(PaneId id) {
        return db.select(
                        PANE.ID,
                        PANE.PROJECT_ID,
                        PANE.NAME,
                        PANE.WELCOME,
                        PANE.PUBLISHED_AT,
                        PANE.OPENS_AT,
                        PANE.CLOSES_AT,
                        PANE.GUIDE,
                        PANE.COVER,
                        PANE.FOLLOWS,
                        PANE.FOLLOWS_PENDING,
                        PANE.REVISION)
                .from(PANE)
                .where(PANE.ID.eq(id))
                .fetchOptional(Records.mapping(Row::new));
    }

    /** The panes of a project, oldest first. */
    public List<Row> ofProject(ProjectId project) {
        return db.select(
                        PANE.ID,
                        PANE.PROJECT_ID,
                        PANE.NAME,
                        PANE.WELCOME,
                        PANE.PUBLISHED_AT,
                        PANE.OPENS_AT,
                        PANE.CLOSES_AT,
                        PANE.GUIDE,
                        PANE.COVER,
                        PANE.FOLLOWS,
                        PANE.FOLLOWS_PENDING,
                        PANE.REVISION)
                .from(PANE)
                .where(PANE.PROJECT_ID.eq(project))
                .orderBy(PANE.CREATED_AT, PANE.ID)
                .fetch(Records.mapping(Row::new));
    }

    /**
     * The panes of a project with all their settings, for the core to decide by; the order is that of
     * {@link #ofProject}.
     */
    public List<Pane> withSettings(ProjectId project) {
        return all(project).panes();
    }

    /**
     * The panes of a project with all that is set for them.
     *
     * @param rows oldest first
     * @param panes the same for the core to decide by, in the same order
     * @param arrivals where new items arrive Shown
     * @param sections those that have words or a place of their own, by pane
     * @param ceilings of the agency
     * @param seats at them, ended ones too: lead voices first, then by name
     */
    public record All(
            List<Row> rows,
            List<Pane> panes,
            List<Arrivals> arrivals,
            Map<PaneId, List<Section>> sections,
            Ceilings ceilings,
            List<SeatRow> seats) {
        /** The seats that were not ended. */
        public List<SeatRow> seated() {
            return seats.stream()
                    .filter(seat -> seat.state() != SeatState.ENDED)
                    .toList();
        }
    }

    /** What is set for one kind at a pane, and for all panes. */
    private record OfKind(
            ContentKind kind,
            Aperture published,
            Aperture pending,
            @Nullable Actor arrivesBy,
            @Nullable Instant arrivesSince,
            @Nullable Integer position,
            @Nullable String title,
            @Nullable String line,
            @Nullable Boolean off,
            @Nullable Aperture ceiling,
            @Nullable Aperture start) {}

    private static final Field<List<OfKind>> OF_KINDS = multiset(select(
                            PANE_APERTURE.KIND,
                            PANE_APERTURE.PUBLISHED,
                            PANE_APERTURE.PENDING,
                            PANE_ARRIVAL.SET_BY,
                            PANE_ARRIVAL.SET_AT,
                            PANE_SECTION.POSITION,
                            PANE_SECTION.TITLE,
                            PANE_SECTION.LINE,
                            PANE_SECTION.OFF,
                            AGENCY_APERTURE.CEILING,
                            AGENCY_APERTURE.STARTING_POINT)
                    .from(PANE_APERTURE)
                    .leftJoin(PANE_ARRIVAL)
                    .on(PANE_ARRIVAL.PANE_ID.eq(PANE_APERTURE.PANE_ID), PANE_ARRIVAL.KIND.eq(PANE_APERTURE.KIND))
                    .leftJoin(PANE_SECTION)
                    .on(PANE_SECTION.PANE_ID.eq(PANE_APERTURE.PANE_ID), PANE_SECTION.KIND.eq(PANE_APERTURE.KIND))
                    .leftJoin(AGENCY_APERTURE)
                    .on(AGENCY_APERTURE.KIND.eq(PANE_APERTURE.KIND))
                    .where(PANE_APERTURE.PANE_ID.eq(PANE.ID)))
            .as("of_kinds")
            .convertFrom(rows -> rows.map(Records.mapping(OfKind::new)));
    private static final Field<List<SeatRow>> SEATS = multiset(select(Seats.FIELDS)
                    .from(SEAT)
                    .join(CONTACT)
                    .on(CONTACT.ID.eq(SEAT.CONTACT_ID))
                    .where(SEAT.PANE_ID.eq(PANE.ID)))
            .as("seats")
            .convertFrom(rows -> rows.map(Seats::row));

    /** The panes of a project with all that is set for them, in two statements. */
    public All all(ProjectId project) {
        return all(PANE.PROJECT_ID.eq(project), DSL.noCondition(), ITEM.PROJECT_ID.eq(project));
    }

    /**
     * Panes of some projects. @param panes for the core to decide by, by project and oldest first @param seated at
     * them, by pane
     */
    public record OfSome(Map<ProjectId, List<Pane>> panes, List<SeatRow> seated) {}

    /** The panes of the projects of some items for the core to decide on these by and on nothing else. */
    public OfSome withSettings(Map<ProjectId, List<Item>> some) {
        List<ItemId> items =
                some.values().stream().flatMap(List::stream).map(Item::id).toList();
        All all = all(PANE.PROJECT_ID.in(some.keySet()), SHOWING.ITEM_ID.in(items), ITEM.ID.in(items));
        Map<ProjectId, List<Pane>> panes = new HashMap<>();
        for (int i = 0; i < all.rows().size(); i++) {
            panes.computeIfAbsent(all.rows().get(i).project(), none -> new ArrayList<>())
                    .add(all.panes().get(i));
        }
        return new OfSome(panes, all.seated());
    }

    private All all(Condition ofPanes, Condition ofShowings, Condition ofItems) {
        Map<PaneId, Row> rows = new LinkedHashMap<>();
        Map<PaneId, Map<ContentKind, Aperture>> published = new HashMap<>();
        Map<PaneId, Map<ContentKind, Aperture>> pending = new HashMap<>();
        List<Arrivals> arrivals = new ArrayList<>();
        Map<PaneId, List<Section>> sections = new HashMap<>();
        Map<ContentKind, Aperture> most = new EnumMap<>(ContentKind.class);
        Map<ContentKind, Aperture> start = new EnumMap<>(ContentKind.class);
        Map<PaneId, List<FilterRows.Written>> ofPane = new HashMap<>();
        List<FilterRows.Written> ofAgency = new ArrayList<>();
        List<SeatRow> seats = new ArrayList<>();
        db.select(PANE.fields())
                .select(OF_KINDS, FilterRows.OF_PANE, FilterRows.OF_AGENCY, SEATS)
                .from(PANE)
                .where(ofPanes)
                .orderBy(PANE.CREATED_AT, PANE.ID)
                .forEach(row -> {
                    PaneId id = row.get(PANE.ID);
                    rows.put(id, row(row));
                    ofPane.put(id, row.get(FilterRows.OF_PANE));
                    if (ofAgency.isEmpty()) {
                        ofAgency.addAll(row.get(FilterRows.OF_AGENCY));
                    }
                    seats.addAll(row.get(SEATS));
                    for (OfKind one : row.get(OF_KINDS)) {
                        published
                                .computeIfAbsent(id, none -> new EnumMap<>(ContentKind.class))
                                .put(one.kind(), one.published());
                        pending.computeIfAbsent(id, none -> new EnumMap<>(ContentKind.class))
                                .put(one.kind(), one.pending());
                        if (one.arrivesBy() != null && one.arrivesSince() != null) {
                            arrivals.add(new Arrivals(id, one.kind(), one.arrivesBy(), one.arrivesSince()));
                        }
                        if (one.position() != null) {
                            sections.computeIfAbsent(id, none -> new ArrayList<>())
                                    .add(new Section(
                                            one.kind(),
                                            one.position(),
                                            Objects.requireNonNull(one.title()),
                                            Objects.requireNonNull(one.line()),
                                            Boolean.TRUE.equals(one.off())));
                        }
                        if (one.ceiling() != null && one.start() != null) {
                            most.put(one.kind(), one.ceiling());
                            start.put(one.kind(), one.start());
                        }
                    }
                });
        FilterRows filters = FilterRows.of(ofPane, ofAgency);
        Ceilings ceilings = new Ceilings(most, filters.ceilings());
        StartingPoint starting = new StartingPoint(start, filters.startingPoint());
        Said said = said(ofPanes.and(ofShowings), ofItems);
        List<Pane> panes = rows.values().stream()
                .map(row -> new Pane(
                        row.id(),
                        row.name(),
                        Optional.ofNullable(row.publishedAt()),
                        Optional.ofNullable(row.closesAt()),
                        settings(
                                row.follows(),
                                starting,
                                new PaneSettings(
                                        Objects.requireNonNull(published.get(row.id())),
                                        filters.published().getOrDefault(row.id(), Map.of()),
                                        said.published().getOrDefault(row.id(), Map.of()),
                                        said.everywhere())),
                        settings(
                                row.willFollow(),
                                starting,
                                new PaneSettings(
                                        Objects.requireNonNull(pending.get(row.id())),
                                        filters.pending().getOrDefault(row.id(), Map.of()),
                                        said.pending().getOrDefault(row.id(), Map.of()),
                                        said.everywhere())),
                        ceilings,
                        Optional.ofNullable(row.opensAt())))
                .toList();
        return new All(
                List.copyOf(rows.values()),
                panes,
                List.copyOf(arrivals),
                sections,
                ceilings,
                seats.stream()
                        .sorted(Comparator.comparing(SeatRow::leadVoice)
                                .reversed()
                                .thenComparing(SeatRow::name)
                                .thenComparing(seat -> seat.id().value()))
                        .toList());
    }

    private static Row row(org.jooq.Record row) {
        return new Row(
                row.get(PANE.ID),
                row.get(PANE.PROJECT_ID),
                row.get(PANE.NAME),
                row.get(PANE.WELCOME),
                row.get(PANE.PUBLISHED_AT),
                row.get(PANE.OPENS_AT),
                row.get(PANE.CLOSES_AT),
                row.get(PANE.GUIDE),
                row.get(PANE.COVER),
                row.get(PANE.FOLLOWS),
                row.get(PANE.FOLLOWS_PENDING),
                row.get(PANE.REVISION));
    }

    /** What was said of single items. */
    private record Said(
            Map<PaneId, Map<ItemId, Setting>> published,
            Map<PaneId, Map<ItemId, Setting>> pending,
            Map<ItemId, Setting> everywhere) {}

    private Said said(Condition ofShowings, Condition ofItems) {
        Said said = new Said(new HashMap<>(), new HashMap<>(), new HashMap<>());
        db.select(SHOWING.PANE_ID, SHOWING.ITEM_ID, SHOWING.PUBLISHED, SHOWING.PENDING, SHOWING.SET_BY, SHOWING.SET_AT)
                .from(SHOWING)
                .join(PANE)
                .on(PANE.ID.eq(SHOWING.PANE_ID))
                .where(ofShowings)
                .unionAll(db.select(
                                DSL.castNull(SHOWING.PANE_ID),
                                HELD_BACK_EVERYWHERE.ITEM_ID,
                                DSL.castNull(SHOWING.PUBLISHED),
                                DSL.castNull(SHOWING.PENDING),
                                HELD_BACK_EVERYWHERE.SET_BY,
                                HELD_BACK_EVERYWHERE.SET_AT)
                        .from(HELD_BACK_EVERYWHERE)
                        .join(ITEM)
                        .on(ITEM.ID.eq(HELD_BACK_EVERYWHERE.ITEM_ID))
                        .where(ofItems))
                .forEach(row -> {
                    if (row.value1() == null) {
                        said.everywhere().put(row.value2(), new Setting(Showing.HELD_BACK, row.value5(), row.value6()));
                    } else {
                        put(said.published(), row.value1(), row.value2(), row.value3(), row.value5(), row.value6());
                        put(said.pending(), row.value1(), row.value2(), row.value4(), row.value5(), row.value6());
                    }
                });
        return said;
    }

    private static PaneSettings settings(boolean follows, StartingPoint start, PaneSettings own) {
        return follows ? start.followedBy(own) : own;
    }

    /**
     * Lets a pane follow the starting point again, pending until it is published. Its own apertures are kept for later.
     */
    public void follow(PaneId pane) {
        db.update(PANE).set(PANE.FOLLOWS_PENDING, true).where(PANE.ID.eq(pane)).execute();
    }

    /**
     * Gives a pane that follows the starting point its own apertures: those of this moment, pending until published.
     */
    public void giveItsOwn(PaneId pane) {
        if (db.update(PANE)
                        .set(PANE.FOLLOWS_PENDING, false)
                        .where(PANE.ID.eq(pane), PANE.FOLLOWS_PENDING.isTrue())
                        .execute()
                == 1) {
            StartingPoint start = new AgencyApertures(db).startingPoint();
            for (ContentKind kind : ContentKind.values()) {
                db.update(PANE_APERTURE)
                        .set(PANE_APERTURE.PENDING, start.of(kind))
                        .where(PANE_APERTURE.PANE_ID.eq(pane), PANE_APERTURE.KIND.eq(kind))
                        .execute();
                setFolders(
                        pane,
                        kind,
                        start.filters(kind).stream()
                                .map(filter -> filter.text())
                                .collect(Collectors.toSet()));
            }
        }
    }

    private static void put(
            Map<PaneId, Map<ItemId, Setting>> into, PaneId pane, ItemId item, Showing showing, Actor by, Instant at) {
        if (showing != Showing.UNSET) {
            into.computeIfAbsent(pane, id -> new HashMap<>()).put(item, new Setting(showing, by, at));
        }
    }

    /**
     * Changes what a pane lets through of one kind, pending until it is published; a pane that followed the starting
     * point has its own from now on.
     */
    public void setAperture(PaneId pane, ContentKind kind, Aperture aperture) {
        giveItsOwn(pane);
        db.update(PANE_APERTURE)
                .set(PANE_APERTURE.PENDING, aperture)
                .where(PANE_APERTURE.PANE_ID.eq(pane), PANE_APERTURE.KIND.eq(kind))
                .execute();
    }

    /** Names the folders that pass a Filtered aperture, pending until it is published. */
    public void setFilters(PaneId pane, ContentKind kind, Set<String> folders) {
        giveItsOwn(pane);
        setFolders(pane, kind, folders);
    }

    private void setFolders(PaneId pane, ContentKind kind, Set<String> folders) {
        folders.forEach(folder -> db.insertInto(PANE_FILTER)
                .set(PANE_FILTER.PANE_ID, pane)
                .set(PANE_FILTER.KIND, kind)
                .set(PANE_FILTER.NAMED, folder)
                .set(PANE_FILTER.PUBLISHED, false)
                .set(PANE_FILTER.PENDING, false)
                .onConflictDoNothing()
                .execute());
        db.update(PANE_FILTER)
                .set(PANE_FILTER.PENDING, DSL.field(PANE_FILTER.NAMED.in(folders)))
                .where(PANE_FILTER.PANE_ID.eq(pane), PANE_FILTER.KIND.eq(kind))
                .execute();
    }

    /** From now on new items of a kind arrive Shown at a pane, or unset again. */
    public void setArrivals(PaneId pane, ContentKind kind, boolean shown, Actor by, Instant now) {
        db.deleteFrom(PANE_ARRIVAL)
                .where(PANE_ARRIVAL.PANE_ID.eq(pane), PANE_ARRIVAL.KIND.eq(kind))
                .execute();
        if (shown) {
            db.insertInto(PANE_ARRIVAL)
                    .set(PANE_ARRIVAL.PANE_ID, pane)
                    .set(PANE_ARRIVAL.KIND, kind)
                    .set(PANE_ARRIVAL.SET_BY, by)
                    .set(PANE_ARRIVAL.SET_AT, now)
                    .execute();
        }
    }

    /** Who made new items of a kind arrive Shown, and when. */
    public record Arrivals(PaneId pane, ContentKind kind, Actor by, Instant since) {}

    /** Shows a new item at a pane at once, published and pending. */
    public void arriveShown(PaneId pane, ItemId item, Actor by, Instant now) {
        arrive(pane, item, Showing.SHOWN, by, now);
    }

    /** Holds a new item back from a pane, at once. */
    public void arriveHeldBack(PaneId pane, ItemId item, Actor by, Instant now) {
        arrive(pane, item, Showing.HELD_BACK, by, now);
    }

    /** Holds back from a new pane what the people of others keep for themselves, whatever it was made like. */
    public void holdBackOwnOfOthers(PaneId pane, ProjectId project, Actor by, Instant now) {
        List<ItemId> own = db.select(FOLDER.ITEM_ID)
                .from(FOLDER)
                .join(ITEM)
                .on(ITEM.ID.eq(FOLDER.ITEM_ID))
                .where(ITEM.PROJECT_ID.eq(project), FOLDER.PANE_ID.isNotNull(), FOLDER.PANE_ID.ne(pane))
                .fetch(FOLDER.ITEM_ID);
        db.deleteFrom(SHOWING)
                .where(SHOWING.PANE_ID.eq(pane), SHOWING.ITEM_ID.in(own))
                .execute();
        own.forEach(item -> arriveHeldBack(pane, item, by, now));
    }

    private void arrive(PaneId pane, ItemId item, Showing showing, Actor by, Instant now) {
        db.insertInto(SHOWING)
                .set(SHOWING.PANE_ID, pane)
                .set(SHOWING.ITEM_ID, item)
                .set(SHOWING.PUBLISHED, showing)
                .set(SHOWING.PENDING, showing)
                .set(SHOWING.SET_BY, by)
                .set(SHOWING.SET_AT, now)
                .execute();
    }

    /** The sections of a pane that have words or a place of their own, in order. */
    public List<Section> sections(PaneId pane) {
        return db.select(
                        PANE_SECTION.KIND,
                        PANE_SECTION.POSITION,
                        PANE_SECTION.TITLE,
                        PANE_SECTION.LINE,
                        PANE_SECTION.OFF)
                .from(PANE_SECTION)
                .where(PANE_SECTION.PANE_ID.eq(pane))
                .orderBy(PANE_SECTION.POSITION, PANE_SECTION.KIND)
                .fetch(Records.mapping(Section::new));
    }

    /** Gives the sections of a pane their words and order, at once. */
    public void setSections(PaneId pane, List<Section> sections) {
        db.deleteFrom(PANE_SECTION).where(PANE_SECTION.PANE_ID.eq(pane)).execute();
        sections.forEach(section -> db.insertInto(PANE_SECTION)
                .set(PANE_SECTION.PANE_ID, pane)
                .set(PANE_SECTION.KIND, section.kind())
                .set(PANE_SECTION.POSITION, section.position())
                .set(PANE_SECTION.TITLE, section.title())
                .set(PANE_SECTION.LINE, section.line())
                .set(PANE_SECTION.OFF, section.off())
                .execute());
    }

    /**
     * Makes a pane like another one of any project: its apertures, filters, arrivals, words and sections, pending; not
     * its seats, and of single items only what the new pane's project has too.
     */
    public PaneId copy(PaneId from, ProjectId project, String name, Instant now) {
        Row like = find(from).orElseThrow();
        PaneId id = add(project, name, like.welcome(), now);
        db.update(PANE)
                .set(PANE.FOLLOWS_PENDING, like.willFollow())
                .set(PANE.GUIDE, like.guide())
                .set(PANE.COVER, like.cover())
                .where(PANE.ID.eq(id))
                .execute();
        for (ContentKind kind : ContentKind.values()) {
            db.update(PANE_APERTURE)
                    .set(
                            PANE_APERTURE.PENDING,
                            DSL.field(db.select(OTHER.PENDING)
                                    .from(OTHER)
                                    .where(OTHER.PANE_ID.eq(from), OTHER.KIND.eq(kind))))
                    .where(PANE_APERTURE.PANE_ID.eq(id), PANE_APERTURE.KIND.eq(kind))
                    .execute();
        }
        setSections(id, sections(from));
        db.insertInto(
                        PANE_FILTER,
                        PANE_FILTER.PANE_ID,
                        PANE_FILTER.KIND,
                        PANE_FILTER.NAMED,
                        PANE_FILTER.PUBLISHED,
                        PANE_FILTER.PENDING)
                .select(db.select(
                                DSL.val(id, PANE_FILTER.PANE_ID),
                                PANE_FILTER.KIND,
                                PANE_FILTER.NAMED,
                                DSL.inline(false),
                                PANE_FILTER.PENDING)
                        .from(PANE_FILTER)
                        .where(PANE_FILTER.PANE_ID.eq(from)))
                .execute();
        db.insertInto(PANE_ARRIVAL, PANE_ARRIVAL.PANE_ID, PANE_ARRIVAL.KIND, PANE_ARRIVAL.SET_BY, PANE_ARRIVAL.SET_AT)
                .select(db.select(
                                DSL.val(id, PANE_ARRIVAL.PANE_ID),
                                PANE_ARRIVAL.KIND,
                                PANE_ARRIVAL.SET_BY,
                                DSL.val(now, PANE_ARRIVAL.SET_AT))
                        .from(PANE_ARRIVAL)
                        .where(PANE_ARRIVAL.PANE_ID.eq(from)))
                .execute();
        db.insertInto(
                        SHOWING,
                        SHOWING.PANE_ID,
                        SHOWING.ITEM_ID,
                        SHOWING.PUBLISHED,
                        SHOWING.PENDING,
                        SHOWING.SET_BY,
                        SHOWING.SET_AT)
                .select(db.select(
                                DSL.val(id, SHOWING.PANE_ID),
                                SHOWING.ITEM_ID,
                                DSL.val(Showing.UNSET, SHOWING.PUBLISHED),
                                SHOWING.PENDING,
                                SHOWING.SET_BY,
                                SHOWING.SET_AT)
                        .from(SHOWING)
                        .join(ITEM)
                        .on(ITEM.ID.eq(SHOWING.ITEM_ID))
                        .where(SHOWING.PANE_ID.eq(from), ITEM.PROJECT_ID.eq(project)))
                .execute();
        return id;
    }

    /** Says of one item that it is shown, held back or neither at one pane, pending until it is published. */
    public void setShowing(PaneId pane, ItemId item, Setting setting) {
        write(pane, item, setting.showing(), setting.by(), setting.at());
    }

    /** Leaves one item to the aperture again. */
    public void unset(PaneId pane, ItemId item, Actor by, Instant now) {
        write(pane, item, Showing.UNSET, by, now);
    }

    /** Says the same of many items at one pane, pending until it is published. */
    public void setShowings(PaneId pane, Collection<ItemId> items, Showing showing, Actor by, Instant now) {
        Set<ItemId> known = db.select(SHOWING.ITEM_ID)
                .from(SHOWING)
                .where(SHOWING.PANE_ID.eq(pane))
                .fetchSet(SHOWING.ITEM_ID);
        List<ItemId> changed = items.stream().filter(known::contains).toList();
        for (int from = 0; from < changed.size(); from += BATCH) {
            db.update(SHOWING)
                    .set(SHOWING.PENDING, showing)
                    .set(SHOWING.SET_BY, by)
                    .set(SHOWING.SET_AT, now)
                    .where(
                            SHOWING.PANE_ID.eq(pane),
                            SHOWING.ITEM_ID.in(changed.subList(from, Math.min(changed.size(), from + BATCH))))
                    .execute();
        }
        db.batch(items.stream()
                        .distinct()
                        .filter(item -> !known.contains(item))
                        .map(item -> db.insertInto(SHOWING)
                                .set(SHOWING.PANE_ID, pane)
                                .set(SHOWING.ITEM_ID, item)
                                .set(SHOWING.PUBLISHED, Showing.UNSET)
                                .set(SHOWING.PENDING, showing)
                                .set(SHOWING.SET_BY, by)
                                .set(SHOWING.SET_AT, now))
                        .toList())
                .execute();
    }

    private void write(PaneId pane, ItemId item, Showing showing, Actor by, Instant now) {
        int changed = db.update(SHOWING)
                .set(SHOWING.PENDING, showing)
                .set(SHOWING.SET_BY, by)
                .set(SHOWING.SET_AT, now)
                .where(SHOWING.PANE_ID.eq(pane), SHOWING.ITEM_ID.eq(item))
                .execute();
        if (changed == 0) {
            db.insertInto(SHOWING)
                    .set(SHOWING.PANE_ID, pane)
                    .set(SHOWING.ITEM_ID, item)
                    .set(SHOWING.PUBLISHED, Showing.UNSET)
                    .set(SHOWING.PENDING, showing)
                    .set(SHOWING.SET_BY, by)
                    .set(SHOWING.SET_AT, now)
                    .execute();
        }
    }

    /** Holds an item back for every pane, at once. */
    public void holdBackEverywhere(ItemId item, Actor by, Instant now) {
        db.insertInto(HELD_BACK_EVERYWHERE)
                .set(HELD_BACK_EVERYWHERE.ITEM_ID, item)
                .set(HELD_BACK_EVERYWHERE.SET_BY, by)
                .set(HELD_BACK_EVERYWHERE.SET_AT, now)
                .onConflictDoNothing()
                .execute();
    }

    /** Whether an item is held back for every pane. */
    public boolean isHeldBackEverywhere(ItemId item) {
        return db.fetchExists(HELD_BACK_EVERYWHERE, HELD_BACK_EVERYWHERE.ITEM_ID.eq(item));
    }

    /** Leaves an item to the panes again. */
    public void letGo(ItemId item) {
        db.deleteFrom(HELD_BACK_EVERYWHERE)
                .where(HELD_BACK_EVERYWHERE.ITEM_ID.eq(item))
                .execute();
    }

    /**
     * Makes what is pending what is seen. @throws app.clearpane.store.Stale if the pane was changed since it was read
     */
    public void publish(Row read, Instant now) {
        app.clearpane.store.Stale.unlessOne(
                db.update(PANE)
                        .set(PANE.REVISION, PANE.REVISION.plus(1))
                        .set(PANE.PUBLISHED_AT, org.jooq.impl.DSL.coalesce(PANE.PUBLISHED_AT, now))
                        .set(PANE.FOLLOWS, PANE.FOLLOWS_PENDING)
                        .where(PANE.ID.eq(read.id()), PANE.REVISION.eq(read.revision()))
                        .execute(),
                read.name());
        db.update(PANE_APERTURE)
                .set(PANE_APERTURE.PUBLISHED, PANE_APERTURE.PENDING)
                .where(PANE_APERTURE.PANE_ID.eq(read.id()))
                .execute();
        db.update(PANE_FILTER)
                .set(PANE_FILTER.PUBLISHED, PANE_FILTER.PENDING)
                .where(PANE_FILTER.PANE_ID.eq(read.id()))
                .execute();
        db.update(SHOWING)
                .set(SHOWING.PUBLISHED, SHOWING.PENDING)
                .where(SHOWING.PANE_ID.eq(read.id()))
                .execute();
    }

    /**
     * Lets nobody see anything through a pane; its settings stay. @throws app.clearpane.store.Stale if it was changed
     * since it was read
     */
    public void unpublish(Row read) {
        app.clearpane.store.Stale.unlessOne(
                db.update(PANE)
                        .set(PANE.REVISION, PANE.REVISION.plus(1))
                        .setNull(PANE.PUBLISHED_AT)
                        .where(PANE.ID.eq(read.id()), PANE.REVISION.eq(read.revision()))
                        .execute(),
                read.name());
    }

    /**
     * Whether anything ever happened at a pane: somebody came in by a seat or a link, something is decided there, or
     * was marked there.
     */
    public boolean isUsed(PaneId id) {
        return db.fetchExists(db.selectOne()
                .from(PANE)
                .where(PANE.ID.eq(id))
                .and(DSL.exists(db.selectOne().from(VISIT).where(VISIT.PANE_ID.eq(id)))
                        .or(DSL.exists(
                                db.selectOne().from(SEAT).where(SEAT.PANE_ID.eq(id), SEAT.ACCEPTED_AT.isNotNull())))
                        .or(DSL.exists(db.selectOne().from(DELIVERABLE).where(DELIVERABLE.PANE_ID.eq(id))))
                        .or(DSL.exists(db.selectOne().from(MARKUP).where(MARKUP.PANE_ID.eq(id))))
                        .or(DSL.exists(db.selectOne()
                                .from(LINK_OPENING)
                                .join(LINK_SEAT)
                                .on(LINK_SEAT.ID.eq(LINK_OPENING.LINK_SEAT_ID))
                                .where(LINK_SEAT.PANE_ID.eq(id))))));
    }

    /**
     * Removes a pane that was never used, with all that belongs to it. @throws app.clearpane.store.Stale if it was
     * changed since it was read
     */
    public void remove(Row read) {
        PaneId id = read.id();
        db.deleteFrom(FEED)
                .where(FEED.SEAT_ID.in(db.select(SEAT.ID).from(SEAT).where(SEAT.PANE_ID.eq(id))))
                .execute();
        db.deleteFrom(SEAT).where(SEAT.PANE_ID.eq(id)).execute();
        db.deleteFrom(LINK_SEAT).where(LINK_SEAT.PANE_ID.eq(id)).execute();
        db.deleteFrom(PANE_APERTURE).where(PANE_APERTURE.PANE_ID.eq(id)).execute();
        db.deleteFrom(PANE_FILTER).where(PANE_FILTER.PANE_ID.eq(id)).execute();
        db.deleteFrom(PANE_ARRIVAL).where(PANE_ARRIVAL.PANE_ID.eq(id)).execute();
        db.deleteFrom(PANE_SECTION).where(PANE_SECTION.PANE_ID.eq(id)).execute();
        db.deleteFrom(SHOWING).where(SHOWING.PANE_ID.eq(id)).execute();
        app.clearpane.store.Stale.unlessOne(
                db.deleteFrom(PANE)
                        .where(PANE.ID.eq(id), PANE.REVISION.eq(read.revision()))
                        .execute(),
                read.name());
    }

    /**
     * Sets everything again as it was published. @throws app.clearpane.store.Stale if the pane was changed since it was
     * read
     */
    public void discard(Row read) {
        app.clearpane.store.Stale.unlessOne(
                db.update(PANE)
                        .set(PANE.REVISION, PANE.REVISION.plus(1))
                        .set(PANE.FOLLOWS_PENDING, PANE.FOLLOWS)
                        .where(PANE.ID.eq(read.id()), PANE.REVISION.eq(read.revision()))
                        .execute(),
                read.name());
        db.update(PANE_APERTURE)
                .set(PANE_APERTURE.PENDING, PANE_APERTURE.PUBLISHED)
                .where(PANE_APERTURE.PANE_ID.eq(read.id()))
                .execute();
        db.update(PANE_FILTER)
                .set(PANE_FILTER.PENDING, PANE_FILTER.PUBLISHED)
                .where(PANE_FILTER.PANE_ID.eq(read.id()))
                .execute();
        db.update(SHOWING)
                .set(SHOWING.PENDING, SHOWING.PUBLISHED)
                .where(SHOWING.PANE_ID.eq(read.id()))
                .execute();
    }

    /**
     * Changes a pane's name, welcome, guide, first and last day. @throws app.clearpane.store.Stale if it was changed
     * since it was read
     */
    public void change(Row wanted) {
        app.clearpane.store.Stale.unlessOne(
                db.update(PANE)
                        .set(PANE.NAME, wanted.name())
                        .set(PANE.WELCOME, wanted.welcome())
                        .set(PANE.GUIDE, wanted.guide())
                        .set(PANE.COVER, wanted.cover())
                        .set(PANE.OPENS_AT, wanted.opensAt())
                        .set(PANE.CLOSES_AT, wanted.closesAt())
                        .set(PANE.REVISION, PANE.REVISION.plus(1))
                        .where(PANE.ID.eq(wanted.id()), PANE.REVISION.eq(wanted.revision()))
                        .execute(),
                wanted.name());
    }
}
