/**
 * A plan evaluated in the order of the work: what each step comes to, and what the judgements look at.
 */
package app.etlo.core.plan.chapter;
