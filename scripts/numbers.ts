/** A number given as `--name N` on the command line, or the usual one; anything else ends the program in words. */
export function numberOf(name: string, usual: number): number {
  const at = process.argv.indexOf(`--${name}`);
  const n = at < 0 ? usual : Number(process.argv[at + 1]);
  if (!(n > 0)) {
    console.error(`--${name} is ${process.argv[at + 1] ?? "missing"}; it must be a number more than 0.`);
    process.exit(1);
  }
  return n;
}
