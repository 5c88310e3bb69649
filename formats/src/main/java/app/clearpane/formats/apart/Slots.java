package app.clearpane.formats.apart;

import java.io.InterruptedIOException;
import java.time.Duration;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;

/** How many processes work at a time, all together. Work that nobody waits for leaves one to those who wait. */
final class Slots {
    private final Semaphore all;
    private final Semaphore unwaited;
    private final int mostWaiting;
    private final Duration patience;

    /**
     * @param all how many, at least 2 @param mostWaiting how many may wait for one @param patience how long somebody
     *     waits
     */
    Slots(int all, int mostWaiting, Duration patience) {
        this.all = new Semaphore(all, true);
        this.unwaited = new Semaphore(all - 1, true);
        this.mostWaiting = mostWaiting;
        this.patience = patience;
    }

    /** Takes one for somebody who waits. @throws NoRoomNow if too many wait, or none comes free in time */
    void takeForSomebody() throws NoRoomNow, InterruptedIOException {
        try {
            if (!all.tryAcquire(0, TimeUnit.SECONDS)
                    && (all.getQueueLength() >= mostWaiting
                            || !all.tryAcquire(patience.toMillis(), TimeUnit.MILLISECONDS))) {
                throw new NoRoomNow();
            }
        } catch (InterruptedException stopped) {
            throw interrupted();
        }
    }

    /** Takes one for work that nobody waits for, however long it takes until one is free. */
    void takeForNobody() throws InterruptedIOException {
        try {
            unwaited.acquire();
            try {
                all.acquire();
            } catch (InterruptedException stopped) {
                unwaited.release();
                throw stopped;
            }
        } catch (InterruptedException stopped) {
            throw interrupted();
        }
    }

    boolean free() {
        return all.availablePermits() > 0;
    }

    void give(boolean somebodyWaited) {
        all.release();
        if (!somebodyWaited) {
            unwaited.release();
        }
    }

    private static InterruptedIOException interrupted() {
        Thread.currentThread().interrupt();
        return new InterruptedIOException("the house stops");
    }
}
