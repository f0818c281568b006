package app.layette.web.shell;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.stereotype.Component;
import org.thymeleaf.context.ITemplateContext;
import org.thymeleaf.dialect.AbstractProcessorDialect;
import org.thymeleaf.engine.AttributeName;
import org.thymeleaf.engine.TemplateModel;
import org.thymeleaf.model.IModel;
import org.thymeleaf.model.IProcessableElementTag;
import org.thymeleaf.processor.IProcessor;
import org.thymeleaf.processor.element.AbstractAttributeModelProcessor;
import org.thymeleaf.processor.element.IElementModelStructureHandler;
import org.thymeleaf.standard.StandardDialect;
import org.thymeleaf.standard.expression.StandardExpressions;
import org.thymeleaf.templatemode.TemplateMode;

/**
 * Pieces of a page that follow from one value alone: {@code kept:by="${line}"} renders its element once for each value and
 * language, and writes the same text for an equal value afterwards. Most lines of a fitting stay as they are from one
 * answer to the next.
 *
 * <p>The value has to hold everything that the piece shows; it has to be immutable, with an equality of its own. A piece
 * with a form, a token or an id of its own cannot be kept.
 */
@Component
class KeptPieces extends AbstractProcessorDialect {
    private static final String PREFIX = "kept";
    private static final String ATTRIBUTE = "by";
    /** After the element has been repeated, before anything else is done to it. */
    private static final int PRECEDENCE = 250;
    /** Characters that are kept: the lines of some hundred fittings. */
    private static final long MOST_CHARACTERS = 6_000_000;

    KeptPieces() {
        super("Kept pieces", PREFIX, StandardDialect.PROCESSOR_PRECEDENCE);
    }

    @Override
    public Set<IProcessor> getProcessors(String prefix) {
        return Set.of(new Keeping(prefix));
    }

    /** Where a piece stands in the templates. */
    private record Place(String template, int line, int column) {}

    private record Key(Place place, Locale locale, Object by) {}

    private static final class Keeping extends AbstractAttributeModelProcessor {
        private final Map<Place, TemplateModel> pieces = new ConcurrentHashMap<>();
        private final Cache<Key, String> rendered = Caffeine.newBuilder()
                .maximumWeight(MOST_CHARACTERS)
                .weigher((Key key, String text) -> text.length())
                .build();

        Keeping(String prefix) {
            super(TemplateMode.HTML, prefix, null, false, ATTRIBUTE, true, PRECEDENCE, true);
        }

        @Override
        protected void doProcess(
                ITemplateContext context,
                IModel model,
                AttributeName attribute,
                String value,
                IElementModelStructureHandler handler) {
            IProcessableElementTag first = (IProcessableElementTag) model.get(0);
            Place place = new Place(first.getTemplateName(), first.getLine(), first.getCol());
            Object by = StandardExpressions.getExpressionParser(context.getConfiguration())
                    .parseExpression(context, value)
                    .execute(context);
            String text = rendered.get(
                    new Key(place, context.getLocale(), by), key -> render(context, model, first, attribute, place));
            model.reset();
            model.add(context.getModelFactory().createText(text));
        }

        private String render(
                ITemplateContext context,
                IModel model,
                IProcessableElementTag first,
                AttributeName attribute,
                Place place) {
            TemplateModel piece = pieces.computeIfAbsent(place, key -> {
                IModel plain = model.cloneModel();
                plain.replace(0, context.getModelFactory().removeAttribute(first, attribute));
                return context.getConfiguration()
                        .getTemplateManager()
                        .parseString(
                                context.getTemplateData(),
                                source(plain),
                                place.line(),
                                place.column(),
                                TemplateMode.HTML,
                                false);
            });
            StringWriter text = new StringWriter();
            context.getConfiguration().getTemplateManager().process(piece, context, text);
            return text.toString();
        }

        private static String source(IModel model) {
            StringWriter source = new StringWriter();
            try {
                model.write(source);
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
            return source.toString();
        }
    }
}
