/** Weather that a practice brings: imported series, their preview, and the climate of a field or station. */
package app.etlo.server.weather;
