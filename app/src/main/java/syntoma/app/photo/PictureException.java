package syntoma.app.photo;

/** A picture is refused; the message says why and what is allowed. */
final class PictureException extends Exception {
    PictureException(String message) {
        super(message);
    }
}
