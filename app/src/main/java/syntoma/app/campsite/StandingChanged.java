package syntoma.app.campsite;

import org.springframework.lang.Nullable;

/** The standing line says something else; what it does not say is null. */
public record StandingChanged(@Nullable String campsite, @Nullable String setup, @Nullable String carrier) {}
