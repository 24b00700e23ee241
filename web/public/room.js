// Runs before the first paint: the room is a state of the whole application and is kept over reloads.
(function () {
  var room = null;
  try {
    room = window.localStorage.getItem("key-slate.room");
  } catch {
    // A browser that keeps nothing starts in white light.
  }
  // A sheet under the lamp is in the dark, whatever room was left.
  var dark = room === "safelight" || window.location.pathname.indexOf("/runs/") === 0;
  document.documentElement.dataset.room = dark ? "safelight" : "white";
})();
