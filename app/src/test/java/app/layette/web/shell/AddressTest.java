package app.layette.web.shell;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.mock.web.MockHttpServletRequest;

/** Whoever asks can say any host: no link believes it. */
class AddressTest {
    @ParameterizedTest
    @CsvSource({
        "https://fit.example.org, serve, https://fit.example.org/f/x",
        "https://fit.example.org/, demo, https://fit.example.org/f/x",
        "'', serve, http://127.0.0.1:8080/f/x",
        "'', demo, http://evil.example/f/x"
    })
    void linksLeadWhereItIsSetUp(String set, String mode, String link) {
        MockHttpServletRequest request = new MockHttpServletRequest();
        request.setServerName("evil.example");
        assertThat(new Address(set, mode, "127.0.0.1:8080").of("/f/x", request)).isEqualTo(link);
    }

    @ParameterizedTest
    @CsvSource({
        "https://fit.example.org:8443/x, https://fit.example.org:8443",
        "http://localhost:9000, http://localhost:9000",
        "http://127.0.0.1:8080, ''",
        "'', ''"
    })
    void passkeysBelongToAHostNameAlone(String set, String origin) {
        assertThat(new Address(set, "serve", "127.0.0.1:8080")
                        .origin()
                        .map(Object::toString)
                        .orElse(""))
                .isEqualTo(origin);
    }
}
