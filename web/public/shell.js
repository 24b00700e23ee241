// Stands between the page and the server for one thing only: when the server is gone, a reload must not show the browser's own
// bright page in a dark room. What stands then is black, with one dim line unless paper is out.
const SHELL = `<!doctype html>
<html lang="en" style="background:#000">
  <meta charset="utf-8" /><title>Key Slate does not answer</title>
  <body style="margin:0;background:#000">
    <p id="words" hidden style="margin:40px;color:#a00000;font:20px sans-serif">
      Key Slate does not answer. Start it again, then reload this page. What was exposed is on record.
    </p>
    <script>
      try {
        document.getElementById("words").hidden = localStorage.getItem("key-slate.dark") !== null;
      } catch {
        // Without a memory of the room it stays black.
      }
    </script>
  </body>
</html>`;

self.addEventListener("install", () => self.skipWaiting());
self.addEventListener("activate", (event) => event.waitUntil(self.clients.claim()));
self.addEventListener("fetch", (event) => {
  if (event.request.mode !== "navigate") return;
  event.respondWith(
    fetch(event.request).catch(
      () =>
        new Response(SHELL, {
          status: 503,
          headers: {
            "Content-Type": "text/html; charset=utf-8",
            "Content-Security-Policy":
              "default-src 'none'; script-src 'unsafe-inline'; style-src 'unsafe-inline'",
          },
        }),
    ),
  );
});
