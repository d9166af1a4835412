/** The log of a field: entries that are added and never changed. */
package app.etlo.server.log;
