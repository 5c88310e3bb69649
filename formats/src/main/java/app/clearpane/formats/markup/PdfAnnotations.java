package app.clearpane.formats.markup;

import app.clearpane.core.markup.Intent;
import app.clearpane.core.markup.MarkupProgress;
import app.clearpane.core.markup.Place;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Path;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.GregorianCalendar;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.io.IOUtils;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.graphics.color.PDColor;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceRGB;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotation;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationCircle;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationInk;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationLine;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationMarkup;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationSquare;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationText;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDBorderStyleDictionary;

/**
 * Marks as annotations of a PDF (ISO 32000, 12.5): Text, Square, Circle, Line and Ink with author, date, subject (what
 * is wanted), contents, answers and the state of review. {@link PdfNotes} reads such annotations, written anywhere.
 */
public final class PdfAnnotations {
    private static final float ICON = 20;
    private static final float LINE = 1.5f;

    private PdfAnnotations() {}

    /**
     * Writes a copy of a PDF with the marks on its pages. Marks on pages it does not have are left out.
     *
     * @throws IOException if it cannot be read or written
     */
    public static void write(Path pdf, List<Annotation> marks, OutputStream out) throws IOException {
        try (PDDocument document = Loader.loadPDF(pdf.toFile(), IOUtils.createTempFileOnlyStreamCache())) {
            annotate(document, marks);
            document.save(out);
        }
    }

    /** Puts the marks on the pages of a document. */
    static void annotate(PDDocument document, List<Annotation> marks) throws IOException {
        for (Annotation mark : marks) {
            if (mark.place().page() <= document.getNumberOfPages()) {
                PDPage page = document.getPage(mark.place().page() - 1);
                PDAnnotationMarkup annotation = shape(mark.place(), UserSpace.of(page));
                describe(annotation, mark);
                annotation.setPage(page);
                List<PDAnnotation> all = page.getAnnotations();
                all.add(annotation);
                for (Annotation.Reply reply : mark.replies()) {
                    all.add(reply(annotation, page, reply.said(), reply.author(), reply.at()));
                }
                state(mark.progress()).ifPresent(state -> all.add(state(annotation, page, mark, state)));
                page.setAnnotations(all);
                annotation.constructAppearances(document);
                if (annotation instanceof PDAnnotationText) {
                    float[] at = UserSpace.of(page)
                            .point(mark.place().centreX(), mark.place().centreY());
                    annotation.setRectangle(around(
                            at,
                            annotation.getRectangle().getWidth(),
                            annotation.getRectangle().getHeight()));
                }
            }
        }
    }

    private static PDAnnotationMarkup shape(Place place, UserSpace space) {
        if (place instanceof Place.Rectangle r) {
            PDAnnotationSquare square = new PDAnnotationSquare();
            square.setRectangle(space.box(r.bounds()));
            return square;
        }
        if (place instanceof Place.Ellipse e) {
            PDAnnotationCircle circle = new PDAnnotationCircle();
            circle.setRectangle(space.box(e.bounds()));
            return circle;
        }
        if (place instanceof Place.Arrow a) {
            PDAnnotationLine line = line(space, a.fromX(), a.fromY(), a.toX(), a.toY());
            line.setEndPointEndingStyle(PDAnnotationLine.LE_OPEN_ARROW);
            return line;
        }
        if (place instanceof Place.Line l) {
            return line(space, l.fromX(), l.fromY(), l.toX(), l.toY());
        }
        if (place instanceof Place.Freehand f) {
            PDAnnotationInk ink = new PDAnnotationInk();
            float[] path = new float[f.spots().size() * 2];
            for (int i = 0; i < f.spots().size(); i++) {
                float[] at = space.point(f.spots().get(i).x(), f.spots().get(i).y());
                path[2 * i] = at[0];
                path[2 * i + 1] = at[1];
            }
            ink.setInkList(new float[][] {path});
            ink.setRectangle(space.box(f.bounds()));
            return ink;
        }
        PDAnnotationText text = new PDAnnotationText();
        text.setName(PDAnnotationText.NAME_COMMENT);
        text.setRectangle(around(space.point(place.centreX(), place.centreY()), ICON, ICON));
        return text;
    }

    private static PDRectangle around(float[] at, float width, float height) {
        return new PDRectangle(at[0] - width / 2, at[1] - height / 2, width, height);
    }

    private static PDAnnotationLine line(UserSpace space, double x1, double y1, double x2, double y2) {
        PDAnnotationLine line = new PDAnnotationLine();
        float[] from = space.point(x1, y1);
        float[] to = space.point(x2, y2);
        line.setLine(new float[] {from[0], from[1], to[0], to[1]});
        line.setRectangle(new PDRectangle(
                Math.min(from[0], to[0]) - LINE,
                Math.min(from[1], to[1]) - LINE,
                Math.abs(from[0] - to[0]) + 2 * LINE,
                Math.abs(from[1] - to[1]) + 2 * LINE));
        return line;
    }

    private static void describe(PDAnnotationMarkup annotation, Annotation mark) {
        annotation.setTitlePopup(mark.author());
        annotation.setSubject(mark.intent().name().toLowerCase(Locale.ROOT));
        annotation.setContents(mark.note());
        annotation.setAnnotationName(mark.id());
        annotation.setCreationDate(calendar(mark.at()));
        annotation.setModifiedDate(calendar(mark.at()));
        annotation.setColor(colour(mark.intent()));
        PDBorderStyleDictionary border = new PDBorderStyleDictionary();
        border.setWidth(LINE);
        annotation.setBorderStyle(border);
        annotation.setPrinted(true);
    }

    private static PDColor colour(Intent intent) {
        int rgb =
                switch (intent) {
                    case CHANGE -> 0xA8321F;
                    case QUESTION -> 0x9A4F08;
                    case IDEA -> 0x6A3670;
                    case KEEP -> 0x47701F;
                };
        return new PDColor(
                new float[] {(rgb >> 16) / 255f, (rgb >> 8 & 255) / 255f, (rgb & 255) / 255f}, PDDeviceRGB.INSTANCE);
    }

    private static PDAnnotationText reply(PDAnnotationMarkup to, PDPage page, String said, String author, Instant at) {
        PDAnnotationText reply = new PDAnnotationText();
        reply.setRectangle(to.getRectangle());
        reply.setInReplyTo(to);
        reply.setReplyType(PDAnnotationMarkup.RT_REPLY);
        reply.setContents(said);
        reply.setTitlePopup(author);
        reply.setCreationDate(calendar(at));
        reply.setHidden(false);
        reply.setPage(page);
        return reply;
    }

    private static PDAnnotationText state(PDAnnotationMarkup of, PDPage page, Annotation mark, String state) {
        PDAnnotationText text = reply(
                of,
                page,
                state,
                mark.moved().map(Annotation.Reply::author).orElse(mark.author()),
                mark.moved().map(Annotation.Reply::at).orElse(mark.at()));
        text.setState(state);
        text.setStateModel("Review");
        text.setHidden(true);
        return text;
    }

    /** The review state of ISO 32000 for how far a mark is; none while it is open. */
    private static Optional<String> state(MarkupProgress progress) {
        return switch (progress) {
            case OPEN -> Optional.empty();
            case TAKEN_ON -> Optional.of("Accepted");
            case FIXED, CONFIRMED -> Optional.of("Completed");
            case SET_ASIDE -> Optional.of("Rejected");
            case WITHDRAWN -> Optional.of("Cancelled");
        };
    }

    private static GregorianCalendar calendar(Instant at) {
        return GregorianCalendar.from(at.atZone(ZoneOffset.UTC));
    }
}
