package keyslate.server.journey;

import com.google.gson.JsonObject;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Page;
import java.util.ArrayList;
import java.util.Base64;
import java.util.List;

/** Every frame that the browser paints while something happens. */
final class Screencast implements AutoCloseable {
    private final CDPSession session;
    private final List<byte[]> frames = new ArrayList<>();

    Screencast(Page page) {
        session = page.context().newCDPSession(page);
        session.on("Page.screencastFrame", event -> {
            frames.add(Base64.getDecoder().decode(event.get("data").getAsString()));
            JsonObject seen = new JsonObject();
            seen.add("sessionId", event.get("sessionId"));
            session.send("Page.screencastFrameAck", seen);
        });
        JsonObject how = new JsonObject();
        how.addProperty("format", "png");
        how.addProperty("everyNthFrame", 1);
        session.send("Page.startScreencast", how);
    }

    List<byte[]> frames() {
        return List.copyOf(frames);
    }

    @Override
    public void close() {
        session.send("Page.stopScreencast");
        session.detach();
    }
}
