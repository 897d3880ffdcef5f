/** Runs once when the server starts: opens the database, brings its tables up to date and seeds a new one, so that the first page is quick and a busy folder is told at once. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== "nodejs") return;
  const { openAtStart } = await import("./data/start");
  await openAtStart();
}
