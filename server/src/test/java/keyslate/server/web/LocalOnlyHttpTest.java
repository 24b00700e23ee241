package keyslate.server.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import keyslate.server.ApplicationTest;
import keyslate.server.Http.Answer;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.web.server.LocalServerPort;

/** For this machine only: foreign hosts and pages are refused, and the page may load nothing from elsewhere. */
class LocalOnlyHttpTest extends ApplicationTest {
    @LocalServerPort
    private int port;

    @Test
    void refusesAForeignOrigin() {
        assertThat(http().get("/api/bench", "Origin", "http://elsewhere.example")
                        .status())
                .isEqualTo(403);
        assertThat(http().get("/api/bench", "Origin", "http://localhost:" + port)
                        .status())
                .isEqualTo(200);
    }

    @Test
    void refusesAForeignHost() {
        assertThat(statusFor("elsewhere.example")).contains("403");
        assertThat(statusFor("localhost:" + port)).contains("200");
        assertThat(statusFor("127.0.0.1:" + port)).contains("200");
    }

    @Test
    void listensOnThisMachineAlone() throws IOException {
        var others = java.net.NetworkInterface.networkInterfaces()
                .flatMap(java.net.NetworkInterface::inetAddresses)
                .filter(a -> !a.isLoopbackAddress())
                .toList();
        for (var address : others) {
            assertThat(opens(address)).as(address.toString()).isFalse();
        }
        assertThat(opens(java.net.InetAddress.getLoopbackAddress())).isTrue();
    }

    @Test
    void sendsStrictHeaders() {
        Answer page = http().get("/rolls");
        assertThat(page.status()).isEqualTo(200);
        String policy = page.headers().get("content-security-policy").get(0);
        assertThat(policy).contains("default-src 'none'", "script-src 'self';");
        assertThat(page.headers().get("x-content-type-options")).containsExactly("nosniff");
        assertThat(page.headers()).containsKey("referrer-policy");
    }

    @Test
    void addressesOfThePageLeadToItAndUnknownOnesOfTheApiDoNot() {
        assertThat(http().get("/slates/any/test").text()).contains("<div id=\"root\"");
        assertThat(http().get("/api/nothing").status()).isEqualTo(404);
        assertThat(http().get("/assets/none.js").status()).isEqualTo(404);
        assertThat(http().send("DELETE", "/api/bench", "").status()).isEqualTo(405);
    }

    private String statusFor(String host) {
        try (Socket socket = new Socket("127.0.0.1", port)) {
            String ask = "GET /api/bench HTTP/1.1\r\nHost: " + host + "\r\nConnection: close\r\n\r\n";
            socket.getOutputStream().write(ask.getBytes(StandardCharsets.US_ASCII));
            return new String(socket.getInputStream().readNBytes(12), StandardCharsets.US_ASCII);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private boolean opens(java.net.InetAddress address) {
        try (Socket socket = new Socket()) {
            socket.connect(new java.net.InetSocketAddress(address, port), 2000);
            return true;
        } catch (IOException e) {
            return false;
        }
    }
}
