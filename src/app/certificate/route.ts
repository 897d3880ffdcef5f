import { readFile } from "node:fs/promises";
import { join } from "node:path";
import { dataFolder } from "../../data/client";

/** `GET /certificate`: the certificate of this server's own authority, for devices that are to trust it. */
export async function GET(): Promise<Response> {
  try {
    return new Response(await readFile(join(dataFolder(), "tls", "authority.crt")), {
      headers: {
        "content-type": "application/x-x509-ca-cert",
        "content-disposition": 'attachment; filename="lumbet-authority.crt"',
      },
    });
  } catch {
    return Response.json(
      {
        error: {
          code: "not-found",
          message: "certificate: this server made none of its own; whoever runs it has put one before it",
          path: "certificate",
        },
      },
      { status: 404 },
    );
  }
}
