package app.layette.web.quick;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.security.MessageDigest;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.Base64;
import java.util.Optional;
import java.util.UUID;
import javax.crypto.Mac;
import javax.crypto.spec.SecretKeySpec;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * Ride cards for a family's phone. All that a card is planned from stands in its own address, signed with a key of the
 * point: nothing is kept here, no name is in it, and it is over after a day.
 */
@Component
class SentCards {
    static final Duration VALID = Duration.ofHours(24);
    private static final int MAC_BYTES = 16;
    private static final int KEY_BYTES = 32;
    private static final int UUID_BYTES = 16;
    private static final int LONGEST = 400;

    /** What a card is planned from. */
    record Sent(UUID point, Answers answers, Instant until) {}

    private final JdbcClient jdbc;
    private final Clock clock;
    private final SecureRandom random = new SecureRandom();

    SentCards(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** The last part of the address of a card. */
    @Transactional
    public String address(UUID point, Answers answers) {
        byte[] said = String.join("\n", answers.weight(), answers.seat(), answers.shows(), answers.alone())
                .getBytes(StandardCharsets.UTF_8);
        byte[] body = ByteBuffer.allocate(UUID_BYTES + Long.BYTES + said.length)
                .putLong(point.getMostSignificantBits())
                .putLong(point.getLeastSignificantBits())
                .putLong(clock.instant().plus(VALID).getEpochSecond())
                .put(said)
                .array();
        byte[] mac = mac(key(point), body);
        byte[] whole = Arrays.copyOf(mac, MAC_BYTES + body.length);
        System.arraycopy(body, 0, whole, MAC_BYTES, body.length);
        return Base64.getUrlEncoder().withoutPadding().encodeToString(whole);
    }

    /** What stands in an address; empty where it was not made here, was changed, or is over. */
    @Transactional(readOnly = true)
    public Optional<Sent> open(String address) {
        byte[] whole;
        try {
            whole = address.length() > LONGEST
                    ? new byte[0]
                    : Base64.getUrlDecoder().decode(address);
        } catch (IllegalArgumentException e) {
            return Optional.empty();
        }
        if (whole.length < MAC_BYTES + UUID_BYTES + Long.BYTES) {
            return Optional.empty();
        }
        byte[] body = Arrays.copyOfRange(whole, MAC_BYTES, whole.length);
        ByteBuffer read = ByteBuffer.wrap(body);
        UUID point = new UUID(read.getLong(), read.getLong());
        boolean ours = known(point)
                .filter(key -> MessageDigest.isEqual(mac(key, body), Arrays.copyOf(whole, MAC_BYTES)))
                .isPresent();
        if (!ours) {
            return Optional.empty();
        }
        // Only what was signed here is read any further: of anything else even the day may be none.
        Instant until = Instant.ofEpochSecond(read.getLong());
        if (clock.instant().isAfter(until)) {
            return Optional.empty();
        }
        String[] said =
                new String(body, UUID_BYTES + Long.BYTES, read.remaining(), StandardCharsets.UTF_8).split("\n", -1);
        return Optional.of(new Sent(point, new Answers("", said[0], said[1], said[2], said[3]), until));
    }

    private Optional<byte[]> known(UUID point) {
        return jdbc.sql("select card_key from point where id = :point and card_key is not null")
                .param("point", point)
                .query((row, number) -> row.getBytes(1))
                .optional();
    }

    /** Made when it is first asked for; whoever comes second takes the first one's. */
    private byte[] key(UUID point) {
        return known(point).orElseGet(() -> {
            byte[] made = new byte[KEY_BYTES];
            random.nextBytes(made);
            jdbc.sql("update point set card_key = :key where id = :point and card_key is null")
                    .param("key", made)
                    .param("point", point)
                    .update();
            return known(point).orElseThrow();
        });
    }

    private static byte[] mac(byte[] key, byte[] body) {
        try {
            Mac mac = Mac.getInstance("HmacSHA256");
            mac.init(new SecretKeySpec(key, "HmacSHA256"));
            return Arrays.copyOf(mac.doFinal(body), MAC_BYTES);
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException("Every Java has HmacSHA256", e);
        }
    }
}
