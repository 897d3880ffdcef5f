import { database } from "../../../../../data/client";
import { jobThere } from "../../../../../data/jobs";
import { type ToldOf, onChange } from "../../../../../data/told";

/** How often a line is sent although nothing changed, so that neither end nor a proxy takes the connection for dead, ms. */
const ALIVE = 20_000;
/** Most that listen to one server at once; the others ask from time to time. */
const MOST = 500;
let listening = 0;

/**
 * `GET /api/jobs/ID/changes`: a stream of events, one whenever somebody changes the job or its record. It says that and not what:
 * whoever hears it asks.
 */
export async function GET(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  const { id } = await params;
  const db = await database();
  const refuse = (status: number, code: string, message: string): Response =>
    Response.json({ error: { code, message, path: "job" } }, { status });
  if (!(await jobThere(db, id)))
    return refuse(404, "not-found", `job: there is none with the id ${JSON.stringify(id)}`);
  if (listening >= MOST) return refuse(503, "busy", `job: ${MOST} listen already; ask from time to time instead`);
  listening++;
  const words = new TextEncoder();
  let end = (): void => {};
  const body = new ReadableStream<Uint8Array>({
    async start(to) {
      const send = (text: string): void => {
        try {
          to.enqueue(words.encode(text));
        } catch {
          end();
        }
      };
      const alive = setInterval(() => send(":\n\n"), ALIVE);
      let leave = (): void => {};
      let ended = false;
      end = () => {
        if (ended) return;
        ended = true;
        listening--;
        clearInterval(alive);
        leave();
        try {
          to.close();
        } catch {
          // Closed by the other end.
        }
      };
      request.signal.addEventListener("abort", () => end());
      try {
        leave = await onChange(db, id, (of: ToldOf) => send(`data: ${of}\n\n`));
      } catch {
        // The database does not tell just now: the page opens the stream again, and asks meanwhile.
        return end();
      }
      if (ended) return leave();
      send("retry: 2000\ndata: any\n\n");
    },
    cancel: () => end(),
  });
  return new Response(body, {
    headers: {
      "content-type": "text/event-stream",
      "cache-control": "no-store, no-transform",
      "x-accel-buffering": "no",
    },
  });
}
