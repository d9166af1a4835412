/**
 * What is computed on request only: candidates, alternatives, proposals, what moves a result, days of the ground, orders, and a
 * past year gone through day by day knowing what could be known then.
 */
package app.etlo.core.plan.asked;
