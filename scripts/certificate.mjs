// The server's own authority and its certificate, kept in the data folder; a device that trusts the authority is not warned again.
import { X509Certificate } from "node:crypto";
import { existsSync, mkdirSync, readFileSync, writeFileSync } from "node:fs";
import { hostname, networkInterfaces } from "node:os";
import { join } from "node:path";
import { generate } from "selfsigned";

/** Addresses under which other devices of the local network reach this machine, IPv4. */
export function lanAddresses() {
  return Object.values(networkInterfaces())
    .flat()
    .filter((a) => a && a.family === "IPv4" && !a.internal)
    .map((a) => a.address);
}

/** Names under which this machine is known, its own name in the local network with them. */
export const lanNames = () => [
  "localhost",
  hostname().toLowerCase(),
  ...(hostname().includes(".") ? [] : [`${hostname().toLowerCase()}.local`]),
];

const days = (n) => new Date(Date.now() + n * 86_400_000);

/**
 * Key and certificate for these names and addresses, in PEM. The authority is made once and holds ten years; the certificate is
 * made anew when an address is missing in it or a month is left of its year.
 */
export async function certificateFor(data, names, addresses) {
  const folder = join(data, "tls");
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const file = (name) => join(folder, name);
  const read = (name) => readFileSync(file(name), "utf8");
  const write = (name, text) => writeFileSync(file(name), text, { mode: 0o600 });
  if (!existsSync(file("authority.crt"))) {
    const made = await generate([{ name: "commonName", value: `Lumbet on ${hostname()}` }], {
      keyType: "ec",
      curve: "P-256",
      algorithm: "sha256",
      notAfterDate: days(3650),
      extensions: [
        { name: "basicConstraints", cA: true, pathLenConstraint: 0, critical: true },
        { name: "keyUsage", keyCertSign: true, cRLSign: true, critical: true },
      ],
    });
    write("authority.key", made.private);
    write("authority.crt", made.cert);
  }
  const all = [...names, "127.0.0.1", ...addresses];
  if (!stands(file("server.crt"), read("authority.crt"), all)) {
    const made = await generate([{ name: "commonName", value: names[0] }], {
      keyType: "ec",
      curve: "P-256",
      algorithm: "sha256",
      notAfterDate: days(396),
      ca: { key: read("authority.key"), cert: read("authority.crt") },
      extensions: [
        { name: "basicConstraints", cA: false, critical: true },
        { name: "keyUsage", digitalSignature: true, critical: true },
        { name: "extKeyUsage", serverAuth: true },
        {
          name: "subjectAltName",
          altNames: [
            ...names.map((value) => ({ type: 2, value })),
            ...["127.0.0.1", ...addresses].map((ip) => ({ type: 7, ip })),
          ],
        },
      ],
    });
    write("server.key", made.private);
    write("server.crt", made.cert);
  }
  return { key: read("server.key"), cert: `${read("server.crt")}\n${read("authority.crt")}` };
}

/** Whether a certificate is still good for all of these for a month, and of this authority. */
function stands(path, authority, all) {
  if (!existsSync(path)) return false;
  const c = new X509Certificate(readFileSync(path));
  return (
    c.checkIssued(new X509Certificate(authority)) &&
    new Date(c.validTo) > days(30) &&
    all.every((name) => (/^\d+(\.\d+){3}$/.test(name) ? c.checkIP(name) : c.checkHost(name)))
  );
}
