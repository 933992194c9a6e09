package syntoma.standin.speed;

/** The way between a client and the speed server, as it is at this moment. Asked often, from several threads. */
public interface Link {
    /** No link of its own: as fast as the real one. */
    Link REAL = new Link() {
        @Override
        public double downMbps() {
            return Double.POSITIVE_INFINITY;
        }

        @Override
        public double upMbps() {
            return Double.POSITIVE_INFINITY;
        }

        @Override
        public double idleMs() {
            return 0;
        }

        @Override
        public double bufferMs() {
            return 0;
        }
    };

    /** Mb/s from the server to the client. */
    double downMbps();

    /** Mb/s from the client to the server. */
    double upMbps();

    /** What latency is while nothing else is on the way. */
    double idleMs();

    /** By how much an answer is later when a direction is full. */
    double bufferMs();

    /** Whether a connection that is made or used now is cut. */
    default boolean cuts() {
        return false;
    }

    /** Whether no run is taken now. */
    default boolean refuses() {
        return false;
    }
}
