/** Who may call what. */
package app.etlo.server.access;
