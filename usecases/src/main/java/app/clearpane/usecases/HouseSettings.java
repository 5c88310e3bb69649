package app.clearpane.usecases;

import java.nio.file.Path;
import java.time.Duration;
import org.springframework.boot.context.properties.ConfigurationProperties;
import org.springframework.boot.context.properties.bind.DefaultValue;
import org.springframework.util.unit.DataSize;

/**
 * How this installation is set up.
 *
 * @param data the folder that holds everything
 * @param address what links in mails begin with, without a slash at the end
 * @param from the address mails come from
 * @param largestUpload the most bytes of one file
 * @param pollMillis how often the queue is looked at, in milliseconds
 * @param drawing how long one page of a file may take to be drawn
 * @param mailWaits whether mail that tells of what may be taken back waits until it may not
 */
@ConfigurationProperties("clearpane")
public record HouseSettings(
        Path data,
        String address,
        @DefaultValue("studio@clear-pane.example") String from,
        @DefaultValue("250MB") DataSize largestUpload,
        @DefaultValue("500") long pollMillis,
        @DefaultValue("60s") Duration drawing,
        @DefaultValue("true") boolean mailWaits) {

    /** Where the vault is. */
    public Path vault() {
        return data.resolve("vault");
    }

    /** Where bundles are built. */
    public Path workshop() {
        return data.resolve("workshop");
    }
}
