package syntoma.app.need;

/** The usual upload was entered or changed; in GB a night. */
record UsualUpload(double gb) {}
