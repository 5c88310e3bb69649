package app.clearpane.web.supply;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.supply.Request;
import app.clearpane.web.Visitor;
import jakarta.mail.internet.MimeMessage;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Access details are sealed as they arrive: looked at one at a time, in the Record, and found nowhere else. */
class AccessDetailsTest extends AtARequest {
    private static final String CANARY = "heather-canary-7731";

    @Test
    void areLookedAtOnceAndAreNowhereElse() throws Exception {
        Request request = asks("Access to the oven, access details");
        writes(imre(), request, 0, "Name: oven\nPassword: " + CANARY);
        Visitor ines = ines();
        String look = "/t/given/" + last(request).id() + "/unseal";
        HttpResponse<String> seen = ines.sends(look, "");
        assertThat(seen.body()).contains(CANARY);
        assertThat(seen.headers().firstValue("Cache-Control").orElse("")).contains("no-store");
        String record = text(ines.get("/t/projects/" + mill() + "/record").body());
        assertThat(record)
                .contains("looked at the access details of the request")
                .doesNotContain(CANARY);
        ines.sends("/t/given/" + last(request).id() + "/accept", "");
        for (String path : List.of(
                "/t/projects/" + mill() + "/requests",
                "/t/projects/" + mill() + "/files",
                "/t/search?q=" + CANARY.substring(0, 14))) {
            assertThat(ines.get(path).body()).as(path).doesNotContain(CANARY);
        }
        assertThat(imre().get(at(request)).body()).contains("Sealed").doesNotContain(CANARY);
        assertThat(ines.get("/t/given/" + last(request).id() + "/file").statusCode())
                .as("no file")
                .isEqualTo(404);
        isNotInMails();
        isNotOnDisk();
    }

    private void isNotInMails() throws Exception {
        for (MimeMessage mail : world.getReceivedMessages()) {
            assertThat(new String(mail.getInputStream().readAllBytes(), StandardCharsets.UTF_8))
                    .doesNotContain(CANARY);
        }
    }

    private static void isNotOnDisk() throws Exception {
        byte[] canary = CANARY.getBytes(StandardCharsets.UTF_8);
        try (Stream<Path> all = Files.walk(data())) {
            List<Path> holding = all.filter(Files::isRegularFile)
                    .filter(file -> holds(file, canary))
                    .toList();
            assertThat(holding).isEmpty();
        }
    }

    private static boolean holds(Path file, byte[] canary) {
        try {
            return new String(Files.readAllBytes(file), StandardCharsets.ISO_8859_1)
                    .contains(new String(canary, StandardCharsets.ISO_8859_1));
        } catch (java.io.IOException gone) {
            return false;
        }
    }
}
