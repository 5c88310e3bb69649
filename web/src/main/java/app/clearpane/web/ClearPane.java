package app.clearpane.web;

import app.clearpane.web.agency.OwnerKey;
import app.clearpane.web.backup.BackupCommand;
import app.clearpane.web.record.Verify;
import java.net.URL;
import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import javax.imageio.ImageIO;
import org.springframework.aot.AotDetector;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;
import org.springframework.context.aot.AbstractAotProcessor;
import org.springframework.util.ClassUtils;

/**
 * Starts the application: {@code serve}, {@code demo}, {@code verify FOLDER}, {@code owner FOLDER}, {@code backup
 * FOLDER} or {@code restore BACKUP FOLDER}.
 */
@SpringBootApplication(scanBasePackages = {"app.clearpane.web", "app.clearpane.usecases"})
@ConfigurationPropertiesScan({"app.clearpane.web", "app.clearpane.usecases"})
public class ClearPane {
    /** Is there if the parts were wired when the house was built, so that it starts sooner. */
    private static final String WIRED = "app.clearpane.web.ClearPane__ApplicationContextInitializer";

    /** Is on the class path of the demo alone; it puts itself in. */
    private static final String STORY = "app.clearpane.demo.DemoParts";

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
            System.exit(BackupCommand.backup(
                    DataFolder.of(System.getenv()).path(), Arrays.copyOfRange(arguments, 1, arguments.length)));
        }
        if (arguments.length > 0 && arguments[0].equals("restore")) {
            System.exit(BackupCommand.restore(Arrays.copyOfRange(arguments, 1, arguments.length)));
        }
        boolean demo = arguments.length > 0 && arguments[0].equals("demo");
        if (demo && !ClassUtils.isPresent(STORY, null)) {
            System.err.println("demo: its story is not part of this installation. Start it with ./run demo.");
            System.exit(2);
        }
        if (!Boolean.getBoolean(AbstractAotProcessor.AOT_PROCESSING)) {
            takeFolder(demo);
        }
        ImageIO.setUseCache(false);
        ImageIO.scanForPlugins();
        if (isPackaged() && ClassUtils.isPresent(WIRED, null)) {
            System.setProperty(AotDetector.AOT_ENABLED, "true");
        }
        SpringApplication application = new SpringApplication(ClearPane.class);
        if (demo) {
            application.setAdditionalProfiles("demo");
        }
        application.run(arguments);
    }

    /**
     * Ends here if the data folder is not for this kind of house. While the parts are wired, no house is opened and no
     * folder is touched.
     */
    private static void takeFolder(boolean demo) {
        DataFolder folder = DataFolder.of(System.getenv());
        Optional<String> wrong = folder.begin(demo);
        if (wrong.isPresent()) {
            System.err.println(wrong.get());
            System.exit(2);
        }
        System.setProperty("java.io.tmpdir", folder.clearTemporary().toString());
    }

    /**
     * In a folder of classes, the wiring beside them may be older than they are. Classes from a cache of another
     * folder's do not know where they come from.
     */
    private static boolean isPackaged() {
        URL place = ClearPane.class.getProtectionDomain().getCodeSource().getLocation();
        return place == null || !place.toString().endsWith("/classes/");
    }
}
