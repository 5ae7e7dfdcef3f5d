// What every page has: the lamp, menus that close, the sheet of keys on a question mark; its window's name in forms.
import "./making.js";
import "./token.js";

function showLamp() {
  const off = document.documentElement.dataset.lamp === "off";
  document.querySelectorAll("[data-lamp-switch]").forEach((b) => b.setAttribute("aria-pressed", off));
}

function switchLamp() {
  const root = document.documentElement;
  if (root.dataset.lamp === "off") delete root.dataset.lamp;
  else root.dataset.lamp = "off";
  try {
    localStorage.setItem("lamp", root.dataset.lamp ?? "on");
  } catch {
    // it holds for this page only
  }
  showLamp();
}

export function showKeys() {
  document.getElementById("keys")?.showModal();
}

document.addEventListener("click", (event) => {
  if (event.target.closest("[data-lamp-switch]")) switchLamp();
  if (event.target.closest("[data-show-keys]")) showKeys();
  if (event.target.closest("[data-print]")) window.print();
  document.querySelectorAll("details.menu[open]").forEach((menu) => {
    if (!menu.contains(event.target)) menu.open = false;
  });
});

document.addEventListener("keydown", (event) => {
  if (event.key === "Escape") {
    document.querySelectorAll("details.menu[open]").forEach((menu) => {
      menu.open = false;
      menu.querySelector("summary").focus();
    });
  }
  if (event.key === "?" && !event.target.matches("input, textarea, select")) {
    event.preventDefault();
    showKeys();
  }
});

showLamp();

// a file that is too large is told before it is sent
document.addEventListener("change", (event) => {
  const most = Number(event.target.dataset?.mostMb);
  const file = event.target.files?.[0];
  if (!most || !file) return;
  const over = file.size > most * 1e6;
  event.target.setCustomValidity(over ? `${file.name} is ${(file.size / 1e6).toFixed(1)} MB; at most ${most} MB are taken here` : "");
  if (over) event.target.reportValidity();
});
