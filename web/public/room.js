// Runs before the first paint: the room is a state of the whole application and is kept over reloads.
(function () {
  var room = null;
  try {
    room = window.localStorage.getItem("key-slate.room");
  } catch {
    // A browser that keeps nothing starts in white light.
  }
  // Paper may lie in the open: the page of a run stays black until it knows which light its paper can bear.
  var underTheLamp = window.location.pathname.indexOf("/runs/") === 0;
  document.documentElement.dataset.room = underTheLamp
    ? "blackout"
    : room === "safelight"
      ? "safelight"
      : "white";
})();
