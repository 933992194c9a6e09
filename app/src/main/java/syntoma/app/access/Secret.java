package syntoma.app.access;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.util.Base64;

/** Random words that let somebody in, and what is kept of them: a hash, from which they are not found again. */
final class Secret {
    private static final SecureRandom RANDOM = new SecureRandom();
    private static final int TOKEN_BYTES = 32;

    /** Letters and figures that are not taken for one another (Crockford's base 32). */
    private static final String READABLE = "0123456789ABCDEFGHJKMNPQRSTVWXYZ";

    private static final int CODE_LENGTH = 10;

    private Secret() {}

    /** 256 random bits. */
    static String token() {
        byte[] bytes = new byte[TOKEN_BYTES];
        RANDOM.nextBytes(bytes);
        return Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
    }

    /** 50 random bits that can be typed by hand. */
    static String code() {
        StringBuilder code = new StringBuilder();
        for (int i = 0; i < CODE_LENGTH; i++) {
            code.append(i == CODE_LENGTH / 2 ? "-" : "").append(READABLE.charAt(RANDOM.nextInt(READABLE.length())));
        }
        return code.toString();
    }

    /** A code as it was given out, however it was typed. */
    static String readCode(String typed) {
        String all = typed.toUpperCase(java.util.Locale.ROOT)
                .replaceAll("[^0-9A-Z]", "")
                .replace('O', '0')
                .replace('I', '1')
                .replace('L', '1');
        return all.length() == CODE_LENGTH
                ? all.substring(0, CODE_LENGTH / 2) + "-" + all.substring(CODE_LENGTH / 2)
                : all;
    }

    static String hash(String secret) {
        try {
            byte[] hash = MessageDigest.getInstance("SHA-256").digest(secret.getBytes(StandardCharsets.UTF_8));
            return Base64.getUrlEncoder().withoutPadding().encodeToString(hash);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }
}
