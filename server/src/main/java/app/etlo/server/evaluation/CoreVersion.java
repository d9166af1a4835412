package app.etlo.server.evaluation;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HexFormat;
import java.util.List;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.PathMatchingResourcePatternResolver;
import org.springframework.stereotype.Component;

/**
 * What computes here: a hash of the core and its tables. What is kept of an evaluation rests on it, so that another core's figures are
 * computed again; two servers of one build have the same.
 */
@Component
class CoreVersion {
    private static final List<String> CORE =
            List.of("classpath*:app/etlo/core/**/*.class", "classpath*:knowledge/**/*.*");
    private static final int LETTERS = 16;

    private String hash;

    /** Read when first asked for. */
    synchronized String hash() {
        if (hash == null) {
            hash = read();
        }
        return hash;
    }

    private static String read() {
        try {
            PathMatchingResourcePatternResolver files = new PathMatchingResourcePatternResolver();
            List<Resource> core = new ArrayList<>();
            for (String part : CORE) {
                core.addAll(Arrays.asList(files.getResources(part)));
            }
            core.sort(Comparator.comparing(CoreVersion::place));
            MessageDigest digest = MessageDigest.getInstance("SHA-256");
            for (Resource r : core) {
                try (InputStream in = r.getInputStream()) {
                    digest.update(in.readAllBytes());
                }
            }
            return HexFormat.of().formatHex(digest.digest()).substring(0, LETTERS);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }

    /** Its path within the core, wherever that lies. */
    private static String place(Resource r) {
        try {
            String path = r.getURL().getPath();
            int from = Math.max(path.lastIndexOf("app/etlo/core/"), path.lastIndexOf("/knowledge/"));
            return path.substring(Math.max(0, from));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
