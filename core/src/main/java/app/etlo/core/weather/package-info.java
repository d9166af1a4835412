/** Weather of a place: series, their import, invented stations, what follows from them, and the ensemble of years. */
package app.etlo.core.weather;
