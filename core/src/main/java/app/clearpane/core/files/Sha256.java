package app.clearpane.core.files;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.Optional;
import java.util.regex.Pattern;

/** A SHA-256 digest (FIPS 180-4) as 64 lower-case hexadecimal digits. */
public record Sha256(String hex) {
    private static final Pattern SHAPE = Pattern.compile("[0-9a-f]{64}");

    /** @throws IllegalArgumentException unless the text is 64 lower-case hexadecimal digits */
    public Sha256 {
        if (!SHAPE.matcher(hex).matches()) {
            throw new IllegalArgumentException("not a SHA-256 in lower-case hex: " + hex);
        }
    }

    /** The digest that a text holds; empty if it is none. */
    public static Optional<Sha256> read(String text) {
        return SHAPE.matcher(text).matches() ? Optional.of(new Sha256(text)) : Optional.empty();
    }

    /** The digest of these bytes. */
    public static Sha256 of(byte[] bytes) {
        return written(digest().digest(bytes));
    }

    /**
     * The digest of the text in UTF-8. Not called {@code of}, since that is how a digest in hex would be read from a
     * form.
     */
    public static Sha256 ofText(String text) {
        return of(text.getBytes(StandardCharsets.UTF_8));
    }

    /** The digest that a finished {@link MessageDigest} holds. */
    public static Sha256 of(MessageDigest finished) {
        return written(finished.digest());
    }

    /** A fresh digest to feed. */
    public static MessageDigest digest() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java platform has SHA-256", e);
        }
    }

    private static Sha256 written(byte[] digest) {
        return new Sha256(HexFormat.of().formatHex(digest));
    }

    /** The form people read aloud: first and last four pairs, "9f2c 41d0 … 03be 77ae". */
    public String brief() {
        return hex.substring(0, 4) + " " + hex.substring(4, 8) + " … " + hex.substring(56, 60) + " "
                + hex.substring(60);
    }

    @Override
    public String toString() {
        return hex;
    }
}
