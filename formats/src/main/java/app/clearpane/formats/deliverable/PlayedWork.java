package app.clearpane.formats.deliverable;

import app.clearpane.core.deliverable.PageSize;
import app.clearpane.core.deliverable.WorkKind;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Path2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import org.jcodec.api.FrameGrab;
import org.jcodec.api.JCodecException;
import org.jcodec.common.io.NIOUtils;
import org.jcodec.common.io.SeekableByteChannel;
import org.jcodec.scale.AWTUtil;

/**
 * Something that is played. Its one sheet is a picture from it, or of its loudness; where neither can be had, a plain
 * plate.
 */
record PlayedWork(Path file, MediaKind kind) implements Work {
    private static final double POSTER_SECOND = 1;
    private static final int PATIENCE_SECONDS = 20;
    private static final int SOUND_HEIGHT = 360;
    private static final Color LEAD = new Color(0x2B3236);
    private static final Color PAPER = new Color(0xF6F5EF);
    private static final Color GLASS = new Color(0x14706A);

    @Override
    public String mediaType() {
        return kind.mediaType();
    }

    @Override
    public int pages() {
        return 1;
    }

    @Override
    public void draw(int fromPage, Taker taker) throws IOException {
        BufferedImage sheet =
                WorkKind.of(kind.mediaType()) == WorkKind.VIDEO ? poster().orElseGet(PlayedWork::plate) : loudness();
        taker.take(Encoded.page(1, new PageSize(sheet.getWidth(), sheet.getHeight()), sheet, false));
    }

    /** A picture from near the beginning; empty if it cannot be decoded, or not in good time. */
    private Optional<BufferedImage> poster() {
        ExecutorService decoder = Executors.newSingleThreadExecutor(task -> {
            Thread thread = new Thread(task, "poster");
            thread.setDaemon(true);
            return thread;
        });
        Future<BufferedImage> picture = decoder.submit(this::decoded);
        try {
            return Optional.of(picture.get(PATIENCE_SECONDS, TimeUnit.SECONDS));
        } catch (ExecutionException | TimeoutException notDecoded) {
            return Optional.empty();
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            return Optional.empty();
        } finally {
            decoder.shutdownNow();
        }
    }

    private BufferedImage decoded() throws IOException, JCodecException {
        try (SeekableByteChannel channel = NIOUtils.readableChannel(file.toFile())) {
            FrameGrab grab = FrameGrab.createFrameGrab(channel);
            double length = grab.getVideoTrack().getMeta() == null
                    ? 0
                    : grab.getVideoTrack().getMeta().getTotalDuration();
            return AWTUtil.toBufferedImage(
                    grab.seekToSecondSloppy(Math.min(POSTER_SECOND, length / 2)).getNativeFrame());
        }
    }

    private static BufferedImage plate() {
        BufferedImage plate = new BufferedImage(LARGE_WIDTH, LARGE_WIDTH * 9 / 16, BufferedImage.TYPE_INT_RGB);
        Graphics2D graphics = on(plate, LEAD);
        Path2D.Double play = new Path2D.Double();
        play.moveTo(720, 350);
        play.lineTo(920, 450);
        play.lineTo(720, 550);
        play.closePath();
        graphics.setColor(PAPER);
        graphics.fill(play);
        graphics.dispose();
        return plate;
    }

    private BufferedImage loudness() {
        BufferedImage plate = new BufferedImage(LARGE_WIDTH, SOUND_HEIGHT, BufferedImage.TYPE_INT_RGB);
        Graphics2D graphics = on(plate, PAPER);
        graphics.setColor(GLASS);
        graphics.setStroke(new BasicStroke(2));
        int middle = SOUND_HEIGHT / 2;
        graphics.drawLine(0, middle, LARGE_WIDTH, middle);
        double[] peaks = kind == MediaKind.WAV ? WavePeaks.of(file, LARGE_WIDTH / 4) : new double[0];
        for (int i = 0; i < peaks.length; i++) {
            int half = (int) Math.round(peaks[i] * (middle - 16));
            graphics.fillRect(i * 4, middle - half, 3, Math.max(1, 2 * half));
        }
        graphics.dispose();
        return plate;
    }

    private static Graphics2D on(BufferedImage plate, Color ground) {
        Graphics2D graphics = plate.createGraphics();
        graphics.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        graphics.setColor(ground);
        graphics.fillRect(0, 0, plate.getWidth(), plate.getHeight());
        return graphics;
    }

    @Override
    public Optional<BufferedImage> strip(int page, int width, int top, int height) {
        return Optional.empty();
    }
}
