package app.clearpane.web.record;

import app.clearpane.store.files.Vault;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import org.jooq.DSLContext;
import org.springframework.stereotype.Component;

/** Runs the check of the whole house on the running one. */
@Component
public class VerifyHouse {
    private final DSLContext db;
    private final Vault vault;

    VerifyHouse(DSLContext db, Vault vault) {
        this.db = db;
        this.vault = vault;
    }

    /** What it prints. */
    public String report() throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        new Verify(db, vault, new PrintStream(out, true, StandardCharsets.UTF_8)).run();
        return out.toString(StandardCharsets.UTF_8);
    }
}
