// The token that every request of our own pages carries when it changes something.
export function token() {
  return { "X-XSRF-TOKEN": document.querySelector("meta[name=csrf]").content };
}
