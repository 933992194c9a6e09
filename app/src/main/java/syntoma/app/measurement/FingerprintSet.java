package syntoma.app.measurement;

/** A set of fingerprints in two arrays, so that a million cost 32 MB. */
final class FingerprintSet {
    private long[] slots = new long[2 << 12];
    private int size;

    /** Adds a fingerprint; false when it was there. The pair of two zeros stands for an empty slot and is never added. */
    boolean add(long high, long low) {
        if (2 * size >= slots.length / 2) {
            grow();
        }
        int at = find(slots, high, low);
        if (slots[at] != 0 || slots[at + 1] != 0) {
            return false;
        }
        slots[at] = high;
        slots[at + 1] = low;
        size++;
        return true;
    }

    boolean contains(long high, long low) {
        int at = find(slots, high, low);
        return slots[at] != 0 || slots[at + 1] != 0;
    }

    private void grow() {
        long[] old = slots;
        slots = new long[old.length * 2];
        for (int i = 0; i < old.length; i += 2) {
            if (old[i] != 0 || old[i + 1] != 0) {
                int at = find(slots, old[i], old[i + 1]);
                slots[at] = old[i];
                slots[at + 1] = old[i + 1];
            }
        }
    }

    private static int find(long[] slots, long high, long low) {
        int mask = slots.length - 1;
        int at = (int) (low * 2) & mask;
        while ((slots[at] != 0 || slots[at + 1] != 0) && (slots[at] != high || slots[at + 1] != low)) {
            at = (at + 2) & mask;
        }
        return at;
    }
}
