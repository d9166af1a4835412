package app.etlo.core.mix;

import app.etlo.core.working.Source;

/**
 * What speaks against a species here.
 *
 * @param rule name of the rule
 * @param excludes whether it takes the species out of the proposals; the adviser may take it in all the same
 * @param text why, in a few words
 */
public record Finding(String rule, boolean excludes, String text, Source source) {}
