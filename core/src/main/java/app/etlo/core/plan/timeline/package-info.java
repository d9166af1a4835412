/**
 * When things happen: dates found where they are not typed, operations in time, windows, and the weather years of a plan's span.
 */
package app.etlo.core.plan.timeline;
