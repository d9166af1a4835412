/**
 * An evaluation as the screen, the printed plan and other programs read it: figures in the farm's units, the section, workings,
 * and differences in words.
 */
package app.etlo.core.plan.shown;
