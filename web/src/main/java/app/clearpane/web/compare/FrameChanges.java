package app.clearpane.web.compare;

import app.clearpane.core.compare.ChangeMap;
import app.clearpane.core.markup.Box;
import app.clearpane.formats.apart.DrawApart;
import app.clearpane.formats.apart.Wish;
import app.clearpane.formats.deliverable.UnusableFile;
import app.clearpane.usecases.shell.Refused;
import java.io.IOException;
import java.util.List;
import org.springframework.stereotype.Component;
import org.springframework.web.multipart.MultipartFile;

/**
 * What differs between two pictures of a film, which a browser took out of it: films are decoded by browsers alone.
 * Nothing of them is kept.
 */
@Component
public class FrameChanges {
    /** A frame of 3840 × 2160 and a little more. */
    private static final int MOST_PIXELS = 9_000_000;

    /**
     * What was found.
     *
     * @param percent of the picture that differs
     * @param aligned false if the two have too little in common to be laid on each other
     * @param places largest first
     */
    public record Found(double percent, boolean aligned, List<Where> places) {}

    /** One place, on either picture, in fractions of it. @param percent how much of it differs */
    public record Where(Box before, Box after, double percent) {}

    private final DrawApart apart;

    FrameChanges(DrawApart apart) {
        this.apart = apart;
    }

    /** Compares them. @throws Refused if one cannot be read */
    public Found compare(MultipartFile before, MultipartFile after) throws IOException {
        try {
            ChangeMap map = apart.changes(new Wish.Frames(before.getBytes(), after.getBytes(), MOST_PIXELS));
            return new Found(
                    100 * map.share(),
                    map.aligned(),
                    map.regions().stream()
                            .map(region ->
                                    new Where(map.before(region.box()), map.after(region.box()), 100 * region.share()))
                            .toList());
        } catch (UnusableFile unreadable) {
            throw Refused.because(
                    "The two pictures could not be read, so they were not compared. Stop somewhere else and "
                            + "try again.");
        }
    }
}
