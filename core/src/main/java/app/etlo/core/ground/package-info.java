/**
 * The ground, day by day: plants that grow together, frost, roots, water, residue and nitrogen in one state and one loop,
 * through a whole rotation, once for every weather year. The equations are those of docs/simulation.md.
 */
package app.etlo.core.ground;
