package app.clearpane.bench;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Random;
import javax.imageio.ImageIO;

/** Files that ask for far more than they are. */
final class Hostile {
    private Hostile() {}

    /** An SVG that names a shape 10^12 times. */
    static byte[] repeatingSvg() {
        StringBuilder svg = new StringBuilder(
                "<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 10 10'><defs><rect id='r0' width='1' "
                        + "height='1'/>");
        for (int level = 1; level <= 12; level++) {
            svg.append("<g id='r")
                    .append(level)
                    .append("'>")
                    .append(("<use href='#r" + (level - 1) + "'/>").repeat(10))
                    .append("</g>");
        }
        return svg.append("</defs><use href='#r12'/></svg>").toString().getBytes(StandardCharsets.US_ASCII);
    }

    /** An SVG whose shapes lie in each other very deeply. */
    static byte[] deepSvg() {
        return ("<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 10 10'>" + "<g>".repeat(200_000) + "</svg>")
                .getBytes(StandardCharsets.US_ASCII);
    }

    /** An SVG of many shapes, just as many as are shown. @param seed so that no two are the same file */
    static byte[] heavySvg(int seed) {
        Random random = new Random(seed);
        StringBuilder svg = new StringBuilder("<svg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 1000 1000'>");
        for (int i = 0; i < 150_000; i++) {
            svg.append("<circle cx='")
                    .append(random.nextInt(1_000))
                    .append("' cy='")
                    .append(random.nextInt(1_000))
                    .append("' r='9' opacity='.3'/>");
        }
        return svg.append("</svg>").toString().getBytes(StandardCharsets.US_ASCII);
    }

    /** A PDF of two kilobytes that draws 10^12 rectangles. @param seed so that no two are the same file */
    static byte[] endlessPdf(int seed) {
        StringBuilder pdf = new StringBuilder("%PDF-1.7\n% " + seed
                + "\n1 0 obj\n<< /Type /Catalog /Pages 2 0 R >>\nendobj\n2 0 obj\n<< /Type /Pages /Kids [3 "
                + "0 R] /Count 1 >>\nendobj\n");
        String page = "/F Do";
        pdf.append("3 0 obj\n<< /Type /Page /Parent 2 0 R /MediaBox [0 0 400 500] /Resources << /XObject << /F 5 0 R "
                + ">> >> /Contents 4 0 R >>\nendobj\n");
        pdf.append("4 0 obj\n<< /Length ")
                .append(page.length())
                .append(" >>\nstream\n")
                .append(page)
                .append("\nendstream\nendobj\n");
        for (int level = 0; level < 12; level++) {
            boolean last = level == 11;
            String content = last ? "0 0 5 5 re f " : "/F Do ".repeat(10);
            pdf.append(5 + level)
                    .append(" 0 obj\n<< /Type /XObject /Subtype /Form /BBox [0 0 400 500] ")
                    .append(last ? "" : "/Resources << /XObject << /F " + (6 + level) + " 0 R >> >> ")
                    .append("/Length ")
                    .append(content.length())
                    .append(" >>\nstream\n")
                    .append(content)
                    .append("\nendstream\nendobj\n");
        }
        return pdf.append("trailer\n<< /Size 17 /Root 1 0 R >>\n%%EOF\n")
                .toString()
                .getBytes(StandardCharsets.US_ASCII);
    }

    /** A picture of noise, which nothing makes smaller. @param seed so that no two are the same file */
    static byte[] noise(int seed, int width, int height) throws IOException {
        Random random = new Random(seed);
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        for (int y = 0; y < height; y++) {
            for (int x = 0; x < width; x++) {
                image.setRGB(x, y, random.nextInt());
            }
        }
        ByteArrayOutputStream png = new ByteArrayOutputStream();
        ImageIO.write(image, "png", png);
        return png.toByteArray();
    }
}
