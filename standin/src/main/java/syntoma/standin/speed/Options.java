package syntoma.standin.speed;

import java.net.InetAddress;
import java.net.UnknownHostException;

/**
 * How the speed server is to run alone.
 *
 * @param key empty where none is asked for; then it is for this machine alone
 */
record Options(int port, String bind, String key) {
    private static final int USUAL_PORT = 8790;
    private static final String HERE = "127.0.0.1";
    private static final String EVERYWHERE = "0.0.0.0";
    private static final int SHORTEST_KEY = 8;

    /**
     * Reads them.
     *
     * @throws IllegalArgumentException naming what is wrong and what is allowed
     */
    static Options of(String... args) {
        int port = USUAL_PORT;
        String bind = "";
        String key = "";
        for (int i = 0; i < args.length; i += 2) {
            String value = i + 1 < args.length ? args[i + 1] : "";
            switch (args[i]) {
                case "--port" -> port = port(value);
                case "--bind" -> bind = value;
                case "--key" -> key = key(value);
                default ->
                    throw new IllegalArgumentException(
                            "“" + args[i] + "” is not known; allowed are --port N, --bind ADDRESS and --key WORD");
            }
        }
        String address = bind.isEmpty() ? key.isEmpty() ? HERE : EVERYWHERE : bind;
        if (key.isEmpty() && !isHere(address)) {
            throw new IllegalArgumentException(
                    "--bind is “" + address + "”; without a key only this machine is served, so add --key WORD");
        }
        return new Options(port, address, key);
    }

    private static int port(String text) {
        if (text.matches("[0-9]{1,5}") && Integer.parseInt(text) <= 65_535) {
            return Integer.parseInt(text);
        }
        throw new IllegalArgumentException("--port is “" + text + "”; allowed is a number from 0 to 65535");
    }

    private static String key(String text) {
        if (text.length() >= SHORTEST_KEY && text.chars().allMatch(c -> c > ' ' && c < 127)) {
            return text;
        }
        throw new IllegalArgumentException("--key has " + text.length() + " characters; allowed are " + SHORTEST_KEY
                + " or more letters, digits and signs without a space");
    }

    private static boolean isHere(String address) {
        try {
            return InetAddress.getByName(address).isLoopbackAddress();
        } catch (UnknownHostException unknown) {
            throw new IllegalArgumentException("--bind is “" + address + "”, which is no address", unknown);
        }
    }
}
