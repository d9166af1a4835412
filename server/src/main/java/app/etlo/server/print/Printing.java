package app.etlo.server.print;

import app.etlo.server.print.DrawingBounds.Exceeded;
import app.etlo.server.print.SectionDrawing.Drawn;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.lang.management.ManagementFactory;
import java.lang.management.ThreadMXBean;
import java.time.Duration;
import java.util.Optional;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.atomic.AtomicLong;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.stereotype.Component;

/**
 * Tries a drawing out before it goes into a plan: within the bounds of the model, and within two seconds of work on a sheet of its
 * own. One at a time, so that drawings together never take more memory than one may.
 */
@Component
class Printing {
    private static final Logger LOG = LoggerFactory.getLogger(Printing.class);
    private static final Duration LONGEST = Duration.ofSeconds(2);
    /** However busy the machine is. */
    private static final Duration LONGEST_WAIT = Duration.ofSeconds(20);

    private static final long LOOKS_AGAIN_MS = 50;
    private static final ThreadMXBean THREADS = ManagementFactory.getThreadMXBean();
    /** Width of the printed text block, px. */
    private static final int PAPER_PX = 688;

    private final Duration longest;
    private volatile Thread easelThread;
    private boolean warm;
    private final ExecutorService easel = Executors.newSingleThreadExecutor(work -> {
        Thread t = new Thread(work, "drawing");
        t.setDaemon(true);
        easelThread = t;
        return t;
    });

    @Autowired
    Printing() {
        this(LONGEST);
    }

    Printing(Duration longest) {
        this.longest = longest;
    }

    /**
     * A drawing as it goes into the page, or why it does not.
     *
     * @param refused a sentence for the reader of the plan; empty when there is a picture
     */
    record Picture(String svg, String refused) {}

    /** The picture of a drawing that a page sent. */
    Picture picture(String sent) {
        try {
            Drawn drawn = SectionDrawing.read(sent);
            String svg = onPaper(drawn);
            return draws(svg) ? new Picture(svg, "") : refused("it would take too long to draw");
        } catch (Exceeded e) {
            return refused(e.getMessage());
        }
    }

    private static Picture refused(String why) {
        LOG.warn("a section is not printed: {}", why);
        return new Picture("", "The picture of the section is left out: " + why + ". The plan below is complete.");
    }

    private static String onPaper(Drawn drawn) {
        long height = Math.round(PAPER_PX * drawn.height() / drawn.width());
        return drawn.svg()
                .replaceFirst(" width=\"[^\"]*\"", " width=\"" + PAPER_PX + "\"")
                .replaceFirst(" height=\"[^\"]*\"", " height=\"" + height + "\"");
    }

    /** Draws a picture on a sheet of its own; what its thread works is counted, not how long others keep it waiting. */
    private boolean draws(String svg) {
        AtomicLong begunNanos = new AtomicLong(-1);
        Future<byte[]> trial = easel.submit(() -> {
            warmUp();
            begunNanos.set(THREADS.getThreadCpuTime(Thread.currentThread().getId()));
            return trial(svg);
        });
        long end = System.nanoTime() + LONGEST_WAIT.toNanos();
        try {
            while (System.nanoTime() < end) {
                try {
                    return trial.get(LOOKS_AGAIN_MS, TimeUnit.MILLISECONDS).length > 0;
                } catch (TimeoutException e) {
                    if (worked(begunNanos.get()) > longest.toNanos()) {
                        break;
                    }
                }
            }
            trial.cancel(true);
            return false;
        } catch (ExecutionException e) {
            LOG.warn("a section cannot be drawn", e.getCause());
            return false;
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return false;
        }
    }

    private long worked(long begunNanos) {
        Thread drawing = easelThread;
        return begunNanos < 0 || drawing == null ? 0 : THREADS.getThreadCpuTime(drawing.getId()) - begunNanos;
    }

    /** The first drawing of a server reads fonts and classes; that is no fault of the drawing. */
    private void warmUp() {
        if (!warm) {
            trial("<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"9\" height=\"9\"><text x=\"1\" y=\"8\""
                    + " font-family=\"" + PrintController.TEXT_NAME + "\">a</text></svg>");
            warm = true;
        }
    }

    private static byte[] trial(String svg) {
        try {
            return PdfPrinter.pdf("<html><body>" + svg + "</body></html>");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The picture of an optional drawing. */
    Optional<Picture> picture(Optional<String> sent) {
        return sent.map(this::picture);
    }
}
