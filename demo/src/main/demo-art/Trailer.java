import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Font;
import java.awt.GradientPaint;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Arc2D;
import java.awt.geom.Ellipse2D;
import java.awt.image.BufferedImage;
import java.io.File;
import java.util.Random;
import javax.imageio.ImageIO;

/**
 * Draws the pictures of the opening trailer, 250 of them for twenty seconds: {@code java Trailer.java 1 folder}.
 * Version 2 opens the dome later and names the right day.
 */
class Trailer {
  static final int WIDTH = 960;
  static final int HEIGHT = 540;
  static final int PICTURES = 250;

  public static void main(String[] args) throws Exception {
    boolean second = args[0].equals("2");
    Font title = Font.createFont(Font.TRUETYPE_FONT,
        new File("../../../../formats/src/main/resources/fonts/BricolageGrotesque_700Bold.ttf"));
    for (int i = 0; i < PICTURES; i++) {
      BufferedImage picture = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_RGB);
      Graphics2D g = picture.createGraphics();
      g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
      draw(g, i / 12.5, second, title);
      g.dispose();
      ImageIO.write(picture, "png", new File(args[1], String.format("%04d.png", i)));
    }
  }

  static void draw(Graphics2D g, double t, boolean second, Font title) {
    double night = Math.min(1, t / 6);
    g.setPaint(new GradientPaint(0, 0, mix(new Color(0x3C5A78), new Color(0x0B1220), night), 0, HEIGHT,
        mix(new Color(0xE9A86A), new Color(0x1F2B45), night)));
    g.fillRect(0, 0, WIDTH, HEIGHT);
    stars(g, t, night);
    hills(g, night);
    dome(g, t, second ? 8 : 6);
    words(g, t, second, title);
  }

  static void stars(Graphics2D g, double t, double night) {
    Random random = new Random(7);
    for (int i = 0; i < 320; i++) {
      double angle = random.nextDouble() * 2 * Math.PI + t * 0.012;
      double far = 60 + random.nextDouble() * 700;
      double size = 0.8 + random.nextDouble() * 2.2;
      int light = (int) (255 * Math.max(0, night - random.nextDouble() * 0.5) * (0.6 + 0.4 * random.nextDouble()));
      g.setColor(new Color(255, 250, 235, Math.min(255, Math.max(0, light))));
      g.fill(new Ellipse2D.Double(480 + far * Math.cos(angle), 210 + far * Math.sin(angle) * 0.8, size, size));
    }
  }

  static void hills(Graphics2D g, double night) {
    g.setColor(mix(new Color(0x4A5B45), new Color(0x0F1712), night));
    java.awt.geom.Path2D.Double hill = new java.awt.geom.Path2D.Double();
    hill.moveTo(0, 430);
    hill.curveTo(240, 380, 420, 400, 560, 420);
    hill.curveTo(700, 440, 840, 410, 960, 430);
    hill.lineTo(960, 540);
    hill.lineTo(0, 540);
    hill.closePath();
    g.fill(hill);
  }

  static void dome(Graphics2D g, double t, double opens) {
    g.setColor(new Color(0xD9D4C4));
    g.fillRect(350, 360, 260, 70);
    g.fill(new Arc2D.Double(350, 230, 260, 260, 0, 180, Arc2D.PIE));
    double open = Math.max(0, Math.min(1, (t - opens) / 3));
    g.setColor(new Color(0x10161F));
    g.fill(new Arc2D.Double(350, 230, 260, 260, 90 - 26 * open, 26 * open, Arc2D.PIE));
    if (open > 0.6) {
      g.setColor(new Color(255, 214, 120, (int) (90 * (open - 0.6) / 0.4)));
      g.fill(new Arc2D.Double(-120, -240, 1200, 1200, 66, 24, Arc2D.PIE));
    }
    g.setColor(new Color(0x7A7566));
    g.setStroke(new BasicStroke(2));
    g.drawLine(350, 360, 610, 360);
  }

  static void words(Graphics2D g, double t, boolean second, Font title) {
    line(g, title, 46, "Penwether by night", 90, fade(t, 3, 8));
    line(g, title, 46, "A dome, a hill, no street lamp", 90, fade(t, 9, 14));
    line(g, title, 60, second ? "Opens 14 August" : "Opens 12 August", 110, fade(t, 15, 25));
    line(g, title, 26, "Bring a coat. The torches are ours.", 160, fade(t, 16, 25));
  }

  static double fade(double t, double from, double to) {
    return Math.max(0, Math.min(1, Math.min(t - from, to - t)));
  }

  static void line(Graphics2D g, Font font, int size, String words, int y, double light) {
    if (light > 0) {
      g.setFont(font.deriveFont((float) size));
      g.setColor(new Color(246, 245, 239, (int) (255 * light)));
      g.drawString(words, (WIDTH - g.getFontMetrics().stringWidth(words)) / 2, y);
    }
  }

  static Color mix(Color a, Color b, double part) {
    return new Color((int) (a.getRed() + (b.getRed() - a.getRed()) * part),
        (int) (a.getGreen() + (b.getGreen() - a.getGreen()) * part),
                (int) (a.getBlue() + (b.getBlue() - a.getBlue()) * part));
  }
}
