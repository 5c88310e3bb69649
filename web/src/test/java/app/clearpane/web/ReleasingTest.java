package app.clearpane.web;

import static org.assertj.core.api.Assertions.assertThat;

import app.clearpane.core.clearance.Condition;
import app.clearpane.core.deliverable.Version;
import app.clearpane.core.exposure.ItemId;
import app.clearpane.core.files.Sha256;
import app.clearpane.store.clearance.Checklists;
import app.clearpane.store.clearance.Releases;
import app.clearpane.store.files.Vault;
import java.io.InputStream;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Random;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import javax.tools.ToolProvider;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.verapdf.gf.foundry.VeraGreenfieldFoundryProvider;
import org.verapdf.pdfa.Foundries;
import org.verapdf.pdfa.PDFAParser;
import org.verapdf.pdfa.PDFAValidator;
import org.verapdf.pdfa.flavours.PDFAFlavour;
import org.verapdf.pdfa.results.TestAssertion;

/** Clearing, releasing, recalling and checking, over HTTP. */
class ReleasingTest extends AtTheMill {
    private static final String DRAWN = "M30.0 50.0L150.0 20.0L270.0 60.0";

    @Autowired
    Releases releases;

    @Autowired
    Checklists checklists;

    @Autowired
    Vault vault;

    private HttpResponse<String> signs(Version version, String drawn) throws Exception {
        Visitor imre = imre();
        Map<String, String> form = new HashMap<>(Map.of("decision", "SIGN_OFF", "sentence", "", "typedName", "Imre"));
        form.putAll(Map.of("sha256", version.sha256().hex(), "sure", "true", "drawn", drawn));
        return imre.post(at(version) + "/decisions", imre.token(), form);
    }

    private int posts(Visitor who, String path, Map<String, String> form) throws Exception {
        return who.post(path, who.token(), form).statusCode();
    }

    private Visitor bastian() throws Exception {
        return Visitor.by(address(), linkOfTeam("bastian@marram-finch.example"));
    }

    private List<Checklists.Line> lines(Version version) {
        return checklists.linesOf(List.of(version.deliverable()), List.of(version.id()));
    }

    /** A version with a checklist of two lines. */
    private Version withChecklist(String name) throws Exception {
        Visitor ines = ines();
        ItemId bag = deliverable(ines, name, "ANY");
        String written = "Spelling read\n\n  Weights checked \nSpelling read";
        posts(ines, "/t/deliverables/" + bag + "/checklist", Map.of("lines", written));
        return sent(ines, bag);
    }

    /** A version that is signed and released. */
    private Version released(String name) throws Exception {
        Version version = sent(ines(), deliverable(ines(), name, "ANY"));
        signs(version, "");
        assertThat(posts(ines(), "/t/deliverables/" + version.deliverable() + "/release", Map.of()))
                .isEqualTo(302);
        return version;
    }

    private Releases.Release newest(Version version) {
        return releases.ofDeliverable(version.deliverable()).get(0);
    }

    private String checked(String sha256) throws Exception {
        return new Visitor(address()).get("/p/check?sha256=" + sha256).body();
    }

    @Test
    void whatIsDrawnBesideANameIsKeptAndRubbishIsRefused() throws Exception {
        Version version = sent(ines(), deliverable(ines(), "Drawn beside", "ANY"));
        assertThat(signs(version, "<script>").body())
                .contains("The drawn signature cannot be read")
                .contains("Nothing was signed");
        signs(version, "0.1000,0.5000 0.5000,0.2000 0.9000,0.6000");
        assertThat(round(version.deliverable()).said()).singleElement().satisfies(said -> assertThat(
                        said.signature().orElseThrow().path(300))
                .isEqualTo(DRAWN));
        assertThat(ines().get("/t/deliverables/" + version.deliverable() + "/clearance")
                        .body())
                .contains("The signature of Imre Vadas", DRAWN);
    }

    @Test
    void whatIsNotTickedIsNotReleasedUnlessAnOwnerWaivesIt() throws Exception {
        Version version = withChecklist("Cleared");
        signs(version, "");
        String bag = "/t/deliverables/" + version.deliverable();
        assertThat(lines(version))
                .extracting(Checklists.Line::words)
                .containsExactly("Spelling read", "Weights checked");
        assertThat(posts(ines(), bag + "/release", Map.of())).isEqualTo(422);
        posts(ines(), bag + "/checklist/" + lines(version).get(0).id(), Map.of("ticked", "true"));
        assertThat(posts(ines(), bag + "/release", Map.of())).isEqualTo(422);
        Map<String, String> why = Map.of("condition", "CHECKLIST_DONE", "reason", "The scales are at the mill.");
        assertThat(posts(ines(), bag + "/waivers", why)).as("owners waive").isEqualTo(403);
        posts(bastian(), bag + "/waivers", why);
        assertThat(checklists.waivers(List.of(version.id())))
                .singleElement()
                .satisfies(waiver -> assertThat(waiver.condition()).isEqualTo(Condition.CHECKLIST_DONE));
        posts(
                ines(),
                "/t/projects/" + mill() + "/releases",
                Map.of("deliverable", version.deliverable().toString()));
        assertThat(releases.ofDeliverable(version.deliverable())).hasSize(1);
    }

    @ParameterizedTest(name = "{0} because “{1}”")
    @CsvSource({"SIGNED, x", "SAME_BYTES, x", "CHECKLIST_DONE, ' '", "NOTHING, x"})
    void whatMayNotBeWaivedOrIsNotExplainedIsRefused(String condition, String reason) throws Exception {
        Version version = withChecklist("Not waived " + condition);
        Map<String, String> form = Map.of("condition", condition, "reason", reason);
        assertThat(posts(bastian(), "/t/deliverables/" + version.deliverable() + "/waivers", form))
                .isIn(404, 422);
        assertThat(checklists.waivers(List.of(version.id()))).isEmpty();
    }

    @Test
    void whatIsRecalledIsNotHandedOutAnyMoreAndIsReleasedAgainInItsPlace() throws Exception {
        Version version = released("Recalled");
        Releases.Release first = newest(version);
        String at = "/t/releases/" + first.id();
        assertThat(posts(ines(), at + "/recall", Map.of("reason", ""))).isEqualTo(422);
        posts(ines(), at + "/recipients", Map.of("name", "The printer", "email", "press@printer.example"));
        Releases.Recipient printer = releases.recipients(version.deliverable()).get(0);
        posts(ines(), at + "/recall", Map.of("reason", "Wrong paper."));
        assertThat(releases.recipients(version.deliverable()).get(0).expiresAt())
                .isBefore(printer.expiresAt());
        assertThat(checked(version.sha256().hex())).contains("It was recalled on");
        posts(ines(), "/t/deliverables/" + version.deliverable() + "/release", Map.of());
        assertThat(releases.ofDeliverable(version.deliverable())).hasSize(2);
        assertThat(newest(version).replaces()).isEqualTo(first.id());
    }

    @Test
    void theBundleVerifiesItselfAndItsCertificateIsAPdfForKeeping() throws Exception {
        Path bundle = unpacked(released("Bundled").deliverable());
        assertThat(verified(bundle)).startsWith("Sound: ");
        assertThat(faultsAsPdfA(bundle.resolve("data/certificate.pdf"))).isEmpty();
        assertThat(faultsAsPdfA(bundle.resolve("data/released/mill-flour-spelt-1.pdf")))
                .as("the checker finds what is wrong with another")
                .isNotEmpty();
        alteredAnywhereIsFound(bundle);
    }

    @Test
    void anybodyMayCheckACertificateAndNobodyLearnsAnythingElse() throws Exception {
        Version version = released("Checked");
        unpacked(version.deliverable());
        Sha256 certificate = Objects.requireNonNull(newest(version).certificate());
        assertThat(checked(certificate.hex())).contains("this is a certificate that was made here", "by 1 person");
        assertThat(checked(Sha256.ofText("other").hex()))
                .contains("these bytes were not signed here")
                .doesNotContain("Checked");
        assertThat(new Visitor(address()).get("/p/check?sha256=short").statusCode())
                .isEqualTo(422);
    }

    /** The bundle of the newest release, unpacked. */
    private Path unpacked(ItemId deliverable) throws Exception {
        long patience = System.nanoTime() + 60_000_000_000L;
        while (releases.ofDeliverable(deliverable).get(0).bundle() == null && System.nanoTime() < patience) {
            Thread.onSpinWait();
        }
        Path folder = Files.createTempDirectory("bundle");
        try (ZipInputStream zip = new ZipInputStream(Files.newInputStream(vault.path(Objects.requireNonNull(
                releases.ofDeliverable(deliverable).get(0).bundle()))))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                Path file = folder.resolve(entry.getName());
                Files.createDirectories(file.getParent());
                Files.copy(zip, file);
            }
        }
        try (var inside = Files.list(folder)) {
            return inside.findFirst().orElseThrow();
        }
    }

    /** What a checker of PDF/A-2u finds wrong. */
    private static List<String> faultsAsPdfA(Path certificate) throws Exception {
        VeraGreenfieldFoundryProvider.initialise();
        try (InputStream in = Files.newInputStream(certificate);
                PDFAParser parser = Foundries.defaultInstance().createParser(in, PDFAFlavour.PDFA_2_U);
                PDFAValidator validator = Foundries.defaultInstance().createValidator(PDFAFlavour.PDFA_2_U, false)) {
            return validator.validate(parser).getTestAssertions().stream()
                    .filter(one -> one.getStatus() == TestAssertion.Status.FAILED)
                    .map(one -> one.getRuleId().getClause() + ": " + one.getMessage())
                    .distinct()
                    .toList();
        }
    }

    /** What the bundle's own program says, run from its source as its reader would. */
    private static String verified(Path bundle) throws Exception {
        return said(bundle.resolve("data/Verify.java").toString(), bundle.toString());
    }

    private static String said(String... arguments) throws Exception {
        List<String> command = new ArrayList<>(
                List.of(Path.of(System.getProperty("java.home"), "bin", "java").toString()));
        command.add("-XX:TieredStopAtLevel=1");
        command.addAll(List.of(arguments));
        Process program = new ProcessBuilder(command).redirectErrorStream(true).start();
        try (InputStream out = program.getInputStream()) {
            return new String(out.readAllBytes(), java.nio.charset.StandardCharsets.UTF_8);
        }
    }

    /** One byte changed at a random place of any file is found, and the file named. */
    private static void alteredAnywhereIsFound(Path bundle) throws Exception {
        List<Path> files;
        try (var all = Files.walk(bundle)) {
            files = all.filter(Files::isRegularFile)
                    .filter(file -> !file.endsWith("Verify.java"))
                    .sorted()
                    .toList();
        }
        Path classes = Files.createTempDirectory("verify");
        assertThat(ToolProvider.getSystemJavaCompiler()
                        .run(
                                null,
                                null,
                                null,
                                "-d",
                                classes.toString(),
                                bundle.resolve("data/Verify.java").toString()))
                .isZero();
        Random random = new Random(17);
        for (Path file : files) {
            byte[] whole = Files.readAllBytes(file);
            byte[] altered = whole.clone();
            altered[random.nextInt(altered.length)] ^= 1;
            Files.write(file, altered);
            assertThat(said("-cp", classes.toString(), "Verify", bundle.toString()))
                    .as(file.getFileName().toString())
                    .startsWith("FAULT: ");
            Files.write(file, whole);
        }
        assertThat(verified(bundle)).startsWith("Sound: ");
    }
}
