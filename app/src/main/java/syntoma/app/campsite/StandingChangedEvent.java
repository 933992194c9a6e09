package syntoma.app.campsite;

import org.springframework.lang.Nullable;

/**
 * The standing line says something else; what it does not say is null.
 *
 * @param uses whether it was said what is in use
 */
public record StandingChangedEvent(
        @Nullable String campsite, @Nullable String setup, @Nullable String carrier, boolean uses) {}
