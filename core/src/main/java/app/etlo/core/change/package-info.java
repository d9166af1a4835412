/** What differs between two states of a document, and how changes of several people come together. */
package app.etlo.core.change;
