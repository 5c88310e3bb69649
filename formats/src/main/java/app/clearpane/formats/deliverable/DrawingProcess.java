package app.clearpane.formats.deliverable;

import java.awt.image.BufferedImage;
import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.ByteArrayOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.FileDescriptor;
import java.io.FileOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import javax.imageio.ImageIO;

/**
 * What runs in a process of its own and draws for {@link DrawApart}: it reads what is wanted from its standard input and writes what it drew to its
 * standard output, until its input ends or whoever started it is gone.
 */
final class DrawingProcess {
  static final int OPEN = 'O';
  static final int DRAW = 'D';
  static final int STRIP = 'S';
  static final int OPENED = 'o';
  static final int PAGE = 'p';
  static final int SQUARES = 'q';
  static final int NOTHING = 'n';
  static final int DONE = 'd';
  static final int UNUSABLE = 'u';
  static final int FAILED = 'f';
  private static final String TOO_MUCH = "It takes more memory to draw this file than one file may take here. Save it with fewer pixels, or as several files.";
  private final DataInputStream in;
  private final DataOutputStream out;

  private DrawingProcess(DataInputStream in, DataOutputStream out) {
    this.in = in;
    this.out = out;
  }

  /** Draws what is asked for. */
  public static void main(String[] none) throws IOException {
    ProcessHandle.current().parent().ifPresent(parent -> parent.onExit().thenRun(() -> Runtime.getRuntime().halt(1)));
    DataOutputStream out = new DataOutputStream(new BufferedOutputStream(new FileOutputStream(FileDescriptor.out), 1 << 16));
    System.setOut(System.err);
    new DrawingProcess(new DataInputStream(new BufferedInputStream(System.in)), out).serve();
    System.exit(0);
  }

  private void serve() throws IOException {
    for (int wanted = in.read(); wanted >= 0; wanted = in.read()) {
      try {
        answer(wanted);
      } catch (UnusableFile unusable) {
        say(UNUSABLE, unusable.getMessage());
      } catch (IOException | RuntimeException failed) {
        say(FAILED, String.valueOf(failed.getMessage()));
      } catch (OutOfMemoryError | StackOverflowError tooMuch) {
        say(UNUSABLE, TOO_MUCH);
        System.exit(1);
      }
    }
  }

  private void answer(int wanted) throws IOException, UnusableFile {
    Path file = Path.of(in.readUTF());
    String called = in.readUTF();
    switch (wanted) {
      case OPEN -> {
        Work work = Work.open(file, called);
        out.write(OPENED);
        out.writeUTF(work.mediaType());
        out.writeInt(work.pages());
      }
      case DRAW -> {
        Work.known(file, called).draw(in.readInt(), this::write);
        out.write(DONE);
      }
      case STRIP -> write(Work.known(file, called).strip(in.readInt(), in.readInt(), in.readInt(), in.readInt()), in.readInt());
      default -> throw new IOException("unknown wish " + wanted);
    }
    out.flush();
  }

  private void say(int what, String sentence) throws IOException {
    out.write(what);
    out.writeUTF(sentence.substring(0, Math.min(sentence.length(), 2_000)));
    out.flush();
  }

  private void write(Work.DrawnPage page) throws IOException {
    out.write(PAGE);
    out.writeInt(page.page());
    out.writeDouble(page.size().width());
    out.writeDouble(page.size().height());
    out.writeUTF(page.mediaType());
    out.writeInt(page.large().length);
    out.write(page.large());
    out.writeInt(page.small().length);
    out.write(page.small());
    out.flush();
  }

  /** Cuts rows into squares, those that are left at the right side too. */
  private void write(Optional<BufferedImage> strip, int side) throws IOException {
    if (strip.isEmpty()) {
      out.write(NOTHING);
      return;
    }
    BufferedImage rows = strip.get();
    List<byte[]> squares = IntStream.range(0, (rows.getWidth() + side - 1) / side).parallel().mapToObj(column -> encoded(rows.getSubimage(column * side, 0, Math.min(side, rows.getWidth() - column * side), rows.getHeight()))).toList();
    out.write(SQUARES);
    out.writeInt(squares.size());
    for (byte[] square : squares) {
      out.writeInt(square.length);
      out.write(square);
    }
  }

  private static byte[] encoded(BufferedImage square) {
    try {
      ByteArrayOutputStream jpeg = new ByteArrayOutputStream(1 << 16);
      ImageIO.write(square, "jpg", jpeg);
      return jpeg.toByteArray();
    } catch (IOException never) {
      throw new UncheckedIOException(never);
    }
  }
}
