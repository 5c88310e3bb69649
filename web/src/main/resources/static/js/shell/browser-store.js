/* What this browser keeps for whoever is signed in, apart from anybody else who uses it. */

export const who = () => document.body.dataset.who || "";

const store = () => {
  try {
    return window.localStorage;
  } catch {
    return null;
  }
};

export function read(key) {
  try {
    return JSON.parse(store()?.getItem(key) || "null");
  } catch {
    return null;
  }
}

export function write(key, value) {
  try {
    if (value === null) {
      store()?.removeItem(key);
    } else {
      store()?.setItem(key, JSON.stringify(value));
    }
  } catch {
    // a full or closed store keeps nothing; the page works all the same
  }
}

export function keys(prefix) {
  return Object.keys(store() || {}).filter(key => key.startsWith(prefix));
}
