package syntoma.app.instrument;

import java.net.URI;
import java.net.URISyntaxException;
import syntoma.app.platform.InvalidInput;
import syntoma.core.unit.Text;

/** An address on the network that a person typed: scheme, host and port, and nothing else. */
final class Address {
    private static final int LONGEST = 200;
    private static final int MOST_PORT = 65_535;

    private Address() {}

    /**
     * Reads {@code http://host:port} or {@code https://host:port}; the port may be missing.
     *
     * @throws InvalidInput naming the field, the text and what is allowed
     */
    static URI http(String field, String text) {
        String address = text.strip();
        URI uri = parsed(field, address);
        boolean http = "http".equals(uri.getScheme()) || "https".equals(uri.getScheme());
        boolean more = !uri.getRawPath().isEmpty() && !uri.getRawPath().equals("/")
                || uri.getRawQuery() != null
                || uri.getRawFragment() != null
                || uri.getRawUserInfo() != null;
        if (!http || uri.getHost() == null || more || uri.getPort() == 0 || uri.getPort() > MOST_PORT) {
            throw wrong(field, address);
        }
        return URI.create(uri.getScheme() + "://" + uri.getRawAuthority());
    }

    private static URI parsed(String field, String address) {
        try {
            URI uri = address.length() > LONGEST ? null : new URI(address);
            if (uri == null || uri.isOpaque() || uri.getRawPath() == null) {
                throw wrong(field, address);
            }
            return uri;
        } catch (URISyntaxException e) {
            throw wrong(field, address);
        }
    }

    private static InvalidInput wrong(String field, String address) {
        return new InvalidInput(
                field,
                field + " is " + Text.quoted(address)
                        + "; allowed is http:// or https:// with a host and a port, such as http://192.168.1.20:8790");
    }
}
