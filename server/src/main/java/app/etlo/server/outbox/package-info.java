/** Emails to people: kept in PostgreSQL until they are delivered, by whichever server comes to it. */
package app.etlo.server.outbox;
