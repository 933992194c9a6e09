/** Tables as text: one reader within limits, one writer whose cells no spreadsheet runs. */
package syntoma.app.csv;
