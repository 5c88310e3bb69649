package app.clearpane.usecases.agency;

import app.clearpane.core.agency.TeamMember;
import app.clearpane.core.agency.TeamMemberId;
import app.clearpane.core.files.Sha256;
import app.clearpane.store.agency.SecondFactors;
import app.clearpane.store.files.Seal;
import dev.samstevens.totp.code.CodeGenerator;
import dev.samstevens.totp.code.DefaultCodeGenerator;
import dev.samstevens.totp.exceptions.CodeGenerationException;
import dev.samstevens.totp.qr.QrData;
import dev.samstevens.totp.recovery.RecoveryCodeGenerator;
import dev.samstevens.totp.secret.DefaultSecretGenerator;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.time.Clock;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Component;

/**
 * The codes of the second step: six digits that change every 30 seconds (TOTP, RFC 6238, HMAC-SHA-1), and recovery
 * codes that open once each.
 */
@Component
class StepCodes {
    /** How long a code holds, in seconds; the one before and the one after hold too, since clocks differ. */
    private static final int PERIOD = 30;

    private static final int RECOVERY_CODES = 10;
    private final SecondFactors factors;
    private final Seal seal;
    private final Clock clock;
    private final CodeGenerator generator = new DefaultCodeGenerator();

    StepCodes(SecondFactors factors, Seal seal, Clock clock) {
        this.factors = factors;
        this.seal = seal;
        this.clock = clock;
    }

    /** Makes a secret and keeps it sealed; it counts for nothing before it is confirmed. */
    void begin(TeamMemberId member) {
        factors.begin(member, seal.close(new DefaultSecretGenerator().generate(), purpose(member)), clock.instant());
    }

    /**
     * The secret as an app takes it, in Base32; empty if there is none, or it cannot be read with the key of this
     * house.
     */
    Optional<String> secret(TeamMemberId member) {
        return factors.find(member).flatMap(shared -> seal.open(shared.sealedSecret(), purpose(member)));
    }

    private static String purpose(TeamMemberId member) {
        return "second step of " + member;
    }

    /** The address that an app reads from a picture. */
    static String address(TeamMember member, String agency, String secret) {
        return new QrData.Builder()
                .label(agency + ":" + member.email())
                .issuer(agency)
                .secret(secret)
                .digits(6)
                .period(PERIOD)
                .build()
                .getUri();
    }

    /** Takes a code of six digits, once. */
    boolean takes(TeamMemberId member, String typed) {
        String digits = typed.replaceAll("\\s", "");
        Optional<String> secret = secret(member);
        if (secret.isEmpty() || !digits.matches("[0-9]{6}")) {
            return false;
        }
        long now = Math.floorDiv(clock.instant().getEpochSecond(), PERIOD);
        for (long step = now - 1; step <= now + 1; step++) {
            if (same(code(secret.get(), step), digits)) {
                return factors.take(member, step);
            }
        }
        return false;
    }

    /** From now on the secret counts. */
    void confirm(TeamMemberId member) {
        factors.confirm(member, clock.instant());
    }

    private String code(String secret, long step) {
        try {
            return generator.generate(secret, step);
        } catch (CodeGenerationException e) {
            throw new IllegalStateException(e);
        }
    }

    private static boolean same(String one, String other) {
        return MessageDigest.isEqual(one.getBytes(StandardCharsets.UTF_8), other.getBytes(StandardCharsets.UTF_8));
    }

    /** Gives other recovery codes, to be shown this once. */
    List<String> recoveryCodes(TeamMemberId member) {
        List<String> codes = List.of(new RecoveryCodeGenerator().generateCodes(RECOVERY_CODES));
        factors.renewCodes(
                member, codes.stream().map(code -> digest(member, code)).toList());
        return codes;
    }

    /** Takes a recovery code, once. */
    boolean takesRecovery(TeamMemberId member, String typed) {
        return factors.useCode(member, digest(member, typed), clock.instant());
    }

    private static Sha256 digest(TeamMemberId member, String code) {
        return Sha256.ofText(
                "recovery\n" + member + "\n" + code.toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]", ""));
    }
}
