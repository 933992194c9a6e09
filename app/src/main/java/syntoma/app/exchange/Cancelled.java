package syntoma.app.exchange;

/** An import that was told to stop; nothing of it was kept. */
class Cancelled extends RuntimeException {
    Cancelled() {
        super("the import was cancelled; nothing of it was kept");
    }
}
