package app.clearpane.formats.clearance;

import app.clearpane.core.markup.Place.Spot;
import app.clearpane.core.signoff.DrawnSignature;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Path2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import javax.imageio.ImageIO;

/** A drawn signature as a picture for a document that is printed and kept. */
public final class SignaturePicture {
    private static final int WIDTH = 900;
    private static final float PEN = 5;

    private SignaturePicture() {}

    /** As PNG, dark on white, 900 pixels wide. */
    public static byte[] png(DrawnSignature drawn) {
        int height = (int) (WIDTH / DrawnSignature.RATIO);
        BufferedImage image = new BufferedImage(WIDTH, height, BufferedImage.TYPE_INT_RGB);
        Graphics2D graphics = image.createGraphics();
        graphics.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        graphics.setColor(Color.WHITE);
        graphics.fillRect(0, 0, WIDTH, height);
        graphics.setColor(new Color(0x22282C));
        graphics.setStroke(new BasicStroke(PEN, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
        drawn.strokes().forEach(stroke -> graphics.draw(line(stroke, height)));
        graphics.dispose();
        try {
            ByteArrayOutputStream png = new ByteArrayOutputStream();
            ImageIO.write(image, "png", png);
            return png.toByteArray();
        } catch (IOException never) {
            throw new UncheckedIOException(never);
        }
    }

    private static Path2D line(List<Spot> stroke, int height) {
        Path2D line = new Path2D.Double();
        line.moveTo(stroke.get(0).x() * WIDTH, stroke.get(0).y() * height);
        stroke.forEach(spot -> line.lineTo(spot.x() * WIDTH, spot.y() * height));
        return line;
    }
}
