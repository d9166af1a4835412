/** Small stand-ins for services outside, speaking the plain JSON that a real one would: weather forecast and soil probe. */
package app.etlo.standins;
