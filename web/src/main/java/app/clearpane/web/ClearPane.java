package app.clearpane.web;

import app.clearpane.web.record.Verify;
import java.util.Arrays;
import javax.imageio.ImageIO;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.context.properties.ConfigurationPropertiesScan;

/** Starts the application: {@code serve}, {@code demo} or {@code verify FOLDER}. */
@SpringBootApplication
@ConfigurationPropertiesScan
public class ClearPane {

  public static void main(String[] arguments) throws Exception {
    System.setProperty("java.awt.headless", "true");
    if (arguments.length > 0 && arguments[0].equals("verify")) {
      System.exit(Verify.fromCommandLine(Arrays.copyOfRange(arguments, 1, arguments.length)));
    }
    ImageIO.setUseCache(false);
    ImageIO.scanForPlugins();
    SpringApplication application = new SpringApplication(ClearPane.class);
    if (arguments.length > 0 && arguments[0].equals("demo")) {
      application.setAdditionalProfiles("demo");
    }
    application.run(arguments);
  }
}
