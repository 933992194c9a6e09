package syntoma.core.sentence;

import java.util.List;

/** Sentences as their metric words, for comparing. */
public final class Texts {
    private Texts() {}

    public static List<String> of(List<? extends CharSequence> sentences) {
        return sentences.stream().map(CharSequence::toString).toList();
    }
}
