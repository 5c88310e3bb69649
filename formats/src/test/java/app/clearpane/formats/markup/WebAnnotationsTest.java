package app.clearpane.formats.markup;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.deliverable.PageSize;
import app.clearpane.core.files.Sha256;
import app.clearpane.core.markup.Intent;
import app.clearpane.core.markup.MarkupProgress;
import app.clearpane.core.markup.Place;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

class WebAnnotationsTest {
    static List<Object[]> places() {
        return List.of(
                new Object[] {
                    new Place.Rectangle(2, 0.25, 0.5, 0.5, 0.25),
                    "<rect x=\"100\" y=\"100\" width=\"200\" height=\"50\"/>"
                },
                new Object[] {new Place.Point(1, 0.125, 0.005), "<circle class=\"point\" cx=\"50\" cy=\"1\" r=\"8\"/>"},
                new Object[] {
                    new Place.Arrow(1, 0, 0, 1, 0.3333),
                    "<line class=\"arrow\" x1=\"0\" y1=\"0\" x2=\"400\" y2=\"66.66\"/>"
                });
    }

    @ParameterizedTest
    @MethodSource("places")
    void writesPlacesAsDrawingsInThePagesUnits(Place place, String shape) {
        Annotation annotation = questionAt(place);
        JsonNode page = JsonMapper.builder()
                .build()
                .readTree(WebAnnotations.write(Sha256.ofText("map"), "application/pdf", List.of(annotation)));
        assertThat(page.get("@context").stringValue()).isEqualTo("http://www.w3.org/ns/anno.jsonld");
        JsonNode mark = page.get("first").get("items").get(0);
        assertThat(mark.get("motivation").stringValue()).isEqualTo("questioning");
        assertThat(mark.get("body").get(0).get("value").stringValue()).isEqualTo("Is it “real”?");
        assertThat(mark.get("target").get("source").stringValue()).isEqualTo("urn:sha256:" + Sha256.ofText("map"));
        assertThat(mark.get("target").get("selector").get("value").stringValue())
                .isEqualTo("page=" + place.page());
        assertThat(mark.get("target")
                        .get("selector")
                        .get("refinedBy")
                        .get("value")
                        .stringValue())
                .contains("viewBox=\"0 0 400 200\"")
                .contains(shape);
        assertThat(page.get("first").get("items").get(1).get("target").stringValue())
                .isEqualTo("urn:uuid:1");
    }

    private Annotation questionAt(Place place) {
        Annotation annotation = new Annotation(
                "urn:uuid:1",
                "2·3",
                place,
                new PageSize(400, 200),
                Intent.QUESTION,
                MarkupProgress.OPEN,
                "Is it “real”?",
                "Mirela",
                Instant.EPOCH,
                List.of(new Annotation.Reply("Yes.", "Teo", Instant.EPOCH)),
                java.util.Optional.empty());
        return annotation;
    }
}
