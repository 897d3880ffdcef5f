import type { KeyboardEvent } from "react";

/** What Enter and the space bar do on a part of a drawing that is pressed like a button. */
export const pressed =
  (act: () => void) =>
  (e: KeyboardEvent): void => {
    if (e.key !== "Enter" && e.key !== " ") return;
    e.preventDefault();
    act();
  };
