package app.clearpane.web.brand.team;

import app.clearpane.core.agency.Accent;
import app.clearpane.store.agency.HousePictures;
import java.time.Duration;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** The agency's colour, as a style sheet of clients' pages. */
@Controller
class AccentController {
    private static final Duration KEPT = Duration.ofMinutes(5);
    private final HousePictures pictures;

    AccentController(HousePictures pictures) {
        this.pictures = pictures;
    }

    /** Buttons and links in the agency's colour, as dark as it has to be for words to be read. */
    @GetMapping("/p/accent.css")
    ResponseEntity<String> accent() {
        String sheet = Accent.read(pictures.accent())
                .map(Accent::legible)
                .map(colour -> "body.client{--own:" + colour
                        + "}body.client "
                        + ".button.is-primary{background-color:var(--own);border-color:var(--own)}"
                        + "body.client main a:not(.button):not(.work-tile):not(.tile){color:var(--own)}")
                .orElse("");
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "css"))
                .cacheControl(CacheControl.maxAge(KEPT).cachePrivate())
                .body(sheet);
    }
}
