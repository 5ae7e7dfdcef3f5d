// What is asked for in the words of the trade, worked out by the server as changes to the job.
import { token } from "./token.js";

/** Changes that come to what is asked; null after the problems were told. */
export async function workOut(slug, asked, problems) {
  const answer = await fetch(`/jobs/${slug}/work-out`, {
    method: "POST",
    headers: { "Content-Type": "application/json", Accept: "application/json", ...token() },
    body: JSON.stringify(asked),
  });
  const told = await answer.json();
  if (answer.ok) return told.changes;
  problems(told.problems);
  return null;
}

/** An element that has not been listened to yet. */
function fresh(id) {
  const found = document.getElementById(id);
  if (!found || found.dataset.heard) return null;
  found.dataset.heard = "yes";
  return found;
}

/** Small forms of the entry side: a form of roof, a thing repeated, a note on a bay. */
export function startMakers(slug, change) {
  const asks = {
    "form-maker": (values) => ({ what: "form", ...values }),
    "thing-line": (values) => ({ what: "thing", ...values }),
    repeat: (values) => ({ what: "repeat", ...values }),
    "site-sizes": (values) => ({ what: "sizes", ...values }),
    "add-roof": (values) => ({ what: "add-roof", ...values }),
    "keep-numbers": (values) => ({ what: "keep-numbers", ...values }),
    "move-array": (values) => ({ what: "move-array", ...values }),
  };
  for (const [id, ask] of Object.entries(asks)) {
    fresh(id)?.addEventListener("submit", async (event) => {
      event.preventDefault();
      const form = event.target;
      const fault = form.querySelector(".fault");
      fault.textContent = "";
      const values = Object.fromEntries(new FormData(form));
      const changes = await workOut(slug(), ask(values), (list) => (fault.textContent = list.map((p) => `${p.message}.`).join(" ")));
      if (changes?.length) change(changes);
    });
  }
  fresh("bay-note")?.addEventListener("submit", (event) => {
    event.preventDefault();
    const bay = new FormData(event.target).get("bay");
    change([{ op: "set", path: `$.roof.bayNotes[bay=${bay}].ponds`, value: false }]);
  });
}
