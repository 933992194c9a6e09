package syntoma.app.platform;

import java.util.List;

/** Something that cannot be done before a person has said how it is meant; nothing was saved. */
public final class ConfirmationRequiredException extends ConflictException {
    private final transient List<Choice> choices;

    /**
     * One way in which it can be meant.
     *
     * @param as what to send along
     * @param label what it is called
     * @param says what it means, in words
     */
    public record Choice(String as, String label, String says) {}

    /** @param field the parameter that the answer is sent in */
    public ConfirmationRequiredException(String field, String question, List<Choice> choices) {
        super(field, question);
        this.choices = List.copyOf(choices);
    }

    public List<Choice> choices() {
        return choices;
    }
}
