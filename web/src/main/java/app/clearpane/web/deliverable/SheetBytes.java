package app.clearpane.web.deliverable;

import app.clearpane.core.deliverable.Version;
import app.clearpane.core.deliverable.WorkKind;
import app.clearpane.core.files.ProjectFile;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.markup.Mark;
import app.clearpane.store.agency.ClientParticulars;
import app.clearpane.store.agency.HousePicture;
import app.clearpane.store.deliverable.Drawings;
import app.clearpane.store.files.Vault;
import app.clearpane.usecases.deliverable.SheetTiles;
import app.clearpane.usecases.shell.NotFound;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import org.springframework.core.io.FileSystemResource;
import org.springframework.core.io.Resource;
import org.springframework.http.CacheControl;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Component;

/**
 * Serves stored bytes so that they do no harm: as their own type, never guessed, in a sandbox that runs nothing. A
 * browser may keep them but asks each time, so what was taken away is gone with the next look.
 */
@Component
public class SheetBytes {
    private static final String HARMLESS = "sandbox; default-src 'none'; img-src data:; style-src 'unsafe-inline'";
    private final Drawings drawings;
    private final Vault vault;
    private final SheetTiles tiles;

    SheetBytes(Drawings drawings, Vault vault, SheetTiles tiles) {
        this.tiles = tiles;
        this.drawings = drawings;
        this.vault = vault;
    }

    /** Which of the two pictures of a page. */
    public enum Size {
        large,
        small
    }

    /** A page of a file as a picture. */
    public ResponseEntity<Resource> sheet(Sha256 source, int page, Size size) {
        Drawings.Sheet sheet = NotFound.unless(drawings.sheet(source, page));
        return answer(size == Size.large ? sheet.large() : sheet.small(), sheet.mediaType(), Optional.empty());
    }

    /** A face, a logo or a cover. */
    public ResponseEntity<Resource> picture(HousePicture picture) {
        return answer(picture.sha256(), picture.mediaType(), Optional.empty());
    }

    /** A form of a client's logo, as it came. */
    public ResponseEntity<Resource> logo(ClientParticulars.Logo logo) {
        return answer(logo.sha256(), logo.mediaType(), Optional.of(logo.name()));
    }

    /** A square of a sheet, for looking closely. */
    public ResponseEntity<Resource> tile(Sha256 source, int page, Square square) throws IOException {
        return ResponseEntity.ok()
                .contentType(MediaType.IMAGE_JPEG)
                .header("Content-Security-Policy", HARMLESS)
                .header("Cross-Origin-Resource-Policy", "same-origin")
                .cacheControl(CacheControl.noCache().cachePrivate())
                .eTag(source.hex().substring(0, 16) + page + "-" + square.level() + "-" + square.column() + "-"
                        + square.row())
                .body(new FileSystemResource(tiles.tile(source, page, square.level(), square.column(), square.row())));
    }

    /** Which square of a sheet: its level from 1, its column and row from 0. */
    public record Square(int level, int column, int row) {}

    /** A stored file to be kept by whoever asks. */
    public ResponseEntity<Resource> download(Sha256 content, String fileName) {
        return answer(content, MediaType.APPLICATION_OCTET_STREAM_VALUE, Optional.of(fileName));
    }

    /** The same, and what to do once all of it was handed out. */
    public ResponseEntity<Resource> download(Sha256 content, String fileName, Runnable whenWhole) {
        ResponseEntity<Resource> answer = download(content, fileName);
        return ResponseEntity.status(answer.getStatusCode())
                .headers(answer.getHeaders())
                .body(new DeliveredFile(vault.path(content), whenWhole));
    }

    /**
     * A file that came with a note. @param look to see it in its place, which only pictures are; anything else is kept
     * by whoever asks
     */
    public ResponseEntity<Resource> attached(Mark.Attachment file, boolean look) {
        return look && file.picture()
                ? answer(file.sha256(), file.mediaType(), Optional.empty())
                : download(file.sha256(), file.name());
    }

    /** Something that is played, in the parts that a browser asks for. */
    public ResponseEntity<Resource> played(Version version) {
        if (!version.kind().played()) {
            throw new NotFound();
        }
        return answer(version.sha256(), version.mediaType(), Optional.empty());
    }

    /** The same of a file that is a film or a sound. */
    public ResponseEntity<Resource> played(ProjectFile file) {
        if (!WorkKind.of(file.mediaType()).played()) {
            throw new NotFound();
        }
        return answer(file.sha256(), file.mediaType(), Optional.empty());
    }

    private ResponseEntity<Resource> answer(Sha256 content, String mediaType, Optional<String> fileName) {
        HttpHeaders headers = new HttpHeaders();
        headers.set("Content-Security-Policy", HARMLESS);
        headers.set("Cross-Origin-Resource-Policy", "same-origin");
        headers.setContentDisposition(fileName.map(name -> ContentDisposition.attachment()
                        .filename(name, StandardCharsets.UTF_8)
                        .build())
                .orElse(ContentDisposition.inline().build()));
        return ResponseEntity.ok()
                .headers(headers)
                .contentType(MediaType.parseMediaType(mediaType))
                .cacheControl(CacheControl.noCache().cachePrivate())
                .eTag(content.hex().substring(0, 32))
                .body(new FileSystemResource(vault.path(content)));
    }
}
