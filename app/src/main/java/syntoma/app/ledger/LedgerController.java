package syntoma.app.ledger;

import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** The books of the SIM cards. */
@RestController
@RequestMapping("/api/ledger")
class LedgerController {
    private final LedgerService ledger;
    private final Counters counters;

    LedgerController(LedgerService ledger, Counters counters) {
        this.ledger = ledger;
        this.counters = counters;
    }

    @GetMapping
    LedgerView ledger() {
        return ledger.view();
    }

    /** Enters what the carrier's own counter says was used since the month of the plan began. */
    @PostMapping("/{gear}/readings")
    @ResponseStatus(HttpStatus.CREATED)
    LedgerView enter(@PathVariable long gear, @RequestBody Counters.CounterRequest asked) {
        counters.enter(gear, asked);
        return ledger.view();
    }

    @DeleteMapping("/{gear}/readings/{reading}")
    LedgerView remove(@PathVariable long gear, @PathVariable long reading) {
        counters.remove(gear, reading, true);
        return ledger.view();
    }

    /** Brings back a reading that was deleted. */
    @PostMapping("/{gear}/readings/{reading}/restored")
    LedgerView restore(@PathVariable long gear, @PathVariable long reading) {
        counters.remove(gear, reading, false);
        return ledger.view();
    }
}
