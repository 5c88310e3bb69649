package app.clearpane.store.files;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.GeneralSecurityException;
import java.security.SecureRandom;
import java.util.Base64;
import java.util.Optional;
import javax.crypto.Cipher;
import javax.crypto.SecretKey;
import javax.crypto.spec.GCMParameterSpec;
import javax.crypto.spec.SecretKeySpec;

/**
 * Seals what the database may hold but not tell: AES-256-GCM (NIST SP 800-38D) with a nonce of 12 random bytes and a
 * key that lies in a file beside the database. What is sealed for one purpose does not open for another.
 */
public final class Seal {
    /** The name of the key's file in the data folder, and in a backup. */
    public static final String FILE = "seal.key";

    private static final int KEY_BYTES = 32;
    private static final int NONCE_BYTES = 12;
    private static final int TAG_BITS = 128;
    private static final SecureRandom RANDOM = new SecureRandom();
    private final SecretKey key;

    private Seal(byte[] key) {
        this.key = new SecretKeySpec(key, "AES");
    }

    /**
     * The one of a data folder, whose key is made if there is none. @throws IOException if it cannot be read or
     * written, or is no key
     */
    public static Seal in(Path data) throws IOException {
        Path file = data.resolve(FILE);
        if (!Files.exists(file)) {
            make(file);
        }
        byte[] key = Files.readAllBytes(file);
        if (key.length != KEY_BYTES) {
            throw new IOException(file + " is no key: it holds " + key.length + " bytes instead of " + KEY_BYTES);
        }
        return new Seal(key);
    }

    private static void make(Path file) throws IOException {
        Files.createDirectories(file.toAbsolutePath().getParent());
        byte[] key = new byte[KEY_BYTES];
        RANDOM.nextBytes(key);
        Path aside = Files.createTempFile(file.toAbsolutePath().getParent(), "seal", ".new");
        try {
            if (Files.getFileStore(aside).supportsFileAttributeView("posix")) {
                Files.setPosixFilePermissions(aside, PosixFilePermissions.fromString("rw-------"));
            }
            Files.write(aside, key);
            Files.move(aside, file);
        } catch (FileAlreadyExistsException madeMeanwhile) {
            Files.deleteIfExists(aside);
        }
    }

    /** Seals a text. @param purpose what it is for and whose it is */
    public String close(String text, String purpose) {
        byte[] nonce = new byte[NONCE_BYTES];
        RANDOM.nextBytes(nonce);
        try {
            byte[] sealed = cipher(Cipher.ENCRYPT_MODE, nonce, purpose).doFinal(text.getBytes(StandardCharsets.UTF_8));
            return Base64.getEncoder()
                    .encodeToString(ByteBuffer.allocate(nonce.length + sealed.length)
                            .put(nonce)
                            .put(sealed)
                            .array());
        } catch (GeneralSecurityException never) {
            throw new IllegalStateException(never);
        }
    }

    /** The text again; empty if it was sealed with another key or for another purpose, or altered. */
    public Optional<String> open(String sealed, String purpose) {
        try {
            byte[] bytes = Base64.getDecoder().decode(sealed);
            if (bytes.length <= NONCE_BYTES) {
                return Optional.empty();
            }
            byte[] nonce = new byte[NONCE_BYTES];
            System.arraycopy(bytes, 0, nonce, 0, NONCE_BYTES);
            return Optional.of(new String(
                    cipher(Cipher.DECRYPT_MODE, nonce, purpose).doFinal(bytes, NONCE_BYTES, bytes.length - NONCE_BYTES),
                    StandardCharsets.UTF_8));
        } catch (GeneralSecurityException | IllegalArgumentException notOurs) {
            return Optional.empty();
        }
    }

    private Cipher cipher(int mode, byte[] nonce, String purpose) throws GeneralSecurityException {
        Cipher cipher = Cipher.getInstance("AES/GCM/NoPadding");
        cipher.init(mode, key, new GCMParameterSpec(TAG_BITS, nonce));
        cipher.updateAAD(purpose.getBytes(StandardCharsets.UTF_8));
        return cipher;
    }
}
