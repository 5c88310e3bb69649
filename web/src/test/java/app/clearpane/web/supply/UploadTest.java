package app.clearpane.web.supply;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.files.Sha256;
import app.clearpane.core.supply.Request;
import app.clearpane.core.supply.Verdict;
import app.clearpane.web.Visitor;
import java.net.URI;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.security.MessageDigest;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Base64;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.junit.jupiter.api.Test;

/** A file that is sent in parts goes on where it stopped, is only its sender's, and is given once it is whole. */
class UploadTest extends AtARequest {
    private static final byte[] NOTHING = new byte[0];

    private static Map<String, String> headers(Visitor who, String... more) throws Exception {
        Map<String, String> headers = new HashMap<>(Map.of("Tus-Resumable", "1.0.0", "X-CSRF-TOKEN", who.token()));
        for (int i = 0; i < more.length; i += 2) {
            headers.put(more[i], more[i + 1]);
        }
        return headers;
    }

    private String uploads() {
        return "/c/panes/" + pane().id() + "/uploads";
    }

    private HttpResponse<String> begins(Visitor who, long length, String name) throws Exception {
        String called = "filename " + Base64.getEncoder().encodeToString(name.getBytes(StandardCharsets.UTF_8));
        return who.sends(
                "POST", uploads(), headers(who, "Upload-Length", "" + length, "Upload-Metadata", called), NOTHING);
    }

    private static String address(HttpResponse<String> begun) {
        return URI.create(begun.headers().firstValue("Location").orElseThrow()).getPath();
    }

    private static HttpResponse<String> part(Visitor who, String address, byte[] bytes, int from, int to)
            throws Exception {
        return who.sends(
                "PATCH",
                address,
                headers(who, "Upload-Offset", "" + from, "Content-Type", "application/offset+octet-stream"),
                Arrays.copyOfRange(bytes, from, to));
    }

    private static String offset(Visitor who, String address) throws Exception {
        return who.sends("HEAD", address, headers(who), NOTHING)
                .headers()
                .firstValue("Upload-Offset")
                .orElse("none");
    }

    private static HttpResponse<String> gives(Visitor who, String at, String address) throws Exception {
        return who.sends(at + "/files", "uploaded=" + address);
    }

    @Test
    void goesOnWhereItStoppedAndIsGivenOnceItIsWhole() throws Exception {
        Request request = asks("a photograph, 20 × 20 px");
        byte[] picture = jpeg(300, 200);
        Visitor imre = imre();
        String address = address(begins(imre, picture.length, "large picture.jpg"));
        assertThat(part(imre, address, picture, 0, 100).statusCode()).isEqualTo(204);
        assertThat(gives(imre, at(request), address).statusCode())
                .as("not whole")
                .isEqualTo(422);
        Visitor again = imre();
        assertThat(offset(again, address)).isEqualTo("100");
        assertThat(part(again, address, picture, 50, 120).statusCode())
                .as("from where it does not stand")
                .isEqualTo(409);
        part(again, address, picture, 100, picture.length);
        assertThat(gives(again, at(request), address).statusCode()).isEqualTo(302);
        assertThat(last(request).name()).isEqualTo("large picture.jpg");
        assertThat(last(request).verdict()).isEqualTo(Verdict.GOOD);
        assertThat(offset(again, address)).as("dropped").isEqualTo("none");
    }

    /** As when the house was killed in the midst of a part: more was written than was noted. */
    @Test
    void whatWasWrittenButNotNotedComesAgainAndNothingTwice() throws Exception {
        Request request = asks("a photograph, 20 × 20 px");
        byte[] picture = jpeg(310, 210);
        Visitor imre = imre();
        String address = address(begins(imre, picture.length, "cut off.jpg"));
        part(imre, address, picture, 0, 100);
        Path written = data().resolve("uploads/uploads")
                .resolve(address.substring(address.lastIndexOf('/') + 1))
                .resolve("data");
        Files.write(written, Arrays.copyOfRange(picture, 100, 160), StandardOpenOption.APPEND);
        assertThat(offset(imre, address)).isEqualTo("100");
        assertThat(Files.size(written)).isEqualTo(100);
        assertThat(part(imre, address, picture, 100, picture.length).statusCode())
                .isEqualTo(204);
        assertThat(gives(imre, at(request), address).statusCode()).isEqualTo(302);
        assertThat(last(request).sha256()).isEqualTo(Sha256.of(picture));
    }

    @Test
    void whatIsBegunAndNotFinishedKeepsItsRoom() throws Exception {
        Visitor imre = imre();
        long gigabyte = 1L << 30;
        String large = address(begins(imre, 9 * gigabyte, "nine.tif"));
        HttpResponse<String> more = begins(imre, 2 * gigabyte, "two.tif");
        assertThat(more.statusCode()).isEqualTo(422);
        assertThat(more.body()).contains("did not finish takes the room");
        assertThat(begins(grete(), 2 * gigabyte, "hers.tif").statusCode())
                .as("hers is her own")
                .isEqualTo(201);
        imre.sends("DELETE", large, headers(imre), NOTHING);
        HttpResponse<String> now = begins(imre, 2 * gigabyte, "two.tif");
        assertThat(now.statusCode()).isEqualTo(201);
        imre.sends("DELETE", address(now), headers(imre), NOTHING);
    }

    @Test
    void aPartThatWasDamagedOnItsWayComesAgain() throws Exception {
        Visitor imre = imre();
        byte[] bytes = jpeg(330, 230);
        String address = address(begins(imre, bytes.length, "damaged.jpg"));
        for (String sum : List.of("damaged", "all of it")) {
            byte[] sha1 = MessageDigest.getInstance("SHA-1").digest(sum.equals("damaged") ? NOTHING : bytes);
            Map<String, String> headers = headers(
                    imre,
                    "Upload-Offset",
                    "0",
                    "Content-Type",
                    "application/offset+octet-stream",
                    "Upload-Checksum",
                    "sha1 " + Base64.getEncoder().encodeToString(sha1));
            assertThat(imre.sends("PATCH", address, headers, bytes).statusCode())
                    .isEqualTo(sum.equals("damaged") ? 460 : 204);
            assertThat(offset(imre, address)).isEqualTo(sum.equals("damaged") ? "0" : "" + bytes.length);
        }
        imre.sends("DELETE", address, headers(imre), NOTHING);
    }

    /** As a folder does that is dropped: each begins while parts of others arrive. */
    @Test
    void manyAtOnceAreNotInEachOthersWay() throws Exception {
        Visitor imre = imre();
        imre.token();
        ExecutorService senders = Executors.newFixedThreadPool(6);
        List<Callable<Integer>> files = new ArrayList<>();
        for (int i = 0; i < 60; i++) {
            String name = "many-" + i + ".bin";
            files.add(() -> inTwoParts(imre, name));
        }
        for (Future<Integer> one : senders.invokeAll(files)) {
            assertThat(one.get()).isEqualTo(204);
        }
        senders.shutdown();
    }

    private int inTwoParts(Visitor who, String name) throws Exception {
        byte[] bytes = new byte[2_000];
        String address = address(begins(who, bytes.length, name));
        part(who, address, bytes, 0, 500);
        int answer = part(who, address, bytes, 500, bytes.length).statusCode();
        who.sends("DELETE", address, headers(who), NOTHING);
        return answer;
    }

    @Test
    void isTheirsAlone() throws Exception {
        Request request = asks("a photograph");
        byte[] picture = jpeg(30, 20);
        Visitor imre = imre();
        String address = address(begins(imre, picture.length, "his.jpg"));
        part(imre, address, picture, 0, picture.length);
        assertThat(offset(grete(), address)).isEqualTo("none");
        imre.sends(at(request) + "/pass-on", "name=Grete&email=grete@hobandbarley.example");
        assertThat(gives(grete(), at(request), address).statusCode()).isEqualTo(422);
        assertThat(new Visitor(address())
                        .sends("HEAD", address, Map.of("Tus-Resumable", "1.0.0"), NOTHING)
                        .statusCode())
                .isIn(302, 401);
        assertThat(ines().sends("HEAD", address, Map.of("Tus-Resumable", "1.0.0"), NOTHING)
                        .statusCode())
                .isEqualTo(404);
    }

    @Test
    void whatIsTooLargeIsRefusedBeforeItIsSent() throws Exception {
        Visitor imre = imre();
        HttpResponse<String> answer = begins(imre, 9_999_999_999_999L, "film.mov");
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("within a day");
        assertThat(imre.sends(uploads(), "").statusCode()).as("no form").isEqualTo(422);
    }

    @Test
    void anAddressThatIsNoUploadIsRefused() throws Exception {
        Request request = asks("a photograph");
        for (String address : new String[] {"/etc/passwd", uploads() + "/..", uploads() + "/nothing", "x"}) {
            assertThat(gives(imre(), at(request), address).statusCode())
                    .as(address)
                    .isEqualTo(422);
        }
    }
}
