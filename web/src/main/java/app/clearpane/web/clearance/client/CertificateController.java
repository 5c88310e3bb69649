package app.clearpane.web.clearance.client;

import app.clearpane.core.deliverable.VersionId;
import app.clearpane.core.viewer.Viewer;
import app.clearpane.usecases.clearance.KeepCertificate;
import java.io.IOException;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** A client's copy of what proves a release. */
@Controller
class CertificateController {
    private final KeepCertificate keep;

    CertificateController(KeepCertificate keep) {
        this.keep = keep;
    }

    @GetMapping({
        "/c/panes/{pane}/versions/{version}/certificate",
        "/t/look/{seat}/{sight}/versions/{version}/certificate"
    })
    ResponseEntity<byte[]> certificate(Viewer viewer, @PathVariable VersionId version) throws IOException {
        byte[] pdf = keep.read(viewer, version);
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_PDF)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("certificate.pdf")
                                .build()
                                .toString())
                .body(pdf);
    }
}
