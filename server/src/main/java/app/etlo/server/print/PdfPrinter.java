package app.etlo.server.print;

import com.openhtmltopdf.extend.FSStream;
import com.openhtmltopdf.extend.FSSupplier;
import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FSFontUseCase;
import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.outputdevice.helper.ExternalResourceControlPriority;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.svgsupport.BatikSVGDrawer;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.util.EnumSet;
import java.util.Objects;
import java.util.Set;

/**
 * Makes a PDF of a page of Etlo's own making. Nothing is fetched for it, whatever stands in it: no scheme and no address is
 * opened, neither by the page nor by the drawing in it; scripts of a drawing are not run.
 */
final class PdfPrinter {
    private static final String SANS = "AlegreyaSans";
    private static final String FIGURES = "SofiaSansSemiCondensed";

    private PdfPrinter() {}

    static byte[] pdf(String html) throws IOException {
        try (ByteArrayOutputStream out = new ByteArrayOutputStream();
                BatikSVGDrawer svg = new BatikSVGDrawer(
                        BatikSVGDrawer.SvgScriptMode.SECURE, BatikSVGDrawer.SvgExternalResourceMode.SECURE)) {
            PdfRendererBuilder builder = new PdfRendererBuilder();
            builder.useExternalResourceAccessControl(
                    (uri, type) -> false, ExternalResourceControlPriority.RUN_BEFORE_RESOLVING_URI);
            builder.useExternalResourceAccessControl(
                    (uri, type) -> false, ExternalResourceControlPriority.RUN_AFTER_RESOLVING_URI);
            builder.useUriResolver((base, uri) -> null);
            builder.useProtocolsStreamImplementation(
                    url -> new NoStream(), Set.of("http", "https", "file", "ftp", "jar", "data"));
            font(builder, SANS, "500Medium", PrintController.TEXT_NAME, FontStyle.NORMAL, 400, 500);
            font(builder, SANS, "700Bold", PrintController.TEXT_NAME, FontStyle.NORMAL, 700);
            font(builder, SANS, "500Medium_Italic", PrintController.TEXT_NAME, FontStyle.ITALIC, 400, 500);
            font(builder, FIGURES, "400Regular", PrintController.FIGURES_NAME, FontStyle.NORMAL, 400);
            font(builder, FIGURES, "700Bold", PrintController.FIGURES_NAME, FontStyle.NORMAL, 700);
            builder.useSVGDrawer(svg);
            builder.withHtmlContent(html, "");
            builder.toStream(out);
            builder.run();
            return out.toByteArray();
        }
    }

    /** What stands at any address: nothing. */
    private static final class NoStream implements FSStream {
        @Override
        public InputStream getStream() {
            return InputStream.nullInputStream();
        }

        @Override
        public java.io.Reader getReader() {
            return java.io.Reader.nullReader();
        }
    }

    /** Embeds a font for the page and for the drawing in it, under each weight it stands for. */
    private static void font(
            PdfRendererBuilder builder, String family, String cut, String name, FontStyle style, int... weights) {
        String path = "/print-fonts/" + cut + "/" + family + "_" + cut + ".ttf";
        FSSupplier<InputStream> open = () -> Objects.requireNonNull(PdfPrinter.class.getResourceAsStream(path), path);
        for (int weight : weights) {
            builder.useFont(open, name, weight, style, true, EnumSet.of(FSFontUseCase.DOCUMENT, FSFontUseCase.SVG));
        }
    }
}
