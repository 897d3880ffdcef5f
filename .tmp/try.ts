import { calculators } from "/work/main/src/core/calculators/registry";
import { answer, sheetOf } from "/work/main/src/core/calculators/calculator";
import { z } from "zod";
for (const c of calculators) {
  const a = answer(c, c.first);
  const s = a.ok ? sheetOf(c, c.first) : null;
  console.log(c.name, a.ok ? (s?.headline) : "REFUSED " + a.error.message, s?.scene ? s.scene.shapes.length + " shapes" : "no scene", (a.ok && (a.output as any).findings?.map((f:any)=>f.rule+":"+f.severity).join(" ")) || "");
  const j = z.toJSONSchema(c.input, { io: "input" });
  if (a.ok) { const out = c.output.safeParse(a.output); if (!out.success) console.log("OUTPUT BAD", out.error.issues); }
}
console.log(JSON.stringify(z.toJSONSchema(calculators.find(c=>c.name==="clip.layout")!.input,{io:"input"})));
console.log(JSON.stringify(z.toJSONSchema(calculators.find(c=>c.name==="gland.pick")!.input,{io:"input"})));
console.log(JSON.stringify(z.toJSONSchema(calculators.find(c=>c.name==="test.ring-read")!.input,{io:"input"})));
