package app.clearpane.core.markup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.clearpane.core.compare.TextChanges;
import app.clearpane.core.compare.TextChanges.Passage;
import app.clearpane.core.compare.TextChanges.Run;
import app.clearpane.core.compare.Touch;
import app.clearpane.core.markup.Clash.Wish;
import app.clearpane.core.markup.Place.Moment;
import app.clearpane.core.markup.Place.TextRange;
import app.clearpane.core.markup.Writing.Paragraph;
import app.clearpane.core.markup.Writing.Style;
import app.clearpane.core.markup.Writing.Words;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Texts and what is played: places in them (M1), finding them again (M5), what clashes (M6) and what changed (C2, C4).
 */
class WritingTest {
    private static final String PANEL = "Your eyes need twenty minutes to see in the dark. Take the red torch.";

    private static Writing writing(String... paragraphs) {
        return new Writing(Arrays.stream(paragraphs)
                .map(text -> new Paragraph(Style.BODY, List.of(new Words(text, false, false))))
                .toList());
    }

    private static TextRange at(String text, String words) {
        return TextRange.in(text, text.indexOf(words), text.indexOf(words) + words.length());
    }

    @Nested
    class Places {
        @Test
        void aStretchKeepsItsWordsAndWhatStandsAroundThem() {
            TextRange eyes = at(PANEL, "see in the dark");
            assertThat(eyes.before())
                    .isEqualTo("our eyes need twenty minutes to ")
                    .hasSize(TextRange.CONTEXT);
            assertThat(eyes.after()).isEqualTo(". Take the red torch.");
            assertThat(TextRange.in(PANEL, 0, 4).before()).isEmpty();
        }

        @ParameterizedTest(name = "{0} to {1}")
        @CsvSource({"-1, 3", "3, 3", "5, 4", "0, 999"})
        void refusesWhatIsNotInTheText(int start, int end) {
            assertThatThrownBy(() -> TextRange.in(PANEL, start, end)).isInstanceOf(Place.OutOfRange.class);
        }

        @ParameterizedTest(name = "{0} s to {1} s")
        @CsvSource({"-0.1, 1", "2, 1", "0, 36000.5", "NaN, 1"})
        void refusesTimesThatCannotBe(double from, double to) {
            assertThatThrownBy(() -> new Moment(from, to, Optional.empty())).isInstanceOf(Place.OutOfRange.class);
        }

        @Test
        void theShapeOfAMomentIsAShape() {
            assertThatThrownBy(() -> new Moment(1, 1, Optional.of(at(PANEL, "eyes"))))
                    .isInstanceOf(Place.OutOfRange.class);
            assertThatThrownBy(() -> new Moment(1, 1, Optional.of(new Place.Point(2, 0, 0))))
                    .isInstanceOf(Place.OutOfRange.class);
        }

        @Test
        void areReadFromBeginningToEnd() {
            List<Place> texts = new ArrayList<>(List.of(at(PANEL, "red"), at(PANEL, "eyes"), at(PANEL, "dark")));
            texts.sort(ReadingOrder.BY_BANDS);
            assertThat(texts).extracting(place -> ((TextRange) place).quote()).containsExactly("eyes", "dark", "red");
        }

        @ParameterizedTest(name = "{0} s is {1}")
        @CsvSource({"0, 0:00.00", "7.4, 0:07.40", "67.5, 1:07.50", "59.999, 1:00.00", "3725.25, 1:02:05.25"})
        void timesAreReadAsMinutesAndSeconds(double seconds, String told) {
            assertThat(TimeCode.of(seconds)).isEqualTo(told);
        }

        @Test
        void textIsCutWhereAPlaceBeginsOrEnds() {
            Writing writing = new Writing(List.of(new Paragraph(
                    Style.BODY,
                    List.of(
                            new Words("Take the ", false, false),
                            new Words("red torch", true, false),
                            new Words(".", false, false)))));
            List<Writing.Cut> cuts = writing.cutAt(
                            List.of(at("Take the red torch.", "the red torch"), at("Take the red torch.", "red")))
                    .get(0);
            assertThat(cuts)
                    .extracting(cut -> cut.words().text())
                    .containsExactly("Take ", "the ", "red", " torch", ".");
            assertThat(cuts)
                    .extracting(Writing.Cut::within)
                    .containsExactly(List.of(), List.of(0), List.of(1, 0), List.of(0), List.of());
            assertThat(cuts.stream().map(cut -> cut.words().text()).collect(Collectors.joining()))
                    .isEqualTo(writing.plain());
        }
    }

    @Nested
    class FoundAgainInALaterText {
        @Test
        void byItsVeryWordsWhereverTheyStand() {
            assertThat(FoundAgain.in("New first line.\n" + PANEL, at(PANEL, "red torch")))
                    .contains(at("New first line.\n" + PANEL, "red torch"));
        }

        @Test
        void amongEqualWordsByWhatStandsAround() {
            String twice = "the dome on the hill, the dome in the town";
            TextRange town = TextRange.in(twice, 22, 30);
            String turned = "the dome in the town, the dome on the hill";
            assertThat(FoundAgain.in(turned, town)).map(TextRange::start).contains(0);
        }

        @Test
        void byWordsLikeTheseUpToAFifth() {
            TextRange sentence = at(PANEL, "need twenty minutes to see");
            assertThat(FoundAgain.in(PANEL.replace("twenty", "thirty"), sentence))
                    .map(TextRange::quote)
                    .contains("need thirty minutes to see");
            assertThat(FoundAgain.in(PANEL.replace("need twenty minutes to see", "hurt"), sentence))
                    .as("its text is gone")
                    .isEmpty();
        }

        @ParameterizedTest(name = "{1} of “{0}” in “{2}”: {3}")
        @CsvSource({
            "open from 9 to 5, 9, open from 19 to 5, -1",
            "open from 9 to 5, 9, at 19 and 9, 10",
            "room 12b, 12, room 112b, -1",
            "room 12b, 12, room 12c, 5",
            "the sky, sky, the skylight, -1",
            "the skylight, sky, the skylark, 4",
            "9, 9, 90, -1"
        })
        void neverAsAPartOfALongerWordOrNumber(String text, String quote, String later, int start) {
            assertThat(FoundAgain.in(later, at(text, quote)).map(TextRange::start))
                    .isEqualTo(start < 0 ? Optional.empty() : Optional.of(start));
        }

        @Test
        void shortWordsMustBeTheSame() {
            assertThat(FoundAgain.in("The rod torch", at(PANEL, "red"))).isEmpty();
        }

        @ParameterizedTest(name = "seed {0}")
        @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
        void asNearAsTheBestOfAllStretches(long seed) {
            Random random = new Random(seed);
            String text = letters(random, 60);
            int start = random.nextInt(30);
            TextRange range = TextRange.in(text, start, start + 10 + random.nextInt(10));
            String later = scrambled(text, random, 6);
            int best = Integer.MAX_VALUE;
            for (int from = 0; from < later.length(); from++) {
                for (int to = from + 1; to <= later.length(); to++) {
                    best = Math.min(best, distance(range.quote(), later.substring(from, to)));
                }
            }
            Optional<TextRange> found = FoundAgain.in(later, range);
            assertThat(found.isPresent())
                    .isEqualTo(best <= Math.floor(range.quote().length() * 0.2));
            found.ifPresent(range2 ->
                    assertThat(later.substring(range2.start(), range2.end())).isEqualTo(range2.quote()));
            int least = best;
            found.ifPresent(
                    again -> assertThat(distance(range.quote(), again.quote())).isEqualTo(least));
        }

        private static String letters(Random random, int length) {
            return IntStream.range(0, length)
                    .mapToObj(i -> String.valueOf("abcd ".charAt(random.nextInt(5))))
                    .collect(Collectors.joining());
        }

        private static String scrambled(String text, Random random, int edits) {
            StringBuilder later = new StringBuilder(text);
            for (int i = 0; i < edits; i++) {
                int at = random.nextInt(later.length());
                switch (random.nextInt(3)) {
                    case 0 -> later.deleteCharAt(at);
                    case 1 -> later.insert(at, 'x');
                    default -> later.setCharAt(at, 'y');
                }
            }
            return later.toString();
        }

        private static int distance(String a, String b) {
            int[][] costs = new int[a.length() + 1][b.length() + 1];
            for (int i = 0; i <= a.length(); i++) {
                for (int j = 0; j <= b.length(); j++) {
                    costs[i][j] = i == 0
                            ? j
                            : j == 0
                                    ? i
                                    : Math.min(
                                            Math.min(costs[i - 1][j], costs[i][j - 1]) + 1,
                                            costs[i - 1][j - 1] + (a.charAt(i - 1) == b.charAt(j - 1) ? 0 : 1));
                }
            }
            return costs[a.length()][b.length()];
        }
    }

    @Nested
    class Clashes {
        private final TextRange sentence = at(PANEL, "twenty minutes to see");
        private final TextRange inside = at(PANEL, "minutes");

        private static Wish wish(int number, String person, Place place, Intent intent, String instead) {
            return new Wish(new MarkupId(new UUID(0, number)), person, place, intent, 1, Optional.ofNullable(instead));
        }

        private static boolean clash(Wish a, Wish b) {
            return !Clash.among(List.of(a, b)).isEmpty();
        }

        @Test
        void ofStretchesThatShareACharacter() {
            assertThat(clash(
                            wish(1, "Jasper", sentence, Intent.KEEP, null),
                            wish(2, "Mirela", inside, Intent.CHANGE, null)))
                    .isTrue();
            assertThat(clash(
                            wish(1, "Jasper", at(PANEL, "red"), Intent.KEEP, null),
                            wish(2, "Mirela", inside, Intent.CHANGE, null)))
                    .isFalse();
            assertThat(clash(
                            wish(1, "Jasper", TextRange.in(PANEL, 0, 5), Intent.KEEP, null),
                            wish(2, "Mirela", TextRange.in(PANEL, 5, 9), Intent.CHANGE, null)))
                    .as("they only touch")
                    .isFalse();
        }

        @Test
        void ofTwoDifferentWordings() {
            Wish shorter = wish(1, "Jasper", sentence, Intent.CHANGE, "a while to see");
            assertThat(clash(shorter, wish(2, "Mirela", sentence, Intent.CHANGE, "half an hour to see")))
                    .isTrue();
            assertThat(clash(shorter, wish(2, "Mirela", sentence, Intent.CHANGE, "a while to see")))
                    .as("the same wording")
                    .isFalse();
            assertThat(clash(shorter, wish(2, "Mirela", sentence, Intent.CHANGE, null)))
                    .as("no wording given")
                    .isFalse();
            assertThat(clash(shorter, wish(2, "Jasper", sentence, Intent.CHANGE, "half an hour")))
                    .as("one person")
                    .isFalse();
            assertThat(Clash.sameWishes(List.of(shorter, wish(2, "Mirela", sentence, Intent.CHANGE, "half an hour"))))
                    .as("they do not wish the same")
                    .isEmpty();
            assertThat(Clash.sameWishes(List.of(shorter, wish(2, "Mirela", sentence, Intent.CHANGE, null))))
                    .hasSize(1);
        }

        @ParameterizedTest(name = "{0}–{1} and {2}–{3}: {4}")
        @CsvSource({
            "1, 3, 2, 4, true",
            "1, 2, 2, 3, true",
            "1, 2, 2.1, 3, false",
            "1, 1, 1.4, 1.4, true",
            "1, 1, 1.6, 1.6, false",
            "1, 1, 0.2, 0.6, true"
        })
        void ofTimesThatMeet(double from, double to, double otherFrom, double otherTo, boolean meet) {
            Wish keep = wish(1, "Jasper", new Moment(from, to, Optional.empty()), Intent.KEEP, null);
            Wish change = wish(2, "Mirela", new Moment(otherFrom, otherTo, Optional.empty()), Intent.CHANGE, null);
            assertThat(clash(keep, change)).isEqualTo(meet);
            assertThat(clash(change, keep)).isEqualTo(meet);
        }

        @Test
        void notOfShapesApartOnOnePicture() {
            Place left = new Place.Rectangle(1, 0, 0, 0.2, 0.2);
            Place right = new Place.Rectangle(1, 0.7, 0, 0.2, 0.2);
            assertThat(clash(
                            wish(1, "Jasper", new Moment(1, 1, Optional.of(left)), Intent.KEEP, null),
                            wish(2, "Mirela", new Moment(1, 1, Optional.of(right)), Intent.CHANGE, null)))
                    .isFalse();
            assertThat(clash(
                            wish(1, "Jasper", new Moment(1, 1, Optional.of(left)), Intent.KEEP, null),
                            wish(2, "Mirela", new Moment(1, 1, Optional.empty()), Intent.CHANGE, null)))
                    .isTrue();
        }
    }

    @Nested
    class WhatChanged {
        private final Writing before = writing(
                "Come in.", PANEL, "The dome was built in 1911 by a schoolmaster.", "Look up once more before you go.");
        private final Writing after = writing(
                "Come in.",
                PANEL.replace("see in the dark", "get used to the dark"),
                "Look up once more before you go.",
                "The dome was built in 1911 by a schoolmaster.",
                "Bring a coat.");
        private final TextChanges changes = TextChanges.of(before, after);

        @Test
        void isToldByWordsAndMovedParagraphsAreNoted() {
            assertThat(changes.passages().get(0)).isEqualTo(new Passage.Same(0, 0));
            Passage.Changed rewritten = (Passage.Changed) changes.passages().get(1);
            assertThat(rewritten.runs())
                    .filteredOn(run -> run.kind() == Run.Kind.GONE)
                    .extracting(Run::text)
                    .containsExactly("see in");
            assertThat(rewritten.runs())
                    .filteredOn(run -> run.kind() == Run.Kind.ADDED)
                    .extracting(Run::text)
                    .containsExactly("get used to");
            assertThat(changes.passages())
                    .contains(new Passage.Added(4))
                    .hasAtLeastOneElementOfType(Passage.Moved.class)
                    .hasAtLeastOneElementOfType(Passage.MovedAway.class);
            assertThat(changes.passages()).doesNotHaveAnyElementsOfTypes(Passage.Gone.class);
            assertThat(changes.changes()).isEqualTo(3);
        }

        @Test
        void toldForEachMark() {
            String text = before.plain();
            assertThat(changes.touch(at(text, "see in the dark"), before))
                    .isEqualTo(new Touch(Touch.Kind.TOUCHED, 6 / 15.0));
            assertThat(changes.touch(at(text, "red torch"), before).kind()).isEqualTo(Touch.Kind.NEARBY);
            assertThat(changes.touch(at(text, "schoolmaster"), before).kind())
                    .as("moved, but not a word changed")
                    .isEqualTo(Touch.Kind.UNTOUCHED);
            assertThat(TextChanges.of(before, writing("Come in.")).touch(at(text, "red torch"), before))
                    .isEqualTo(new Touch(Touch.Kind.TOUCHED, 1));
        }

        @Test
        void isNothingForTheSameText() {
            assertThat(TextChanges.of(before, before).same()).isTrue();
            assertThat(TextChanges.of(before, before).changes()).isZero();
        }

        @ParameterizedTest(name = "seed {0}")
        @ValueSource(longs = {11, 12, 13, 14, 15, 16})
        void givesBackBothTexts(long seed) {
            Random random = new Random(seed);
            Writing one = random(random);
            Writing other = random(random);
            List<String> earlier = new ArrayList<>();
            List<String> later = new ArrayList<>();
            for (Passage passage : TextChanges.of(one, other).passages()) {
                if (passage instanceof Passage.Changed changed) {
                    String was = changed.runs().stream()
                            .filter(run -> run.kind() != Run.Kind.ADDED)
                            .map(Run::text)
                            .collect(Collectors.joining());
                    if (changed.moved()) {
                        assertThat(was)
                                .isEqualTo(
                                        one.paragraphs().get(changed.before()).text());
                    } else {
                        earlier.add(was);
                    }
                    later.add(changed.runs().stream()
                            .filter(run -> run.kind() != Run.Kind.GONE)
                            .map(Run::text)
                            .collect(Collectors.joining()));
                } else if (passage instanceof Passage.Same same) {
                    earlier.add(one.paragraphs().get(same.before()).text());
                    later.add(other.paragraphs().get(same.after()).text());
                } else if (passage instanceof Passage.Moved moved) {
                    later.add(other.paragraphs().get(moved.after()).text());
                } else if (passage instanceof Passage.MovedAway away) {
                    earlier.add(one.paragraphs().get(away.before()).text());
                } else if (passage instanceof Passage.Gone gone) {
                    earlier.add(one.paragraphs().get(gone.before()).text());
                } else if (passage instanceof Passage.Added added) {
                    later.add(other.paragraphs().get(added.after()).text());
                }
            }
            assertThat(String.join("\n", earlier)).isEqualTo(one.plain());
            assertThat(String.join("\n", later)).isEqualTo(other.plain());
        }

        private static Writing random(Random random) {
            return writing(IntStream.range(0, 8)
                    .mapToObj(i -> IntStream.range(0, 1 + random.nextInt(6))
                            .mapToObj(j ->
                                    List.of("dome", "hill", "night", "torch").get(random.nextInt(4)))
                            .collect(Collectors.joining(" ")))
                    .toArray(String[]::new));
        }
    }
}
