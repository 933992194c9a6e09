package syntoma.core.fit;

import java.util.Locale;

/** Small numbers and first letters in sentences. */
final class Words {
    private static final String[] NUMBERS = {"no", "one", "two", "three", "four", "five", "six", "seven", "eight"};

    private Words() {}

    static String count(int number) {
        return number < NUMBERS.length ? NUMBERS[number] : Integer.toString(number);
    }

    static String streams(int number) {
        return number + streamWord(number);
    }

    static String streamWord(int number) {
        return number == 1 || number == 0 ? " stream" : " streams";
    }

    static String capital(String text) {
        return text.substring(0, 1).toUpperCase(Locale.ROOT) + text.substring(1);
    }
}
