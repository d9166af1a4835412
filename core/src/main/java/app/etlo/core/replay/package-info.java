/** A plan gone through day by day in the weather of a past year, knowing on each day what could be known then. */
package app.etlo.core.replay;
