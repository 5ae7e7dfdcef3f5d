// Before anything is drawn: the lamp as it was left. Not a module, so that no page flashes.
try {
  if (localStorage.getItem("lamp") === "off") document.documentElement.dataset.lamp = "off";
} catch {
  // a browser that keeps nothing starts with the lamp on
}
