package syntoma.app.instrument;

/** Another router is set, or none, or it is asked otherwise. */
record RouterSet() {}
