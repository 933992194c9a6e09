package syntoma.core.unit;

/** What is wrong with one field of an input: the field's name in the API and a sentence with value and range. */
public record FieldProblem(String field, String message) {}
