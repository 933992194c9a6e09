package syntoma.core.access;

import java.text.Normalizer;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/**
 * What keeps the neighbour at the camp out.
 *
 * <p>At least ten characters of any kind, with no rule of how many kinds (NIST SP 800-63B, 5.1.1.2: length and a list of
 * common ones serve, compositions do not). What a list of common phrases or a short rule finds is refused: one word from the
 * list with figures and signs about it, keys in a row, a short piece repeated, a date or a telephone number.
 */
public final class PassPhrase {
    /** In characters. */
    public static final int SHORTEST = 10;

    /** In characters; far beyond what anybody types. */
    public static final int LONGEST = 200;

    /** Fewer different characters than this are found by trying. */
    private static final int FEWEST_DIFFERENT = 5;

    /** A number alone needs as many digits as make it as rare as ten letters (26¹⁰ ≈ 10¹⁴). */
    private static final int SHORTEST_NUMBER = 15;

    /** A phrase that is a piece of at most this length, said again and again, is found by the piece. */
    private static final int LONGEST_PIECE = 5;

    /** Of the steps from one character to the next, so many at least lead somewhere else than to the neighbouring key. */
    private static final double LEAST_SURPRISE = 0.4;

    private static final List<String> ROWS = List.of(
            "abcdefghijklmnopqrstuvwxyz",
            "01234567890",
            "qwertyuiop",
            "asdfghjkl",
            "zxcvbnm",
            "qwertzuiop",
            "yxcvbnm",
            "azertyuiop",
            "qsdfghjklm",
            "1q2w3e4r5t6y7u8i9o0p",
            "q1w2e3r4t5y6u7i8o9p0",
            "qaz",
            "wsx",
            "edc",
            "rfv",
            "tgb",
            "yhn",
            "ujm");

    /** Words that lists of stolen phrases are full of, and those that lie near in a vehicle. */
    private static final Set<String> COMMON = Set.of(
            "password",
            "passwort",
            "passphrase",
            "motdepasse",
            "contrasena",
            "pass",
            "word",
            "phrase",
            "secret",
            "geheim",
            "letmein",
            "welcome",
            "willkommen",
            "bienvenue",
            "admin",
            "administrator",
            "root",
            "user",
            "guest",
            "login",
            "logon",
            "default",
            "changeme",
            "change",
            "please",
            "test",
            "testing",
            "iloveyou",
            "love",
            "you",
            "ilove",
            "my",
            "the",
            "me",
            "is",
            "a",
            "princess",
            "sunshine",
            "football",
            "baseball",
            "basketball",
            "superman",
            "batman",
            "monkey",
            "dragon",
            "master",
            "shadow",
            "killer",
            "trustno",
            "starwars",
            "computer",
            "internet",
            "hello",
            "world",
            "whatever",
            "freedom",
            "summer",
            "winter",
            "spring",
            "autumn",
            "monday",
            "friday",
            "january",
            "february",
            "march",
            "april",
            "june",
            "july",
            "august",
            "september",
            "october",
            "november",
            "december",
            "michael",
            "jessica",
            "charlie",
            "jordan",
            "hunter",
            "soccer",
            "hockey",
            "cheese",
            "chocolate",
            "flower",
            "angel",
            "family",
            "mustang",
            "pepper",
            "ginger",
            "cookie",
            "banana",
            "orange",
            "correcthorsebatterystaple",
            "correct",
            "horse",
            "battery",
            "staple",
            "opensesame",
            "abracadabra",
            "camper",
            "campervan",
            "caravan",
            "camping",
            "motorhome",
            "vanlife",
            "van",
            "home",
            "homesweethome",
            "router",
            "wireless",
            "wlan",
            "wifi",
            "hotspot",
            "network",
            "modem",
            "antenna",
            "signal",
            "syntoma",
            "vehicle",
            "travel",
            "traveller",
            "roadtrip",
            "qwerty",
            "qwertz",
            "azerty",
            "asdf",
            "zxcv",
            "key",
            "open",
            "server");

    private PassPhrase() {}

    /**
     * The phrase as it is compared: without blanks around it, which keyboards of phones add, and with letters written one
     * way, whatever the device (NFKC).
     */
    public static String read(String typed) {
        return Normalizer.normalize(typed, Normalizer.Form.NFKC).strip();
    }

    /** Why a phrase cannot be taken, without a word of the phrase itself; empty when it can. */
    public static Optional<String> problem(String typed) {
        String phrase = read(typed);
        int length = phrase.codePointCount(0, phrase.length());
        if (length < SHORTEST || length > LONGEST) {
            return Optional.of("the phrase has " + length + " characters; allowed are " + SHORTEST + " to " + LONGEST);
        }
        if (phrase.chars().anyMatch(Character::isISOControl)) {
            return Optional.of("the phrase holds a character that cannot be typed everywhere");
        }
        String small = phrase.toLowerCase(Locale.ROOT);
        if (small.codePoints().distinct().count() < FEWEST_DIFFERENT || isRepeated(small)) {
            return Optional.of(
                    "the phrase says the same again and again; take several words that do not belong together");
        }
        if (length < SHORTEST_NUMBER && small.codePoints().noneMatch(Character::isLetter)) {
            return Optional.of(
                    "the phrase is digits alone; such a one needs " + SHORTEST_NUMBER + " digits. Words are easier");
        }
        if (surprise(small) < LEAST_SURPRISE) {
            return Optional.of("the phrase is keys in a row; take several words that do not belong together");
        }
        return isCommon(small)
                ? Optional.of(
                        "the phrase is among the first that are tried; take several words that do not belong together")
                : Optional.empty();
    }

    private static boolean isRepeated(String text) {
        for (int piece = 1; piece <= LONGEST_PIECE; piece++) {
            boolean same = true;
            for (int i = piece; i < text.length() && same; i++) {
                same = text.charAt(i) == text.charAt(i - piece);
            }
            if (same) {
                return true;
            }
        }
        return false;
    }

    /** The share of steps that do not lead to a neighbour in a row of keys. */
    private static double surprise(String text) {
        int steps = 0;
        int surprising = 0;
        for (int i = 1; i < text.length(); i++) {
            String step = text.substring(i - 1, i + 1);
            String back = new StringBuilder(step).reverse().toString();
            steps++;
            if (step.charAt(0) != step.charAt(1)
                    && ROWS.stream().noneMatch(row -> row.contains(step) || row.contains(back))) {
                surprising++;
            }
        }
        return (double) surprising / steps;
    }

    /** Whether nothing is left once common words, figures and signs are removed. */
    private static boolean isCommon(String small) {
        return isMadeOfCommon(letters(small, false)) || isMadeOfCommon(letters(small, true));
    }

    /** The letters alone; with {@code figuresToo}, figures and signs that are written for letters are read as those. */
    private static String letters(String small, boolean figuresToo) {
        StringBuilder letters = new StringBuilder();
        small.codePoints().forEach(c -> {
            int meant = figuresToo ? meant(c) : c;
            if (Character.isLetter(meant)) {
                letters.appendCodePoint(meant);
            }
        });
        return letters.toString();
    }

    private static int meant(int c) {
        return switch (c) {
            case '0' -> 'o';
            case '1' -> 'i';
            case '3' -> 'e';
            case '4', '@' -> 'a';
            case '5', '$' -> 's';
            case '7' -> 't';
            default -> c;
        };
    }

    private static boolean isMadeOfCommon(String letters) {
        if (letters.isEmpty()) {
            return false;
        }
        boolean[] reached = new boolean[letters.length() + 1];
        reached[0] = true;
        for (int from = 0; from < letters.length(); from++) {
            for (int to = from + 1; reached[from] && to <= letters.length(); to++) {
                reached[to] |= COMMON.contains(letters.substring(from, to));
            }
        }
        return reached[letters.length()];
    }
}
