package app.layette.web.paper;

import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FSFontUseCase;
import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder.FontStyle;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.svgsupport.BatikSVGDrawer;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.EnumSet;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import org.springframework.stereotype.Component;
import org.thymeleaf.ITemplateEngine;
import org.thymeleaf.context.Context;

/** Prints a template as a PDF: its fonts in it, nothing fetched. */
@Component
public class PdfPrinter {
    private static final String FAMILY = "Source Sans 3";
    private static final int REGULAR = 400;
    private static final int SEMIBOLD = 600;

    private final ITemplateEngine templates;
    private final String inks;

    PdfPrinter(ITemplateEngine templates) {
        this.templates = templates;
        try (InputStream in = resource("inks.css")) {
            this.inks = new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /**
     * Prints a template, which has to be well-formed.
     *
     * @param lang the language of the page, {@code en} or {@code es}
     */
    public byte[] print(String template, String lang, Map<String, Object> variables) {
        String html = templates.process(template, new Context(Locale.forLanguageTag(lang), variables));
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (BatikSVGDrawer drawer = new BatikSVGDrawer()) {
            PdfRendererBuilder builder = new PdfRendererBuilder();
            font(builder, "fonts/source-sans-3-400.ttf", REGULAR);
            font(builder, "fonts/source-sans-3-600.ttf", SEMIBOLD);
            builder.useSVGDrawer(drawer);
            builder.useUriResolver((base, uri) -> null);
            builder.withHtmlContent(html, null);
            builder.toStream(out);
            builder.run();
        } catch (IOException e) {
            throw new UncheckedIOException("The page " + template + " cannot be printed", e);
        }
        return out.toByteArray();
    }

    /** For the words of the page and for those in its drawings, which would else take whatever the machine has. */
    private static void font(PdfRendererBuilder builder, String file, int weight) {
        builder.useFont(
                () -> resource(file),
                FAMILY,
                weight,
                FontStyle.NORMAL,
                true,
                EnumSet.of(FSFontUseCase.DOCUMENT, FSFontUseCase.SVG));
    }

    /** On screen the style sheet inks a drawing; on paper it carries its own. */
    public String inked(String svg) {
        int start = svg.indexOf('>') + 1;
        return svg.substring(0, start) + "<style>" + inks + "</style>" + svg.substring(start);
    }

    private static InputStream resource(String name) {
        return Objects.requireNonNull(PdfPrinter.class.getResourceAsStream("/paper/" + name), name);
    }
}
