package app.clearpane.usecases.supply;

import app.clearpane.core.people.Actor;
import app.clearpane.core.record.event.RequestActs;
import app.clearpane.core.supply.Request;
import app.clearpane.core.supply.RequestPart;
import app.clearpane.core.supply.Supplied;
import app.clearpane.core.supply.Takes;
import app.clearpane.store.files.Seal;
import app.clearpane.store.files.Vault;
import app.clearpane.store.supply.Requests;
import app.clearpane.usecases.record.AuditLog;
import app.clearpane.usecases.shell.NotFound;
import app.clearpane.usecases.shell.Refused;
import java.io.IOException;
import java.nio.file.Files;
import java.util.UUID;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Opens access details that were given, for one look. */
@Component
public class UnsealAccess {
    private final Requests requests;
    private final Seal seal;
    private final Vault vault;
    private final AuditLog audit;

    UnsealAccess(Requests requests, Seal seal, Vault vault, AuditLog audit) {
        this.requests = requests;
        this.seal = seal;
        this.vault = vault;
        this.audit = audit;
    }

    /** Access details, opened for one look; the look stands in the Record. @throws NotFound if there are none */
    @Transactional
    public String unseal(UUID given, Actor by) {
        Request request = NotFound.unless(requests.ofSupplied(given));
        Supplied one = NotFound.unless(
                request.given(given).filter(known -> !(known.standing() instanceof Supplied.TakenBack)));
        RequestPart part = NotFound.unless(request.part(one.part()).filter(known -> known.takes() == Takes.ACCESS));
        try {
            String sealed = Files.readString(vault.path(one.sha256()));
            String text = NotFound.unless(seal.open(sealed, SupplyWords.purpose(given)));
            audit.append(
                    request.project(),
                    request.id().value(),
                    new RequestActs.RequestUnsealed(by, request.title(), part.name()));
            return text;
        } catch (IOException gone) {
            throw Refused.because("The sealed words could not be read. Ask for them again.");
        }
    }
}
