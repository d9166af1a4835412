/** Services outside: their last good answers are kept, asked for in the background, and never waited for. */
package app.etlo.server.outside;
