package syntoma.standin.speed;

import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.time.Instant;
import java.util.Base64;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;

/**
 * The right to make one run at a speed server until a moment, for who is not to know the server's key: the moment in seconds since
 * 1970, a full stop, and the HMAC-SHA256 (RFC 2104) of the run's name and the moment under the key, in base64url (RFC 4648).
 */
public final class Ticket {
    private static final String ALGORITHM = "HmacSHA256";
    private static final int LONGEST_MOMENT = 12;

    private Ticket() {}

    /**
     * Makes one.
     *
     * @throws IllegalArgumentException when there is no key
     */
    public static String of(String key, String run, Instant until) {
        String moment = Long.toString(until.getEpochSecond());
        return moment + "." + sealed(key, run, moment);
    }

    /** Whether a ticket that somebody shows is one for a run, made with the key, and of now. */
    public static boolean isGood(String ticket, String key, String run, Instant now) {
        int stop = ticket.indexOf('.');
        String moment = ticket.substring(0, Math.max(0, stop));
        boolean isMoment = !moment.isEmpty()
                && moment.length() <= LONGEST_MOMENT
                && moment.chars().allMatch(c -> c >= '0' && c <= '9');
        return isMoment
                && !key.isEmpty()
                && MessageDigest.isEqual(
                        ticket.substring(stop + 1).getBytes(StandardCharsets.UTF_8),
                        sealed(key, run, moment).getBytes(StandardCharsets.UTF_8))
                && now.getEpochSecond() <= Long.parseLong(moment);
    }

    private static String sealed(String key, String run, String moment) {
        try {
            Mac mac = Mac.getInstance(ALGORITHM);
            mac.init(new SecretKeySpec(key.getBytes(StandardCharsets.UTF_8), ALGORITHM));
            byte[] seal = mac.doFinal((run + " " + moment).getBytes(StandardCharsets.UTF_8));
            return Base64.getUrlEncoder().withoutPadding().encodeToString(seal);
        } catch (GeneralSecurityException missing) {
            throw new IllegalStateException("every Java has " + ALGORITHM, missing);
        }
    }
}
