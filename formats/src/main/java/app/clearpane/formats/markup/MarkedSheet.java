package app.clearpane.formats.markup;

import app.clearpane.core.markup.Intent;
import app.clearpane.core.markup.Place;
import app.clearpane.formats.deliverable.SheetPicture;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Font;
import java.awt.FontFormatException;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.Shape;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;
import java.util.Objects;
import javax.imageio.ImageIO;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.graphics.image.LosslessFactory;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;

/** A sheet with its marks drawn on it and numbered: as a picture, as SVG, and as a page of a PDF with annotations. */
public final class MarkedSheet {
    private static final double LINE = 0.0026;
    private static final double RADIUS = 0.009;
    private static final double LETTERS = 0.016;

    private MarkedSheet() {}

    /**
     * The sheet as PNG.
     *
     * @param sheet a picture of it
     * @param marks those on this sheet
     * @throws IOException if the picture cannot be read
     */
    public static byte[] png(Path sheet, List<Annotation> marks) throws IOException {
        BufferedImage picture = SheetPicture.read(sheet);
        BufferedImage drawn = new BufferedImage(picture.getWidth(), picture.getHeight(), BufferedImage.TYPE_INT_RGB);
        Graphics2D g = drawn.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        g.setRenderingHint(RenderingHints.KEY_TEXT_ANTIALIASING, RenderingHints.VALUE_TEXT_ANTIALIAS_ON);
        g.drawImage(picture, 0, 0, Color.WHITE, null);
        g.setStroke(new BasicStroke(
                (float) Math.max(2, LINE * drawn.getWidth()), BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
        g.setFont(font().deriveFont((float) Math.max(12, LETTERS * drawn.getWidth())));
        List<Rectangle2D> labels = new ArrayList<>();
        for (Annotation mark : marks) {
            draw(g, mark, drawn.getWidth(), drawn.getHeight(), labels);
        }
        g.dispose();
        return encoded(drawn);
    }

    /** What of a sheet is at a place, with some of what is around it, as PNG. @param widest in pixels */
    public static byte[] cutOut(Path sheet, Place place, int widest) throws IOException {
        BufferedImage picture = SheetPicture.read(sheet);
        double width = Math.max(
                        0.18,
                        Math.max(
                                        place.bounds().width(),
                                        place.bounds().height() * picture.getHeight() / picture.getWidth() * 1.5)
                                * 1.7)
                * picture.getWidth();
        double height = width / 1.5;
        int left = (int) (place.centreX() * picture.getWidth() - width / 2);
        int top = (int) (place.centreY() * picture.getHeight() - height / 2);
        int w = (int) Math.min(widest, width);
        BufferedImage cut = new BufferedImage(w, (int) (w / 1.5), BufferedImage.TYPE_INT_RGB);
        Graphics2D g = cut.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        g.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BICUBIC);
        g.setColor(Color.WHITE);
        g.fillRect(0, 0, cut.getWidth(), cut.getHeight());
        g.scale(w / width, w / width);
        g.translate(-left, -top);
        g.drawImage(picture, 0, 0, null);
        g.setStroke(new BasicStroke((float) (2.5 * width / w)));
        g.setColor(colour(Intent.CHANGE));
        g.draw(shape(place, picture.getWidth(), picture.getHeight()));
        g.dispose();
        return encoded(cut);
    }

    private static byte[] encoded(BufferedImage picture) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(picture, "png", out);
        return out.toByteArray();
    }

    private static void draw(Graphics2D g, Annotation mark, int width, int height, List<Rectangle2D> labels) {
        g.setColor(colour(mark.intent()));
        g.draw(shape(mark.place(), width, height));
        String label = mark.label();
        int wide = g.getFontMetrics().stringWidth(label) + 10;
        int high = g.getFontMetrics().getHeight();
        int x = (int) Math.max(0, Math.min(width - wide, mark.place().bounds().x() * width));
        int y = (int) Math.max(0, mark.place().bounds().y() * height - high - RADIUS * width - 2);
        Rectangle2D here = new Rectangle2D.Double(x, y, wide, high);
        while (overlaps(here, labels) && x + 2 * wide < width) {
            x += wide + 3;
            here = new Rectangle2D.Double(x, y, wide, high);
        }
        labels.add(here);
        g.fillRect(x, y, wide, high);
        g.setColor(Color.WHITE);
        g.drawString(label, x + 5, y + g.getFontMetrics().getAscent());
    }

    private static boolean overlaps(Rectangle2D here, List<Rectangle2D> others) {
        return others.stream().anyMatch(other -> other.intersects(here));
    }

    private static Shape shape(Place place, double width, double height) {
        if (place instanceof Place.Rectangle r) {
            return new Rectangle2D.Double(r.x() * width, r.y() * height, r.width() * width, r.height() * height);
        }
        if (place instanceof Place.Ellipse e) {
            return new Ellipse2D.Double(e.x() * width, e.y() * height, e.width() * width, e.height() * height);
        }
        if (place instanceof Place.Line l) {
            return new Line2D.Double(l.fromX() * width, l.fromY() * height, l.toX() * width, l.toY() * height);
        }
        if (place instanceof Place.Arrow a) {
            return arrow(a.fromX() * width, a.fromY() * height, a.toX() * width, a.toY() * height, width * 0.014);
        }
        if (place instanceof Place.Freehand f) {
            Path2D.Double path = new Path2D.Double();
            path.moveTo(f.spots().get(0).x() * width, f.spots().get(0).y() * height);
            f.spots().forEach(spot -> path.lineTo(spot.x() * width, spot.y() * height));
            return path;
        }
        double radius = Math.max(7, RADIUS * width);
        return new Ellipse2D.Double(
                place.centreX() * width - radius, place.centreY() * height - radius, 2 * radius, 2 * radius);
    }

    private static Shape arrow(double x1, double y1, double x2, double y2, double head) {
        double along = Math.atan2(y2 - y1, x2 - x1);
        Path2D.Double path = new Path2D.Double(new Line2D.Double(x1, y1, x2, y2));
        path.moveTo(x2 - head * Math.cos(along - 0.45), y2 - head * Math.sin(along - 0.45));
        path.lineTo(x2, y2);
        path.lineTo(x2 - head * Math.cos(along + 0.45), y2 - head * Math.sin(along + 0.45));
        return path;
    }

    private static Color colour(Intent intent) {
        return new Color(
                switch (intent) {
                    case CHANGE -> 0xA8321F;
                    case QUESTION -> 0x9A4F08;
                    case IDEA -> 0x6A3670;
                    case KEEP -> 0x47701F;
                });
    }

    private static Font font() throws IOException {
        try (InputStream in = Objects.requireNonNull(
                MarkedSheet.class.getResourceAsStream("/fonts/AtkinsonHyperlegibleNext_700Bold.ttf"))) {
            return Font.createFont(Font.TRUETYPE_FONT, in);
        } catch (FontFormatException damaged) {
            throw new IOException("our own font cannot be read", damaged);
        }
    }

    /**
     * The sheet as SVG, with its picture inside.
     *
     * @param mediaType of the picture
     * @throws IOException if the picture cannot be read
     */
    public static String svg(Path sheet, String mediaType, double ratio, List<Annotation> marks) throws IOException {
        double width = 1_000;
        double height = width * ratio;
        StringBuilder out =
                new StringBuilder(("<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 1000 %s\" fill=\"none\" "
                                + "stroke-width=\"2.6\" font-family=\"sans-serif\" font-size=\"16\" font-weight=\"700\">\n")
                        .formatted(SvgShapes.n(height)));
        out.append("<image width=\"1000\" height=\"%s\" preserveAspectRatio=\"none\" href=\"data:%s;base64,%s\"/>\n"
                .formatted(
                        SvgShapes.n(height), mediaType, Base64.getEncoder().encodeToString(Files.readAllBytes(sheet))));
        for (Annotation mark : marks) {
            String colour = "#%06x".formatted(colour(mark.intent()).getRGB() & 0xFFFFFF);
            out.append(("<g stroke=\"%s\"><title>%s</title>%s<text x=\"%s\" y=\"%s\" fill=\"%s\" "
                            + "stroke=\"none\">%s</text></g>\n")
                    .formatted(
                            colour,
                            escaped(mark.label() + " " + mark.author() + ": " + mark.note()),
                            SvgShapes.shape(mark.place(), width, height).replace("r=\"20\"", "r=\"9\""),
                            SvgShapes.n(mark.place().bounds().x() * width),
                            SvgShapes.n(Math.max(16, mark.place().bounds().y() * height - 14)),
                            colour,
                            escaped(mark.label())));
        }
        return out.append("</svg>\n").toString();
    }

    private static String escaped(String text) {
        return text.replace("&", "&amp;")
                .replace("<", "&lt;")
                .replace(">", "&gt;")
                .replaceAll("[\\p{Cntrl}&&[^\\n\\t]]", "");
    }

    /**
     * Sheets of something that is not a PDF as one, with the marks as annotations.
     *
     * @param sheets their pictures, in order
     * @throws IOException if one cannot be read
     */
    public static void pdf(List<Path> sheets, List<Annotation> marks, OutputStream out) throws IOException {
        try (PDDocument document = new PDDocument()) {
            for (Path sheet : sheets) {
                PDImageXObject picture = LosslessFactory.createFromImage(document, SheetPicture.read(sheet));
                float width = PDRectangle.A4.getWidth();
                PDPage page = new PDPage(new PDRectangle(width, width * picture.getHeight() / picture.getWidth()));
                document.addPage(page);
                try (PDPageContentStream content = new PDPageContentStream(document, page)) {
                    content.drawImage(
                            picture,
                            0,
                            0,
                            page.getMediaBox().getWidth(),
                            page.getMediaBox().getHeight());
                }
            }
            PdfAnnotations.annotate(document, marks);
            document.save(out);
        }
    }
}
