package syntoma.app.platform;

import java.net.URI;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.lang.Nullable;
import org.springframework.stereotype.Component;

/**
 * Where the tiles of the map come from, when somebody has said so at the start (SYNTOMA_TILES=http://host/{z}/{x}/{y}.png). At first
 * nowhere: the coastline ships with Syntoma, and nothing is fetched.
 */
@Component
public class Tiles {
    private final String address;
    private final String origin;

    Tiles(@Value("${syntoma.tiles:}") String said) {
        address = said.strip();
        origin = address.isEmpty() ? "" : origin(address);
    }

    private static String origin(String address) {
        URI uri = URI.create(address.replaceAll("[{}]", ""));
        if (uri.getHost() == null || !("http".equals(uri.getScheme()) || "https".equals(uri.getScheme()))) {
            throw new IllegalArgumentException(
                    "SYNTOMA_TILES is " + address + "; allowed is such as http://host/{z}/{x}/{y}.png");
        }
        return uri.getScheme() + "://" + uri.getHost() + (uri.getPort() < 0 ? "" : ":" + uri.getPort());
    }

    /** The address with {z}, {x} and {y} in it; null where there is none. */
    @Nullable
    public String address() {
        return address.isEmpty() ? null : address;
    }

    /** Scheme, host and port of it; empty text where there is none. */
    public String origin() {
        return origin;
    }
}
