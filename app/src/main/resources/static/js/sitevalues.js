// Site values of the place, looked up and shown before they are taken.

export async function lookUpSite(slug) {
  const place = document.getElementById("site-values");
  const answer = await fetch(`/jobs/${slug}/site-values`, { headers: { Accept: "text/html" } });
  const text = await answer.text();
  const found = new DOMParser().parseFromString(text, "text/html");
  const values = found.querySelector(".sitevalues");
  if (answer.ok && values) {
    place.replaceChildren(document.adoptNode(values));
    place.querySelector("button").focus();
  } else {
    const words = found.querySelector(".fault, main p")?.textContent ?? "The site values could not be looked up.";
    place.replaceChildren(Object.assign(document.createElement("p"), { className: "fault", textContent: words }));
  }
}
