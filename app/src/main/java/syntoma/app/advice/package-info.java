/** What to put up tonight, why, and how often such advice was right. */
package syntoma.app.advice;
