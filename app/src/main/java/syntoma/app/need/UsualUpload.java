package syntoma.app.need;

import org.springframework.lang.Nullable;

/**
 * The usual upload was entered or changed; in GB a night.
 *
 * @param before null where none was entered yet
 */
record UsualUpload(double gb, @Nullable Double before) {}
