/** Stock on a cover: what they eat, how long it lasts, and what stays. */
package app.etlo.core.grazing;
