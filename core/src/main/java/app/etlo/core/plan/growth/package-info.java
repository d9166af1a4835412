/**
 * The ground of a plan: its script composed from the timeline, the run over the weather years, and what field checks correct.
 */
package app.etlo.core.plan.growth;
