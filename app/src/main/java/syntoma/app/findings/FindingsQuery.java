package syntoma.app.findings;

import syntoma.core.finding.Criterion;

/**
 * What is asked of the trip.
 *
 * @param baseline the name of what all are compared with
 */
record FindingsQuery(ComparedKind of, Criterion criterion, String baseline, FindingsFilter filter) {}
