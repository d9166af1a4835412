/** How often the server may be asked. */
package app.etlo.server.limits;
