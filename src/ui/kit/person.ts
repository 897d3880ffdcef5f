const NAME_KEY = "lumbet-name";

/** What the person at this device is called; empty until they say. */
export function personName(): string {
  try {
    return localStorage.getItem(NAME_KEY) ?? "";
  } catch {
    return "";
  }
}

export function setPersonName(name: string): void {
  try {
    localStorage.setItem(NAME_KEY, name);
  } catch {
    // A device that keeps nothing asks again next time.
  }
}
