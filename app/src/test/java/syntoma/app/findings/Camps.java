package syntoma.app.findings;

import java.util.Locale;

/** Rows of a small log: at a camp for each day of July, from nine in the morning. */
final class Camps {
    static final String HEADER =
            "taken_at,campsite,lat,lon,setup,carrier,band,rsrp_dbm,up_mbps,outcome,trial,round,note\n";

    private Camps() {}

    static String row(int stay, int minute, String setup, String carrier, double up) {
        return String.format(
                Locale.ROOT,
                "2026-07-%02dT%02d:%02d:00+02:00,Camp %d,%d,20,%s,%s,B20,-90,%.2f,ok,,,\n",
                stay + 1,
                9 + minute / 60,
                minute % 60,
                stay,
                55 + stay,
                setup,
                carrier,
                up);
    }
}
