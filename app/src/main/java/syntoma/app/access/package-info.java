/**
 * Who may call. This machine, as long as nobody else is served; then whoever has logged in, over TLS, by one of the machine's
 * own names, and of its pages only Syntoma's own may change anything. What it knows stands in the directory {@code access} of
 * the data, outside the store: the hash of the pass phrase, hashes of sessions, certificates.
 */
package syntoma.app.access;
