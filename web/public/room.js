// Runs before the first paint: the room is a state of the whole application and is kept over reloads.
(function () {
  var room = null;
  try {
    room = window.localStorage.getItem("key-slate.room");
  } catch {
    // A browser that keeps nothing starts in white light.
  }
  document.documentElement.dataset.room = room === "safelight" ? "safelight" : "white";
})();
