/** The people of a practice: who belongs to it, as what, and whom it has invited. */
package app.etlo.server.people;
