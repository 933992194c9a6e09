package syntoma.core.sheettext;

import java.util.List;
import java.util.OptionalDouble;
import syntoma.core.sheettext.SheetText.Kind;

/** What something costs. */
final class Prices {
    private static final String[] CURRENCIES = {
        "€", "eur", "euro", "euros", "$", "usd", "£", "gbp", "chf", "kr", "sek", "nok", "dkk", "zł", "pln", "aud", "cad"
    };

    private Prices() {}

    static void read(List<Line> lines, Kind kind, List<Found> found) {
        for (Line line : lines) {
            for (int i = 0; i < line.tokens().size(); i++) {
                if (line.at(i).isNumber()) {
                    at(line, i, kind, found);
                }
            }
        }
    }

    private static void at(Line line, int i, Kind kind, List<Found> found) {
        boolean before = line.at(i - 1).is(CURRENCIES);
        boolean after = line.at(i + 1).is(CURRENCIES);
        boolean named = line.says("price", "preis") && line.at(i - 1).is(":", "price", "preis", "=") && i < 5;
        if (!before && !after && !named) {
            return;
        }
        double value = money(line.at(i));
        String words = line.words(before ? i - 1 : i, after ? i + 1 : i);
        boolean monthly = line.says("month", "monat", "/mo");
        if (kind == Kind.SIM && monthly) {
            found.add(Found.sure("pricePerMonth", value, line, words));
        } else if (!monthly) {
            boolean extra = line.says("shipping", "delivery", "versand", "deposit", "save ", "off ");
            if (!extra) {
                found.add(Found.sure("price", value, line, words));
            }
        }
    }

    /** A price alone, with its currency before or behind it: € 399,00, 399,- €. */
    static OptionalDouble typed(Line line) {
        List<Token> numbers = line.tokens().stream().filter(Token::isNumber).toList();
        boolean rest =
                line.tokens().stream().allMatch(t -> t.isNumber() || t.is(CURRENCIES) || t.is(",", "-", "–", "."));
        boolean named = line.tokens().stream().anyMatch(t -> t.is(CURRENCIES));
        return rest && named && numbers.size() == 1 ? OptionalDouble.of(money(numbers.get(0))) : OptionalDouble.empty();
    }

    /** No price has three decimals: there the mark parts thousands. */
    private static double money(Token token) {
        String digits = token.text();
        int mark = Math.max(digits.lastIndexOf('.'), digits.lastIndexOf(','));
        boolean thousands = mark > 0 && digits.length() - mark == 4;
        return thousands ? Token.value(digits.replace(".", "").replace(",", "")) : token.value();
    }
}
