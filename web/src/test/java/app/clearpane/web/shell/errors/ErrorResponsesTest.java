package app.clearpane.web.shell.errors;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.store.Stale;
import app.clearpane.usecases.HouseSettings;
import app.clearpane.usecases.shell.NeedsConfirmation;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.web.shell.access.RoleMissing;
import app.clearpane.web.shell.forms.Typed;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.apache.catalina.connector.ClientAbortException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.dao.CannotAcquireLockException;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;
import org.springframework.test.web.servlet.setup.MockMvcBuilders;
import org.springframework.util.unit.DataSize;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.context.request.async.AsyncRequestNotUsableException;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.multipart.MultipartException;
import org.springframework.web.servlet.ModelAndView;

/**
 * Whatever goes wrong is said in a sentence, with an answer that says what kind it is, and gives back what was typed.
 */
class ErrorResponsesTest {
    private static final HouseSettings HOUSE = new HouseSettings(
            Path.of("data"),
            "http://localhost",
            "studio@clear-pane.example",
            DataSize.ofMegabytes(250),
            500,
            Duration.ofSeconds(60),
            true);
    private static final String LARGE =
            "This file is larger than 250 MB, the most that can be taken. Nothing was kept; what was there before "
                    + "is still there. Save it smaller and choose it again.";

    /** Fails as it is told. */
    @RestController
    static final class Failing {
        private final Exception failure;

        Failing(Exception failure) {
            this.failure = failure;
        }

        @PostMapping("/fails")
        void fails() throws Exception {
            throw failure;
        }
    }

    private static MockMvc failing(Exception failure) {
        return MockMvcBuilders.standaloneSetup(new Failing(failure))
                .setControllerAdvice(new ErrorResponses(HOUSE))
                .build();
    }

    static Stream<Arguments> failures() {
        return Stream.of(
                Arguments.of(
                        Refused.because("Write an answer first.", "Nothing was changed."),
                        422,
                        List.of("Write an answer first.", "Nothing was changed.")),
                Arguments.of(
                        Refused.changedMeanwhile("There is a newer version."),
                        409,
                        List.of("There is a newer version.")),
                Arguments.of(
                        new Stale("Mark 1·1"),
                        409,
                        List.of(
                                "Mark 1·1 was changed meanwhile by somebody else, so nothing of yours was saved "
                                        + "over it.",
                                "Open the page anew to see how it stands, then do it again if it is still wanted.")),
                Arguments.of(
                        new DuplicateKeyException("key"),
                        409,
                        List.of("Somebody did the same in the same moment, so this was not done twice. Open the "
                                + "page anew to see how it stands.")),
                Arguments.of(
                        new CannotAcquireLockException("2000 ms"),
                        409,
                        List.of("Others are writing to the same thing just now, and your turn did not come. Nothing "
                                + "was saved; send it again in a moment.")),
                Arguments.of(new MaxUploadSizeExceededException(1), 413, List.of(LARGE)),
                Arguments.of(
                        new MultipartException("no file"),
                        422,
                        List.of("No file came with what was sent. Nothing was changed; choose the file again and "
                                + "send it.")),
                Arguments.of(
                        new MultipartException("full", new IOException("No space left on device")),
                        507,
                        List.of("The file could not be stored: the disk may be full. Nothing of it was kept, and "
                                + "what was there before is still there. Tell whoever runs this house, then "
                                + "try again.")),
                Arguments.of(
                        new RoleMissing("a manager or an owner"),
                        403,
                        List.of("Only a manager or an owner can do this. Nothing was changed; ask one of them.")));
    }

    @ParameterizedTest(name = "{0}: {1}")
    @MethodSource("failures")
    void isSaidOnAPageOrAboveTheFormWithWhatWasTyped(Exception failure, int status, List<String> sentences)
            throws Exception {
        ModelAndView page = failing(failure)
                .perform(MockMvcRequestBuilders.post("/fails")
                        .param("note", "two words")
                        .param("one", "word")
                        .header("Referer", "http://localhost/t/form?a=b"))
                .andExpect(
                        answer -> assertThat(answer.getResponse().getStatus()).isEqualTo(status))
                .andReturn()
                .getModelAndView();
        assertThat(page.getViewName()).isEqualTo("layout/refused");
        assertThat(page.getModel())
                .containsEntry("sentences", sentences)
                .containsEntry("typed", List.of(new Typed("note", "two words")))
                .containsEntry("back", "/t/form?a=b");
        MockHttpServletResponse inPlace = failing(failure)
                .perform(MockMvcRequestBuilders.post("/fails").header("HX-Request", "true"))
                .andExpect(answer ->
                        assertThat(answer.getModelAndView().getViewName()).isEqualTo("layout/_notice"))
                .andReturn()
                .getResponse();
        staysAtTheForm(status, inPlace);
    }

    private void staysAtTheForm(int status, MockHttpServletResponse inPlace) throws Exception {
        assertThat(inPlace.getStatus()).isEqualTo(status);
        assertThat(inPlace.getHeader("HX-Retarget")).isEqualTo("#notice");
        assertThat(inPlace.getHeader("HX-Push-Url"))
                .as("the address stays that of the form")
                .isEqualTo("false");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "http://elsewhere.example/t/form",
                "https://localhost.elsewhere.example/",
                "javascript:alert(1)",
                "//elsewhere.example",
                "http://localhost//elsewhere.example",
                "not an address"
            })
    void theWayBackLeadsToOurOwnPagesOnly(String from) throws Exception {
        ModelAndView page = failing(Refused.because("No."))
                .perform(MockMvcRequestBuilders.post("/fails").header("Referer", from))
                .andReturn()
                .getModelAndView();
        assertThat(page.getModel().get("back")).isNull();
    }

    @Test
    void whatIsNotThereSaysNoMoreThanThat() throws Exception {
        MockHttpServletResponse answer = failing(new NotFound())
                .perform(MockMvcRequestBuilders.post("/fails"))
                .andReturn()
                .getResponse();
        assertThat(answer.getStatus()).isEqualTo(404);
        assertThat(answer.getErrorMessage()).isNull();
    }

    @Test
    void nobodyIsToldWhoHasLeft() throws Exception {
        for (Exception left : List.of(
                new ClientAbortException(new IOException("Broken pipe")), new AsyncRequestNotUsableException("left"))) {
            assertThat(failing(left)
                            .perform(MockMvcRequestBuilders.post("/fails"))
                            .andReturn()
                            .getModelAndView())
                    .as("no page about a full disk")
                    .isNull();
        }
    }

    @Test
    void whatIsAskedFirstIsSentAgainAsItWas() throws Exception {
        ModelAndView page = failing(new NeedsConfirmation(List.of("Two people lose their page."), "Close it"))
                .perform(MockMvcRequestBuilders.post("/fails")
                        .param("pane", "a", "b")
                        .param("_csrf", "secret")
                        .param("why", "it is over"))
                .andExpect(
                        answer -> assertThat(answer.getResponse().getStatus()).isEqualTo(409))
                .andReturn()
                .getModelAndView();
        assertThat(page.getViewName()).isEqualTo("layout/ask");
        assertThat(page.getModel()).containsEntry("button", "Close it").containsEntry("action", "/fails");
        assertThat((List<?>) page.getModel().get("fields"))
                .map(Object::toString)
                .containsExactlyInAnyOrder(
                        "Field[name=pane, value=a]",
                        "Field[name=pane, value=b]",
                        "Field[name=why, value=it is over]",
                        "Field[name=sure, value=true]");
    }

    /** No password stands on a page, whatever its field is called. */
    @Test
    void whatWasTypedIsGivenBackButForWhatIsSecret() throws IOException {
        List<String> secret = new ArrayList<>(List.of("_csrf"));
        try (Stream<Path> templates = Files.walk(Path.of("src/main/resources/templates"))) {
            for (Path template : templates.filter(Files::isRegularFile).toList()) {
                Matcher field =
                        Pattern.compile("<input[^>]*type=\"password\"[^>]*").matcher(Files.readString(template));
                while (field.find()) {
                    Matcher name = Pattern.compile("name=\"(\\w+)\"").matcher(field.group());
                    assertThat(name.find()).as(field.group()).isTrue();
                    secret.add(name.group(1));
                }
            }
        }
        assertThat(secret).hasSizeGreaterThan(4);
        MockHttpServletRequest request = new MockHttpServletRequest();
        secret.forEach(name -> request.addParameter(name, "lantern moss tide seven"));
        request.addParameter("said", " It is too small. ");
        assertThat(Typed.in(request)).containsExactly(new Typed("said", "It is too small."));
    }

    @Test
    void aBodyThatCannotBeReadGivesNothingBack() {
        HttpServletRequest broken = new MockHttpServletRequest() {
            @Override
            public Map<String, String[]> getParameterMap() {
                throw new IllegalStateException("the stream ended");
            }
        };
        assertThat(Typed.in(broken)).isEmpty();
        HttpServletResponse response = new MockHttpServletResponse();
        assertThat(new ErrorResponses(HOUSE)
                        .refused(Refused.because("No."), broken, response)
                        .getModel())
                .containsEntry("typed", List.of());
    }
}
