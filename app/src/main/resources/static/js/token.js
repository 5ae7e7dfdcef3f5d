// What every request of our own pages carries when it changes something: the token, and which window it comes from.
function newName() {
  const name = Array.from(crypto.getRandomValues(new Uint8Array(3)), (n) => "ABCDEFGHJKLMNPQRSTUVWXYZ23456789"[n % 32]).join("");
  sessionStorage.setItem("window", name);
  return name;
}

export function windowName() {
  return sessionStorage.getItem("window") || newName();
}

// a tab that was duplicated comes with the name of the first one: it asks, and takes another where somebody answers
const page = crypto.getRandomValues(new Uint32Array(1))[0];
const others = new BroadcastChannel("windows");
others.addEventListener("message", ({ data }) => {
  if (data.asks === windowName() && data.page !== page) others.postMessage({ taken: data.asks, page: data.page });
  if (data.taken === windowName() && data.page === page) newName();
});
others.postMessage({ asks: windowName(), page });

/** The array this page looks at, where it is not the first one of the job. */
export function looking() {
  const place = document.getElementById("bench")?.dataset.place;
  return place ? { "X-Array": place } : {};
}

export function token() {
  return { ...looking(), "X-XSRF-TOKEN": document.querySelector("meta[name=csrf]").content, "X-Window": windowName() };
}

// forms of pages say it too
document.addEventListener("submit", ({ target }) => {
  if (target.method !== "post") return;
  const field = target.querySelector("input[name=window]") ?? target.appendChild(Object.assign(document.createElement("input"), { type: "hidden", name: "window" }));
  field.value = windowName();
});

/** A key nobody else has, for a request that may be sent again or stopped. */
export function freshKey() {
  return Array.from(crypto.getRandomValues(new Uint8Array(12)), (n) => n.toString(16).padStart(2, "0")).join("");
}
