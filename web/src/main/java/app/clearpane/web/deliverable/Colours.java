package app.clearpane.web.deliverable;

import app.clearpane.core.compare.Palette;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.files.Sha256;
import app.clearpane.formats.apart.DrawApart;
import app.clearpane.formats.apart.Wish;
import app.clearpane.formats.deliverable.PaletteFile;
import app.clearpane.formats.deliverable.UnusableFile;
import app.clearpane.store.deliverable.Drawings;
import app.clearpane.store.files.Vault;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Component;

/** The colours of a sheet, for either side. */
@Component
public class Colours {
    private static final int KEPT = 200;
    private static final double READS_WELL = 4.5;
    private static final double READS_LARGE = 3;
    private final Drawings drawings;
    private final Vault vault;
    private final DrawApart apart;
    private final Cache<Sha256, Palette> palettes =
            Caffeine.newBuilder().maximumSize(KEPT).build();

    Colours(Drawings drawings, Vault vault, DrawApart apart) {
        this.apart = apart;
        this.drawings = drawings;
        this.vault = vault;
    }

    /**
     * The colours of a sheet as a page shows them.
     *
     * @param base where its links begin
     * @param pages how many sheets there are
     */
    public record OfSheet(
            String base, String deliverable, Version version, int page, int pages, List<Palette.Colour> colours) {
        /** The contrast of a pair to one decimal, and whether text in one is read on the other. */
        public String contrast(Palette.Colour one, Palette.Colour other) {
            return String.format(Locale.ROOT, "%.1f", one.contrast(other));
        }

        /** "reads well", "only large" or "too weak". */
        public String reads(Palette.Colour one, Palette.Colour other) {
            double contrast = one.contrast(other);
            return contrast >= READS_WELL ? "reads well" : contrast >= READS_LARGE ? "only large" : "too weak";
        }

        /** How much of the sheet the colours before this one have, 0 to 1. */
        public double before(Palette.Colour colour) {
            return colours.subList(0, colours.indexOf(colour)).stream()
                    .mapToDouble(Palette.Colour::share)
                    .sum();
        }

        /** A share in percent. */
        public String percent(Palette.Colour colour) {
            double percent = colour.share() * 100;
            return percent < 1 ? "under 1 %" : Math.round(percent) + " %";
        }
    }

    /** Those of a sheet. @throws NotFound if it is not drawn */
    public OfSheet read(String base, String deliverable, Version version, int page) {
        Drawings.Sheet sheet = NotFound.unless(drawings.sheet(version.sha256(), page));
        int pages = drawings.find(version.sha256()).map(Drawings.Drawing::pages).orElse(1);
        return new OfSheet(
                base,
                deliverable,
                version,
                page,
                pages,
                palettes.get(sheet.large(), this::palette).colours());
    }

    private Palette palette(Sha256 picture) {
        try {
            return apart.colours(new Wish.Colours(vault.path(picture)));
        } catch (UnusableFile unusable) {
            throw Refused.because("The colours of this sheet cannot be told. " + unusable.getMessage());
        } catch (IOException unreadable) {
            throw new UncheckedIOException(unreadable);
        }
    }

    /** The same as a file. @throws NotFound if nobody knows such files */
    public ResponseEntity<byte[]> file(OfSheet of, String ending) {
        PaletteFile file = NotFound.unless(Arrays.stream(PaletteFile.values())
                .filter(known -> known.ending().equals(ending))
                .findFirst());
        String name = of.version().fileName().replaceAll("\\.[^.]*$", "") + "-colours." + file.ending();
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(file.mediaType() + ";charset=UTF-8"))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename(name, StandardCharsets.UTF_8)
                                .build()
                                .toString())
                .body(file.write(of.deliverable() + ", " + of.version().called(), new Palette(of.colours()))
                        .getBytes(StandardCharsets.UTF_8));
    }
}
