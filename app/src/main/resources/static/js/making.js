// Says that a PDF or a workbook is being made, from the press until it is there.
function notice() {
  let box = document.getElementById("making");
  if (!box) {
    box = Object.assign(document.createElement("p"), { id: "making", hidden: true });
    box.setAttribute("role", "status");
    (document.querySelector("header.desk") ?? document.body).append(box);
  }
  return box;
}

/** Takes a file in and hands it over under the name the server gives it. */
async function fetched(link) {
  const answer = await fetch(link.href);
  if (!answer.ok) {
    // the page of the answer says what is wrong
    location.assign(link.href);
    return;
  }
  const named = /filename="([^"]+)"/.exec(answer.headers.get("Content-Disposition") ?? "");
  const url = URL.createObjectURL(await answer.blob());
  Object.assign(document.createElement("a"), { href: url, download: named?.[1] ?? "" }).click();
  setTimeout(() => URL.revokeObjectURL(url), 60_000);
}

document.addEventListener("click", async (event) => {
  const link = event.target.closest('a[href*=".pdf"], a[href*=".xlsx"]');
  if (!link || event.defaultPrevented || event.button || event.ctrlKey || event.metaKey || event.shiftKey) return;
  const box = notice();
  box.textContent = link.href.includes(".pdf") ? "Making the PDF…" : "Making the workbook…";
  box.hidden = false;
  if (!link.hasAttribute("download")) {
    // a page that shows it takes this one's place; a browser that saves it tells nobody when it has
    setTimeout(() => (box.hidden = true), 15_000);
    return;
  }
  event.preventDefault();
  try {
    await fetched(link);
  } finally {
    box.hidden = true;
  }
});

window.addEventListener("pageshow", () => (notice().hidden = true));
