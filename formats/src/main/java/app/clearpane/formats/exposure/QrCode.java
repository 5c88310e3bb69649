package app.clearpane.formats.exposure;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import com.google.zxing.qrcode.decoder.ErrorCorrectionLevel;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Map;
import javax.imageio.ImageIO;

/** An address as a QR code (ISO/IEC 18004, correction level M, quiet zone of four modules), drawn as SVG or PNG. */
public final class QrCode {
    private static final int QUIET = 4;
    private static final int PIXELS_PER_MODULE = 12;
    private final BitMatrix modules;

    private QrCode(BitMatrix modules) {
        this.modules = modules;
    }

    /** Of a text. @throws IllegalArgumentException if it is empty or too long for a code */
    public static QrCode of(String text) {
        try {
            return new QrCode(new QRCodeWriter()
                    .encode(
                            text,
                            BarcodeFormat.QR_CODE,
                            0,
                            0,
                            Map.of(
                                    EncodeHintType.ERROR_CORRECTION,
                                    ErrorCorrectionLevel.M,
                                    EncodeHintType.MARGIN,
                                    QUIET)));
        } catch (WriterException tooLong) {
            throw new IllegalArgumentException(tooLong);
        }
    }

    /** As an SVG drawing, one unit a module, black on white. */
    public String svg() {
        StringBuilder path = new StringBuilder();
        for (int y = 0; y < modules.getHeight(); y++) {
            for (int x = 0; x < modules.getWidth(); x++) {
                int from = x;
                while (x < modules.getWidth() && modules.get(x, y)) {
                    x++;
                }
                if (x > from) {
                    path.append('M')
                            .append(from)
                            .append(' ')
                            .append(y)
                            .append('h')
                            .append(x - from)
                            .append("v1h-")
                            .append(x - from)
                            .append('z');
                }
            }
        }
        return "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 " + modules.getWidth() + " "
                + modules.getHeight()
                + "\" shape-rendering=\"crispEdges\"><rect width=\"100%\" height=\"100%\" fill=\"#fff\"/><path d=\""
                + path + "\"/></svg>";
    }

    /** As a PNG picture, 12 pixels a module. */
    public byte[] png() {
        int width = modules.getWidth() * PIXELS_PER_MODULE;
        BufferedImage picture = new BufferedImage(width, width, BufferedImage.TYPE_BYTE_BINARY);
        for (int y = 0; y < width; y++) {
            for (int x = 0; x < width; x++) {
                picture.setRGB(
                        x, y, modules.get(x / PIXELS_PER_MODULE, y / PIXELS_PER_MODULE) ? 0xFF000000 : 0xFFFFFFFF);
            }
        }
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        try {
            ImageIO.write(picture, "png", bytes);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return bytes.toByteArray();
    }
}
