package syntoma.app.store;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.zip.CRC32C;

/**
 * A chunk of the store as it was written.
 *
 * @param id H2's number of it; 0 when there is none
 * @param version the version that it brought
 * @param position its place in the file in bytes
 * @param length in bytes
 * @param crc CRC-32C of its bytes
 */
record LastChunk(int id, long version, long position, int length, int crc) {
    static final LastChunk NONE = new LastChunk(0, 0, 0, 0, 0);
    private static final int HEADERS = 2 * 4096;
    private static final String MARK = "chunk:";
    private static final int LONGEST_HEADER = 1024;

    boolean isChunk() {
        return length > 0;
    }

    /** Reads what is about to be written; none when it is not a whole chunk. The buffer stays where it is. */
    static LastChunk of(ByteBuffer bytes, long position) {
        if (position < HEADERS || bytes.remaining() < MARK.length()) {
            return NONE;
        }
        ByteBuffer look = bytes.duplicate();
        byte[] head = new byte[Math.min(LONGEST_HEADER, look.remaining())];
        look.get(head);
        String header = new String(head, StandardCharsets.ISO_8859_1);
        int end = header.indexOf('\n');
        if (!header.startsWith(MARK) || end < 0) {
            return NONE;
        }
        return new LastChunk(
                (int) hex(header, "chunk"),
                hex(header.substring(0, end), "version"),
                position,
                bytes.remaining(),
                crc(bytes.duplicate()));
    }

    static int crc(ByteBuffer bytes) {
        CRC32C crc = new CRC32C();
        crc.update(bytes);
        return (int) crc.getValue();
    }

    /** A field of a chunk's header, which H2 writes as {@code key:hex,key:hex}; 0 where it is missing. */
    static long hex(String header, String key) {
        int at = header.startsWith(key + ":") ? 0 : header.indexOf("," + key + ":") + 1;
        if (at == 0 && !header.startsWith(key + ":")) {
            return 0;
        }
        int from = at + key.length() + 1;
        int to = from;
        while (to < header.length() && Character.digit(header.charAt(to), 16) >= 0) {
            to++;
        }
        return to == from ? 0 : Long.parseUnsignedLong(header.substring(from, to), 16);
    }
}
