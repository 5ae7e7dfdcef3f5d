// What every request of our own pages carries when it changes something: the token, and which window it comes from.
export function windowName() {
  let name = sessionStorage.getItem("window");
  if (!name) {
    name = Array.from(crypto.getRandomValues(new Uint8Array(3)), (n) => "ABCDEFGHJKLMNPQRSTUVWXYZ23456789"[n % 32]).join("");
    sessionStorage.setItem("window", name);
  }
  return name;
}

export function token() {
  return { "X-XSRF-TOKEN": document.querySelector("meta[name=csrf]").content, "X-Window": windowName() };
}
