package syntoma.core.sheettext;

import java.util.List;
import java.util.OptionalDouble;
import syntoma.core.sheettext.SheetText.Kind;

/** What something costs. */
final class Prices {
    private static final String[] CURRENCIES = {
        "€", "eur", "euro", "euros", "$", "usd", "£", "gbp", "chf", "kr", "sek", "nok", "dkk", "zł", "pln", "aud", "cad"
    };

    /** What a plan’s price is said for, beside the words that any price may have. */
    private static final String[] MONTHLY = {
        "mån", "/md", "mnd", "måned", "mois", "/mes", "al mes", "mensual", "mensuel", "mese", "mensile", "mês",
        "mensal", "kuukau", "/kk", "maand", "miesi", "/mies", "měsí", "kuu"
    };

    private static final String[] ABOUT_A_MONTH = {
        "28 da",
        "30 da",
        "31 da",
        "4 weeks",
        "28 tage",
        "30 tage",
        "30 jours",
        "28 jours",
        "30 día",
        "30 dias",
        "30 giorni",
        "30 dní",
        "30 dni",
        "30 vrk",
        "30 päiv"
    };

    private Prices() {}

    static void read(List<Line> lines, Kind kind, List<FoundField> found) {
        for (Line line : lines) {
            for (int i = 0; i < line.tokens().size(); i++) {
                if (line.at(i).isNumber()) {
                    at(line, i, kind, found);
                }
            }
        }
    }

    private static void at(Line line, int i, Kind kind, List<FoundField> found) {
        boolean before = line.at(i - 1).is(CURRENCIES);
        boolean after = line.at(i + 1).is(CURRENCIES);
        boolean named = line.says("price", "preis") && line.at(i - 1).is(":", "price", "preis", "=") && i < 5;
        if (!before && !after && !named) {
            return;
        }
        double value = money(line.at(i));
        String words = line.words(before ? i - 1 : i, after ? i + 1 : i);
        boolean monthly = line.says("month", "monat", "/mo") || kind == Kind.SIM && line.says(MONTHLY);
        if (kind == Kind.SIM && monthly) {
            found.add(FoundField.isSure("pricePerMonth", value, line, words));
        } else if (kind == Kind.SIM && line.says(ABOUT_A_MONTH)) {
            found.add(FoundField.unsure("pricePerMonth", value, line, words, "Is that the price of a month?"));
        } else if (!monthly) {
            boolean extra = line.says("shipping", "delivery", "versand", "deposit", "save ", "off ");
            if (!extra) {
                found.add(FoundField.isSure("price", value, line, words));
            }
        }
    }

    /** A price alone, with its currency before or behind it: € 399,00, 399,- €. */
    static OptionalDouble barePrice(Line line) {
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
