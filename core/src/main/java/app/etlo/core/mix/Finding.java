package app.etlo.core.mix;

import app.etlo.core.working.Source;

/**
 * A concern about a species here.
 *
 * @param rule name of the rule
 * @param excludes whether it takes the species out of the proposals; the adviser may add it anyway
 * @param text why, in a few words
 */
public record Finding(String rule, boolean excludes, String text, Source source) {}
