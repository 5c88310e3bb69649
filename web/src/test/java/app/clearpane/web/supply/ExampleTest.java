package app.clearpane.web.supply;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.supply.Request;
import app.clearpane.store.agency.HousePictures;
import app.clearpane.web.Visitor;
import java.io.ByteArrayInputStream;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** What would be just right is shown beside what is wanted, to those who are asked. */
class ExampleTest extends AtARequest {
    @Autowired
    private HousePictures pictures;

    private String part(Request request, String which) {
        return "/parts/" + request.parts().get(0).id() + "/" + which;
    }

    private int shows(Request request, String which, byte[] bytes) throws Exception {
        Visitor ines = ines();
        return ines.upload(
                        "/t/requests/" + request.id() + part(request, which),
                        ines.token(),
                        "example.jpg",
                        () -> new ByteArrayInputStream(bytes),
                        Map.of())
                .statusCode();
    }

    @Test
    void isSeenByThoseWhoAreAskedAndTakenAway() throws Exception {
        Request request = asks("a photograph");
        assertThat(page(request)).doesNotContain("Just right");
        assertThat(shows(request, "GOOD", jpeg(233, 144))).isEqualTo(302);
        assertThat(shows(request, "BAD", jpeg(21, 13))).isEqualTo(302);
        assertThat(page(request)).contains("Just right", "Will not do");
        String good = at(request) + part(request, "GOOD");
        assertThat(imre().get(good).headers().firstValue("Content-Type").orElseThrow())
                .startsWith("image/");
        assertThat(grete().get(good).statusCode()).as("not asked").isEqualTo(404);
        assertThat(ines().get("/t/requests/" + request.id() + part(request, "BAD"))
                        .statusCode())
                .isEqualTo(200);
        ines().sends("/t/requests/" + request.id() + part(request, "BAD") + "/take-away", "");
        assertThat(page(request)).contains("Just right").doesNotContain("Will not do");
    }

    @Test
    void whatIsNoPictureOrNotWantedIsRefused() throws Exception {
        Request request = asks("a photograph");
        assertThat(shows(request, "GOOD", words("not a picture"))).isEqualTo(422);
        assertThat(imre().get(at(request) + part(request, "GOOD")).statusCode()).isEqualTo(404);
        ines().sends("/t/requests/" + request.id() + "/withdraw", "reason=We have it");
        assertThat(shows(request, "GOOD", jpeg(89, 55))).isEqualTo(409);
    }

    @Test
    void aDraftThatIsTakenAwayTakesItAlong() throws Exception {
        Request draft = drafts("a photograph", "");
        shows(draft, "GOOD", jpeg(377, 233));
        UUID part = draft.parts().get(0).id();
        assertThat(pictures.with(HousePictures.Role.GOOD_EXAMPLE)).contains(part);
        ines().sends("/t/requests/" + draft.id() + "/discard", "");
        assertThat(pictures.with(HousePictures.Role.GOOD_EXAMPLE)).doesNotContain(part);
    }
}
