package app.clearpane.store.markup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.clearpane.core.agency.ContactId;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.exposure.PaneId;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.markup.Intent;
import app.clearpane.core.markup.Mark;
import app.clearpane.core.markup.MarkupId;
import app.clearpane.core.markup.MarkupLabel;
import app.clearpane.core.markup.MarkupProgress;
import app.clearpane.core.markup.Place;
import app.clearpane.core.people.Actor;
import app.clearpane.store.AHouse;
import app.clearpane.store.FreshDatabase;
import app.clearpane.store.Stale;
import app.clearpane.store.deliverable.Deliverables;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Marks are read as they were kept, and nobody overwrites what somebody else has changed. */
class MarkupsTest {
    private final AHouse house = new AHouse(FreshDatabase.inMemory());
    private final Markups markups = new Markups(house.db);
    private final PaneId pane = house.pane("The board");
    private final ItemId map = house.deliverable("Visitor map", pane);
    private final ContactId jasper = house.contact("jasper").id();
    private final VersionId version = version(1);

    private VersionId version(int number) {
        Deliverables deliverables = new Deliverables(house.db);
        Version draft = new Version(
                new VersionId(UUID.randomUUID()),
                map,
                null,
                Sha256.ofText("map " + number),
                "map.pdf",
                "application/pdf",
                9,
                "",
                Actor.kept("Teo"),
                AHouse.NOW.plusSeconds(number),
                null);
        deliverables.addVersion(draft);
        deliverables.numberAndSend(draft, number, AHouse.NOW.plusSeconds(number));
        return draft.id();
    }

    private MarkupLabel next(PaneId at, boolean forTeam) {
        return markups.nextLabel(new Deliverables(house.db).version(version).orElseThrow(), at, forTeam);
    }

    private Mark kept(Place place, boolean forTeam, Mark.With with) {
        Mark mark = Mark.placed(
                new MarkupId(UUID.randomUUID()),
                version,
                pane,
                next(pane, forTeam),
                place,
                new Mark.Wish(Intent.CHANGE, "Larger, please.", Optional.empty()),
                new Actor.OfClient(jasper, "Jasper"),
                AHouse.NOW.plusSeconds(markups.marksOf(map).size()),
                Mark.Beside.with(with));
        markups.add(mark);
        return mark;
    }

    private Mark kept() {
        return kept(new Place.Point(1, 0.5, 0.5), false, Mark.With.NOTHING);
    }

    private Mark now(Mark mark) {
        return markups.find(mark.id()).orElseThrow();
    }

    private Mark.Answer answer(MarkupProgress.@Nullable Act act, String said, boolean teamOnly, int second) {
        return new Mark.Answer(
                Optional.ofNullable(act),
                said,
                teamOnly,
                new Actor.OfClient(jasper, "Jasper"),
                AHouse.NOW.plusSeconds(second),
                Mark.With.NOTHING);
    }

    @ParameterizedTest(name = "seed {0}")
    @ValueSource(longs = {1, 2, 3, 4})
    void everyPlaceIsReadAsItWasKept(long seed) {
        Random random = new Random(seed);
        List<Place> places = new ArrayList<>();
        for (int i = 0; i < 8; i++) {
            places.addAll(List.of(
                    shape(random, i),
                    new Place.Moment(
                            random.nextInt(100) / 8.0,
                            20 + random.nextDouble(),
                            random.nextBoolean() ? Optional.empty() : Optional.of(shapeOnPicture(random, i))),
                    stretch(random)));
        }
        List<Mark> kept = places.stream()
                .map(place -> kept(place, random.nextBoolean(), Mark.With.NOTHING))
                .toList();
        assertThat(markups.marksOf(map))
                .containsExactlyInAnyOrderElementsOf(kept)
                .isEqualTo(markups.withoutThreads(map))
                .isEqualTo(markups.marksOf(house.project));
    }

    private static Place shape(Random random, int kind) {
        int page = 1 + random.nextInt(40);
        double x = random.nextDouble() / 2;
        double y = random.nextDouble() / 2;
        return switch (kind % 6) {
            case 0 -> new Place.Point(page, x, y);
            case 1 -> new Place.Rectangle(page, x, y, 0.01 + random.nextDouble() / 3, 0.01 + random.nextDouble() / 3);
            case 2 -> new Place.Ellipse(page, x, y, 0.01 + random.nextDouble() / 3, 0.01 + random.nextDouble() / 3);
            case 3 -> new Place.Line(page, x, y, random.nextDouble(), random.nextDouble());
            case 4 -> new Place.Arrow(page, x, y, random.nextDouble(), random.nextDouble());
            default ->
                new Place.Freehand(
                        page,
                        random.ints(2 + random.nextInt(30), 0, 1_000_001)
                                .mapToObj(millionth -> new Place.Spot(millionth / 1e6, (1_000_000 - millionth) / 1e6))
                                .toList());
        };
    }

    private static Place shapeOnPicture(Random random, int kind) {
        return shape(random, kind).brought(1, spot -> spot);
    }

    private static Place stretch(Random random) {
        String text = "The dome · 圆顶 · القبة 🌒 of the old observatory,\nas it was.\t“Quoted” and 'quoted'. ".repeat(3);
        int start = random.nextInt(text.length() - 20);
        return Place.TextRange.in(text, start, start + 1 + random.nextInt(19));
    }

    @Test
    void marksForTheTeamAreCountedApart() {
        kept();
        kept(new Place.Point(1, 0.1, 0.1), true, Mark.With.NOTHING);
        kept();
        assertThat(markups.marksOf(map))
                .extracting(mark -> mark.label().toString())
                .as("those that clients see first")
                .containsExactly("1·1", "1·2", "1·a");
        assertThat(markups.marksOf(map)).extracting(Mark::teamOnly).containsExactly(false, false, true);
        assertThat(next(pane, false)).hasToString("1·3");
        assertThat(next(pane, true)).hasToString("1·b");
        assertThat(next(house.pane("Fabricators"), false))
                .as("each audience has numbers of its own")
                .hasToString("1·1");
    }

    @Test
    void aThreadIsReadInItsOrderWithWhatCameWithIt() {
        Mark.Attachment sketch =
                new Mark.Attachment(UUID.randomUUID(), Sha256.ofText("sketch"), "sketch.jpg", "image/jpeg", 1_234);
        Mark.Reference called = new Mark.Reference("@Jasper", new Mark.Called.Contact(jasper));
        Mark.Reference thing = new Mark.Reference("#Visitor map", new Mark.Called.Thing(map));
        Mark mark = kept(new Place.Point(1, 0.5, 0.5), false, new Mark.With(List.of(sketch), List.of(called)));
        Mark.Attachment photo =
                new Mark.Attachment(UUID.randomUUID(), Sha256.ofText("photo"), "photo.png", "image/png", 99);
        markups.answer(
                mark.id(),
                new Mark.Answer(
                        Optional.empty(),
                        "first",
                        true,
                        new Actor.OfClient(jasper, "Jasper"),
                        AHouse.NOW.plusSeconds(10),
                        new Mark.With(List.of(photo), List.of(thing, called))));
        markups.answer(mark.id(), answer(null, "second", false, 20));
        Mark read = now(mark);
        assertThat(read.answers()).extracting(Mark.Answer::said).containsExactly("first", "second");
        assertThat(read.beside().with()).isEqualTo(mark.beside().with());
        assertThat(read.answers().get(0).with()).isEqualTo(new Mark.With(List.of(photo), List.of(thing, called)));
        assertThat(read.answers().get(1).with()).isEqualTo(Mark.With.NOTHING);
        assertThat(markups.attachment(photo.id())).hasValue(photo);
        assertThat(markups.attachment(UUID.randomUUID())).isEmpty();
        isReadWithoutItsThread();
    }

    private void isReadWithoutItsThread() {
        assertThat(markups.withoutThreads(map)).singleElement().satisfies(alone -> {
            assertThat(alone.answers()).isEmpty();
            assertThat(alone.beside().with()).isEqualTo(Mark.With.NOTHING);
        });
    }

    @Test
    void whatItSaidBeforeIsKeptEachTime() {
        Mark mark = kept();
        Instant first = AHouse.NOW.plusSeconds(60);
        Instant second = AHouse.NOW.plusSeconds(120);
        markups.edit(
                mark,
                new Mark.Wish(Intent.IDEA, "Smaller, please.", Optional.of("hall")),
                List.of(new Mark.Reference("@Jasper", new Mark.Called.Contact(jasper))),
                first);
        markups.edit(now(mark), new Mark.Wish(Intent.KEEP, "As it is.", Optional.empty()), List.of(), second);
        Mark read = now(mark);
        assertThat(read.note()).isEqualTo("As it is.");
        assertThat(read.intent()).isEqualTo(Intent.KEEP);
        assertThat(read.earlier())
                .containsExactly(
                        new Mark.Earlier("Larger, please.", Intent.CHANGE, Optional.empty(), first),
                        new Mark.Earlier("Smaller, please.", Intent.IDEA, Optional.of("hall"), second));
        assertThat(read.beside().with().references())
                .as("whom it called before is not called any more")
                .isEmpty();
        assertThat(read.revision()).isEqualTo(3);
    }

    @Test
    void whoeverReadItBeforeAnotherChangedItChangesNothing() {
        Mark mark = kept();
        Mark other = kept();
        markups.move(mark, MarkupProgress.TAKEN_ON, Optional.empty());
        List<Runnable> late = List.of(
                () -> markups.move(mark, MarkupProgress.WITHDRAWN, Optional.empty()),
                () -> markups.give(mark, null),
                () -> markups.becomes(mark, map),
                () -> markups.join(mark, other.id()),
                () -> house.db.transaction(run -> new Markups(run.dsl())
                        .edit(mark, new Mark.Wish(Intent.CHANGE, "Mine!", Optional.empty()), List.of(), AHouse.NOW)));
        for (Runnable change : late) {
            assertThatThrownBy(change::run).isInstanceOf(Stale.class).hasMessageContaining("The mark");
        }
        Mark read = now(mark);
        assertThat(read.progress()).isEqualTo(MarkupProgress.TAKEN_ON);
        assertThat(read.note()).isEqualTo("Larger, please.");
        assertThat(read.earlier()).isEmpty();
        assertThat(read.beside()).isEqualTo(Mark.Beside.NOTHING);
        assertThat(read.revision()).isEqualTo(2);
    }

    @Test
    void thoseThatAskForTheSameGoTogetherUntilOneIsParted() {
        Mark first = kept();
        Mark second = kept();
        Mark third = kept();
        kept();
        markups.join(second, first.id());
        markups.join(third, first.id());
        for (Mark one : List.of(first, second, third)) {
            assertThat(markups.group(now(one)))
                    .extracting(Mark::id)
                    .containsExactly(first.id(), second.id(), third.id());
        }
        markups.join(now(second), null);
        assertThat(markups.group(now(second))).extracting(Mark::id).containsExactly(second.id());
        assertThat(markups.group(now(first))).extracting(Mark::id).containsExactly(first.id(), third.id());
    }

    @Test
    void aConfirmationThatIsTakenBackLeavesItFixed() {
        Mark mark = kept();
        VersionId second = version(2);
        markups.move(mark, MarkupProgress.FIXED, Optional.of(second));
        markups.answer(mark.id(), answer(MarkupProgress.Act.FIX, "", false, 10));
        markups.answer(mark.id(), answer(MarkupProgress.Act.CONFIRM, "", false, 20));
        markups.move(now(mark), MarkupProgress.CONFIRMED, Optional.of(second));
        markups.unconfirm(now(mark), AHouse.NOW.plusSeconds(20));
        Mark read = now(mark);
        assertThat(read.progress()).isEqualTo(MarkupProgress.FIXED);
        assertThat(read.fixedInNumber()).hasValue(2);
        assertThat(read.answers()).extracting(Mark.Answer::act).containsExactly(Optional.of(MarkupProgress.Act.FIX));
    }

    @Test
    void whatWasMadeElsewhereIsKnownByItsOrigin() {
        kept();
        markups.bring(
                Mark.placed(
                        new MarkupId(UUID.randomUUID()),
                        version,
                        pane,
                        new MarkupLabel.Numbered(1, 2),
                        new Place.Point(1, 0.2, 0.2),
                        new Mark.Wish(Intent.QUESTION, "Which?", Optional.empty()),
                        new Actor.Kept("", "Somebody"),
                        AHouse.NOW,
                        Mark.Beside.NOTHING),
                "map.pdf#17");
        assertThat(markups.origins(map)).containsExactly("map.pdf#17");
    }
}
