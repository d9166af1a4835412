package app.etlo.core.advice;

import app.etlo.core.working.Source;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.LocalDate;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;

/**
 * One judgement, tied to a place.
 *
 * @param subject id of the crop, cover or lot it is about, or of a part of it such as {@code v1/hairy-vetch}
 * @param at the day it belongs to in the drawing
 * @param text what and why, in a sentence or two
 * @param facts the figures behind it, written out; when they change, an answer no longer holds
 * @param wouldChange what would change it
 * @param ask the fact it lacks, where giving that would settle it
 */
public record Note(
        String rule,
        Weight weight,
        Step step,
        String subject,
        Optional<LocalDate> at,
        String text,
        List<String> facts,
        String wouldChange,
        Source source,
        String confidence,
        Optional<MissingFact> ask) {
    public Note {
        facts = List.copyOf(facts);
    }

    /** The same note, asking for a fact. */
    Note asking(MissingFact.Kind kind, String of) {
        return new Note(
                rule,
                weight,
                step,
                subject,
                at,
                text,
                facts,
                wouldChange,
                source,
                confidence,
                Optional.of(new MissingFact(kind, of)));
    }

    /** Names rule, subject and facts; an answer to this note carries it. */
    public String factsHash() {
        try {
            MessageDigest digest = MessageDigest.getInstance("SHA-256");
            digest.update((rule + "\n" + subject + "\n" + String.join("\n", facts)).getBytes(StandardCharsets.UTF_8));
            return HexFormat.of().formatHex(digest.digest(), 0, 8);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }
}
