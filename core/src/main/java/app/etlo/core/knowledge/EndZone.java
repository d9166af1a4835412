package app.etlo.core.knowledge;

import app.etlo.core.working.Source;

/**
 * A zone of a rule on when a cover must be dead. Its id holds the version of the rule; a newer version comes as zones of its own.
 *
 * @param least days from the end of the cover to planting; below 0 so many after it
 * @param decides who says what holds
 */
public record EndZone(String id, String name, int least, String decides, Source source) {}
