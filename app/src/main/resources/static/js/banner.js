// What has to be read before going on: lines across the bench, with what can be done about them.
export function showBanner(lines, actions = [["Close", () => {}]]) {
  const banner = document.getElementById("banner");
  banner.replaceChildren(
    ...lines.map((line) => Object.assign(document.createElement("p"), { textContent: line })),
    ...actions.map(([words, act]) => {
      const button = Object.assign(document.createElement("button"), { type: "button", textContent: words });
      button.addEventListener("click", () => {
        banner.hidden = true;
        act();
      });
      return button;
    }),
  );
  banner.hidden = false;
}
