/** The stations of a slate in working order; the key is also the number on the list of keys. */
export const stations = [
  { key: "1", path: "choose", name: "Choose", group: "dry" },
  { key: "2", path: "setup", name: "Set up", group: "dry" },
  { key: "3", path: "test", name: "Test", group: "dark" },
  { key: "5", path: "shape", name: "Shape", group: "dark" },
  { key: "6", path: "print", name: "Print", group: "wet" },
  { key: "8", path: "judge", name: "Judge", group: "light" },
  { key: "9", path: "keep", name: "Keep", group: "light" },
] as const;
