// The application over TLS, for the local network: `node scripts/serve-lan.mjs` with PORT and LUMBET_DATA, as `npm run demo -- --lan` starts it.
import { createServer as plain } from "node:http";
import { createServer } from "node:https";
import { isAbsolute, join, dirname } from "node:path";
import { fileURLToPath } from "node:url";
import next from "next";
import { certificateFor, lanAddresses, lanNames } from "./certificate.mjs";

const root = join(dirname(fileURLToPath(import.meta.url)), "..");
process.env.NODE_ENV = "production";
const port = Number(process.env.PORT || 4310);
const set = process.env.LUMBET_DATA || "data";
const data = isAbsolute(set) ? set : join(root, set);
const addresses = lanAddresses();
const address = `https://${addresses[0] ?? "127.0.0.1"}:${port}`;
process.env.LUMBET_SIGN_IN = "1";
process.env.LUMBET_TLS = "1";
process.env.LUMBET_ADDRESS ||= address;
process.env.LUMBET_HOSTS = [process.env.LUMBET_HOSTS, ...lanNames(), ...addresses].filter(Boolean).join(",");

const { key, cert } = await certificateFor(data, lanNames(), addresses);
let handle = null;
// The command line of this machine asks without TLS, where nobody else can; its port is known before the application starts.
const own = plain((request, answer) => void handle(request, answer));
await new Promise((done) => own.listen(0, "127.0.0.1", done));
process.env.LUMBET_CONSOLE = `http://127.0.0.1:${own.address().port}`;
const app = next({ dev: false, dir: root, hostname: "0.0.0.0", port });
await app.prepare();
handle = app.getRequestHandler();
const server = createServer({ key, cert, minVersion: "TLSv1.2" }, (request, answer) => {
  answer.setHeader("strict-transport-security", "max-age=31536000");
  void handle(request, answer);
});
server.on("error", (e) => {
  console.error(`The port ${port} cannot be used (${e.code}). Stop what uses it, or choose another: PORT=4311`);
  process.exit(1);
});
server.listen(port, "0.0.0.0", () => console.log("Lumbet answers"));
for (const signal of ["SIGINT", "SIGTERM"])
  process.on(signal, () => {
    server.close();
    process.exit(0);
  });
