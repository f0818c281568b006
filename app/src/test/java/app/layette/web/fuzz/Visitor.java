package app.layette.web.fuzz;

import java.io.IOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Somebody at a browser who reads every form and every link, and sends what they like. */
public final class Visitor {
    private static final Duration PATIENCE = Duration.ofSeconds(60);
    private static final int MOST_KEPT = 400;
    private static final Pattern FORM =
            Pattern.compile("<form\\b([^>]*)>(.*?)</form>", Pattern.DOTALL | Pattern.CASE_INSENSITIVE);
    private static final Pattern FIELD = Pattern.compile("<(?:input|select|textarea|button)\\b([^>]*)>");
    private static final Pattern ATTRIBUTE = Pattern.compile("([-a-z]+)=\"([^\"]*)\"");
    private static final Pattern LINK = Pattern.compile("href=\"(/[^\"]*)\"");

    /** A form as it stood on a page. */
    record Form(String verb, String action, Map<String, String> fields) {}

    /** What came back. */
    public record Answer(int status, String body, String type, String to, long millis) {
        public boolean isSignedOut() {
            return status == 401 || to.contains("/sign-in");
        }
    }

    private final String address;
    private final String name;
    private final String password;
    private final Map<String, Form> forms = new LinkedHashMap<>();
    private final Map<String, String> links = new LinkedHashMap<>();
    private HttpClient client;
    private String token = "";

    /** Somebody who signs in; nobody where the name is empty. */
    public Visitor(String address, String name, String password) {
        this.address = address;
        this.name = name;
        this.password = password;
        signIn();
    }

    boolean isAnonymous() {
        return name.isEmpty();
    }

    String name() {
        return name;
    }

    /** Begins anew, as somebody who was thrown out does. */
    public void signIn() {
        client = HttpClient.newBuilder()
                .cookieHandler(new CookieManager())
                .followRedirects(HttpClient.Redirect.NEVER)
                .connectTimeout(PATIENCE)
                .build();
        token = "";
        Answer page = get("/sign-in");
        Matcher hidden = Pattern.compile("name=\"_csrf\"[^>]*value=\"([^\"]*)\"|value=\"([^\"]*)\"[^>]*name=\"_csrf\"")
                .matcher(page.body());
        if (hidden.find()) {
            token = hidden.group(1) == null ? hidden.group(2) : hidden.group(1);
        }
        if (isAnonymous()) {
            return;
        }
        post("/sign-in", Map.of("username", name, "password", password));
        renew();
    }

    /** Takes a token that this session's forms are taken with. */
    void renew() {
        token = "";
        Answer answer = get("/account/token");
        token = answer.status() == 200 ? answer.body() : "";
    }

    boolean isIn() {
        return !token.isEmpty();
    }

    List<Form> forms() {
        return List.copyOf(forms.values());
    }

    List<String> links() {
        return List.copyOf(links.values());
    }

    public Answer get(String path) {
        return send(request(path).GET().build());
    }

    public Answer post(String path, Map<String, String> fields) {
        return send(request(path)
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(BodyPublishers.ofString(encoded(fields)))
                .build());
    }

    public Answer upload(String path, Map<String, String> fields, String file, String fileName, byte[] content) {
        String border = "fuzz-border-7";
        List<byte[]> parts = new ArrayList<>();
        fields.forEach((key, value) -> parts.add(
                ("--" + border + "\r\nContent-Disposition: form-data; name=\"" + key + "\"\r\n\r\n" + value + "\r\n")
                        .getBytes(StandardCharsets.UTF_8)));
        if (!file.isEmpty()) {
            parts.add(("--" + border + "\r\nContent-Disposition: form-data; name=\"" + file + "\"; filename=\""
                            + fileName + "\"\r\nContent-Type: application/octet-stream\r\n\r\n")
                    .getBytes(StandardCharsets.UTF_8));
            parts.add(content);
            parts.add("\r\n".getBytes(StandardCharsets.UTF_8));
        }
        parts.add(("--" + border + "--\r\n").getBytes(StandardCharsets.UTF_8));
        return send(request(path)
                .header("Content-Type", "multipart/form-data; boundary=" + border)
                .POST(BodyPublishers.ofByteArrays(parts))
                .build());
    }

    private HttpRequest.Builder request(String path) {
        HttpRequest.Builder builder = HttpRequest.newBuilder(URI.create(address + sendable(path)))
                .timeout(PATIENCE)
                .header("Accept", "text/html,*/*;q=0.8");
        return token.isEmpty() ? builder : builder.header("X-XSRF-TOKEN", token);
    }

    /** As a browser sends a link that is not quite one. */
    private static String sendable(String path) {
        StringBuilder out = new StringBuilder();
        for (String part : path.replaceAll("%(?![0-9A-Fa-f]{2})", "%25").split("")) {
            out.append(part.matches("[-\\w.~:/?#@!$&'()*+,;=%]*") ? part : percent(part));
        }
        return out.toString();
    }

    private Answer send(HttpRequest request) {
        long began = System.nanoTime();
        try {
            HttpResponse<String> response = client.send(request, BodyHandlers.ofString(StandardCharsets.UTF_8));
            long millis = Duration.ofNanos(System.nanoTime() - began).toMillis();
            String type = response.headers().firstValue("Content-Type").orElse("");
            Answer answer = new Answer(
                    response.statusCode(),
                    response.body(),
                    type,
                    response.headers().firstValue("Location").orElse(""),
                    millis);
            if (type.startsWith("text/html")) {
                read(response.body(), request.uri().getPath());
            }
            return answer;
        } catch (IOException e) {
            // A connection that ends without an answer is the server's fault, too.
            return new Answer(
                    599,
                    String.valueOf(e),
                    "",
                    "",
                    Duration.ofNanos(System.nanoTime() - began).toMillis());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    private void read(String html, String path) {
        Matcher form = FORM.matcher(html);
        while (form.find() && forms.size() < MOST_KEPT) {
            Map<String, String> head = attributes(form.group(1));
            Map<String, String> fields = new LinkedHashMap<>();
            Matcher field = FIELD.matcher(form.group(2));
            while (field.find()) {
                Map<String, String> each = attributes(field.group(1));
                if (each.containsKey("name") && !"_csrf".equals(each.get("name"))) {
                    fields.put(plain(each.get("name")), plain(each.getOrDefault("value", "")));
                }
            }
            String action = plain(head.getOrDefault("action", head.getOrDefault("hx-post", path)));
            String verb = "post".equalsIgnoreCase(head.get("method")) ? "POST" : "GET";
            if (action.startsWith("/")) {
                forms.put(
                        verb + pattern(action) + fields.keySet() + fields.get("kind"), new Form(verb, action, fields));
            }
        }
        Matcher link = LINK.matcher(html);
        while (link.find() && links.size() < MOST_KEPT) {
            String to = plain(link.group(1));
            links.putIfAbsent(to, to);
        }
    }

    /** Forms that differ by whom they are about are one. */
    private static String pattern(String action) {
        return action.replaceAll("[0-9a-f]{8}-[0-9a-f-]{27}", "*");
    }

    private static Map<String, String> attributes(String tag) {
        Map<String, String> found = new LinkedHashMap<>();
        Matcher each = ATTRIBUTE.matcher(tag);
        while (each.find()) {
            found.put(each.group(1), each.group(2));
        }
        return found;
    }

    private static String plain(String html) {
        return html.replace("&#39;", "'")
                .replace("&quot;", "\"")
                .replace("&lt;", "<")
                .replace("&gt;", ">")
                .replace("&amp;", "&");
    }

    public static String encoded(Map<String, String> fields) {
        StringBuilder out = new StringBuilder();
        fields.forEach((key, value) -> out.append(out.isEmpty() ? "" : "&")
                .append(percent(key))
                .append('=')
                .append(percent(value)));
        return out.toString();
    }

    /** Percent-encodes, lone surrogates too, as three bytes that no decoder likes. */
    static String percent(String text) {
        StringBuilder out = new StringBuilder();
        for (int i = 0; i < text.length(); i++) {
            char each = text.charAt(i);
            if (each < 128 && (Character.isLetterOrDigit(each) || "-._~".indexOf(each) >= 0)) {
                out.append(each);
            } else if (Character.isHighSurrogate(each)
                    && i + 1 < text.length()
                    && Character.isLowSurrogate(text.charAt(i + 1))) {
                bytes(text.substring(i, i + 2).getBytes(StandardCharsets.UTF_8), out);
                i++;
            } else if (Character.isSurrogate(each)) {
                bytes(
                        new byte[] {
                            (byte) (0xE0 | each >> 12), (byte) (0x80 | each >> 6 & 0x3F), (byte) (0x80 | each & 0x3F)
                        },
                        out);
            } else {
                bytes(String.valueOf(each).getBytes(StandardCharsets.UTF_8), out);
            }
        }
        return out.toString();
    }

    private static void bytes(byte[] bytes, StringBuilder out) {
        for (byte each : bytes) {
            out.append(String.format("%%%02X", each & 0xFF));
        }
    }
}
