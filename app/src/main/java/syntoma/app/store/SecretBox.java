package syntoma.app.store;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.security.GeneralSecurityException;
import java.security.SecureRandom;
import java.util.Base64;
import java.util.Optional;
import javax.crypto.Cipher;
import javax.crypto.spec.GCMParameterSpec;
import javax.crypto.spec.SecretKeySpec;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Component;

/**
 * Encrypts the passwords and keys of other devices for the store (AES-256-GCM). The key is a file beside the store that only its owner may
 * read; who gets hold of a copy of the store alone cannot read them.
 */
@Component
public class SecretBox {
    private static final String SEALED = "sealed:1:";
    private static final String CIPHER = "AES/GCM/NoPadding";
    private static final int KEY_BYTES = 32;
    private static final int NONCE_BYTES = 12;
    private static final int TAG_BITS = 128;

    private final StoreFiles files;
    private final SecureRandom random = new SecureRandom();

    SecretBox(StoreFiles files) {
        this.files = files;
    }

    /** A secret as it is stored; null where there is none. */
    @Nullable
    public String seal(@Nullable String secret) {
        if (secret == null || secret.isEmpty()) {
            return null;
        }
        byte[] nonce = new byte[NONCE_BYTES];
        random.nextBytes(nonce);
        byte[] sealed = run(Cipher.ENCRYPT_MODE, key(), nonce, secret.getBytes(StandardCharsets.UTF_8))
                .orElseThrow(() -> new IllegalStateException("a secret cannot be encrypted"));
        return SEALED
                + Base64.getEncoder()
                        .encodeToString(ByteBuffer.allocate(nonce.length + sealed.length)
                                .put(nonce)
                                .put(sealed)
                                .array());
    }

    /** Whether a stored secret is encrypted; those from before this version are not. */
    public static boolean isSealed(@Nullable String stored) {
        return stored != null && stored.startsWith(SEALED);
    }

    /** The secret itself; empty where there is none, or where its key is gone. */
    public String open(@Nullable String stored) {
        if (stored == null || !isSealed(stored)) {
            return stored == null ? "" : stored;
        }
        byte[] bytes = Base64.getDecoder().decode(stored.substring(SEALED.length()));
        ByteBuffer parts = ByteBuffer.wrap(bytes);
        byte[] nonce = new byte[NONCE_BYTES];
        byte[] sealed = new byte[bytes.length - NONCE_BYTES];
        parts.get(nonce).get(sealed);
        return run(Cipher.DECRYPT_MODE, key(), nonce, sealed)
                .map(plain -> new String(plain, StandardCharsets.UTF_8))
                .orElse("");
    }

    private static Optional<byte[]> run(int mode, byte[] key, byte[] nonce, byte[] text) {
        try {
            Cipher cipher = Cipher.getInstance(CIPHER);
            cipher.init(mode, new SecretKeySpec(key, "AES"), new GCMParameterSpec(TAG_BITS, nonce));
            return Optional.of(cipher.doFinal(text));
        } catch (GeneralSecurityException otherKey) {
            return Optional.empty();
        }
    }

    /** The key of this data directory, made when it is first needed. */
    private synchronized byte[] key() {
        try {
            Path file = files.access().resolve("secrets.key");
            if (Files.exists(file) && Files.size(file) == KEY_BYTES) {
                return Files.readAllBytes(file);
            }
            files.prepareAccess();
            byte[] key = new byte[KEY_BYTES];
            random.nextBytes(key);
            Path whole = files.access().resolve("secrets.key.new");
            Files.deleteIfExists(whole);
            Files.createFile(whole);
            StoreFiles.restrictFile(whole);
            Files.write(whole, key);
            StoreFiles.sync(whole);
            Files.move(whole, file, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
            return key;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
