/** The history of what the fields of a practice share. */
package app.etlo.server.shared;
