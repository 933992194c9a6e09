package syntoma.app.ledger;

import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import syntoma.core.unit.Values;

/** What is left of the plans on board, for the questions of a trip. */
@Component
public class DataLeft {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM", Locale.ENGLISH);

    private final LedgerService ledger;

    DataLeft(LedgerService ledger) {
        this.ledger = ledger;
    }

    /** What each own SIM has left and until when, in sentences; empty without an own SIM. */
    public Optional<String> sentence() {
        List<LedgerView.CardView> own = ledger.view().cards().stream()
                .filter(LedgerView.CardView::owned)
                .toList();
        return own.isEmpty()
                ? Optional.empty()
                : Optional.of(own.stream().map(DataLeft::sentence).collect(Collectors.joining(" ")));
    }

    private static String sentence(LedgerView.CardView card) {
        LedgerView.MonthView month = card.month();
        String known =
                month.counterAt() == null ? " (by what was measured here; you have not entered its counter)" : "";
        String end = month.emptyOn() == null
                ? "."
                : "; at this rate it is used up about " + DAY.format(month.emptyOn()) + ".";
        if (card.allowanceGb() == null) {
            return card.name() + ": " + gb(month.usedGb()) + " GB used since " + DAY.format(month.first())
                    + ", without a limit" + known + end;
        }
        return card.name() + ": " + gb(Math.max(0, card.allowanceGb() - month.usedGb())) + " of "
                + Values.format(card.allowanceGb()) + " GB left until " + DAY.format(month.next()) + known + end;
    }

    private static String gb(double amount) {
        return Values.round(amount, amount < 10 ? 1 : 0);
    }
}
