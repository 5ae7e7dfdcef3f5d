// Readings of a laser tape go into the length field that had the focus last. The tape here is simulated.
import { token } from "./token.js";

const FIELDS = "input[data-length], #tape";
const EVERY_MS = 600;
let field = null;
let last = 0;
let timer = null;

document.addEventListener("focusin", (event) => {
  if (event.target.matches(FIELDS) && !event.target.closest("#laser")) field = event.target;
});

function say(words) {
  document.getElementById("laser-words").textContent = words;
}

/** Puts a reading where the next length is expected. */
function put(reading) {
  if (!field?.isConnected) {
    say(`${reading.typed} read; choose a length field first, then measure again.`);
    return;
  }
  if (field.id === "tape") field.setRangeText(reading.typed, field.selectionStart, field.selectionEnd, "end");
  else field.value = reading.typed;
  field.dispatchEvent(new Event("input", { bubbles: true }));
  field.dispatchEvent(new Event("change", { bubbles: true }));
  say(`${reading.typed} taken${reading.from ? " from the " + reading.from : ""}.`);
}

async function listen() {
  try {
    const answer = await fetch(`/instruments/laser/readings?after=${last}`);
    for (const reading of await answer.json()) {
      last = reading.number;
      put(reading);
    }
  } catch {
    say("The server does not answer.");
  }
}

async function open(panel) {
  panel.hidden = !panel.hidden;
  clearInterval(timer);
  if (panel.hidden) return;
  const state = await (await fetch("/instruments/laser")).json();
  last = state.last;
  timer = setInterval(listen, EVERY_MS);
  say("Listening. Choose a length field, then measure.");
}

async function measure(panel) {
  const answer = await fetch("/instruments/laser", {
    method: "POST",
    headers: { "Content-Type": "application/json", Accept: "application/json", ...token() },
    body: JSON.stringify({ length: panel.querySelector("input").value, from: "simulated laser tape" }),
  });
  if (!answer.ok) say((await answer.json()).problems.map((p) => p.message).join(" "));
  else await listen();
}

document.addEventListener("click", (event) => {
  const panel = document.getElementById("laser");
  if (event.target.id === "laser-open") open(panel);
  if (event.target.id === "laser-measure") measure(panel);
});
