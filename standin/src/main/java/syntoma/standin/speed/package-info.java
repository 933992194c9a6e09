/**
 * The speed server: what a run sends its payload to and fetches it from. It runs alone at home or on a rented machine ({@code
 * ./syntoma server}), or beside the demo over a made-up link.
 *
 * <p>Plain HTTP/1.1. {@code GET /} says what it is and what it allows; {@code GET /ping} answers with nothing; {@code GET
 * /down?run=ID[&bytes=N][&mbps=R]} gives random bytes; {@code POST /up?run=ID} takes bytes; {@code GET /received?run=ID} streams one
 * line every 250 ms: microseconds since the run began, and the bytes of it that have come in. Where a key is asked for it goes
 * along as a bearer token.
 */
package syntoma.standin.speed;
