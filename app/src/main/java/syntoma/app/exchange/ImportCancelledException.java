package syntoma.app.exchange;

/** An import that was told to stop; nothing of it was kept. */
class ImportCancelledException extends RuntimeException {
    ImportCancelledException() {
        super("the import was cancelled; nothing of it was kept");
    }
}
