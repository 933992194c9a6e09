package syntoma.app.access;

/** Who is not admitted, and when it may be tried again. */
final class AccessRefusedException extends RuntimeException {
    private final int status;
    private final long retryAfterS;

    private AccessRefusedException(int status, String why, long retryAfterS) {
        super(why);
        this.status = status;
        this.retryAfterS = retryAfterS;
    }

    static AccessRefusedException wrong(String why) {
        return new AccessRefusedException(401, why, 0);
    }

    static AccessRefusedException notFromThere(String why) {
        return new AccessRefusedException(403, why, 0);
    }

    static AccessRefusedException tooOften(long seconds) {
        return new AccessRefusedException(
                429,
                "too many wrong guesses came from this device or its network; try again in " + seconds + " s",
                seconds);
    }

    int status() {
        return status;
    }

    long retryAfterS() {
        return retryAfterS;
    }
}
