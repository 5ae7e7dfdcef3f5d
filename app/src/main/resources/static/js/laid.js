// Ticking blocks on the roof: what is sent answers with the row as it stands, which takes the place of the one on the page.
const KEPT = "laid-by";

function tell(words) {
  const alert = document.getElementById("fieldalert");
  alert.textContent = words;
  alert.hidden = !words;
  if (words) alert.scrollIntoView({ block: "nearest" });
}

function remembered() {
  const by = document.getElementById("laid-by");
  if (!by) return;
  try {
    by.value ||= localStorage.getItem(KEPT) ?? "";
    by.addEventListener("change", () => localStorage.setItem(KEPT, by.value));
  } catch {
    // a browser that keeps nothing asks for the name each time
  }
}

async function swap(address, options, next) {
  let answer;
  try {
    answer = await fetch(address, options);
  } catch {
    tell("Not stored: no connection to the server. Nothing of it is kept; tap again when there is one.");
    return;
  }
  const text = await answer.text();
  const page = new DOMParser().parseFromString(text, "text/html");
  if (!answer.ok) {
    const why = [...page.querySelectorAll(".problems li")].map((li) => li.textContent.trim()).join("; ");
    tell(`Not stored. ${why || "Load the page again."}`);
    return;
  }
  document.querySelector("main").replaceWith(page.querySelector("main"));
  remembered();
  (document.querySelector("[autofocus]") ?? document.getElementById(next))?.focus({ preventScroll: !document.querySelector("[autofocus]") });
}

document.addEventListener("submit", (event) => {
  const form = event.target.closest("form[data-swap]");
  if (!form) return;
  event.preventDefault();
  const sender = event.submitter;
  const at = sender?.closest("li")?.nextElementSibling?.querySelector("button, a")?.id ?? "rowsum";
  swap(form.action, { method: "POST", body: new FormData(form, sender) }, at);
});

document.addEventListener("click", (event) => {
  const link = event.target.closest("a[data-swap]");
  if (link && !event.ctrlKey && !event.metaKey) {
    event.preventDefault();
    swap(link.href, {}, link.id);
  }
  const step = event.target.closest("[data-step]");
  if (step) {
    const field = step.parentElement.querySelector("input");
    field.value = Math.max(0, (Number.parseInt(field.value, 10) || 0) + Number(step.dataset.step));
  }
});

remembered();
