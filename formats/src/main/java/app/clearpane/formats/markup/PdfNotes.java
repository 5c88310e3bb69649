package app.clearpane.formats.markup;

import app.clearpane.core.files.Sha256;
import app.clearpane.core.markup.Box;
import app.clearpane.core.markup.Intent;
import app.clearpane.core.markup.Place;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Calendar;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.io.IOUtils;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotation;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationCircle;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationInk;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationLine;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationMarkup;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationSquareCircle;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationText;
import org.jsoup.Jsoup;
import org.jspecify.annotations.Nullable;

/**
 * Reads the annotations of a PDF (ISO 32000, 12.5.6), written by any program, as marks: with their answers, the state
 * of their review by whoever set it, and their dates. Annotations that belong together are one mark; hidden ones,
 * links, form fields and the little windows of annotations are none.
 */
public final class PdfNotes {
    private static final String GROUP = "Group";
    private static final String CARET = "Caret";
    /** What marks say that were made without words. */
    private static final Map<String, String> SILENT = Map.of(
            "Highlight",
            "Marked, without words.",
            "Underline",
            "Underlined, without words.",
            "Squiggly",
            "Underlined, without words.",
            "StrikeOut",
            "Take this out.",
            "Ink",
            "Drawn, without words.",
            "Square",
            "Framed, without words.",
            "Circle",
            "Framed, without words.",
            "Line",
            "Drawn, without words.",
            "Polygon",
            "Framed, without words.",
            "PolyLine",
            "Drawn, without words.");

    private final PDDocument document;
    private final List<BroughtMark> marks = new ArrayList<>();
    private final List<String> skipped = new ArrayList<>();

    private PdfNotes(PDDocument document) {
        this.document = document;
    }

    /** Reads them. @throws IOException if it cannot be read as a PDF */
    public static BroughtMark.Read read(Path pdf) throws IOException {
        try (PDDocument document = Loader.loadPDF(pdf.toFile(), IOUtils.createTempFileOnlyStreamCache())) {
            return new PdfNotes(document).all();
        } catch (RuntimeException damaged) {
            throw new IOException("its annotations could not be read", damaged);
        }
    }

    private BroughtMark.Read all() throws IOException {
        for (int number = 1; number <= document.getNumberOfPages(); number++) {
            PDPage page = document.getPage(number - 1);
            List<PDAnnotationMarkup> found = new ArrayList<>();
            for (PDAnnotation annotation : page.getAnnotations()) {
                if (annotation instanceof PDAnnotationMarkup markup && !"Popup".equals(markup.getSubtype())) {
                    found.add(markup);
                }
            }
            onPage(number, UserSpace.of(page), found);
        }
        return new BroughtMark.Read(marks, skipped);
    }

    /** An annotation with what was put under it. @param group what belongs to it and is one mark with it */
    private record Whole(PDAnnotationMarkup first, List<PDAnnotationMarkup> group, List<PDAnnotationMarkup> replies) {}

    private void onPage(int page, UserSpace space, List<PDAnnotationMarkup> found) {
        Map<COSDictionary, PDAnnotationMarkup> known = new HashMap<>();
        found.forEach(annotation -> known.put(annotation.getCOSObject(), annotation));
        List<Whole> wholes = new ArrayList<>();
        for (PDAnnotationMarkup first : found) {
            if (under(first, known).isEmpty()) {
                List<PDAnnotationMarkup> below = found.stream()
                        .filter(other -> other != first && root(other, known) == first)
                        .toList();
                wholes.add(new Whole(
                        first,
                        below.stream().filter(PdfNotes::isGrouped).toList(),
                        below.stream().filter(other -> !isGrouped(other)).toList()));
            }
        }
        wholes.forEach(whole -> read(whole, page, space));
    }

    private static Optional<PDAnnotationMarkup> under(
            PDAnnotationMarkup annotation, Map<COSDictionary, PDAnnotationMarkup> known) {
        COSDictionary above = annotation.getCOSObject().getCOSDictionary(COSName.IRT);
        return above == null || above == annotation.getCOSObject()
                ? Optional.empty()
                : Optional.ofNullable(known.get(above));
    }

    /** What it all began with; an answer to an answer belongs to the same mark. */
    private static PDAnnotationMarkup root(
            PDAnnotationMarkup annotation, Map<COSDictionary, PDAnnotationMarkup> known) {
        PDAnnotationMarkup here = annotation;
        for (int steps = 0; steps < known.size(); steps++) {
            Optional<PDAnnotationMarkup> above = under(here, known);
            if (above.isEmpty()) {
                return here;
            }
            here = above.get();
        }
        return annotation;
    }

    private static boolean isGrouped(PDAnnotationMarkup annotation) {
        return GROUP.equals(annotation.getCOSObject().getNameAsString("RT"));
    }

    private void read(Whole whole, int page, UserSpace space) {
        PDAnnotationMarkup first = whole.first();
        String called = first.getSubtype() + " on sheet " + page;
        if (first.isHidden() || first.isNoView()) {
            skipped.add(called + ": it is hidden");
            return;
        }
        List<BroughtMark.Reply> replies = whole.replies().stream()
                .filter(reply -> stateOf(reply).isEmpty()
                        && !reply.isHidden()
                        && !words(reply).isEmpty())
                .map(reply -> new BroughtMark.Reply(words(reply), author(reply), at(reply)))
                .sorted(Comparator.comparing(
                        (BroughtMark.Reply reply) -> reply.at().orElse(Instant.MAX)))
                .toList();
        Optional<Said> said = said(whole, replies);
        if (said.isEmpty()) {
            skipped.add(called + ": it says nothing");
            return;
        }
        try {
            Place place = place(whole, page, space);
            String name = first.getAnnotationName();
            String origin = name == null || name.isBlank()
                    ? "pdf:"
                            + Sha256.ofText(place + "|" + said.get().note() + "|" + author(first))
                                    .hex()
                    : name;
            marks.add(new BroughtMark(
                    origin,
                    place,
                    intent(first.getSubject()),
                    said.get().note(),
                    author(first),
                    said.get().instead(),
                    new BroughtMark.Thread(at(first), replies, state(whole.replies()))));
        } catch (IllegalArgumentException outside) {
            skipped.add(called + ": " + outside.getMessage());
        }
    }

    /** What a mark says. @param instead the words it asks for instead */
    private record Said(String note, Optional<String> instead) {}

    private static Optional<Said> said(Whole whole, List<BroughtMark.Reply> replies) {
        PDAnnotationMarkup first = whole.first();
        String words = Stream.concat(Stream.of(first), whole.group().stream())
                .map(PdfNotes::words)
                .filter(text -> !text.isEmpty())
                .distinct()
                .reduce((one, other) -> one + "\n" + other)
                .orElse("");
        boolean struck = struck(whole).isPresent();
        boolean caret = CARET.equals(first.getSubtype())
                || whole.group().stream().anyMatch(one -> CARET.equals(one.getSubtype()));
        if (!words.isEmpty()) {
            return Optional.of(
                    caret && struck
                            ? new Said("Other words here.", Optional.of(words))
                            : new Said(caret ? "Put in here: “" + words + "”" : words, Optional.empty()));
        }
        String silent = struck ? SILENT.get("StrikeOut") : SILENT.get(first.getSubtype());
        return silent != null
                ? Optional.of(new Said(silent, Optional.empty()))
                : replies.isEmpty()
                        ? Optional.empty()
                        : Optional.of(new Said("A note without words; see the answers.", Optional.empty()));
    }

    private static Optional<PDAnnotationMarkup> struck(Whole whole) {
        return Stream.concat(Stream.of(whole.first()), whole.group().stream())
                .filter(one -> "StrikeOut".equals(one.getSubtype()))
                .findFirst();
    }

    /** Its words: plain, or those of its rich text (XHTML). */
    private static String words(PDAnnotationMarkup annotation) {
        String plain = annotation.getContents();
        if (plain != null && !plain.isBlank()) {
            return plain.strip();
        }
        String rich = annotation.getRichContents();
        return rich == null
                ? ""
                : Jsoup.parse(rich).select("p, div").isEmpty()
                        ? Jsoup.parse(rich).text()
                        : String.join("\n", Jsoup.parse(rich).select("p, div").eachText())
                                .strip();
    }

    private static String author(PDAnnotationMarkup annotation) {
        return Objects.requireNonNullElse(annotation.getTitlePopup(), "").strip();
    }

    /** When it was made, or else last changed. */
    private static Optional<Instant> at(PDAnnotationMarkup annotation) {
        Calendar made = annotation.getCOSObject().getDate(COSName.CREATION_DATE);
        return Optional.ofNullable(made == null ? annotation.getCOSObject().getDate(COSName.M) : made)
                .map(Calendar::toInstant);
    }

    private static Optional<String> stateOf(PDAnnotationMarkup annotation) {
        return Optional.ofNullable(annotation.getCOSObject().getString("State"));
    }

    /** The state of review that was set last, by whoever set it. */
    private static Optional<BroughtMark.State> state(List<PDAnnotationMarkup> replies) {
        return replies.stream()
                .filter(reply -> stateOf(reply).isPresent()
                        && "Review"
                                .equals(Objects.requireNonNullElse(
                                        reply.getCOSObject().getString("StateModel"), "Review")))
                .max(Comparator.comparing(reply -> at(reply).orElse(Instant.MIN)))
                .filter(reply -> !"None".equals(stateOf(reply).orElseThrow()))
                .map(reply -> new BroughtMark.State(stateOf(reply).orElseThrow(), author(reply), at(reply)));
    }

    private static Place place(Whole whole, int page, UserSpace space) {
        if (CARET.equals(whole.first().getSubtype()) && struck(whole).isPresent()) {
            return box(page, space.box(struck(whole).get().getRectangle()));
        }
        return place(whole.first(), page, space);
    }

    private static Place place(PDAnnotationMarkup annotation, int page, UserSpace space) {
        if (annotation instanceof PDAnnotationLine line && line.getLine() != null) {
            Place.Spot from = space.spot(line.getLine()[0], line.getLine()[1]);
            Place.Spot to = space.spot(line.getLine()[2], line.getLine()[3]);
            boolean tip = !PDAnnotationLine.LE_NONE.equals(line.getEndPointEndingStyle());
            boolean tail = !PDAnnotationLine.LE_NONE.equals(line.getStartPointEndingStyle());
            return tip
                    ? new Place.Arrow(page, from.x(), from.y(), to.x(), to.y())
                    : tail
                            ? new Place.Arrow(page, to.x(), to.y(), from.x(), from.y())
                            : new Place.Line(page, from.x(), from.y(), to.x(), to.y());
        }
        if (annotation instanceof PDAnnotationInk ink && ink.getInkList() != null && ink.getInkList().length > 0) {
            return drawn(page, space, ink.getInkList());
        }
        COSBase vertices = annotation.getCOSObject().getDictionaryObject(COSName.VERTICES);
        if (vertices instanceof COSArray corners && corners.size() >= 4) {
            return drawn(page, space, new float[][] {corners.toFloatArray()});
        }
        PDRectangle rectangle =
                annotation instanceof PDAnnotationSquareCircle framed ? within(framed) : annotation.getRectangle();
        if (annotation instanceof PDAnnotationText) {
            Place.Spot spot = space.spot(
                    rectangle.getLowerLeftX() + rectangle.getWidth() / 2,
                    rectangle.getLowerLeftY() + rectangle.getHeight() / 2);
            return new Place.Point(page, spot.x(), spot.y());
        }
        Box box = space.box(rectangle);
        return annotation instanceof PDAnnotationCircle
                ? new Place.Ellipse(page, box.x(), box.y(), box.width(), box.height())
                : box(page, box);
    }

    private static Place box(int page, Box box) {
        return new Place.Rectangle(page, box.x(), box.y(), box.width(), box.height());
    }

    /**
     * The shape itself: its rectangle less the differences at left, top, right and bottom, which leave room for its
     * line.
     */
    private static PDRectangle within(PDAnnotationSquareCircle framed) {
        PDRectangle all = framed.getRectangle();
        float[] less = framed.getRectDifferences();
        return less.length < 4
                ? all
                : new PDRectangle(
                        all.getLowerLeftX() + less[0],
                        all.getLowerLeftY() + less[3],
                        all.getWidth() - less[0] - less[2],
                        all.getHeight() - less[1] - less[3]);
    }

    /** One stroke is a mark by hand; several are framed together, since no line that was not drawn may join them. */
    private static Place drawn(int page, UserSpace space, float[][] strokes) {
        List<Place.Spot> spots = new ArrayList<>();
        int drawn = 0;
        for (float[] stroke : strokes) {
            drawn += stroke.length >= 4 ? 1 : 0;
            for (int i = 0; i + 1 < stroke.length; i += 2) {
                spots.add(space.spot(stroke[i], stroke[i + 1]));
            }
        }
        Place.Freehand together = new Place.Freehand(page, spots);
        return drawn > 1 ? box(page, together.bounds()) : together;
    }

    private static Intent intent(@Nullable String subject) {
        for (Intent intent : Intent.values()) {
            if (intent.name().equalsIgnoreCase(subject)) {
                return intent;
            }
        }
        return Intent.CHANGE;
    }
}
