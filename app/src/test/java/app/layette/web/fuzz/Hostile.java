package app.layette.web.fuzz;

import java.util.List;
import java.util.UUID;
import java.util.random.RandomGenerator;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** What nobody would type, and what somebody will send. Values are already percent-encoded where they must be raw. */
final class Hostile {
    private static final List<String> VALUES = List.of(
            "",
            " ",
            "\u0000",
            "a\u0000b",
            "\ud800",
            "x\udfffx",
            "\u202e\u2066abc\u2069",
            "\u200b\u200b",
            "\r\nSet-Cookie: a=b",
            "line\nline\r\nline",
            "\u0007\u001b[31m",
            "*{1}",
            "${7*7}",
            "__${T(java.lang.Runtime)}__::.x",
            "~{::x}",
            "#{message}",
            "{0}",
            "'",
            "\"><script>alert(1)</script>",
            "' or 1=1 --",
            "%",
            "_",
            "\\",
            "../../../etc/passwd",
            "//example.invalid",
            "/\\example.invalid",
            "javascript:alert(1)",
            "0",
            "-1",
            "-0.0",
            "1e308",
            "-1e308",
            "1e-400",
            "1e999",
            "NaN",
            "Infinity",
            "2147483647",
            "2147483648",
            "-2147483649",
            "9223372036854775808",
            "٣٫٥",
            "½",
            "7 lb",
            "7 lb 99",
            "3.2 kg",
            "1,000",
            "0x10",
            "true",
            "null",
            "undefined",
            "2026-02-30",
            "0000-00-00",
            "9999-12-31",
            "-999999999-01-01",
            "+1000000000-01-01",
            "yesterday",
            "31/12/1969",
            "40 weeks",
            "999 weeks",
            "12:00",
            "2026-11-28T12:00:00Z",
            "2026-11-28T12:00:00+99:00",
            "-1000000000-01-01T00:00:00Z",
            "00000000-0000-0000-0000-000000000000",
            "------------------------------------",
            "zz",
            "é",
            "e\u0301",
            "\ud83d\udc76\ud83c\udffd",
            "İ",
            "ß");
    private static final int LONGEST = 200_000;

    private Hostile() {}

    /** One such value. */
    static String value(RandomGenerator random) {
        return switch (random.nextInt(30)) {
            case 0 -> "9".repeat(1100);
            case 1 -> "x".repeat(random.nextInt(300, 3000));
            case 2 -> "é ".repeat(random.nextInt(20, 2000));
            case 3 -> random.nextInt(12) == 0 ? "y".repeat(LONGEST) : "z".repeat(130);
            case 4 ->
                UUID.nameUUIDFromBytes(new byte[] {(byte) random.nextInt()}).toString();
            case 5 -> String.valueOf(random.nextInt(-20, 20_000));
            case 6 -> String.valueOf(random.nextDouble(-10, 100));
            default -> VALUES.get(random.nextInt(VALUES.size()));
        };
    }

    /** A document with some of its parts spoiled; valid JSON, or nearly. */
    static String spoiled(JsonNode document, RandomGenerator random) {
        JsonNode copy = document.deepCopy();
        int wounds = random.nextInt(1, 4);
        for (int i = 0; i < wounds; i++) {
            wound(copy, random, 0);
        }
        String text = copy.toString();
        return switch (random.nextInt(25)) {
            case 0 -> text.substring(0, random.nextInt(text.length()));
            case 1 -> "[".repeat(600) + "]".repeat(600);
            case 2 -> "{\"a\":".repeat(600) + "1" + "}".repeat(600);
            case 3 -> text.replaceFirst(":\\s*\\d+", ":" + "7".repeat(1100));
            case 4 -> text.replaceFirst("\\{", "{" + unknownKeys(random.nextInt(10, 6000)));
            case 5 -> text.replaceFirst("\"title\"|\"model\"|\"maker\"", "\"\\\\ud800\"");
            case 6 -> "\ufeff" + text;
            case 7 -> "";
            default -> text;
        };
    }

    private static String unknownKeys(int count) {
        StringBuilder keys = new StringBuilder();
        for (int i = 0; i < count; i++) {
            keys.append("\"k").append(i).append("\":1,");
        }
        return keys.toString();
    }

    private static void wound(JsonNode node, RandomGenerator random, int depth) {
        if (node instanceof ObjectNode object && !object.isEmpty()) {
            List<String> names = List.copyOf(object.propertyNames());
            String name = names.get(random.nextInt(names.size()));
            JsonNode child = object.get(name);
            if (child.isContainer() && depth < 12 && random.nextInt(5) != 0) {
                wound(child, random, depth + 1);
            } else if (random.nextInt(6) == 0) {
                object.remove(name);
            } else {
                object.set(name, spoiledValue(child, random));
            }
        } else if (node instanceof ArrayNode array && !array.isEmpty()) {
            int at = random.nextInt(array.size());
            JsonNode child = array.get(at);
            if (child.isContainer() && depth < 12 && random.nextInt(5) != 0) {
                wound(child, random, depth + 1);
            } else {
                switch (random.nextInt(3)) {
                    case 0 -> array.remove(at);
                    case 1 -> array.add(child.deepCopy());
                    default -> array.set(at, spoiledValue(child, random));
                }
            }
        }
    }

    private static JsonNode spoiledValue(JsonNode before, RandomGenerator random) {
        JsonNodeFactory make = JsonNodeFactory.instance;
        return switch (random.nextInt(9)) {
            case 0 -> make.nullNode();
            case 1 -> make.numberNode(random.nextDouble(-1e4, 1e4));
            case 2 -> make.numberNode(random.nextInt());
            case 3 -> make.numberNode(1e308);
            case 4 -> make.arrayNode().add(before.deepCopy());
            case 5 -> make.objectNode().set("x", before.deepCopy());
            case 6 -> make.booleanNode(random.nextBoolean());
            default -> make.stringNode(value(random));
        };
    }
}
