/** Recent answers, kept on this device only. */
export interface Recent {
  name: string;
  input: unknown;
  headline: string;
}
const KEY = "lumbet-recent-answers";
const MOST = 12;

export function recentAnswers(): Recent[] {
  try {
    const list: unknown = JSON.parse(localStorage.getItem(KEY) ?? "[]");
    return Array.isArray(list)
      ? (list as Recent[]).filter((r) => typeof r?.name === "string" && typeof r.headline === "string").slice(0, MOST)
      : [];
  } catch {
    return [];
  }
}

/** Puts an answer first; an older one to the same question with the same input goes. */
export function remember(r: Recent): void {
  const same = (x: Recent): boolean => x.name === r.name && JSON.stringify(x.input) === JSON.stringify(r.input);
  try {
    localStorage.setItem(KEY, JSON.stringify([r, ...recentAnswers().filter((x) => !same(x))].slice(0, MOST)));
  } catch {
    // A full or forbidden store keeps nothing: the answers on the server are not touched by it.
  }
}

/** Address of a question with its input filled in. */
export const addressOf = (name: string, input: unknown): string =>
  `/bench/${name}?input=${encodeURIComponent(JSON.stringify(input))}`;
