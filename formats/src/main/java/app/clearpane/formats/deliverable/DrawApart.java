package app.clearpane.formats.deliverable;

import app.clearpane.core.deliverable.PageSize;
import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.EOFException;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.ConcurrentLinkedDeque;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.BooleanSupplier;

/**
 * Opens and draws files in processes of their own, with a heap of their own: a file that takes too long or too much stops there, is said so, and
 * harms nothing else. A process that was used waits for the next file for a while.
 *
 * <p>Safe for use by several threads; each draws in another process.
 */
public final class DrawApart implements AutoCloseable {
  /** The heap of one process: what drawing one file may take. */
  private static final String HEAP = "-Xmx512m";
  /** A process that nothing was asked of for so long ends. */
  private static final Duration IDLE = Duration.ofMinutes(5);
  /** One of several that wait ends after so long: many files come at once, and then none. */
  private static final Duration SPARE = Duration.ofSeconds(20);
  private static final int MOST_IDLE = 3;
  private final Duration limit;
  private final ConcurrentLinkedDeque<Apart> idle = new ConcurrentLinkedDeque<>();
  private final ScheduledExecutorService watch = Executors.newSingleThreadScheduledExecutor(task -> {
    Thread thread = new Thread(task, "drawing-watch");
    thread.setDaemon(true);
    return thread;
  });
  private volatile boolean closed;

  /** @param limit how long one page may take, and opening a file */
  public DrawApart(Duration limit) {
    this.limit = limit;
  }

  /** What a file is. @param pages how many it has, 1 or more */
  public record Opened(String mediaType, int pages) {}

  /** Finds out what a file is, as {@link Work#open} does. @throws UnusableFile with a sentence if it cannot be looked at, or takes too long to open */
  public Opened open(Path file, String nameForSentences) throws IOException, UnusableFile {
    return with(DrawingProcess.OPEN, file, nameForSentences, List.of(), apart -> {
      apart.expect(DrawingProcess.OPENED);
      return new Opened(apart.in.readUTF(), apart.in.readInt());
    });
  }

  /** Draws pages in order, as {@link Work#draw} does. @param mediaType as it was found out @throws UnusableFile if a page cannot be drawn or takes too long; earlier ones were taken */
  public void draw(Path file, String mediaType, int fromPage, Work.Taker taker) throws IOException, UnusableFile {
    with(DrawingProcess.DRAW, file, mediaType, List.of(fromPage), apart -> {
      while (apart.next() == DrawingProcess.PAGE) {
        taker.take(apart.page());
      }
      return apart.ended();
    });
  }

  /**
   * Some rows of a page, as {@link Work#strip} gives them, in squares from left to right, each as JPEG.
   *
   * @return empty if the page is sharp as it is or has no such rows
   * @throws UnusableFile if they cannot be drawn or take too long
   */
  public List<byte[]> squares(Path file, String mediaType, Rows rows) throws IOException, UnusableFile {
    return with(DrawingProcess.STRIP, file, mediaType, List.of(rows.page(), rows.width(), rows.top(), rows.height(), rows.side()), apart -> apart.next() == DrawingProcess.SQUARES ? apart.squares() : apart.nothing());
  }

  /** Which rows. @param page from 1 @param width of the whole page in pixels @param top the first row @param height how many @param side how wide a square is; the last may be narrower */
  public record Rows(int page, int width, int top, int height, int side) {}

  /** Starts a process, if none waits, so that the next file need not wait for it. */
  public void warmUp() throws IOException {
    if (idle.isEmpty() && !closed) {
      rest(new Apart(limit, watch));
    }
  }

  private interface Reading<T> {
    T read(Apart apart) throws IOException, UnusableFile;
  }

  private <T> T with(int wanted, Path file, String called, List<Integer> numbers, Reading<T> reading) throws IOException, UnusableFile {
    Apart apart = take();
    boolean whole = false;
    try {
      apart.ask(wanted, file, called, numbers);
      T read = reading.read(apart);
      whole = true;
      return read;
    } catch (EOFException ended) {
      throw apart.stopped.get() ? new UnusableFile("It takes longer than " + limit.toSeconds() + " seconds to draw, so we stopped. Save it again from the program that made it, simpler or as a picture, and upload that.")
          : new UnusableFile("It could not be drawn: it takes more memory than one file may take here, or is damaged. Save it again from the program that made it.");
    } catch (UnusableFile said) {
      whole = apart.alive();
      throw said;
    } finally {
      if (whole) {
        rest(apart);
      } else {
        apart.close();
      }
    }
  }

  /** A process that waits, or else a new one. */
  private Apart take() throws IOException {
    for (Apart apart = idle.pollFirst(); apart != null; apart = idle.pollFirst()) {
      if (apart.alive()) {
        return apart;
      }
    }
    return new Apart(limit, watch);
  }

  /** Lets a process wait for the next file: for long if it is the only one. */
  private void rest(Apart apart) {
    if (closed || idle.size() >= MOST_IDLE) {
      apart.close();
      return;
    }
    idle.addFirst(apart);
    endAfter(SPARE, apart, () -> idle.size() > 1);
    endAfter(IDLE, apart, () -> true);
  }

  private void endAfter(Duration time, Apart apart, BooleanSupplier then) {
    watch.schedule(() -> {
      if (apart.idleSince(time) && then.getAsBoolean() && idle.remove(apart)) {
        apart.close();
      }
    }, time.toMillis() + 100, TimeUnit.MILLISECONDS);
  }

  @Override
  public void close() {
    closed = true;
    watch.shutdownNow();
    for (Apart apart = idle.pollFirst(); apart != null; apart = idle.pollFirst()) {
      apart.close();
    }
  }

  /** One process. */
  private static final class Apart {
    private final Process process;
    private final DataInputStream in;
    private final DataOutputStream out;
    private final Duration limit;
    private final ScheduledExecutorService watch;
    private final AtomicBoolean stopped = new AtomicBoolean();
    private volatile long usedAt = System.nanoTime();
    private int last;

    Apart(Duration limit, ScheduledExecutorService watch) throws IOException {
      this.limit = limit;
      this.watch = watch;
      this.process = new ProcessBuilder(command()).redirectError(ProcessBuilder.Redirect.DISCARD).start();
      this.in = new DataInputStream(new BufferedInputStream(process.getInputStream(), 1 << 16));
      this.out = new DataOutputStream(new BufferedOutputStream(process.getOutputStream()));
    }

    private static List<String> command() {
      String path = System.getProperty("java.class.path");
      List<String> command = new ArrayList<>(List.of(Path.of(System.getProperty("java.home"), "bin", "java").toString(), HEAP, "-XX:+UseSerialGC", "-XX:-UsePerfData", "-Djava.awt.headless=true", "-Djava.io.tmpdir=" + System.getProperty("java.io.tmpdir"), "-cp", path));
      if (DrawApart.class.getProtectionDomain().getCodeSource().getLocation().toString().contains("BOOT-INF")) {
        command.add("-Dloader.main=" + DrawingProcess.class.getName());
        command.add("org.springframework.boot.loader.launch.PropertiesLauncher");
      } else {
        command.add(DrawingProcess.class.getName());
      }
      return command;
    }

    void ask(int wanted, Path file, String called, List<Integer> numbers) throws IOException {
      try {
        out.write(wanted);
        out.writeUTF(file.toAbsolutePath().toString());
        out.writeUTF(called);
        for (int number : numbers) {
          out.writeInt(number);
        }
        out.flush();
      } catch (IOException gone) {
        throw new EOFException();
      }
    }

    /** What comes next; whoever takes longer than the limit is stopped. */
    int next() throws IOException, UnusableFile {
      ScheduledFuture<?> stop = watch.schedule(() -> {
        stopped.set(true);
        process.destroyForcibly();
      }, limit.toMillis(), TimeUnit.MILLISECONDS);
      try {
        last = in.read();
      } catch (IOException gone) {
        last = -1;
      } finally {
        stop.cancel(false);
      }
      usedAt = System.nanoTime();
      switch (last) {
        case -1 -> throw new EOFException();
        case DrawingProcess.UNUSABLE -> throw new UnusableFile(in.readUTF());
        case DrawingProcess.FAILED -> throw new IOException(in.readUTF());
        default -> {
          return last;
        }
      }
    }

    void expect(int what) throws IOException, UnusableFile {
      if (next() != what) {
        throw new IOException("unexpected answer " + last);
      }
    }

    List<byte[]> nothing() throws IOException {
      if (last != DrawingProcess.NOTHING) {
        throw new IOException("unexpected answer " + last);
      }
      return List.of();
    }

    boolean ended() throws IOException {
      if (last != DrawingProcess.DONE) {
        throw new IOException("unexpected answer " + last);
      }
      return true;
    }

    Work.DrawnPage page() throws IOException {
      int page = in.readInt();
      PageSize size = new PageSize(in.readDouble(), in.readDouble());
      String mediaType = in.readUTF();
      byte[] large = in.readNBytes(in.readInt());
      return new Work.DrawnPage(page, size, large, in.readNBytes(in.readInt()), mediaType);
    }

    List<byte[]> squares() throws IOException {
      List<byte[]> squares = new ArrayList<>();
      for (int left = in.readInt(); left > 0; left--) {
        squares.add(in.readNBytes(in.readInt()));
      }
      return squares;
    }

    boolean alive() {
      return process.isAlive();
    }

    boolean idleSince(Duration time) {
      return System.nanoTime() - usedAt >= time.toNanos();
    }

    void close() {
      process.destroyForcibly();
    }
  }
}
