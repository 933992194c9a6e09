package syntoma.app.instrument;

import java.net.InetAddress;
import java.net.UnknownHostException;
import java.util.regex.Pattern;
import syntoma.app.platform.ConfirmationRequiredException;
import syntoma.app.platform.InvalidInputException;
import syntoma.core.access.AddressScope;

/**
 * Which addresses may be called for what a person has set. Whoever may set an address could otherwise have this machine ask services that
 * only it can reach.
 *
 * @param isSetHere whether the address was set on this machine itself; only then may it be this machine's own
 * @param isPublicAllowed whether a person has said that an address on the internet is meant
 */
record CallPermission(boolean isSetHere, boolean isPublicAllowed) {
    /** Written as numbers alone, in any of the ways in which the system reads them: nobody has to be asked for such an address. */
    private static final Pattern NUMERIC = Pattern.compile("[0-9.]+|\\[?[0-9a-fA-F:.]*:[0-9a-fA-F:.%]*]?");

    /** The address is not to be called; the message says why, and what to do. */
    static final class ForbiddenAddressException extends Exception {
        private ForbiddenAddressException(String message) {
            super(message);
        }
    }

    /**
     * Judges an address when it is set, as far as it tells by itself; a name is judged when it is called.
     *
     * @throws InvalidInputException when it must not be called
     * @throws ConfirmationRequiredException when it is on the internet and that was not said
     */
    void requireSettable(String field, String host) {
        boolean numeric = NUMERIC.matcher(host).matches();
        if (!numeric && !host.equalsIgnoreCase("localhost")) {
            return;
        }
        try {
            InetAddress address = InetAddress.getByName(bare(host));
            if (AddressScope.of(address) == AddressScope.PUBLIC && !isPublicAllowed) {
                throw new ConfirmationRequiredException(
                        "publicAllowed",
                        host + " is an address on the internet, not on the vehicle's network. Is it the one you mean?",
                        java.util.List.of(new ConfirmationRequiredException.Choice(
                                "true", "Use it", "Syntoma may call this address on the internet.")));
            }
            require(address, host);
        } catch (UnknownHostException noAddress) {
            throw new InvalidInputException(field, field + " is " + host + ", which is no address that there is");
        } catch (ForbiddenAddressException forbidden) {
            throw new InvalidInputException(field, field + " is " + host + ": " + forbidden.getMessage());
        }
    }

    /**
     * Judges every address that a host stands for, just before it is called. The system's own look-up keeps what it found for some seconds,
     * so that the call goes to what was judged.
     *
     * @throws ForbiddenAddressException when one of them must not be called
     * @throws UnknownHostException when there is none
     */
    void require(String host) throws ForbiddenAddressException, UnknownHostException {
        for (InetAddress address : InetAddress.getAllByName(bare(host))) {
            require(address, host);
        }
    }

    private void require(InetAddress address, String host) throws ForbiddenAddressException {
        switch (AddressScope.of(address)) {
            case LOOPBACK -> {
                if (!isSetHere) {
                    throw new ForbiddenAddressException(
                            "this machine's own addresses can only be set on the machine that runs"
                                    + " Syntoma, not from another device");
                }
            }
            case LINK_LOCAL, METADATA, NONE ->
                throw new ForbiddenAddressException(
                        "an address of this kind is never called; allowed are addresses on the vehicle's network, such as"
                                + " 192.168.8.1");
            case PUBLIC -> {
                if (!isPublicAllowed) {
                    throw new ForbiddenAddressException(
                            host + " leads to " + address.getHostAddress()
                                    + " on the internet, not on the vehicle's network; save the address again and say that it is meant");
                }
            }
            case PRIVATE, CARRIER -> {
                // a device of the vehicle, or of the carrier's own network
            }
        }
    }

    private static String bare(String host) {
        return host.startsWith("[") ? host.substring(1, host.length() - 1) : host;
    }
}
