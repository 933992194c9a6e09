package syntoma.app.instrument;

import org.springframework.lang.Nullable;
import syntoma.core.run.Pace;

/**
 * What a page of the speed server's needs to make a run in a browser.
 *
 * @param page where it stands
 * @param run the run's name at the speed server
 * @param ticket that lets this one run in; null where no key is asked for
 * @param what is measured, in words
 * @param usualMs a direction ends after it, once it has taken its least bytes
 * @param mostMs a direction ends after it at the latest
 * @param slowMbps what the one stream is held at; null for as fast as it goes
 * @param budgetBytes both ways together; null where no budget is set
 */
record BrowserPlan(
        String page,
        String run,
        @Nullable String ticket,
        String what,
        String kind,
        boolean ownSim,
        int streams,
        int usualMs,
        long leastBytes,
        int mostMs,
        @Nullable Double slowMbps,
        @Nullable Long budgetBytes,
        Pace pace) {}
