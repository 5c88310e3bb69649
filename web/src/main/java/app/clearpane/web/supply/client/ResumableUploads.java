package app.clearpane.web.supply.client;

import app.clearpane.core.viewer.Viewer;
import app.clearpane.usecases.HouseSettings;
import app.clearpane.usecases.files.TakeInFile;
import app.clearpane.usecases.jobs.Recurrence;
import app.clearpane.usecases.jobs.Recurring;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.usecases.supply.SupplyFiles;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import me.desair.tus.server.TusFileUploadService;
import me.desair.tus.server.exception.TusException;
import me.desair.tus.server.upload.UploadInfo;
import me.desair.tus.server.upload.UploadLock;
import me.desair.tus.server.upload.UploadLockingService;
import me.desair.tus.server.upload.UploadStorageService;
import me.desair.tus.server.upload.disk.DiskLockingService;
import me.desair.tus.server.upload.disk.DiskStorageService;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.web.multipart.MultipartFile;

/**
 * Uploads that go on where they stopped, by tus 1.0.0 (https://tus.io/protocols/resumable-upload). Each belongs to the
 * contact who began it; what is not finished within a week is dropped.
 */
@Component
class ResumableUploads implements Recurring {
    private static final String ADDRESS = "/c/panes/[0-9a-f-]{36}/uploads";
    private static final Duration KEPT = Duration.ofDays(7);
    /** Begun by one person and not finished: a hundred files at once are usual, a folder of two hundred happens. */
    private static final int MOST_BEGUN = 500;

    private final Path folder;
    private final UploadLockingService locks;
    private final UploadStorageService storage;
    private final TusFileUploadService tus;
    private final TakeInFile takeIn;
    private final BegunUploads begun;

    ResumableUploads(HouseSettings house, TakeInFile takeIn) {
        this.takeIn = takeIn;
        this.folder = house.data().resolve("uploads");
        this.begun = new BegunUploads(folder.resolve("begun"), folder.resolve("uploads"));
        this.locks = new DiskLockingService(folder.toString());
        this.storage = new DiskStorageService(folder.toString());
        this.tus = new TusFileUploadService()
                .withUploadStorageService(storage)
                .withUploadLockingService(locks)
                .withUploadUri(ADDRESS)
                .withMaxUploadSize(takeIn.largestResumed())
                .withUploadExpirationPeriod(KEPT.toMillis());
    }

    @Override
    public Recurrence recurrence() {
        return new Recurrence("uploads", "${clearpane.uploads:0 37 3 * * *}", tus::cleanup);
    }

    /**
     * Begins one.
     *
     * @throws Refused if there is no room for it, also if what they began and did not finish takes it
     */
    void begin(Viewer viewer, HttpServletRequest request, HttpServletResponse response) throws IOException {
        String length = Optional.ofNullable(request.getHeader("Upload-Length")).orElse("");
        if (request.getHeader("Tus-Resumable") == null || !length.matches("\\d{1,18}")) {
            throw Refused.because("This takes files in parts, from the page of a request. Nothing was kept.");
        }
        takeIn.needRoom(viewer.project(), viewer.actor(), Long.parseLong(length));
        long bytes = Long.parseLong(length);
        BegunUploads.Tally tally = begun.tally(viewer.contact());
        if (tally.count() >= MOST_BEGUN || tally.bytes() > takeIn.largestResumed() - bytes) {
            throw Refused.because(
                    "What you began to send and did not finish takes the room for this file. Choose those "
                            + "files again and they go on, or leave them: they are dropped after a week.");
        }
        tus.process(request, response, owner(viewer));
        String made = response.getHeader("Location");
        if (made != null && bytes > 0) {
            begun.note(viewer.contact(), last(made), bytes);
        }
    }

    /** Takes a further part, says how far it is, or drops it. */
    void goOn(Viewer viewer, HttpServletRequest request, HttpServletResponse response) throws IOException {
        if ("HEAD".equals(request.getMethod())) {
            mend(viewer, request.getRequestURI());
        }
        tus.process(request, response, owner(viewer));
        if (!"HEAD".equals(request.getMethod()) && isOver(viewer, request.getRequestURI(), response)) {
            begun.strike(last(request.getRequestURI()));
        }
    }

    /** Whether the last of its parts came, or it was dropped. Whoever was refused changed nothing. */
    private boolean isOver(Viewer viewer, String address, HttpServletResponse response) throws IOException {
        if (response.getStatus() != HttpServletResponse.SC_NO_CONTENT) {
            return false;
        }
        try {
            UploadInfo info = tus.getUploadInfo(address, owner(viewer));
            return info == null || !info.isUploadInProgress();
        } catch (TusException gone) {
            return true;
        }
    }

    private static String last(String address) {
        return address.substring(address.lastIndexOf('/') + 1);
    }

    /**
     * Whoever asks how far one is goes on from there. Where the house was stopped in the midst of a part, more was
     * written than was noted; that is cut off and comes again. Nobody else writes meanwhile: it is locked.
     */
    private void mend(Viewer viewer, String address) throws IOException {
        try {
            UploadInfo info = tus.getUploadInfo(address, owner(viewer));
            if (info == null || !info.isUploadInProgress()) {
                return;
            }
            try (UploadLock lock = locks.lockUploadByUri(address);
                    FileChannel written = FileChannel.open(
                            folder.resolve("uploads")
                                    .resolve(info.getId().toString())
                                    .resolve("data"),
                            StandardOpenOption.WRITE)) {
                UploadInfo noted = storage.getUploadInfo(info.getId());
                if (lock != null && noted != null && written.size() > noted.getOffset()) {
                    written.truncate(noted.getOffset());
                }
            }
        } catch (TusException | NoSuchFileException busyOrGone) {
            // whoever writes to it now is not in need of it, and what is gone is said by the answer
        }
    }

    /** Takes in what arrived. */
    @FunctionalInterface
    interface Taking {
        void take(List<SupplyFiles.Arriving> arriving) throws IOException;
    }

    /**
     * Has taken in what was uploaded and what came with a form; what was uploaded is dropped then.
     *
     * @param uploaded the addresses of uploads that are whole, with blanks between them
     * @param file what came with the form; missing if nothing did
     */
    void taken(Viewer viewer, String uploaded, @Nullable List<MultipartFile> file, Taking taking) throws IOException {
        List<SupplyFiles.Arriving> arriving = new ArrayList<>();
        List<String> whole = Arrays.stream(uploaded.split(" "))
                .filter(one -> !one.isBlank())
                .distinct()
                .toList();
        for (String address : whole) {
            arriving.add(whole(viewer, address));
        }
        Objects.requireNonNullElse(file, List.<MultipartFile>of()).stream()
                .filter(one -> !Objects.requireNonNullElse(one.getOriginalFilename(), "")
                        .isEmpty())
                .map(one -> new SupplyFiles.Arriving(
                        Objects.requireNonNullElse(one.getOriginalFilename(), ""), one::getInputStream))
                .forEach(arriving::add);
        taking.take(arriving);
        for (String address : whole) {
            drop(viewer, address);
        }
    }

    /** One that is whole, to be taken in. @throws Refused if it is not theirs, not whole, or was dropped */
    private SupplyFiles.Arriving whole(Viewer viewer, String address) throws IOException {
        try {
            UploadInfo info = tus.getUploadInfo(address, owner(viewer));
            if (info == null || info.isUploadInProgress()) {
                throw Refused.because(
                        "A file is not whole here yet. Nothing of it is lost: choose it again, and it goes on.");
            }
            return new SupplyFiles.Arriving(info.getFileName(), () -> bytes(viewer, address));
        } catch (TusException gone) {
            throw Refused.because("A file is not here any more. Choose it again.");
        }
    }

    private java.io.InputStream bytes(Viewer viewer, String address) throws IOException {
        try {
            return tus.getUploadedBytes(address, owner(viewer));
        } catch (TusException gone) {
            throw new IOException(gone);
        }
    }

    /** Drops one that was taken in. */
    private void drop(Viewer viewer, String address) throws IOException {
        try {
            tus.deleteUpload(address, owner(viewer));
            begun.strike(last(address));
        } catch (TusException gone) {
            throw new IOException(gone);
        }
    }

    private static String owner(Viewer viewer) {
        return viewer.contact().toString();
    }
}
