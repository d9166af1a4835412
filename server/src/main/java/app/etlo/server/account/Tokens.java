package app.etlo.server.account;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.util.Base64;
import java.util.HexFormat;

/** Secrets handed out in links and cookies: 256 random bits, of which only the hash is kept. */
public final class Tokens {
    private static final int BYTES = 32;

    private Tokens() {}

    public static String fresh() {
        byte[] bits = new byte[BYTES];
        new SecureRandom().nextBytes(bits);
        return Base64.getUrlEncoder().withoutPadding().encodeToString(bits);
    }

    /** SHA-256 in hex: enough for a secret that cannot be guessed. */
    public static String hash(String token) {
        try {
            byte[] digest = MessageDigest.getInstance("SHA-256").digest(token.getBytes(StandardCharsets.UTF_8));
            return HexFormat.of().formatHex(digest);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }
}
