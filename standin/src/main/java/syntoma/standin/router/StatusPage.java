package syntoma.standin.router;

import java.util.Locale;
import java.util.Optional;
import syntoma.standin.Air;
import syntoma.standin.Mast;
import syntoma.standin.WorldLink;

/** What the made-up router says of itself, in a made-up layout. */
final class StatusPage {
    private StatusPage() {}

    /** As JSON. */
    static String json(WorldLink link) {
        Optional<Air> air = link.air();
        if (air.isEmpty()) {
            return "{\"device\":{\"name\":\"Curlew\"},\"link\":{\"operator\":\"\",\"mode\":\"no service\"}}";
        }
        Mast mast = link.mast();
        return String.format(
                Locale.ROOT,
                "{\"device\":{\"name\":\"Curlew\",\"temperature\":41},\"link\":{\"operator\":\"%s\",\"mode\":\"LTE\",\"serving\":{"
                        + "\"band\":\"%s\",\"earfcn\":%d,\"bandwidth\":\"%.0f MHz\",\"cell\":\"%s\",\"rsrp\":\"%.0f dBm\","
                        + "\"rsrq\":\"%.1f dB\",\"sinr\":\"%.1f dB\"}}}",
                mast.carrier(),
                mast.band(),
                mast.channel(),
                mast.bandwidthMhz(),
                mast.cell(),
                air.get().rsrpDbm(),
                air.get().rsrqDb(),
                air.get().sinrDb());
    }
}
