/** Catch tests of machines: worked out, and remembered by machine and seed. */
package app.etlo.server.calibration;
