package app.clearpane.formats.apart;

import app.clearpane.formats.deliverable.UnusableFile;
import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.FileDescriptor;
import java.io.FileOutputStream;
import java.io.IOException;
import java.nio.file.FileSystemException;

/**
 * What runs in a process of its own and opens files for {@link DrawApart}: it reads what is wished from its standard
 * input and writes what came of it to its standard output, until its input ends or whoever started it is gone.
 */
final class ApartProcess {
    private static final String TOO_MUCH =
            "It takes more memory to open this file than one file may take here, or it lies in itself too deeply. "
                    + "Save it with fewer pixels or shapes, or as several files.";
    private static final String DAMAGED =
            "It could not be read: it is damaged, or written in a way that is not understood here. Save it again "
                    + "from the program that made it.";
    private final DataInputStream in;
    private final DataOutputStream out;

    private ApartProcess(DataInputStream in, DataOutputStream out) {
        this.in = in;
        this.out = out;
    }

    /** Grants what is wished. */
    public static void main(String[] none) throws IOException {
        ProcessHandle.current().parent().ifPresent(parent -> parent.onExit()
                .thenRun(() -> Runtime.getRuntime().halt(1)));
        DataOutputStream out =
                new DataOutputStream(new BufferedOutputStream(new FileOutputStream(FileDescriptor.out), 1 << 16));
        System.setOut(System.err);
        new ApartProcess(new DataInputStream(new BufferedInputStream(System.in)), out).serve();
        System.exit(0);
    }

    private void serve() throws IOException {
        for (int sign = in.read(); sign >= 0; sign = in.read()) {
            try {
                answer((Wish<?, ?>) Line.read(in, Wish.class));
            } catch (UnusableFile unusable) {
                say(Line.UNUSABLE, unusable.sentence());
            } catch (IOException | RuntimeException failed) {
                say(
                        ofTheMachine(failed) ? Line.FAILED : Line.UNUSABLE,
                        ofTheMachine(failed) ? String.valueOf(failed) : DAMAGED);
            } catch (OutOfMemoryError | StackOverflowError tooMuch) {
                say(Line.UNUSABLE, TOO_MUCH);
                System.exit(1);
            }
        }
    }

    /** Whether it is about the file itself not being there or the disk, and not about what is in it. */
    private static boolean ofTheMachine(Exception failed) {
        return failed instanceof FileSystemException
                || String.valueOf(failed.getMessage()).contains("No space left")
                || failed.getCause() instanceof FileSystemException;
    }

    private <P, A> void answer(Wish<P, A> wish) throws IOException, UnusableFile {
        Line.write(out, Line.DONE, wish.granted(new Wish.Pieces<P>() {
            @Override
            public void take(P piece) throws IOException {
                Line.write(out, Line.PIECE, piece);
            }

            @Override
            public void goesOn() throws IOException {
                out.write(Line.GOES_ON);
                out.flush();
            }
        }));
    }

    private void say(int what, String sentence) throws IOException {
        Line.write(out, what, sentence.substring(0, Math.min(sentence.length(), 2_000)));
    }
}
