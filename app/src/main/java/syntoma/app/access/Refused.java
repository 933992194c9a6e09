package syntoma.app.access;

/** Who is not admitted, and when it may be tried again. */
final class Refused extends RuntimeException {
    private final int status;
    private final long retryAfterS;

    private Refused(int status, String why, long retryAfterS) {
        super(why);
        this.status = status;
        this.retryAfterS = retryAfterS;
    }

    static Refused wrong(String why) {
        return new Refused(401, why, 0);
    }

    static Refused notFromThere(String why) {
        return new Refused(403, why, 0);
    }

    static Refused tooOften(long seconds) {
        return new Refused(
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
