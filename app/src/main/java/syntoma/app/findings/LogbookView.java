package syntoma.app.findings;

import io.swagger.v3.oas.annotations.media.Schema;
import java.math.BigDecimal;
import java.time.OffsetDateTime;
import java.util.List;
import org.springframework.lang.Nullable;

/**
 * The stays of the log that fit what is asked for, the latest first.
 *
 * @param says them in a sentence
 * @param all how many stays there are
 * @param need what is needed, in words
 * @param tiles where the tiles of a map are fetched from; null where none are, which is so at first
 */
record LogbookView(
        List<StayLine> stays,
        String says,
        int all,
        int measurements,
        String need,
        @Nullable String tiles,
        LogbookChoices choices) {

    /**
     * A stay, with what of its measurements fits.
     *
     * @param measurements that fit
     * @param failed of them
     * @param setups of them, the one used most first
     * @param levelDbm the middle of RSRP; null where none was read
     * @param grade of that level
     * @param downMbps the middle of the downloads
     * @param upMbps the middle of the uploads
     * @param needRuns runs that tell whether the need was met
     * @param needMet of them
     * @param trials held there
     * @param noted whether there is a private note
     * @param photos how many private photos there are
     */
    record StayLine(
            long id,
            String campsite,
            @Nullable BigDecimal lat,
            @Nullable BigDecimal lon,
            OffsetDateTime arrivedAt,
            @Nullable OffsetDateTime leftAt,
            int measurements,
            int failed,
            List<UsedSetup> setups,
            List<String> carriers,
            @Nullable Double levelDbm,
            @Nullable @Schema(allowableValues = {"strong", "good", "fair", "weak", "none"}) String grade,
            @Nullable Double downMbps,
            @Nullable Double upMbps,
            int needRuns,
            int needMet,
            int trials,
            boolean noted,
            int photos) {}

    /** A setup that was used, and how often. */
    record UsedSetup(String name, int pennant, int measurements) {}

    /**
     * What can be asked for.
     *
     * @param weakBelowDbm below this RSRP a place is weak
     */
    record LogbookChoices(
            List<String> setups,
            List<String> carriers,
            List<String> bands,
            List<String> when,
            List<String> strengths,
            double weakBelowDbm) {}
}
