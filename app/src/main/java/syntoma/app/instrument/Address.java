package syntoma.app.instrument;

import java.net.URI;
import java.net.URISyntaxException;
import syntoma.app.platform.InvalidInputException;
import syntoma.core.unit.Text;

/** An address on the network that a person typed: scheme, host and port, and nothing else. */
final class Address {
    private static final int LONGEST = 200;
    private static final int MOST_PORT = 65_535;

    private Address() {}

    /**
     * Reads {@code http://host:port} or {@code https://host:port}; the port may be missing.
     *
     * @throws InvalidInputException naming the field, the text and what is allowed
     */
    static URI http(String field, String text) {
        String address = text.strip();
        URI uri = parse(field, address);
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

    /**
     * Reads {@code host:port}.
     *
     * @throws InvalidInputException naming the field, the text and what is allowed
     */
    static String tcp(String field, String text) {
        String address = text.strip();
        try {
            URI uri = address.length() > LONGEST ? null : new URI("tcp://" + address);
            if (uri != null
                    && uri.getHost() != null
                    && uri.getPort() > 0
                    && uri.getPort() <= MOST_PORT
                    && uri.getRawAuthority().equals(address)
                    && uri.getRawUserInfo() == null) {
                return address;
            }
        } catch (URISyntaxException none) {
            // said below
        }
        throw new InvalidInputException(
                field,
                field + " is " + Text.quote(address) + "; allowed is a host and a port, such as 192.168.1.1:5555");
    }

    /**
     * Reads a path with its query, such as {@code /api/signal?all=1}; empty for the root.
     *
     * @throws InvalidInputException naming the field, the text and what is allowed
     */
    static String path(String field, String text, int longest) {
        try {
            URI uri = text.length() > longest ? null : new URI("http://host" + text);
            boolean same = uri != null
                    && (text.isEmpty() || text.startsWith("/"))
                    && "host".equals(uri.getRawAuthority())
                    && uri.getRawFragment() == null;
            if (same) {
                return text;
            }
        } catch (URISyntaxException none) {
            // said below
        }
        throw new InvalidInputException(
                field, field + " is " + Text.quote(text) + "; allowed is a path such as /api/signal?all=1");
    }

    private static URI parse(String field, String address) {
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

    private static InvalidInputException wrong(String field, String address) {
        return new InvalidInputException(
                field,
                field + " is " + Text.quote(address)
                        + "; allowed is http:// or https:// with a host and a port, such as http://192.168.1.20:8790");
    }
}
