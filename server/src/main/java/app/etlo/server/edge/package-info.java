/** Where requests come in: who is at the other end of a connection, and how much of a body is read from it. */
package app.etlo.server.edge;
