package app.layette.web.shell;

import app.layette.formats.text.PlainText;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Collections;
import java.util.Enumeration;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.context.MessageSourceResolvable;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * The one way in for what is typed: every field of every form is plain text before anything reads it, and none is longer
 * than anything that is asked for here. Files have bounds of their own.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE + 20)
class PlainRequests extends OncePerRequestFilter {
    private static final int LONGEST_FIELD = 10_000;
    private static final int LARGEST_FORM = 256 * 1024;
    private static final int MOST_FIELDS = 400;

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String type = String.valueOf(request.getContentType());
        if (!type.startsWith("multipart/") && request.getContentLengthLong() > LARGEST_FORM) {
            refuse(
                    request,
                    response,
                    HttpStatus.CONTENT_TOO_LARGE,
                    MishapController.sentence("largeForm", request.getContentLengthLong(), LARGEST_FORM));
            return;
        }
        Map<String, String[]> typed;
        try {
            typed = request.getParameterMap();
        } catch (IllegalStateException e) {
            // Half a form, a broken one, or one that says that it is something else.
            refuse(request, response, HttpStatus.BAD_REQUEST, MishapController.sentence("half"));
            return;
        }
        Optional<MessageSourceResolvable> wrong = wrong(typed);
        if (wrong.isPresent()) {
            refuse(request, response, HttpStatus.BAD_REQUEST, wrong.get());
            return;
        }
        chain.doFilter(new Plain(request, plain(typed)), response);
    }

    private static Optional<MessageSourceResolvable> wrong(Map<String, String[]> typed) {
        int fields = 0;
        for (Map.Entry<String, String[]> each : typed.entrySet()) {
            fields += each.getValue().length;
            for (String value : each.getValue()) {
                if (value.length() > LONGEST_FIELD) {
                    String name = PlainText.of(each.getKey());
                    return Optional.of(MishapController.sentence(
                            "longField",
                            name.substring(0, Math.min(name.length(), 40)),
                            value.length(),
                            LONGEST_FIELD));
                }
            }
        }
        return fields > MOST_FIELDS
                ? Optional.of(MishapController.sentence("manyFields", fields, MOST_FIELDS))
                : Optional.empty();
    }

    private static void refuse(
            HttpServletRequest request,
            HttpServletResponse response,
            HttpStatus status,
            MessageSourceResolvable sentence)
            throws IOException {
        if (response.isCommitted()) {
            // Whoever sent half a form has gone: there is nobody to tell.
            return;
        }
        request.setAttribute(MishapController.SENTENCE, sentence);
        response.sendError(status.value());
    }

    private static Map<String, String[]> plain(Map<String, String[]> typed) {
        Map<String, String[]> plain = new LinkedHashMap<>();
        typed.forEach((name, values) -> {
            String[] all = new String[values.length];
            for (int i = 0; i < values.length; i++) {
                all[i] = PlainText.of(values[i]);
            }
            plain.put(PlainText.of(name), all);
        });
        return Collections.unmodifiableMap(plain);
    }

    /** The request as everything behind the door sees it. */
    private static final class Plain extends HttpServletRequestWrapper {
        private final Map<String, String[]> fields;

        Plain(HttpServletRequest request, Map<String, String[]> fields) {
            super(request);
            this.fields = fields;
        }

        @Override
        public @Nullable String getParameter(String name) {
            String[] values = fields.get(name);
            return values == null || values.length == 0 ? null : values[0];
        }

        @Override
        public String @Nullable [] getParameterValues(String name) {
            String[] values = fields.get(name);
            return values == null ? null : values.clone();
        }

        @Override
        public Map<String, String[]> getParameterMap() {
            return fields;
        }

        @Override
        public Enumeration<String> getParameterNames() {
            return Collections.enumeration(fields.keySet());
        }
    }
}
