package app.clearpane.formats.exposure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import com.google.zxing.BinaryBitmap;
import com.google.zxing.RGBLuminanceSource;
import com.google.zxing.common.HybridBinarizer;
import com.google.zxing.qrcode.QRCodeReader;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;

class QrCodeTest {
    private static final String ADDRESS = "http://localhost:8080/p/nBJHph8n0Xll50cHFMzo1g";
    private static final Pattern RUN = Pattern.compile("M(\\d+) (\\d+)h(\\d+)v1h-(\\d+)z");

    private static String read(BufferedImage picture) throws Exception {
        int[] pixels = picture.getRGB(0, 0, picture.getWidth(), picture.getHeight(), null, 0, picture.getWidth());
        return new QRCodeReader()
                .decode(new BinaryBitmap(
                        new HybridBinarizer(new RGBLuminanceSource(picture.getWidth(), picture.getHeight(), pixels))))
                .getText();
    }

    @Test
    void aReaderReadsThePicture() throws Exception {
        assertThat(read(ImageIO.read(new ByteArrayInputStream(QrCode.of(ADDRESS).png()))))
                .isEqualTo(ADDRESS);
    }

    @Test
    void aReaderReadsTheDrawing() throws Exception {
        String svg = QrCode.of(ADDRESS).svg();
        int modules = Integer.parseInt(svg.replaceAll("(?s).*viewBox=\"0 0 (\\d+) .*", "$1"));
        BufferedImage picture = new BufferedImage(modules * 10, modules * 10, BufferedImage.TYPE_INT_RGB);
        var pen = picture.createGraphics();
        pen.setColor(java.awt.Color.WHITE);
        pen.fillRect(0, 0, modules * 10, modules * 10);
        pen.setColor(java.awt.Color.BLACK);
        for (Matcher run = RUN.matcher(svg); run.find(); ) {
            pen.fillRect(
                    Integer.parseInt(run.group(1)) * 10,
                    Integer.parseInt(run.group(2)) * 10,
                    Integer.parseInt(run.group(3)) * 10,
                    10);
        }
        assertThat(read(picture)).isEqualTo(ADDRESS);
    }

    @Test
    void whatDoesNotFitIsRefused() {
        assertThatIllegalArgumentException().isThrownBy(() -> QrCode.of("x".repeat(5_000)));
        assertThatIllegalArgumentException().isThrownBy(() -> QrCode.of(""));
    }
}
