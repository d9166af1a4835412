/** The server: people, documents and files around the core. Packages go by feature. */
package app.etlo.server;
