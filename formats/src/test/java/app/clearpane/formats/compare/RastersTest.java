package app.clearpane.formats.compare;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.clearpane.core.compare.Raster;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Arrays;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;

class RastersTest {
    private static byte[] encoded(String kind) throws IOException {
        BufferedImage image = new BufferedImage(30, 20, BufferedImage.TYPE_INT_RGB);
        image.setRGB(3, 4, 0x112233);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, kind, out);
        return out.toByteArray();
    }

    @Test
    void aPictureFromOutsideIsDecoded() throws Exception {
        Raster raster = Rasters.decode(encoded("png"), 600);
        assertThat(raster.width()).isEqualTo(30);
        assertThat(raster.height()).isEqualTo(20);
        assertThat(raster.rgb()[4 * 30 + 3]).isEqualTo(0x112233);
        assertThat(Rasters.decode(encoded("jpg"), 600).width()).isEqualTo(30);
    }

    @Test
    void whatIsLargerOrOfAnotherKindOrDamagedIsNot() throws Exception {
        byte[] png = encoded("png");
        assertThatThrownBy(() -> Rasters.decode(png, 599)).isInstanceOf(IOException.class);
        assertThatThrownBy(() -> Rasters.decode(encoded("bmp"), 600)).isInstanceOf(IOException.class);
        assertThatThrownBy(() -> Rasters.decode(new byte[0], 600)).isInstanceOf(IOException.class);
        for (int cut = 1; cut < png.length / 2; cut += 3) {
            byte[] half = Arrays.copyOf(png, cut);
            assertThatThrownBy(() -> Rasters.decode(half, 600)).isInstanceOf(IOException.class);
        }
    }
}
