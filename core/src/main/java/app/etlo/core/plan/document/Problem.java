package app.etlo.core.plan.document;

/**
 * What is wrong in a document, at its place.
 *
 * @param pointer JSON pointer (RFC 6901)
 * @param message what was wrong and what would be right
 */
public record Problem(String pointer, String message) {}
