package app.clearpane.core.compare;

/**
 * A picture with its colours halved as JPEG files keep them (4:2:0): how light each pixel is stays, and what colour it
 * is becomes the mean of two by two, drawn back linearly.
 */
final class HalvedColours {
    private HalvedColours() {}

    /** The picture with its colours halved. */
    static Raster of(Raster picture) {
        int width = picture.width();
        int height = picture.height();
        int halfWidth = (width + 1) / 2;
        int halfHeight = (height + 1) / 2;
        float[] blue = new float[halfWidth * halfHeight];
        float[] red = new float[halfWidth * halfHeight];
        for (int y = 0; y < halfHeight; y++) {
            for (int x = 0; x < halfWidth; x++) {
                for (int i = 0; i < 4; i++) {
                    int rgb = picture.at(Math.min(width - 1, 2 * x + i % 2), Math.min(height - 1, 2 * y + i / 2));
                    float light = light(rgb);
                    blue[y * halfWidth + x] += ((rgb & 255) - light) / 4;
                    red[y * halfWidth + x] += ((rgb >> 16 & 255) - light) / 4;
                }
            }
        }
        int[] result = new int[width * height];
        for (int y = 0; y < height; y++) {
            int near = y / 2 * halfWidth;
            int far = Math.max(0, Math.min(halfHeight - 1, y / 2 + (y % 2 == 0 ? -1 : 1))) * halfWidth;
            for (int x = 0; x < width; x++) {
                int beside = Math.max(0, Math.min(halfWidth - 1, x / 2 + (x % 2 == 0 ? -1 : 1)));
                result[y * width + x] = colour(
                        light(picture.at(x, y)),
                        drawn(blue, near, far, x / 2, beside),
                        drawn(red, near, far, x / 2, beside));
            }
        }
        return new Raster(width, height, result, true);
    }

    private static float drawn(float[] half, int near, int far, int at, int beside) {
        return (9 * half[near + at] + 3 * half[near + beside] + 3 * half[far + at] + half[far + beside]) / 16;
    }

    /** Luma after Recommendation ITU-R BT.601. */
    private static float light(int rgb) {
        return 0.299f * (rgb >> 16 & 255) + 0.587f * (rgb >> 8 & 255) + 0.114f * (rgb & 255);
    }

    private static int colour(float light, float blue, float red) {
        float green = (-0.299f * red - 0.114f * blue) / 0.587f;
        return channel(light + red) << 16 | channel(light + green) << 8 | channel(light + blue);
    }

    private static int channel(float value) {
        return Math.max(0, Math.min(255, Math.round(value)));
    }
}
