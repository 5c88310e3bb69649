package app.clearpane.web.clearance.team;

import app.clearpane.core.files.Sha256;
import app.clearpane.usecases.clearance.PackRelease;
import app.clearpane.usecases.clearance.Recipients;
import app.clearpane.usecases.deliverable.States;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import app.clearpane.web.deliverable.SheetBytes;
import app.clearpane.web.security.Limits;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.InputStream;
import java.security.DigestInputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.Locale;
import org.jspecify.annotations.Nullable;
import org.springframework.core.io.Resource;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** What anybody may do with a release: fetch its files by a link of their own, and check whether bytes were signed. */
@Controller
class OutsideController {
    private static final String DIGEST = "[0-9a-f]{64}";
    private final Recipients recipients;
    private final CheckBytes checkBytes;
    private final States states;
    private final SheetBytes bytes;
    private final Limits limits;

    OutsideController(Recipients recipients, CheckBytes checkBytes, States states, SheetBytes bytes, Limits limits) {
        this.recipients = recipients;
        this.checkBytes = checkBytes;
        this.states = states;
        this.bytes = bytes;
        this.limits = limits;
    }

    @GetMapping("/p/releases/{key}")
    String files(@PathVariable String key, HttpServletRequest request, HttpServletResponse response, Model model) {
        Recipients.Given given = NotFound.unless(
                limits.link(request.getRemoteAddr()) ? recipients.findByKey(key) : java.util.Optional.empty());
        response.setHeader("Referrer-Policy", "no-referrer");
        response.setStatus(given.open() ? 200 : 410);
        model.addAttribute("key", key);
        model.addAttribute("given", given);
        return "clearance/handed";
    }

    @GetMapping("/p/releases/{key}/file")
    ResponseEntity<Resource> file(@PathVariable String key, HttpServletRequest request) {
        Recipients.Given given = open(key, request);
        return bytes.download(
                given.version().sha256(),
                given.version().fileName(),
                () -> recipients.delivered(given, "file", given.version().size()));
    }

    @GetMapping("/p/releases/{key}/bundle")
    ResponseEntity<Resource> bundle(@PathVariable String key, HttpServletRequest request) {
        Recipients.Given given = open(key, request);
        Sha256 bundle =
                NotFound.unless(java.util.Optional.ofNullable(given.release().bundle()));
        return bytes.download(
                bundle,
                PackRelease.folder(states.inBrief(given.deliverable().id()), given.version()) + ".zip",
                () -> recipients.delivered(
                        given,
                        "bundle",
                        java.util.Objects.requireNonNull(given.release().bundleSize())));
    }

    private Recipients.Given open(String key, HttpServletRequest request) {
        return NotFound.unless((limits.link(request.getRemoteAddr())
                        ? recipients.findByKey(key)
                        : java.util.Optional.<Recipients.Given>empty())
                .filter(Recipients.Given::open));
    }

    @GetMapping("/p/check")
    String check(@RequestParam(required = false) @Nullable String sha256, HttpServletRequest request, Model model) {
        if (sha256 != null) {
            answer(sha256.strip().toLowerCase(Locale.ROOT), request, model);
        }
        return "clearance/check";
    }

    @PostMapping("/p/check")
    String checkFile(@RequestParam MultipartFile file, HttpServletRequest request, Model model) throws IOException {
        if (file.isEmpty()) {
            throw Refused.because("Choose a file first, or type its SHA-256.");
        }
        try (InputStream in = file.getInputStream();
                DigestInputStream digest = new DigestInputStream(in, MessageDigest.getInstance("SHA-256"))) {
            digest.transferTo(java.io.OutputStream.nullOutputStream());
            answer(HexFormat.of().formatHex(digest.getMessageDigest().digest()), request, model);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java platform has SHA-256", e);
        }
        return "clearance/check";
    }

    private void answer(String sha256, HttpServletRequest request, Model model) {
        if (!sha256.matches(DIGEST)) {
            throw Refused.because(
                    "A SHA-256 has 64 characters, 0 to 9 and a to f. Drop the file here instead, and it is worked "
                            + "out for you.");
        }
        if (!limits.link(request.getRemoteAddr())) {
            throw Refused.because("That was tried too often in one minute. Wait a little and try again.");
        }
        model.addAttribute("answer", checkBytes.check(new Sha256(sha256)));
    }
}
