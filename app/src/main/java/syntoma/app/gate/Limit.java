package syntoma.app.gate;

import jakarta.servlet.http.HttpServletRequest;

/**
 * The most that a body may hold.
 *
 * @param bytes in bytes
 * @param hint what else can be done; empty when nothing
 */
record Limit(long bytes, String hint) {
    private static final Limit JSON = new Limit(2_000_000, "");
    private static final Limit GEAR = new Limit(5_000_000, "");
    private static final Limit LEG = new Limit(8_000_000, "");
    private static final Limit PHOTO = new Limit(25_000_000, ". Take it with fewer pixels, or cut it");
    private static final Limit LOG =
            new Limit(200_000_000, ", about a million rows. Split the file by year or by campsite");

    private static final Limit ARCHIVE =
            new Limit(4_000_000_000L, ". Copy the data directory itself, while Syntoma is stopped");

    static Limit of(HttpServletRequest request) {
        String path = request.getRequestURI();
        if (path.startsWith("/api/measurements/import")) {
            return LOG;
        }
        if (path.equals("/api/archive")) {
            return ARCHIVE;
        }
        if (path.startsWith("/api/export.") || path.startsWith("/api/aim/masts.")) {
            return GEAR;
        }
        if (path.equals("/api/leg")) {
            return LEG;
        }
        if (path.endsWith("/photos")) {
            return PHOTO;
        }
        return path.startsWith("/api/gear") ? GEAR : JSON;
    }

    boolean isPassedBy(long size) {
        return size > bytes;
    }

    /** The refusal of a body; its length where it is known, else −1. */
    String refusal(long length) {
        String has = length < 0
                ? "the body has more than " + bytes / 1_000_000 + " MB"
                : "the body has " + Math.max(bytes / 1_000_000, length / 1_000_000) + " MB (" + length + " bytes)";
        return has + "; allowed are up to " + bytes / 1_000_000 + " MB" + hint;
    }
}
