package app.clearpane.formats.apart;

import app.clearpane.core.compare.ChangeMap;
import app.clearpane.core.compare.Comparison;
import app.clearpane.core.compare.Palette;
import app.clearpane.core.files.Inside;
import app.clearpane.core.markup.Writing;
import app.clearpane.core.supply.FileFacts;
import app.clearpane.formats.deliverable.UnusableFile;
import app.clearpane.formats.deliverable.Work;
import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.EOFException;
import java.io.IOException;
import java.io.InterruptedIOException;
import java.time.Duration;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentLinkedDeque;
import java.util.concurrent.Executors;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.BooleanSupplier;

/**
 * Opens, draws and compares files in processes of their own, with a heap of their own: a file that takes too long or
 * too much stops there, is said so, and harms nothing else. There are only so many at a time, all together; who waits
 * for one waits in a queue. A process that was used waits for the next file for a while.
 *
 * <p>Safe for use by several threads; each draws in another process.
 */
public final class DrawApart implements AutoCloseable {
    /** How many work at a time, all together. */
    static final int MOST = Math.max(2, Math.min(6, Runtime.getRuntime().availableProcessors() + 1));
    /** How many may wait for one. */
    private static final int MOST_WAITING = 24;
    /** How long somebody waits for one. */
    private static final Duration PATIENCE = Duration.ofSeconds(20);
    /** A process that nothing was asked of for so long ends. */
    private static final Duration IDLE = Duration.ofMinutes(5);
    /** One of several that wait ends after so long: many files come at once, and then none. */
    private static final Duration SPARE = Duration.ofSeconds(20);
    /** On a machine with much else to do, drawing may take so many times its limit before it is stopped. */
    private static final int SLOWEST = 10;

    private final Duration limit;
    private final Slots slots;
    private final ConcurrentLinkedDeque<Apart> idle = new ConcurrentLinkedDeque<>();
    private final Set<Apart> working = ConcurrentHashMap.newKeySet();
    private final ScheduledExecutorService watch = Executors.newSingleThreadScheduledExecutor(task -> {
        Thread thread = new Thread(task, "drawing-watch");
        thread.setDaemon(true);
        return thread;
    });
    private volatile boolean closed;

    /**
     * @param limit how long one page may be worked on, and opening a file: what a process waits for its turn does not
     *     count
     */
    public DrawApart(Duration limit) {
        this(limit, new Slots(MOST, MOST_WAITING, PATIENCE));
    }

    DrawApart(Duration limit, Slots slots) {
        this.limit = limit;
        this.slots = slots;
    }

    /**
     * Finds out what a file is. @throws UnusableFile if it cannot be looked at, or takes too long to open @throws
     * NoRoomNow if too many are being opened
     */
    public Wish.Opened open(Wish.Open wish) throws IOException, UnusableFile {
        return waited(wish, Wish.Opened.class);
    }

    /**
     * What a file is that was given for a request. @throws UnusableFile if it takes too long to find out @throws
     * NoRoomNow if too many are being opened
     */
    public FileFacts facts(Wish.Facts wish) throws IOException, UnusableFile {
        return waited(wish, FileFacts.class);
    }

    /**
     * What stands in a file that has no pages to draw. @throws UnusableFile if nothing of it can be shown @throws
     * NoRoomNow if too many are being opened
     */
    public Inside inside(Wish.Within wish) throws IOException, UnusableFile {
        return waited(wish, Inside.class);
    }

    /**
     * Cuts rows of a page. @throws UnusableFile if they cannot be drawn or take too long @throws NoRoomNow if too many
     * files are being opened
     */
    public Wish.Pictures pictures(Wish<Wish.None, Wish.Pictures> wish) throws IOException, UnusableFile {
        return waited(wish, Wish.Pictures.class);
    }

    /**
     * The colours of a sheet. @throws UnusableFile if it cannot be read @throws NoRoomNow if too many files are being
     * opened
     */
    public Palette colours(Wish.Colours wish) throws IOException, UnusableFile {
        return waited(wish, Palette.class);
    }

    /**
     * What differs between two pictures. @throws UnusableFile if one cannot be read @throws NoRoomNow if too many files
     * are being opened
     */
    public ChangeMap changes(Wish.Frames wish) throws IOException, UnusableFile {
        return waited(wish, ChangeMap.class);
    }

    /**
     * The words of a text. @throws UnusableFile if it cannot be read @throws NoRoomNow if too many files are being
     * opened
     */
    public Writing writing(Wish.Read wish) throws IOException, UnusableFile {
        return waited(wish, Writing.class);
    }

    /**
     * The notes in a PDF. @throws UnusableFile if it cannot be read @throws NoRoomNow if too many files are being
     * opened
     */
    public Wish.Noted notes(Wish.Notes wish) throws IOException, UnusableFile {
        return waited(wish, Wish.Noted.class);
    }

    /**
     * Writes a file. @throws UnusableFile if what it is made of cannot be read @throws NoRoomNow if too many files are
     * being opened
     */
    public void write(Wish<Wish.None, Wish.None> wish) throws IOException, UnusableFile {
        waited(wish, Wish.None.class);
    }

    /**
     * Draws pages in order; nobody waits for it. @throws UnusableFile if a page cannot be drawn or takes too long;
     * earlier ones were taken
     */
    public void draw(Wish.Draw wish, Wish.Pieces<Work.DrawnPage> pieces) throws IOException, UnusableFile {
        unwaited(wish, Work.DrawnPage.class, pieces, Wish.None.class);
    }

    /** Compares two files; nobody waits for it. @throws UnusableFile if one cannot be read, or a page takes too long */
    public Comparison compare(Wish.Compare wish, Wish.Pieces<Wish.Compared> pieces) throws IOException, UnusableFile {
        return unwaited(wish, Wish.Compared.class, pieces, Comparison.class);
    }

    /** Starts a process, if none waits, so that the next file need not wait for it. */
    public void warmUp() throws IOException {
        if (idle.isEmpty() && slots.free() && !closed) {
            rest(new Apart(limit, watch));
        }
    }

    private <A> A waited(Wish<Wish.None, A> wish, Class<A> answer) throws IOException, UnusableFile {
        slots.takeForSomebody();
        try {
            return granted(wish, Wish.None.class, piece -> {}, answer);
        } finally {
            slots.give(true);
        }
    }

    private <P, A> A unwaited(Wish<P, A> wish, Class<P> piece, Wish.Pieces<P> pieces, Class<A> answer)
            throws IOException, UnusableFile {
        slots.takeForNobody();
        try {
            return granted(wish, piece, pieces, answer);
        } finally {
            slots.give(false);
        }
    }

    private <P, A> A granted(Wish<P, A> wish, Class<P> piece, Wish.Pieces<P> pieces, Class<A> answer)
            throws IOException, UnusableFile {
        Apart apart = take();
        boolean whole = false;
        working.add(apart);
        try {
            A read = apart.ask(wish, piece, pieces, answer);
            whole = true;
            return read;
        } catch (EOFException ended) {
            if (closed) {
                throw new InterruptedIOException("the house stops");
            }
            throw apart.stopped.get()
                    ? new UnusableFile("It takes longer than " + limit.toSeconds()
                            + " seconds to draw, so we stopped. Save it again from the program that made "
                            + "it, simpler or as a picture, and upload that.")
                    : new UnusableFile("It could not be drawn: it takes more memory than one file may take here, or is "
                            + "damaged. Save it again from the program that made it.");
        } catch (UnusableFile said) {
            whole = apart.alive();
            throw said;
        } finally {
            working.remove(apart);
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
        if (closed || watch.isShutdown() || idle.size() >= MOST) {
            apart.close();
            return;
        }
        idle.addFirst(apart);
        endAfter(SPARE, apart, () -> idle.size() > 1);
        endAfter(IDLE, apart, () -> true);
    }

    private void endAfter(Duration time, Apart apart, BooleanSupplier then) {
        watch.schedule(
                () -> {
                    if (apart.idleSince(time) && then.getAsBoolean() && idle.remove(apart)) {
                        apart.close();
                    }
                },
                time.toMillis() + 100,
                TimeUnit.MILLISECONDS);
    }

    /**
     * Ends all of them, also those that are at work: that is not the fault of their files, and is done again another
     * time.
     */
    @Override
    public void close() {
        closed = true;
        watch.shutdown();
        working.forEach(Apart::close);
        for (Apart apart = idle.pollFirst(); apart != null; apart = idle.pollFirst()) {
            apart.close();
        }
    }

    /** One process. */
    private static final class Apart {
        private static final int WISH = 'w';
        private final Process process;
        private final DataInputStream in;
        private final DataOutputStream out;
        private final Duration limit;
        private final ScheduledExecutorService watch;
        private final AtomicBoolean stopped = new AtomicBoolean();
        private volatile long usedAt = System.nanoTime();

        Apart(Duration limit, ScheduledExecutorService watch) throws IOException {
            this.limit = limit;
            this.watch = watch;
            this.process = new ProcessBuilder(Command.whole())
                    .redirectError(ProcessBuilder.Redirect.DISCARD)
                    .start();
            this.in = new DataInputStream(new BufferedInputStream(process.getInputStream(), 1 << 16));
            this.out = new DataOutputStream(new BufferedOutputStream(process.getOutputStream()));
        }

        <P, A> A ask(Wish<P, A> wish, Class<P> piece, Wish.Pieces<P> pieces, Class<A> answer)
                throws IOException, UnusableFile {
            try {
                Line.write(out, WISH, wish);
            } catch (IOException gone) {
                throw new EOFException();
            }
            while (true) {
                int sign = next();
                switch (sign) {
                    case -1 -> throw new EOFException();
                    case Line.GOES_ON -> {}
                    case Line.PIECE -> pieces.take(Line.read(in, piece));
                    case Line.DONE -> {
                        return Line.read(in, answer);
                    }
                    case Line.UNUSABLE -> throw new UnusableFile(Line.read(in, String.class));
                    case Line.FAILED -> throw new IOException(Line.read(in, String.class));
                    default -> throw new IOException("unexpected answer " + sign);
                }
            }
        }

        /** How long the process has worked until now; none where the system does not say. */
        private Optional<Duration> worked() {
            return process.info().totalCpuDuration();
        }

        /** The sign of what comes next, -1 at the end; whoever works longer than the limit is stopped. */
        private int next() {
            try {
                Optional<Duration> before = worked();
                long since = System.nanoTime();
                ScheduledFuture<?> stop = watch.scheduleWithFixedDelay(
                        () -> {
                            Optional<Duration> used = worked().flatMap(now -> before.map(now::minus));
                            if (used.isEmpty()
                                    || used.get().compareTo(limit) >= 0
                                    || System.nanoTime() - since > SLOWEST * limit.toNanos()) {
                                stopped.set(true);
                                process.destroyForcibly();
                            }
                        },
                        limit.toMillis(),
                        Math.max(1, limit.toMillis() / 8),
                        TimeUnit.MILLISECONDS);
                try {
                    return in.read();
                } finally {
                    stop.cancel(false);
                    usedAt = System.nanoTime();
                }
            } catch (IOException | RejectedExecutionException gone) {
                return -1;
            }
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
