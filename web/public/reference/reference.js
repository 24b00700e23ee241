// The reference is drawn only where no paper can see it: in white light, and while no run is open on this machine's screens.
(function () {
  var white = true;
  try {
    white =
      window.localStorage.getItem("key-slate.room") !== "safelight" &&
      window.localStorage.getItem("key-slate.dark") === null;
  } catch {
    // A browser that keeps nothing has no dark room either.
  }
  if (!white) return;
  var style = document.createElement("link");
  style.rel = "stylesheet";
  style.href = "/reference/swagger-ui.css";
  document.head.append(style);
  var script = document.createElement("script");
  script.src = "/reference/swagger-ui-bundle.js";
  script.onload = function () {
    document.documentElement.dataset.room = "white";
    window.SwaggerUIBundle({
      url: "/api/openapi.json",
      dom_id: "#reference",
      deepLinking: true,
      docExpansion: "none",
      defaultModelsExpandDepth: 0,
      displayRequestDuration: false,
      filter: true,
      // To be read, not to be pressed: nobody lights a lamp from here.
      supportedSubmitMethods: [],
      validatorUrl: null,
    });
  };
  document.head.append(script);
})();
