/**
 * The plan document and what comes with it: sealed operations, readers and checks, edits, the migration of version 1, the context
 * of a field, and the files that bring lots and soil tests.
 */
package app.etlo.core.plan.document;
