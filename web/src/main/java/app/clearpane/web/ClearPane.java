package app.clearpane.web;

import app.clearpane.web.backup.BackupCommand;
import app.clearpane.web.agency.OwnerKey;
import java.util.Optional;
import app.clearpane.web.demo.DemoParts;
import app.clearpane.web.record.Verify;
import java.net.URL;
import java.util.Arrays;
import java.util.Locale;
import javax.imageio.ImageIO;
import org.springframework.aot.AotDetector;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;
import org.springframework.util.ClassUtils;

/** Starts the application: {@code serve}, {@code demo}, {@code verify FOLDER}, {@code owner FOLDER}, {@code backup FOLDER} or {@code restore BACKUP FOLDER}. */
@SpringBootApplication
@ConfigurationPropertiesScan
public class ClearPane {
  /** Is there if the parts were wired when the house was built, so that it starts sooner. */
  private static final String WIRED = "app.clearpane.web.ClearPane__ApplicationContextInitializer";

  public static void main(String[] arguments) throws Exception {
    System.setProperty("java.awt.headless", "true");
    Locale.setDefault(Locale.UK);
    if (arguments.length > 0 && arguments[0].equals("verify")) {
      System.exit(Verify.fromCommandLine(Arrays.copyOfRange(arguments, 1, arguments.length)));
    }
    if (arguments.length > 0 && arguments[0].equals("owner")) {
      System.exit(OwnerKey.fromCommandLine(Arrays.copyOfRange(arguments, 1, arguments.length)));
    }
    if (arguments.length > 0 && arguments[0].equals("backup")) {
      System.exit(BackupCommand.backup(DataFolder.of(System.getenv()).path(), Arrays.copyOfRange(arguments, 1, arguments.length)));
    }
    if (arguments.length > 0 && arguments[0].equals("restore")) {
      System.exit(BackupCommand.restore(Arrays.copyOfRange(arguments, 1, arguments.length)));
    }
    boolean demo = arguments.length > 0 && arguments[0].equals("demo");
    Optional<String> wrongFolder = DataFolder.of(System.getenv()).begin(demo);
    if (wrongFolder.isPresent()) {
      System.err.println(wrongFolder.get());
      System.exit(2);
    }
    System.setProperty("java.io.tmpdir", DataFolder.of(System.getenv()).clearTemporary().toString());
    ImageIO.setUseCache(false);
    ImageIO.scanForPlugins();
    if (isPackaged() && ClassUtils.isPresent(WIRED, null)) {
      System.setProperty(AotDetector.AOT_ENABLED, "true");
    }
    SpringApplication application = new SpringApplication(ClearPane.class);
    if (demo) {
      application.setAdditionalProfiles("demo");
      application.addInitializers(new DemoParts());
    }
    application.run(arguments);
  }

  /** In a folder of classes, the wiring beside them may be older than they are. Classes from a cache of another folder's do not know where they come from. */
  private static boolean isPackaged() {
    URL place = ClearPane.class.getProtectionDomain().getCodeSource().getLocation();
    return place == null || !place.toString().endsWith("/classes/");
  }
}
