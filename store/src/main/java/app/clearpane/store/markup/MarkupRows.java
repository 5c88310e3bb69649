package app.clearpane.store.markup;

import static app.clearpane.store.schema.Tables.MARKUP;
import static app.clearpane.store.schema.Tables.MARKUP_ANSWER;
import static app.clearpane.store.schema.Tables.MARKUP_ATTACHMENT;
import static app.clearpane.store.schema.Tables.MARKUP_EDIT;
import static app.clearpane.store.schema.Tables.MARKUP_REFERENCE;
import static app.clearpane.store.schema.Tables.VERSION;
import static org.jooq.impl.DSL.inline;
import static org.jooq.impl.DSL.multiset;
import static org.jooq.impl.DSL.row;
import static org.jooq.impl.DSL.select;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.markup.MarkupId;
import app.clearpane.core.markup.MarkupLabel;
import app.clearpane.core.markup.MarkupProgress;
import app.clearpane.core.markup.Place;
import app.clearpane.core.markup.Spots;
import app.clearpane.core.people.Actor;
import app.clearpane.store.schema.tables.Version;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Record;
import org.jooq.Records;
import org.jooq.SelectField;
import org.jspecify.annotations.Nullable;

/** How marks are read, on either side of the glass. */
public final class MarkupRows {
    private static final Version FIX = VERSION.as("fix");
    private static final Field<List<Mark.Earlier>> EARLIER = multiset(
                    select(MARKUP_EDIT.NOTE, MARKUP_EDIT.INTENT, MARKUP_EDIT.REPLACEMENT, MARKUP_EDIT.EDITED_AT)
                            .from(MARKUP_EDIT)
                            .where(MARKUP_EDIT.MARKUP_ID.eq(MARKUP.ID))
                            .orderBy(MARKUP_EDIT.SEQUENCE))
            .as("earlier")
            .convertFrom(rows -> rows.map(Records.mapping((note, intent, replacement, until) ->
                    new Mark.Earlier(note, intent, Optional.ofNullable(replacement), until))));
    private static final Field<List<Mark.Earlier>> NEVER_CHANGED =
            inline("").as("earlier").convertFrom(nothing -> List.of());
    private static final SelectField<Mark.With> WITH_NOTE = with(
            MARKUP_ATTACHMENT.MARKUP_ID.eq(MARKUP.ID).and(MARKUP_ATTACHMENT.ANSWER_ID.isNull()),
            MARKUP_REFERENCE.MARKUP_ID.eq(MARKUP.ID).and(MARKUP_REFERENCE.ANSWER_ID.isNull()));
    private static final SelectField<Mark.With> WITH_ANSWER =
            with(MARKUP_ATTACHMENT.ANSWER_ID.eq(MARKUP_ANSWER.ID), MARKUP_REFERENCE.ANSWER_ID.eq(MARKUP_ANSWER.ID));
    private static final SelectField<Mark.With> NOT_READ =
            inline("").as("beside").convertFrom(nothing -> Mark.With.NOTHING);

    private MarkupRows() {}

    private static SelectField<Mark.With> with(Condition attached, Condition called) {
        return row(
                        multiset(select(
                                                MARKUP_ATTACHMENT.ID,
                                                MARKUP_ATTACHMENT.SHA256,
                                                MARKUP_ATTACHMENT.NAME,
                                                MARKUP_ATTACHMENT.MEDIA_TYPE,
                                                MARKUP_ATTACHMENT.SIZE_BYTES)
                                        .from(MARKUP_ATTACHMENT)
                                        .where(attached)
                                        .orderBy(MARKUP_ATTACHMENT.SEQUENCE))
                                .convertFrom(rows -> rows.map(Records.mapping(Mark.Attachment::new))),
                        multiset(select(
                                                MARKUP_REFERENCE.WRITTEN,
                                                MARKUP_REFERENCE.ITEM_ID,
                                                MARKUP_REFERENCE.MEMBER_ID,
                                                MARKUP_REFERENCE.CONTACT_ID)
                                        .from(MARKUP_REFERENCE)
                                        .where(called)
                                        .orderBy(MARKUP_REFERENCE.SEQUENCE))
                                .convertFrom(rows -> rows.map(Records.mapping(MarkupRows::reference))))
                .convertFrom(Records.mapping(Mark.With::new))
                .as("beside");
    }

    /**
     * The marks that meet one condition with the answers that meet another, by version, those that clients see by their
     * number and then those for the team.
     *
     * @param marks on {@code markup} and {@code version}
     * @param answers on {@code markup_answer}
     */
    public static List<Mark> where(DSLContext db, Condition marks, Condition answers) {
        return marks(db, marks, threads(db, marks.and(answers)), EARLIER, WITH_NOTE);
    }

    /**
     * A file that came with a note or an answer. @param condition on {@code markup_attachment}, {@code markup},
     * {@code version} and, where it came with an answer, {@code markup_answer}
     */
    public static Optional<Mark.Attachment> attachment(DSLContext db, Condition condition) {
        return db.select(
                        MARKUP_ATTACHMENT.ID,
                        MARKUP_ATTACHMENT.SHA256,
                        MARKUP_ATTACHMENT.NAME,
                        MARKUP_ATTACHMENT.MEDIA_TYPE,
                        MARKUP_ATTACHMENT.SIZE_BYTES)
                .from(MARKUP_ATTACHMENT)
                .join(MARKUP)
                .on(MARKUP.ID.eq(MARKUP_ATTACHMENT.MARKUP_ID))
                .join(VERSION)
                .on(VERSION.ID.eq(MARKUP.VERSION_ID))
                .leftJoin(MARKUP_ANSWER)
                .on(MARKUP_ANSWER.ID.eq(MARKUP_ATTACHMENT.ANSWER_ID))
                .where(condition)
                .fetchOptional(Records.mapping(Mark.Attachment::new));
    }

    /** The marks that meet a condition, without their threads. */
    static List<Mark> alone(DSLContext db, Condition marks) {
        return marks(db, marks, Map.of(), NEVER_CHANGED, NOT_READ);
    }

    private static Map<MarkupId, List<Mark.Answer>> threads(DSLContext db, Condition condition) {
        return db.select(
                        MARKUP_ANSWER.MARKUP_ID,
                        MARKUP_ANSWER.ACT,
                        MARKUP_ANSWER.SAID,
                        MARKUP_ANSWER.TEAM_ONLY,
                        MARKUP_ANSWER.AUTHOR,
                        MARKUP_ANSWER.AUTHOR_CONTACT,
                        MARKUP_ANSWER.AUTHOR_MEMBER,
                        MARKUP_ANSWER.CREATED_AT,
                        WITH_ANSWER)
                .from(MARKUP_ANSWER)
                .join(MARKUP)
                .on(MARKUP.ID.eq(MARKUP_ANSWER.MARKUP_ID))
                .join(VERSION)
                .on(VERSION.ID.eq(MARKUP.VERSION_ID))
                .where(condition)
                .orderBy(MARKUP_ANSWER.SEQUENCE)
                .fetchGroups(
                        MARKUP_ANSWER.MARKUP_ID,
                        row -> new Mark.Answer(
                                Optional.ofNullable(row.value2()).map(MarkupProgress.Act::valueOf),
                                row.value3(),
                                row.value4(),
                                Actor.kept(row.value5(), row.value6(), row.value7()),
                                row.value8(),
                                row.value9()));
    }

    private static List<Mark> marks(
            DSLContext db,
            Condition marks,
            Map<MarkupId, List<Mark.Answer>> threads,
            Field<List<Mark.Earlier>> earlier,
            SelectField<Mark.With> with) {
        return db.select(MARKUP.fields())
                .select(VERSION.NUMBER, FIX.NUMBER, earlier, with)
                .from(MARKUP)
                .join(VERSION)
                .on(VERSION.ID.eq(MARKUP.VERSION_ID))
                .leftJoin(FIX)
                .on(FIX.ID.eq(MARKUP.FIXED_IN))
                .where(marks)
                .orderBy(VERSION.CREATED_AT, MARKUP.NUMBER, MARKUP.TEAM_NUMBER, MARKUP.ID)
                .fetch(row -> markup(row, threads, row.get(earlier), row.get("beside", Mark.With.class)));
    }

    private static Mark markup(
            Record row, Map<MarkupId, List<Mark.Answer>> threads, List<Mark.Earlier> earlier, Mark.With with) {
        MarkupId id = row.get(MARKUP.ID);
        return new Mark(
                id,
                row.get(MARKUP.VERSION_ID),
                row.get(MARKUP.PANE_ID),
                label(row.get(VERSION.NUMBER), row.get(MARKUP.NUMBER), row.get(MARKUP.TEAM_NUMBER)),
                place(row),
                row.get(MARKUP.INTENT),
                row.get(MARKUP.PROGRESS),
                row.get(MARKUP.NOTE),
                Optional.ofNullable(row.get(MARKUP.REPLACEMENT)),
                Actor.kept(row.get(MARKUP.AUTHOR), row.get(MARKUP.AUTHOR_CONTACT), row.get(MARKUP.AUTHOR_MEMBER)),
                Optional.ofNullable(row.get(MARKUP.FIXED_IN))
                        .map(fix -> new Mark.Fix(fix, Optional.ofNullable(row.get(FIX.NUMBER)))),
                row.get(MARKUP.REVISION),
                row.get(MARKUP.CREATED_AT),
                threads.getOrDefault(id, List.of()),
                earlier,
                new Mark.Beside(
                        with,
                        Optional.ofNullable(row.get(MARKUP.DOER_ID)),
                        Optional.ofNullable(row.get(MARKUP.TASK_ID)),
                        Optional.ofNullable(row.get(MARKUP.JOINED_TO))));
    }

    /** What a mark is called that was kept with these numbers; the database keeps one of the two. */
    static MarkupLabel label(@Nullable Integer version, @Nullable Integer number, @Nullable Integer teamNumber) {
        return number != null && version != null
                ? new MarkupLabel.Numbered(version, number)
                : MarkupLabel.forTeam(Optional.ofNullable(version), teamNumber == null ? 1 : teamNumber);
    }

    private static Mark.Reference reference(
            String written, @Nullable ItemId item, @Nullable TeamMemberId member, @Nullable ContactId contact) {
        return new Mark.Reference(
                written,
                item != null
                        ? new Mark.Called.Thing(item)
                        : Mark.Called.person(Actor.kept(written, contact, member))
                                .orElseThrow());
    }

    private static Place place(Record row) {
        String quote = row.get(MARKUP.QUOTE);
        if (quote != null) {
            int start = row.get(MARKUP.TEXT_START);
            return new Place.TextRange(
                    start, start + quote.length(), quote, row.get(MARKUP.QUOTE_BEFORE), row.get(MARKUP.QUOTE_AFTER));
        }
        Double from = row.get(MARKUP.SECONDS_FROM);
        return from == null ? shape(row).orElseThrow() : new Place.Moment(from, row.get(MARKUP.SECONDS_TO), shape(row));
    }

    private static Optional<Place> shape(Record row) {
        int page = row.get(MARKUP.PAGE);
        double x1 = row.get(MARKUP.X1);
        double y1 = row.get(MARKUP.Y1);
        double x2 = row.get(MARKUP.X2);
        double y2 = row.get(MARKUP.Y2);
        return switch (row.get(MARKUP.SHAPE)) {
            case "NONE" -> Optional.empty();
            case "POINT" -> Optional.of(new Place.Point(page, x1, y1));
            case "RECTANGLE" -> Optional.of(new Place.Rectangle(page, x1, y1, x2, y2));
            case "ELLIPSE" -> Optional.of(new Place.Ellipse(page, x1, y1, x2, y2));
            case "LINE" -> Optional.of(new Place.Line(page, x1, y1, x2, y2));
            case "FREEHAND" -> Optional.of(new Place.Freehand(page, Spots.read(row.get(MARKUP.SPOTS))));
            case "ARROW" -> Optional.of(new Place.Arrow(page, x1, y1, x2, y2));
            default -> throw new IllegalStateException("the database refuses other shapes");
        };
    }

    /** What a place is written to: the columns of its shape, of its stretch of text, and of its time. */
    static Map<Field<?>, Object> columns(Place place) {
        Map<Field<?>, Object> columns = new HashMap<>();
        Columns shape = place instanceof Place.TextRange
                ? Columns.NONE
                : place instanceof Place.Moment m ? m.shape().map(Columns::of).orElse(Columns.NONE) : Columns.of(place);
        columns.putAll(Map.of(
                MARKUP.PAGE,
                place.page(),
                MARKUP.SHAPE,
                shape.shape,
                MARKUP.X1,
                shape.x1,
                MARKUP.Y1,
                shape.y1,
                MARKUP.X2,
                shape.x2,
                MARKUP.Y2,
                shape.y2));
        columns.put(MARKUP.SPOTS, shape.spots);
        if (place instanceof Place.TextRange range) {
            columns.putAll(Map.of(
                    MARKUP.TEXT_START,
                    range.start(),
                    MARKUP.QUOTE,
                    range.quote(),
                    MARKUP.QUOTE_BEFORE,
                    range.before(),
                    MARKUP.QUOTE_AFTER,
                    range.after()));
        }
        if (place instanceof Place.Moment moment) {
            columns.putAll(Map.of(MARKUP.SECONDS_FROM, moment.from(), MARKUP.SECONDS_TO, moment.to()));
        }
        return columns;
    }

    /** The columns a shape is written to. @param spots those of a line drawn by hand; null for other shapes */
    private record Columns(
            String shape,
            double x1,
            double y1,
            double x2,
            double y2,
            @Nullable String spots) {
        static final Columns NONE = new Columns("NONE", 0, 0, 0, 0, null);

        static Columns of(Place place) {
            if (place instanceof Place.Rectangle r) {
                return new Columns("RECTANGLE", r.x(), r.y(), r.width(), r.height(), null);
            }
            if (place instanceof Place.Ellipse e) {
                return new Columns("ELLIPSE", e.x(), e.y(), e.width(), e.height(), null);
            }
            if (place instanceof Place.Line l) {
                return new Columns("LINE", l.fromX(), l.fromY(), l.toX(), l.toY(), null);
            }
            if (place instanceof Place.Arrow a) {
                return new Columns("ARROW", a.fromX(), a.fromY(), a.toX(), a.toY(), null);
            }
            if (place instanceof Place.Freehand f) {
                return new Columns("FREEHAND", f.centreX(), f.centreY(), 0, 0, Spots.write(f.spots()));
            }
            return new Columns("POINT", place.centreX(), place.centreY(), 0, 0, null);
        }
    }
}
